<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What a new revision of a path adds, drops and changes against the one before. */
final readonly class PlanDifference
{
    /**
     * @param  list<string>  $added  titles
     * @param  list<string>  $dropped  titles
     * @param  list<array{title: string, what: list<string>}>  $changed
     * @param  list<string>  $decided  decisions that now fall out differently
     * @param  list<string>  $opened  stops and holds that are gone
     * @param  list<string>  $shut  stops and holds that came up
     */
    private function __construct(
        public array $added,
        public array $dropped,
        public array $changed,
        public array $decided,
        public array $opened = [],
        public array $shut = [],
    ) {
    }

    public static function between(Plan $old, Plan $new): self
    {
        $titles = static fn (Plan $plan): array => array_column(
            array_map(static fn (Step $step): array => [$step->id, $step->title], $plan->steps),
            1,
            0,
        );
        [$before, $after] = [$titles($old), $titles($new)];
        $changed = [];
        foreach ($new->steps as $step) {
            $was = $old->step($step->id);
            $what = $was === null ? [] : self::changes($was, $step);
            if ($what !== []) {
                $changed[] = ['title' => $step->title, 'what' => $what];
            }
        }

        return new self(
            array_values(array_diff_key($after, $before)),
            array_values(array_diff_key($before, $after)),
            $changed,
            self::decisions($old, $new),
            array_values(array_diff(self::reasons($old), self::reasons($new))),
            array_values(array_diff(self::reasons($new), self::reasons($old))),
        );
    }

    public function isEmpty(): bool
    {
        return $this->added === [] &&
            $this->dropped === [] &&
            $this->changed === [] &&
            $this->decided === [] &&
            $this->opened === [] &&
            $this->shut === [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return get_object_vars($this);
    }

    /** @return list<string> every stop, hold and wanted answer of a path, in words */
    private static function reasons(Plan $plan): array
    {
        $reasons = [];
        foreach ($plan->steps as $step) {
            foreach ($step->gates as $gate) {
                if (! $gate->opensOnTheWay()) {
                    $reasons[$gate->id] = ucfirst($gate->kind->word()).": {$gate->title}";
                }
            }
        }

        return array_values($reasons);
    }

    /** @return list<string> */
    private static function changes(Step $was, Step $is): array
    {
        $what = [];
        if ($was->title !== $is->title) {
            $what[] = "was called \"{$was->title}\"";
        }
        if ($was->time->likely->inMinutes() !== $is->time->likely->inMinutes()) {
            $what[] = "{$was->time->likely->label()} → {$is->time->likely->label()}";
        }
        if ($was->presence !== $is->presence) {
            $what[] = "{$was->presence->title()} → {$is->presence->title()}";
        }
        if ($was->rows !== $is->rows || $was->instructions !== $is->instructions) {
            $what[] = 'what to do';
        }
        if ($was->confirmation?->toArray() !== $is->confirmation?->toArray()) {
            $what[] = 'the drive it names';
        }
        if ($was->required() !== $is->required()) {
            $what[] = 'what it waits for';
        }

        return $what;
    }

    /** @return list<string> */
    private static function decisions(Plan $old, Plan $new): array
    {
        $before = [];
        foreach ($old->decisions as $decision) {
            $before[$decision->id] = $decision->chosen;
        }
        $decided = [];
        foreach ($new->decisions as $decision) {
            if (($before[$decision->id] ?? null) !== $decision->chosen) {
                $decided[] = isset($before[$decision->id])
                    ? "{$decision->title}: {$before[$decision->id]} → {$decision->chosen}"
                    : "{$decision->title}: {$decision->chosen}";
            }
        }

        return $decided;
    }
}
