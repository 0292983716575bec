<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

/** What holds for this machine alone (rule A1). */
final class FactsOfMachine
{
    /** @return list<FactDefinition> */
    public static function all(): array
    {
        return [
            ...self::bToD(),
            ...self::dToL(),
            ...self::lToM(),
            ...self::ofMemory(),
            ...self::oToP(),
            ...self::rToS(),
        ];
    }

    /** @return list<FactDefinition> */
    private static function bToD(): array
    {
        return [
            new FactDefinition(
                'battery.health', FactType::Measure, FactOwner::Machine,
                givenBy: ['collector'],
                range: [0.01, 1.5],
            ),
            new FactDefinition(
                'battery.percent', FactType::Measure, FactOwner::Machine, range: [0, 100],
                spoken: 'charge now, %',
                givenBy: ['collector'],
            ),
            new FactDefinition(
                'board.serial', FactType::Text, FactOwner::Machine,
                holds: FactDefinition::LETTER_OR_DIGIT,
            ),
            new FactDefinition('boot.entries', FactType::Words, FactOwner::Machine, givenBy: ['efibootmgr']),
            new FactDefinition(
                'boot.started_by', FactType::Text, FactOwner::Machine,
                givenBy: ['efibootmgr', 'mokutil', 'collector'],
            ),
            new FactDefinition(
                'drive.encryption', FactType::Choice, FactOwner::Machine,
                answers: FactRegistry::PROTECTIONS,
                asking: new Asking('How is the present drive protected?'),
            ),
            new FactDefinition(
                'device.links', FactType::Words, FactOwner::Machine,
                spoken: 'links of devices',
                givenBy: ['collector'],
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function dToL(): array
    {
        return [
            new FactDefinition(
                'drive.free_bytes', FactType::Size, FactOwner::Machine,
                spoken: 'free on the drive of the present system',
                asking: new Asking('How much is free on the drive of the present system?', 'Such as "41.2 GB".'),
            ),
            new FactDefinition(
                'drive.grade', FactType::Choice, FactOwner::Machine,
                answers: [
                    'good' => 'no sign of failing',
                    'watch' => 'watch',
                    'replace' => 'replace',
                    'cable-first' => 'cable first',
                    'unknown' => 'it gives no figures',
                ],
                spoken: 'health of the drive',
            ),
            new FactDefinition(
                'encryption.binding', FactType::Choice, FactOwner::Machine,
                answers: FactRegistry::BINDINGS,
                asking: new Asking('What is the drive\'s protection bound to?'),
            ),
            new FactDefinition('fit', FactType::YesNo, FactOwner::Machine),
            new FactDefinition('hardware.suspect', FactType::Text, FactOwner::Machine),
            new FactDefinition(
                'legacy.code', FactType::Choice, FactOwner::Machine,
                values: ['starts', 'stops', 'returns', 'hangs'],
                spoken: 'what the code in sector 0 does',
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function lToM(): array
    {
        return [
            new FactDefinition('licence.firmware_edition', FactType::Text, FactOwner::Machine),
            new FactDefinition('loader.efi', FactType::Text, FactOwner::Machine),
            new FactDefinition(
                'loader.signature', FactType::Choice, FactOwner::Machine,
                values: ['trusted', 'refused'],
                spoken: 'whether this machine trusts the loader\'s signature',
            ),
            new FactDefinition('machine.cards', FactType::Text, FactOwner::Machine),
            new FactDefinition(
                'machine.serial', FactType::Text, FactOwner::Machine,
                spoken: 'serial on its label',
                asking: new Asking('Which serial is on the label of the machine?', 'Such as "FL13-40711".'),
                givenBy: ['dmidecode', 'lshw'],
                holds: FactDefinition::LETTER_OR_DIGIT,
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function ofMemory(): array
    {
        return [
            new FactDefinition('memory.pool_size', FactType::Count, FactOwner::Machine),
            new FactDefinition(
                'memory.printed_rate', FactType::Count, FactOwner::Machine, range: [50, 20000],
                spoken: 'rate printed on the memory modules',
                asking: new Asking(
                    'Which rate is printed on the memory modules?',
                    'Million transfers a second, such as "6000"; of several the lowest.',
                ),
            ),
            new FactDefinition('memory.trusted', FactType::YesNo, FactOwner::Machine),
            new FactDefinition(
                'memory.usable_bytes', FactType::Size, FactOwner::Machine,
                spoken: 'memory that the running system can use',
                givenBy: ['collector'],
            ),
            new FactDefinition(
                'memory.verdict', FactType::Choice, FactOwner::Machine,
                answers: [
                    'trusted' => 'tested clean',
                    'bad' => 'tested bad',
                    'unstable-profile' => 'errors with the faster profile only',
                    'untested' => 'not tested, no sign of it',
                ],
                spoken: 'what a memory test said',
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function oToP(): array
    {
        return [
            new FactDefinition('old_system.starts', FactType::YesNo, FactOwner::Machine),
            new FactDefinition(
                'present.build', FactType::Text, FactOwner::Machine,
                spoken: 'build that is installed',
                asking: new Asking(
                    'Which build is installed?',
                    'Its own page about the system says it, such as "22631".',
                ),
                holds: FactDefinition::DIGIT,
            ),
            new FactDefinition(
                'present.build_reaches', FactType::YesNo, FactOwner::Machine,
                spoken: 'whether the installed build is new enough',
            ),
            new FactDefinition(
                'present.edition', FactType::Text, FactOwner::Machine,
                spoken: 'edition that is installed',
                asking: new Asking(
                    'Which edition is installed?',
                    'Its own page about the system says it, such as "Dock".',
                ),
            ),
            new FactDefinition(
                'present.language', FactType::Text, FactOwner::Machine,
                spoken: 'language it was installed in',
                asking: new Asking('Which language was it installed in?', 'As the image says it, such as "en".'),
            ),
            new FactDefinition(
                'present.system', FactType::Text, FactOwner::Machine,
                spoken: 'system that is on it now',
                asking: new Asking('Which system is on it now?', 'Its name and version, such as "Tansy Desktop 6".'),
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function rToS(): array
    {
        return [
            new FactDefinition('recovery.environment', FactType::YesNo, FactOwner::Machine),
            new FactDefinition(
                'running.build', FactType::Text, FactOwner::Machine,
                spoken: 'build of the system it was read from',
                givenBy: ['collector'],
                holds: FactDefinition::DIGIT,
            ),
            new FactDefinition(
                'running.system', FactType::Text, FactOwner::Machine,
                spoken: 'system it was read from',
                givenBy: ['collector'],
            ),
            new FactDefinition('symptom.picture', FactType::YesNo, FactOwner::Machine),
            new FactDefinition('symptom.powers_up', FactType::YesNo, FactOwner::Machine),
            new FactDefinition(
                'symptom.since', FactType::Choice, FactOwner::Machine,
                answers: [
                    'update' => 'a system update',
                    'driver' => 'a driver',
                    'channel' => 'a change of channel',
                    'power-loss' => 'a power cut',
                    'nothing' => 'nothing anybody remembers',
                ],
                spoken: 'what came right before the trouble',
            ),
            new FactDefinition(
                'symptom.starts', FactType::Choice, FactOwner::Machine,
                answers: [
                    'normally' => 'normally, with faults',
                    'safe-mode' => 'only in its safe mode',
                    'recovery' => 'only to its recovery environment',
                    'no' => 'not at all',
                ],
                spoken: 'how far the system starts',
            ),
            new FactDefinition(
                'volume.untold_encrypted', FactType::YesNo, FactOwner::Machine,
                spoken: 'whether the volume of an unknown kind is encrypted',
                asking: new Asking(
                    'Is {volume} encrypted?',
                    'This bench does not know the word the reading has for it. See what its system says of it.',
                    offers: ['yes' => 'yes, or it asks for a key', 'no' => 'no, it opens without one'],
                ),
            ),
            new FactDefinition('system.loader', FactType::Text, FactOwner::Machine),
        ];
    }
}
