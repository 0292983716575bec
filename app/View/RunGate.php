<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\GateKind;
use Cobblestone\Runbook\OpensBy;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;

/** A shut gate as run mode shows it: the word, the reason, and what opens it there. */
final readonly class RunGate
{
    /**
     * @param  list<string>  $facts
     * @param  list<string>  $waivableBy
     */
    private function __construct(
        public string $id,
        public string $title,
        public GateKind $kind,
        public OpensBy $opens,
        public string $rule,
        public array $facts,
        public array $waivableBy,
        public ?Question $question,
        public ?Step $opener,
    ) {
    }

    /** In which order they are shown: what an answer changes may take others away. */
    private const ORDER = [GateKind::Stop, GateKind::Answer, GateKind::Hold, GateKind::Proof];

    /** @return list<self> */
    public static function of(Progress $progress, Step $step): array
    {
        $gates = $progress->shutGates($step);
        usort(
            $gates,
            static fn (Gate $a, Gate $b): int => array_search($a->kind, self::ORDER, true) <=>
                array_search($b->kind, self::ORDER, true),
        );

        return array_map(
            static fn (Gate $gate): self => new self(
                $gate->id,
                $gate->title,
                $gate->kind,
                $gate->opens,
                $gate->rule,
                $gate->facts,
                $gate->waivableBy,
                str_starts_with($gate->fact, 'answered.') ? $progress->plan->question(substr($gate->fact, 9)) : null,
                $gate->opensOnTheWay() ? $progress->plan->step($gate->opensBy) : null,
            ),
            $gates,
        );
    }
}
