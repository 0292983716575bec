<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/** The last stones: sign what stays changed, hand over once nothing is left to put back (rule J4). */
final class ClosingSteps
{
    /** Evidence that names the day on which the copy is deleted. */
    public const DELETE_BY = 'delete_by';

    /**
     * @param  list<PutBack>  $entries  everything the path opens
     * @param  list<string>  $brings  facts that the path brings about
     * @return list<Step>
     */
    public static function for(array $entries, string $owner, array $brings): array
    {
        $steps = self::signing($entries, $owner);
        $copied = in_array(PathFact::BACKUP_COPIED, $brings, true);
        $gates = self::gates($entries);
        $steps[] = new Step(
            'hand-over.give-back',
            Stage::HandOver,
            'Hand over',
            Presence::Hands,
            Estimate::minutes(2, 4, 10),
            [
                'Print the handover sheet.',
                ...in_array(PathFact::FIRST_BOOT_DONE, $brings, true)
                    ? ['The owner sets their own password now, while you look away.']
                    : [],
                'Tick out the accessories; start it once and show that it works.',
                ...$copied ? ['Agree on which day the copy of their files is deleted.'] : [],
            ],
            before: [
                PathFact::PROVEN,
                PathFact::TAKEN_IN,
                PathFact::STICK_OUT,
                ...array_values(array_intersect([PathFact::FILES_HOME, PathFact::CARRIED_OVER], $brings)),
            ],
            after: [PathFact::HANDED_OVER],
            needs: ['hands'],
            done: DoneWords::of('You got it back', 'received_by'),
            acts: [Act::HandOver],
            gates: $gates,
            because: self::because($entries),
            evidence: self::evidence($copied),
            boots: [BootEvent::change(['stick' => 'out']), BootEvent::start(Wants::System)],
        );

        return $steps;
    }

    /**
     * @param  list<PutBack>  $entries
     * @return list<Step>
     */
    private static function signing(array $entries, string $owner): array
    {
        $stays = array_values(array_filter($entries, static fn (PutBack $entry): bool => $entry->stays));
        $steps = [];
        if ($stays !== []) {
            $steps[] = new Step(
                'put-back.sign',
                Stage::PutBack,
                'Sign what stays',
                Presence::Hands,
                Estimate::minutes(0.5, 1, 4),
                [
                    "Tell {$owner} what stays changed and why. It is printed on the handover sheet.",
                    ...array_map(static fn (PutBack $entry): string => "{$entry->what}: {$entry->why}", $stays),
                ],
                before: [PathFact::PROVEN],
                after: [
                    PathFact::STAYS_SIGNED,
                    ...array_map(static fn (PutBack $entry): string => PathFact::putBack($entry->id), $stays),
                ],
                needs: ['hands'],
                because: [new Reason('Lowered protection that stays is a decision of a person, signed once.', 'J4')],
                evidence: [new Evidence('signed_by', 'Signed by', EvidenceKind::Person)],
            );
        }

        return $steps;
    }

    /**
     * @param  list<PutBack>  $entries
     * @return list<Gate>
     */
    private static function gates(array $entries): array
    {
        return array_map(
            static fn (PutBack $entry): Gate => new Gate(
                "put-back-{$entry->id}",
                PathFact::putBack($entry->id),
                ($entry->stays ? 'Signed: ' : 'Put back: ').$entry->what,
                $entry->closedBy,
            ),
            $entries,
        );
    }

    /**
     * @param  list<PutBack>  $entries
     * @return list<Reason>
     */
    private static function because(array $entries): array
    {
        return [
            new Reason(
                $entries === []
                    ? 'Nothing was weakened for this job, so nothing is left to put back.'
                    : 'What was weakened for the job is put back or signed before the machine leaves.',
                'J4, I11',
            ),
        ];
    }

    /**
     * @return list<Evidence>
     */
    private static function evidence(bool $copied): array
    {
        return [
            new Evidence(
                'accessories_back',
                'What came with it goes back',
                EvidenceKind::Ticks,
                expected: Expected::asIn('intake.take-in', 'accessories'),
                overruledBy: ['technician', 'lead'],
                remedy: 'Look for it in the slot and on the shelf of this job.',
            ),
            new Evidence('received_by', 'Received by', EvidenceKind::Person),
            ...$copied ? [new Evidence(self::DELETE_BY, 'The copy is deleted on', EvidenceKind::Date)] : [],
        ];
    }
}
