<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

/** What holds for every machine of a model (rule A1). */
final class FactsOfModel
{
    /** @return list<FactDefinition> */
    public static function all(): array
    {
        return [...self::aToB(), ...self::cToM(), ...self::mToT()];
    }

    /** @return list<FactDefinition> */
    private static function aToB(): array
    {
        return [
            new FactDefinition(
                'architecture', FactType::Choice, FactOwner::Model,
                values: ['x86-64', 'arm-64', 'x86-32'],
                spoken: 'the processor\'s architecture',
                learned: 'architecture',
                asking: new Asking(
                    'Which architecture is the processor?',
                    offers: ['x86-64' => 'x86, 64 bit', 'x86-32' => 'x86, 32 bit', 'arm-64' => 'ARM, 64 bit'],
                ),
                givenBy: ['lshw', 'collector'],
            ),
            new FactDefinition(
                'battery.design_wh', FactType::Measure, FactOwner::Model, range: [1, 1000],
                givenBy: ['dmidecode', 'collector'],
            ),
            new FactDefinition('board.name', FactType::Text, FactOwner::Model, givenBy: ['dmidecode', 'lshw']),
            new FactDefinition(
                'board.revision', FactType::Text, FactOwner::Model,
                asking: new Asking(
                    'Which revision of the board is it?',
                    'It is printed on the board, and dmidecode reads it, such as "2".',
                ),
                givenBy: ['dmidecode', 'lshw'],
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function cToM(): array
    {
        return [
            new FactDefinition(
                'clock_mhz', FactType::Count, FactOwner::Model, range: [50, 20000],
                learned: 'clock_mhz',
                asking: new Asking('What is the processor\'s clock, in MHz?', 'Such as "2400".'),
                givenBy: ['dmidecode', 'lshw'],
            ),
            new FactDefinition(
                'cores', FactType::Count, FactOwner::Model, range: [1, 1024],
                learned: 'cores',
                asking: new Asking('How many cores has the processor?', 'Such as "8".'),
                givenBy: ['dmidecode', 'lshw'],
            ),
            new FactDefinition(
                'display.pixels', FactType::Measure, FactOwner::Model, range: [100, 20000],
                asking: new Asking('How many pixels high is the display?', 'Such as "1080".'),
            ),
            new FactDefinition('drive_bytes', FactType::Size, FactOwner::Model),
            new FactDefinition(
                'graphics.features', FactType::Text, FactOwner::Model,
                asking: new Asking(
                    'Which graphics features does it have?',
                    'With commas, as its maker lists them, such as "shader-6".',
                ),
            ),
            new FactDefinition('graphics.uefi_picture', FactType::YesNo, FactOwner::Model),
            new FactDefinition('machine.kind', FactType::Choice, FactOwner::Model),
            new FactDefinition('machine.maker', FactType::Text, FactOwner::Model, givenBy: ['dmidecode', 'lshw']),
        ];
    }

    /** @return list<FactDefinition> */
    private static function mToT(): array
    {
        return [
            new FactDefinition('machine.name', FactType::Text, FactOwner::Model),
            new FactDefinition('machine.product', FactType::Text, FactOwner::Model, givenBy: ['dmidecode', 'lshw']),
            new FactDefinition('machine.sku', FactType::Text, FactOwner::Model, givenBy: ['dmidecode']),
            new FactDefinition('memory.max_bytes', FactType::Size, FactOwner::Model, givenBy: ['dmidecode']),
            new FactDefinition(
                'memory.slots', FactType::Count, FactOwner::Model,
                givenBy: ['dmidecode'],
                range: [1, 96],
            ),
            new FactDefinition(
                'memory_bytes', FactType::Size, FactOwner::Model,
                learned: 'memory_bytes',
                asking: new Asking('How much memory is fitted?', 'Bytes, or as "16 GiB".'),
                givenBy: ['dmidecode', 'lshw'],
            ),
            new FactDefinition('processor', FactType::Text, FactOwner::Model),
            new FactDefinition(
                'security_chip.version', FactType::Text, FactOwner::Model,
                learned: 'security_chip_version',
                asking: new Asking(
                    'Which version is the security chip?',
                    offers: ['2.0' => '2.0', '1.2' => '1.2', 'none' => 'there is none'],
                ),
                givenBy: ['dmidecode'],
            ),
            new FactDefinition('sockets', FactType::Measure, FactOwner::Model, range: [1, 16]),
            new FactDefinition(
                'threads', FactType::Count, FactOwner::Model,
                givenBy: ['dmidecode', 'lshw'],
                range: [1, 2048],
            ),
        ];
    }
}
