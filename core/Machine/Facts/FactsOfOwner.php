<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

/** What only the owner can say (rule A1). */
final class FactsOfOwner
{
    /** @return list<FactDefinition> */
    public static function all(): array
    {
        return [...self::eToL(), ...self::mToO(), ...self::wishes()];
    }

    /** @return list<FactDefinition> */
    private static function eToL(): array
    {
        return [
            new FactDefinition(
                'encryption.key', FactType::YesNo, FactOwner::Owner,
                asking: new Asking(
                    'Has the owner the recovery key of this drive at hand?',
                    offers: ['yes' => 'yes', 'no' => 'no'],
                ),
            ),
            new FactDefinition('licence.edition', FactType::Text, FactOwner::Owner),
            new FactDefinition(
                'licence.kind', FactType::Choice, FactOwner::Owner,
                asking: new Asking(
                    'Where does the licence for {system} come from?',
                    offers: [
                        'firmware-key' => 'a key in the firmware',
                        'entitlement' => 'the machine or account is entitled already',
                        'retail' => 'a key the owner bought',
                        'none' => 'there is none yet',
                        'unclear' => 'a key of unclear origin',
                    ],
                ),
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function mToO(): array
    {
        return [
            new FactDefinition(
                'machine.managed', FactType::YesNo, FactOwner::Owner,
                spoken: 'managed by administrators of an organisation',
            ),
            new FactDefinition(
                'owner.keep', FactType::Choice, FactOwner::Owner,
                answers: ['some' => 'yes', 'nothing' => 'no'],
                asking: new Asking(
                    'Does anything on this machine have to be kept?',
                    offers: ['some' => 'yes, copy it first', 'nothing' => 'no, the owner says so in writing'],
                ),
            ),
            new FactDefinition(
                'owner.lock', FactType::Choice, FactOwner::Owner,
                asking: new Asking(
                    'Is an account lock against theft on this machine?',
                    offers: [
                        'none' => 'there is none',
                        'signed-in' => 'on, the owner is still signed in',
                        'signed-out' => 'the owner has signed out',
                    ],
                ),
            ),
        ];
    }

    /** @return list<FactDefinition> what the owner wants */
    private static function wishes(): array
    {
        return [
            new FactDefinition(
                'owner.programs', FactType::Text, FactOwner::Owner,
                spoken: 'programs that are set up',
            ),
            new FactDefinition('wish.original', FactType::YesNo, FactOwner::Owner),
            new FactDefinition(
                'wish.why', FactType::Choice, FactOwner::Owner,
                answers: [
                    'fault' => 'something does not work as it should',
                    'fresh' => 'a fresh start, or another owner',
                    'other-system' => 'another system or version is wanted',
                ],
                spoken: 'what it is set up anew for',
                asking: new Asking(
                    'What is it set up anew for?',
                    'Where something does not work, gentler ways are weighed first.',
                ),
            ),
        ];
    }
}
