<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\SeenMachine;
use App\Models\FinishedReading;
use App\Models\Job;
use App\Models\SeenRow;
use Cobblestone\Machine\Difference\DifferenceLine;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Signed;
use Cobblestone\Text\Counted;
use Cobblestone\Tuning\Proof\AcceptanceRow;
use Cobblestone\Tuning\Proof\AcceptanceTable;
use Illuminate\Support\ViewErrorBag;

/** The finished machine of a job: its rows, what is still open, and what is otherwise than before. */
final readonly class AcceptancePage
{
    private const MOST_LINES = 80;

    /**
     * @param  AcceptanceTable|null  $table  null where this kind of job reads no machine at its end
     * @param  list<FinishedReading>  $readings  oldest first
     * @param  array<string, Signed>  $signed  by row
     * @param  list<DifferenceLine>  $lines  what is otherwise than before
     * @param  list<string>  $unseen  parts that only one side says anything of
     * @param  list<string>  $remarks  what was read and is no answer
     * @param  list<SeenRow>  $gone  written down of rows that this path does not ask for any more
     */
    private function __construct(
        public ?AcceptanceTable $table,
        public array $readings,
        public array $signed,
        public array $lines,
        public array $unseen,
        public array $remarks,
        public array $gone,
        public bool $mayWork,
        public bool $isLead,
    ) {
    }

    public static function of(Job $job, SeenMachine $machine, bool $mayWork, bool $isLead): self
    {
        $step = $job->currentPlan()->typed()->bringing(PathFact::PROVEN);
        $readings = FinishedReading::ofJob($job->id);
        $mayWork = $mayWork && $job->isOpen();
        $rows = array_column($step === null ? [] : $step->evidence, 'id');
        $gone = array_values(array_filter(
            SeenRow::ofJob($job->id),
            static fn (SeenRow $one): bool => ! in_array($one->row, $rows, true),
        ));
        $finished = $readings === [] ? null : $machine->readings($job, FinishedReading::newest($readings));
        $difference = $finished?->difference();

        return new self(
            $step === null ? null : $machine->table($job, $step),
            $readings,
            $step === null ? [] : SeenMachine::signed($job, $machine->of($job, $step)),
            array_slice($difference->lines ?? [], 0, self::MOST_LINES),
            $difference->unseen ?? [],
            $finished?->remarks($step->evidence ?? []) ?? [],
            $gone,
            $mayWork,
            $mayWork && $isLead,
        );
    }

    /** "26 rows: 18 as expected, 2 differ, 6 nobody has read." */
    public static function sentence(AcceptanceTable $table): string
    {
        $counts = $table->counts();
        $held = $counts[AcceptanceRow::EQUAL] + $counts[AcceptanceRow::WITHIN];
        $said = array_filter([
            $held === 0 ? '' : "{$held} as expected",
            $counts[AcceptanceRow::DIFFERS] === 0 ? '' : $counts[AcceptanceRow::DIFFERS]
                .($counts[AcceptanceRow::DIFFERS] === 1 ? ' differs' : ' differ'),
            $counts[AcceptanceRow::OPEN] === 0 ? '' : "{$counts[AcceptanceRow::OPEN]} nobody has read",
        ]);

        return count($table->rows).' rows: '.implode(', ', $said).'.';
    }

    /** @return list<EvidenceField> to write down: of what differs, is open, and nobody has signed */
    public function fields(Progress $progress): array
    {
        $step = $progress->plan->bringing(PathFact::PROVEN);

        $fields = $step === null || ! $this->mayWork ? [] : EvidenceField::of(
            $step,
            $progress,
            (array) old('evidence'),
            $this->table,
        );
        $rows = $this->byId();
        $rank = static fn (EvidenceField $one): int => $rows[$one->wanted->id]->verdict() === AcceptanceRow::DIFFERS
            ? 0
            : 1;
        // Sorting keeps the order among those of one rank.
        usort($fields, static fn (EvidenceField $a, EvidenceField $b): int => $rank($a) <=> $rank($b));

        return $fields;
    }

    /** Whether the form stands open: before the first reading, and where one was not taken. */
    public function asksForReading(ViewErrorBag $errors): bool
    {
        $wrong = $errors->getBag('default');

        return $this->readings === [] || $wrong->has('files') || $wrong->has('output');
    }

    /** What was read so far, in a line. */
    public function readWords(): string
    {
        $many = count($this->readings);

        return $many === 0 ? 'Not read yet' : 'Read '.Counted::of($many, 'time').'; read it again';
    }

    /** @return array<string, AcceptanceRow> */
    public function byId(): array
    {
        $rows = [];
        foreach ($this->table->rows ?? [] as $row) {
            $rows[$row->evidence->id] = $row;
        }

        return $rows;
    }

    /** @return list<AcceptanceRow> */
    public function held(): array
    {
        return $this->table?->with(AcceptanceRow::EQUAL, AcceptanceRow::WITHIN) ?? [];
    }

    /** @return list<AcceptanceRow> rows that differ first, then the open ones */
    public function unsettled(): array
    {
        return [
            ...$this->table?->with(AcceptanceRow::DIFFERS) ?? [],
            ...$this->table?->with(AcceptanceRow::OPEN) ?? [],
        ];
    }

    public function isOpen(): bool
    {
        return ($this->table?->with(AcceptanceRow::OPEN) ?? []) !== [];
    }

    /** @return array<string, list<DifferenceLine>> part => what of it is otherwise */
    public function parts(): array
    {
        $parts = [];
        foreach ($this->lines as $line) {
            $parts[self::partOf($line)][] = $line;
        }

        return $parts;
    }

    private static function partOf(DifferenceLine $line): string
    {
        return [
            'device' => 'Devices',
            'drive' => 'Drives',
            'memory' => 'Memory',
            'setting' => 'Settings',
            'program' => 'Programs',
        ][$line->part] ?? 'Machine';
    }

    public function nothingDiffers(): bool
    {
        return $this->readings !== [] && $this->lines === [];
    }

    public function unseenWords(): string
    {
        return $this->unseen === [] ? '' : 'Only one of the two readings says anything of: '.
            implode(', ', array_map(static fn (string $part): string => match ($part) {
                'memory' => 'memory',
                'machine' => 'what else is known of the machine',
                default => "{$part}s",
            }, $this->unseen)).'.';
    }
}
