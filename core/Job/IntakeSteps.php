<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** The first stones: take in, look at the machine, the owner's word, lay out the tools (rules J5, J7, J9). */
final class IntakeSteps
{
    /** The stone that lays out what a job takes. */
    public const GATHER = 'gather.lay-out';

    /** @return list<Step> */
    public static function first(Machine $machine, Step $ownersWord): array
    {
        $ports = array_count_values(array_map(static fn ($port): string => $port->connector, $machine->ports));
        $count = self::portWords($ports);

        $portable = $machine->kind->isPortable();
        // A tower has no cell to swell and no charger to forget.
        $things = $portable ? 'charger, bag, adapter' : 'power lead, keyboard, adapter';

        return [
            new Step(
                'intake.take-in',
                Stage::Intake,
                'Take in',
                Presence::Hands,
                Estimate::minutes(1, 3, 8),
                [
                    'Look the machine over together with whoever brings it; note scratches, missing screws'.
                    ($portable ? ', a swollen case.' : ', dents.'),
                    "Note what came with it: {$things}.",
                ],
                after: [PathFact::TAKEN_IN],
                needs: ['hands'],
                because: [new Reason('Condition and accessories are ticked out again at pick-up.', 'L6')],
                cautions: $portable ? ['A swollen case means a damaged battery: stop, do not charge.'] : [],
                evidence: [
                    new Evidence('condition', 'Condition: scratches, screws'.($portable ? ', cell' : ''), 'text'),
                    new Evidence(
                        'accessories',
                        'What came with it',
                        'text',
                        hint: "one by one with commas: {$things}; or \"nothing\"",
                    ),
                ],
            ),
            self::lookAtLabel($machine, $count),
            $ownersWord,
        ];
    }

    /**
     * @param  array<string, int>  $ports
     */
    private static function portWords(array $ports): string
    {
        return implode(
            ', ',
            array_map(
                static fn (string $connector, int $n): string => "{$n} × {$connector}",
                array_keys($ports),
                $ports,
            ),
        );
    }

    private static function lookAtLabel(Machine $machine, string $count): Step
    {
        return new Step(
            'identify.look',
            Stage::Identify,
            'Look at the label',
            Presence::Hands,
            Estimate::minutes(0.5, 1, 3),
            [
                $machine->isCatalogued()
                    ? "Compare model and suffix on the label with \"{$machine->title}\". A sibling with another "
                        .'suffix is another machine.'
                    : 'Note maker, model, suffix and revision from the label.',
                $count === '' ? 'Count the sockets a stick could go into.' : "Count the sockets: {$count}.",
            ],
            before: [PathFact::TAKEN_IN],
            after: [PathFact::MACHINE_IDENTIFIED],
            needs: ['hands'],
            because: [
                new Reason(
                    $machine->isCatalogued()
                        ? 'Ways in, settings and sockets come from the catalogue and are assumed until someone has '
                            .'looked.'
                        : 'Nothing is known of this model yet; what is found here can be kept for the next one.',
                    'J7',
                ),
            ],
        );
    }

    /** @param  list<GatherItem>  $items */
    public static function gather(array $items): Step
    {
        return new Step(
            self::GATHER,
            Stage::Gather,
            'Lay out tools',
            Presence::Hands,
            Estimate::minutes(1, 3, 8),
            array_map(
                static fn (GatherItem $item): string => ($item->count > 1 ? "{$item->count} × " : '').
                    "{$item->what}: {$item->why}",
                $items,
            ),
            after: [PathFact::GATHERED],
            needs: ['hands'],
            because: [new Reason('Worked out from this path: each line says what it is for.', 'J5')],
        );
    }
}
