<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\GateKind;
use Cobblestone\Runbook\OpensBy;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;

/** A shut gate as run mode shows it: the word, the reason, and what opens it there. */
final readonly class RunGate
{
    /** In which order they are shown: what an answer changes may take others away. */
    private const ORDER = [GateKind::Stop, GateKind::Answer, GateKind::Hold, GateKind::Proof];

    /**
     * @param  Question|null  $question  whose answer opens it
     * @param  Step|null  $opener  the stone that opens it
     * @param  list<string>  $openerWaits  what that stone itself waits for, as people say it
     */
    private function __construct(
        private Gate $gate,
        public ?Question $question,
        public ?Step $opener,
        public array $openerWaits,
    ) {
    }

    /** @return list<self> */
    public static function of(Progress $progress, Step $step): array
    {
        $gates = $progress->shutGates($step);
        usort(
            $gates,
            static fn (Gate $a, Gate $b): int => array_search($a->kind, self::ORDER, true) <=>
                array_search($b->kind, self::ORDER, true),
        );

        return array_map(static function (Gate $gate) use ($progress): self {
            $opener = $gate->opensOnTheWay() ? $progress->plan->step($gate->opensBy) : null;

            return new self(
                $gate,
                str_starts_with($gate->fact, 'answered.') ? $progress->plan->question(substr($gate->fact, 9)) : null,
                $opener,
                $opener === null ? [] : array_map(PathFact::spoken(...), $progress->missing($opener)),
            );
        }, $gates);
    }

    public function id(): string
    {
        return $this->gate->id;
    }

    public function kind(): string
    {
        return $this->gate->kind->value;
    }

    /** "Stop", "Hold". */
    public function word(): string
    {
        return ucfirst($this->gate->kind->word());
    }

    /** A question says itself what it is about. */
    public function heading(): string
    {
        return $this->word().($this->question === null ? ": {$this->gate->title}" : '');
    }

    /** What it rests on, in words; empty where it names nothing. */
    public function restsOn(): string
    {
        return $this->gate->facts === [] ? '' : rtrim(implode('; ', $this->gate->facts), '.').'.';
    }

    public function rule(): string
    {
        return $this->gate->rule;
    }

    /** Where it opens. */
    public function door(int $job): DoorLink
    {
        return new DoorLink($job, $this->gate->door);
    }

    /** Which of the parts of run/opens shows what opens it. */
    public function opens(): string
    {
        return match (true) {
            $this->question !== null => 'question',
            $this->opener !== null => $this->opener->evidence !== []
                && $this->openerWaits === [] ? 'evidence' : 'stone',
            $this->gate->door->by === OpensBy::Reading => 'reading',
            $this->gate->door->by === OpensBy::Nothing => 'nothing',
            default => 'door',
        };
    }

    public function mayBeWaivedBy(string $role): bool
    {
        return in_array($role, $this->gate->waivableBy, true);
    }

    /** Who else may waive it; empty where nobody may. */
    public function waivers(): string
    {
        return implode(' or a ', $this->gate->waivableBy);
    }
}
