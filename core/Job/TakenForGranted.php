<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;
use Cobblestone\Runbook\Assumption;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Door;

/**
 * What every path with a machine on the bench takes for granted of it, said as what it is: assumed (rules A9, J13, U2).
 */
final readonly class TakenForGranted
{
    private const MANAGED = 'machine.managed';

    public function __construct(private JobContext $context)
    {
    }

    public function contribution(): Contribution
    {
        return $this->context->kind()->hasMachine()
            ? $this->managed($this->context->machine)->and(new Contribution(assumed: $this->usualForKind()))
            : new Contribution(assumed: $this->usualForKind());
    }

    /** A managed machine goes back, whatever was to be done with it. */
    private function managed(Machine $machine): Contribution
    {
        $said = $machine->fact(self::MANAGED);
        if ($said->is('yes')) {
            return new Contribution(blockers: [Blocker::stop(
                'managed',
                'This machine is managed: it goes back to its administrators, nothing is erased or changed here.',
                'A9',
                Door::none('Give it back to its administrators.'),
                [self::MANAGED.' = yes'],
            )]);
        }

        if ($said->is('no')) {
            return new Contribution();
        }

        return new Contribution(assumed: [new Assumption(
            self::MANAGED,
            'No administrators of an organisation manage it.',
            'A9',
            Door::fact(self::MANAGED, 'Ask whoever brings it, and say so.'),
        )]);
    }

    /** @return list<Assumption> what is usual for the kind of machine, of which nobody knows more */
    private function usualForKind(): array
    {
        $taken = array_filter(
            $this->context->machine->facts->all(),
            static fn (Fact $fact): bool => $fact->source === Source::KindDefault,
        );

        return array_values(array_map(static fn (Fact $fact): Assumption => new Assumption(
            $fact->name,
            ucfirst(FactRegistry::spoken($fact->name)).": {$fact->spoken()}, {$fact->origin}.",
            'J13',
            Door::fact($fact->name, 'Read the machine, or say what it is.'),
        ), $taken));
    }
}
