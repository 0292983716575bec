<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** The stone that looks at edition and activation (rule A8). */
final class LicenceStep
{
    /** @param  list<string>  $after */
    public static function step(SystemProfile $system, ?string $edition, string $kind, array $after): Step
    {
        $due = in_array($kind, ['none', 'unclear'], true);

        return new Step(
            'activation.check',
            Stage::Activation,
            $due ? 'Licence due' : 'Activate',
            Presence::Hands,
            Estimate::minutes(0.5, 2, 15),
            $due
                ? [
                    'Tell the owner that a licence is due, and by when the system asks for it.',
                    ...$kind === 'unclear' ? ['Do not type a key whose origin is not clear.'] : [],
                ]
                : array_values(
                    array_filter(self::instructions($kind, $edition)),
                ),
            before: $after,
            after: [PathFact::ACTIVATED],
            needs: ['hands', 'network'],
            acts: [Act::UseLicence],
            done: DoneWords::in(
                SheetPart::Licence,
                $due ? 'A licence is still due.' : 'Edition and activation were checked.',
                ...$due ? ['licence_due'] : [],
            ),
            because: [
                new Reason(
                    "{$system->name} is licensed per machine.".
                        ($kind === 'unknown' ? '' : ' '.Licence::because($kind, $edition)),
                    'A8',
                    $system->dated(),
                ),
            ],
            cautions: ['Install only what the owner is entitled to.'],
            evidence: $due ? [new Evidence('licence_due', 'Who gets it, and by when', 'text')] : [],
        );
    }

    /**
     * @return array{0: string|null, 1: string|null, 2: string, 3: string}
     */
    private static function instructions(string $kind, ?string $edition): array
    {
        return [
            $kind === 'entitlement' ? 'No key is typed: wait a minute online.' : null,
            $kind === 'retail' ? 'The owner types the key, or hands it over sealed.' : null,
            'Open the page that shows edition and activation: the edition must be '.
            ($edition ?? 'the one of this job').
            '.',
            'Not active? Edition first, then the key, then the network.',
        ];
    }
}
