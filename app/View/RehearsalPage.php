<?php

declare(strict_types=1);

namespace App\View;

use App\Models\BootObservation;
use App\Models\Job;
use Cobblestone\Boot\KindFound;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\RehearsalHead;
use Cobblestone\Findings\Findings;
use Cobblestone\Runbook\Plan;
use Illuminate\Support\Collection;

/** Every power-on of a job as it is predicted, beside what was seen. */
final readonly class RehearsalPage
{
    /** @var list<StartCard> */
    public array $cards;

    private RehearsalHead $head;

    private Findings $findings;

    /**
     * @param  Collection<int, BootObservation>  $seen  newest first
     * @param  StickStartedHere|null  $stick  of the job, where the register has it
     */
    public function __construct(
        private Job $job,
        private Plan $plan,
        public Collection $seen,
        ?StickStartedHere $stick = null,
    ) {
        $this->findings = Findings::of($plan);
        $this->head = RehearsalHead::of($this->findings->rehearsal, array_values($seen->map(
            static fn (BootObservation $one): array => [
                'step' => $one->step,
                'number' => $one->number,
                'predicted' => $one->predicted,
                'seen' => $one->seen,
                'looked' => $one->looked,
            ],
        )->all()));
        $cards = [];
        $told = null;
        foreach ($this->findings->rehearsal as $start) {
            $here = $seen->filter(
                static fn (BootObservation $one): bool => $one->step === $start->step
                    && $one->number === $start->number,
            );
            // A failure that is the same as the one before is said once.
            $again = ! $start->succeeds && $told === $start->sentence;
            $told = $start->succeeds ? null : $start->sentence;
            $started = $stick?->at($start);
            $cards[] = new StartCard(
                $this->job->id,
                $start,
                array_values($here->all()),
                $again,
                $started,
                $started === null ? null : $stick->after($started),
            );
        }
        $this->cards = $cards;
    }

    /** Why there is nothing to rehearse. */
    public function nothing(): string
    {
        return $this->plan->job->kind->rules()->hasMachine()
            ? 'This path was computed before paths were rehearsed, or none of its steps starts the machine. Change '
                .'anything on the intake page and it is computed anew.'
            : 'This job ends with the stick. On a kind of firmware it does this:';
    }

    /** @return list<array{title: string, class: string, words: string, because: string}> a stick on each kind */
    public function kinds(): array
    {
        return array_map(static fn (KindFound $row): array => [
            'title' => $row->title,
            'class' => $row->starts ? 'holds' : 'bad',
            'words' => ucfirst($row->words),
            'because' => $row->because,
        ], $this->findings->kinds);
    }

    /** @return list<array{class: string, words: string}> how many come through, fail, hang, went otherwise */
    public function sums(): array
    {
        $head = $this->head;
        $all = $head->through === $head->of && $head->otherwise === 0;

        $sums = [
            [$head->fails, 'bad', "{$head->fails} of {$head->of} would not end where you want to be."],
            [
                $head->hang,
                'hands',
                "{$head->hang} of {$head->of} ".($head->hang === 1 ? 'hangs' : 'hang')
                    .' on something nobody has looked at.',
            ],
            [
                $head->through,
                'holds',
                $all
                    ? "All {$head->of} come through."
                    : "{$head->through} ".($head->through === 1 ? 'comes' : 'come').' through.',
            ],
            [$head->otherwise, 'bad', "{$head->otherwise} went otherwise at the machine."],
        ];
        $said = array_filter($sums, static fn (array $sum): bool => $sum[0] > 0);

        return array_values(array_map(
            static fn (array $sum): array => ['class' => $sum[1], 'words' => $sum[2]],
            $said,
        ));
    }

    public function looked(): string
    {
        return $this->head->looked === 0
            ? 'Nobody has said yet what was seen at one of them.'
            : "{$this->head->looked} of {$this->head->of} were looked at.";
    }

    /** Whether what was seen can be kept for the model. */
    public function keepsForModel(): bool
    {
        return $this->plan->job->model !== null;
    }

    public function machine(): string
    {
        return $this->plan->job->machine;
    }

    /** @return list<array{at: string, step: string, predicted: string, class: string, seen: string, by: string}> */
    public function reality(): array
    {
        return array_values($this->seen->map(fn (BootObservation $one): array => [
            'at' => Words::time($one->created_at),
            'step' => $this->plan->step($one->step)->title ?? $one->step,
            'predicted' => Outcome::from($one->predicted)->title(),
            'class' => ! $one->looked || $one->seen === $one->predicted ? '' : 'bad',
            'seen' => self::seen($one).($one->of_model ? ' · kept for the model' : ''),
            'by' => $one->user->title,
        ])->all());
    }

    private static function seen(BootObservation $one): string
    {
        return match (true) {
            ! $one->looked => 'laid; nothing said against it',
            $one->seen === $one->predicted => 'the same',
            default => Outcome::from($one->seen)->title(),
        };
    }
}
