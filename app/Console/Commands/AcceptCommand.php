<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\CatalogueFolder;
use App\Documents\BriefDocument;
use App\Documents\DocumentFault;
use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Job\FinishedReadings;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\OrderImpossible;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Tuning\Proof\AcceptanceRow;
use Cobblestone\Tuning\Proof\AcceptanceTable;
use DomainException;
use RuntimeException;

/** The rows of a finished machine, from the readings before and after. */
final class AcceptCommand extends PlainCommand
{
    use ReadsBundles, SaidWords;

    protected $signature = 'cobblestone:accept {brief : a brief as YAML}
        {--before=* : bundle or files read before; what the brief holds counts too}
        {--after=* : bundle or files read of the finished machine}
        {--catalogue= : a folder of catalogue files}
        {--json : print the rows as JSON}';

    protected $description = 'What a finished machine should be, against what its readings say, row by row';

    public function handle(): int
    {
        try {
            [$table, $clock, $remarks] = $this->judged();
        } catch (DocumentFault|UnknownEntry|BriefFault|OrderImpossible|DomainException|RuntimeException $e) {
            $this->getOutput()->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
        if ($this->option('json')) {
            $this->output->writeln((string) json_encode(
                [
                    'rows' => array_map(static fn (AcceptanceRow $row): array => $row->toArray(), $table->rows),
                    'counts' => $table->counts(),
                    'clock' => $clock,
                    'not_read' => $this->notRead,
                    'remarks' => $remarks,
                ],
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
            ), \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
        } else {
            $this->told($table);
            array_map(fn (string $one) => $this->line($one), $remarks);
        }

        return $table->with(AcceptanceRow::DIFFERS) === [] ? self::SUCCESS : 2;
    }

    /**
     * @return array{AcceptanceTable, string, list<string>}
     *
     * @throws DocumentFault|UnknownEntry|BriefFault|OrderImpossible|DomainException|RuntimeException
     */
    private function judged(): array
    {
        $data = BriefDocument::fromFile($this->said('brief'));
        $before = self::files($this->option('before'));
        if ($before !== []) {
            [$data['machine']] = $this->bundle($before)->into((array) $data['machine']);
        }
        $brief = Brief::fromArray($data);
        $catalogue = CatalogueFolder::read(
            (string) ($this->chosen('catalogue') ?? config('cobblestone.catalogue')),
        )->catalogue();
        $step = JobPlanner::plan($brief, $catalogue, Policy::of())->bringing(PathFact::PROVEN);
        if ($step === null) {
            throw new RuntimeException('This kind of job has no machine whose readings could be compared.');
        }
        $after = self::files($this->option('after'));
        $finished = FinishedReadings::of(
            $brief,
            $after === [] ? [] : $this->bundle($after)->readings,
            $catalogue,
            now()->utc()->format('Y-m-d\TH:i\Z'),
        );
        if ($finished->another !== null) {
            throw new RuntimeException($finished->another);
        }

        return [
            AcceptanceTable::of($step->evidence, $finished->seen($step->evidence)),
            $finished->clock,
            $finished->remarks($step->evidence),
        ];
    }

    private function told(AcceptanceTable $table): void
    {
        foreach ($table->rows as $row) {
            $this->line(sprintf(
                '%-8s %s: expected %s%s%s',
                $row->verdict(),
                $row->evidence->label,
                $row->expected(),
                $row->tolerance() === 'exact' ? '' : " ({$row->tolerance()})",
                $row->finding === null ? '' : ", read {$row->observed()}",
            ));
            $row->remedy() === '' || $this->line("         {$row->remedy()}");
        }
        $counts = $table->counts();
        $this->line("{$counts['equal']} equal, {$counts['within']} within, {$counts['differs']} differ, "
            ."{$counts['open']} open.");
        array_map(fn (string $one) => $this->line("not read: {$one}"), $this->notRead);
    }
}
