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
            new FactDefinition('battery.health', FactType::Measure, FactOwner::Machine, givenBy: ['collector']),
            new FactDefinition(
                'battery.percent', FactType::Measure, FactOwner::Machine,
                spoken: 'charge now, %',
                givenBy: ['collector'],
            ),
            new FactDefinition('board.serial', FactType::Text, FactOwner::Machine),
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
            new FactDefinition('drive.free_bytes', FactType::Measure, FactOwner::Machine),
            new FactDefinition('drive.grade', FactType::Text, FactOwner::Machine),
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
                asking: new Asking('Which serial is on the label of the machine?'),
                givenBy: ['dmidecode', 'lshw'],
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function ofMemory(): array
    {
        return [
            new FactDefinition('memory.pool_size', FactType::Count, FactOwner::Machine),
            new FactDefinition(
                'memory.printed_rate', FactType::Count, FactOwner::Machine,
                spoken: 'rate printed on the memory modules',
                asking: new Asking(
                    'Which rate is printed on the memory modules?',
                    'Million transfers a second, such as 6000; of several the lowest.',
                ),
            ),
            new FactDefinition('memory.trusted', FactType::YesNo, FactOwner::Machine),
            new FactDefinition(
                'memory.usable_bytes', FactType::Count, FactOwner::Machine,
                spoken: 'memory that the running system can use',
                givenBy: ['collector'],
            ),
            new FactDefinition('memory.verdict', FactType::Text, FactOwner::Machine),
        ];
    }

    /** @return list<FactDefinition> */
    private static function oToP(): array
    {
        return [
            new FactDefinition('old_system.starts', FactType::YesNo, FactOwner::Machine),
            new FactDefinition('present.build', FactType::Text, FactOwner::Machine),
            new FactDefinition(
                'present.build_reaches', FactType::YesNo, FactOwner::Machine,
                spoken: 'whether the installed build is new enough',
            ),
            new FactDefinition('present.edition', FactType::Text, FactOwner::Machine),
            new FactDefinition('present.language', FactType::Text, FactOwner::Machine),
            new FactDefinition(
                'present.system', FactType::Text, FactOwner::Machine,
                spoken: 'system that is on it now',
                asking: new Asking('Which system is on it now?'),
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
            ),
            new FactDefinition(
                'running.system', FactType::Text, FactOwner::Machine,
                spoken: 'system it was read from',
                givenBy: ['collector'],
            ),
            new FactDefinition('symptom.picture', FactType::YesNo, FactOwner::Machine),
            new FactDefinition('symptom.powers_up', FactType::YesNo, FactOwner::Machine),
            new FactDefinition('symptom.since', FactType::Text, FactOwner::Machine),
            new FactDefinition('symptom.starts', FactType::Text, FactOwner::Machine),
            new FactDefinition('system.loader', FactType::Text, FactOwner::Machine),
        ];
    }
}
