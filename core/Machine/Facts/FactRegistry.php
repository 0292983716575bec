<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

/** Every fact that a rule reads by name, each said once; a setting that only one model has stands in its entry. */
final class FactRegistry
{
    public const FIRMWARE = 'firmware.';

    public const PROTECTIONS = [
        'none' => 'not encrypted',
        'key-in-clear' => 'encrypted, with the key still in clear',
        'chip' => 'protected by the security chip',
        'chip-and-pin' => 'protected by chip and PIN',
        'passphrase' => 'protected by a passphrase',
    ];

    public const BINDINGS = [
        'keys' => 'Secure Boot state, its keys and revocations',
        'measured' => 'also firmware version, boot order, loader, cards and docks',
    ];

    /** @var array<string, FactDefinition>|null */
    private static ?array $all = null;

    /** @return array<string, FactDefinition> by name */
    public static function all(): array
    {
        if (self::$all === null) {
            self::$all = [];
            $lists = [self::ofModel(), self::ofMachine(), self::ofOwner(), self::ofJob(), FirmwareFacts::ofFirmware()];
            foreach (array_merge(...$lists) as $definition) {
                self::$all[$definition->name] = $definition;
            }
        }

        return self::$all;
    }

    public static function find(string $name): ?FactDefinition
    {
        return self::all()[$name] ?? null;
    }

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::all());
    }

    /** @return array<string, list<string>> facts of which a start wants to know which of some words they are */
    public static function values(): array
    {
        return array_filter(array_map(static fn (FactDefinition $one): array => $one->values, self::all()));
    }

    /** @return array<string, string> facts that a model may learn => the field of its entry that keeps them */
    public static function learned(): array
    {
        $fields = array_map(static fn (FactDefinition $one): ?string => $one->learned, self::all());

        return array_filter($fields, is_string(...));
    }

    /** Whether it holds for every machine of a model, and not for this one, its owner or its job. */
    public static function isOfModel(string $name): bool
    {
        return self::find($name)?->owner === FactOwner::Model;
    }

    /** "firmware.secure_boot" as a person says it. */
    public static function spoken(string $name): string
    {
        return self::find($name)?->spoken() ?? self::plain($name);
    }

    public static function plain(string $name): string
    {
        return str_replace([self::FIRMWARE, '_', '.'], ['', ' ', ' '], $name);
    }

    /** @return list<FactDefinition> what holds for every machine of a model */
    private static function ofModel(): array
    {
        return [
            new FactDefinition(
                'architecture', FactType::Choice, FactOwner::Model, values: ['x86-64', 'arm-64', 'x86-32'],
                spoken: 'the processor\'s architecture', learned: 'architecture',
            ),
            new FactDefinition('battery.design_wh', FactType::Measure, FactOwner::Model),
            new FactDefinition('board.name', FactType::Text, FactOwner::Model),
            new FactDefinition('board.revision', FactType::Text, FactOwner::Model),
            new FactDefinition('clock_mhz', FactType::Count, FactOwner::Model, learned: 'clock_mhz'),
            new FactDefinition('cores', FactType::Count, FactOwner::Model, learned: 'cores'),
            new FactDefinition('display.pixels', FactType::Measure, FactOwner::Model),
            new FactDefinition('drive_bytes', FactType::Count, FactOwner::Model),
            new FactDefinition('graphics.features', FactType::Text, FactOwner::Model),
            new FactDefinition('graphics.uefi_picture', FactType::YesNo, FactOwner::Model),
            new FactDefinition('machine.kind', FactType::Choice, FactOwner::Model),
            new FactDefinition('machine.maker', FactType::Text, FactOwner::Model),
            new FactDefinition('machine.name', FactType::Text, FactOwner::Model),
            new FactDefinition('machine.product', FactType::Text, FactOwner::Model),
            new FactDefinition('machine.sku', FactType::Text, FactOwner::Model),
            new FactDefinition('memory.max_bytes', FactType::Count, FactOwner::Model),
            new FactDefinition('memory.slots', FactType::Count, FactOwner::Model),
            new FactDefinition('memory_bytes', FactType::Count, FactOwner::Model, learned: 'memory_bytes'),
            new FactDefinition('processor', FactType::Text, FactOwner::Model),
            new FactDefinition(
                'security_chip.version', FactType::Text, FactOwner::Model, learned: 'security_chip_version',
            ),
            new FactDefinition('sockets', FactType::Measure, FactOwner::Model),
            new FactDefinition('threads', FactType::Count, FactOwner::Model),
        ];
    }

    /** @return list<FactDefinition> what holds for this machine alone */
    private static function ofMachine(): array
    {
        return [
            new FactDefinition('battery.health', FactType::Measure, FactOwner::Machine),
            new FactDefinition('battery.percent', FactType::Measure, FactOwner::Machine),
            new FactDefinition('board.serial', FactType::Text, FactOwner::Machine),
            new FactDefinition('boot.started_by', FactType::Text, FactOwner::Machine),
            new FactDefinition('drive.encryption', FactType::Choice, FactOwner::Machine, answers: self::PROTECTIONS),
            new FactDefinition('drive.free_bytes', FactType::Measure, FactOwner::Machine),
            new FactDefinition('drive.grade', FactType::Text, FactOwner::Machine),
            new FactDefinition('encryption.binding', FactType::Choice, FactOwner::Machine, answers: self::BINDINGS),
            new FactDefinition('fit', FactType::YesNo, FactOwner::Machine),
            new FactDefinition('hardware.suspect', FactType::Text, FactOwner::Machine),
            new FactDefinition(
                'legacy.code', FactType::Choice, FactOwner::Machine, values: ['starts', 'stops'], spoken: 'what the code in sector 0 does',
            ),
            new FactDefinition('licence.firmware_edition', FactType::Text, FactOwner::Machine),
            new FactDefinition('loader.efi', FactType::Text, FactOwner::Machine),
            new FactDefinition(
                'loader.signature', FactType::Choice, FactOwner::Machine, values: ['trusted', 'refused'],
                spoken: 'whether this machine trusts the loader\'s signature',
            ),
            new FactDefinition('machine.cards', FactType::Text, FactOwner::Machine),
            new FactDefinition('machine.serial', FactType::Text, FactOwner::Machine),
            new FactDefinition('memory.pool_size', FactType::Count, FactOwner::Machine),
            new FactDefinition('memory.trusted', FactType::YesNo, FactOwner::Machine),
            new FactDefinition('memory.verdict', FactType::Text, FactOwner::Machine),
            new FactDefinition('old_system.starts', FactType::YesNo, FactOwner::Machine),
            new FactDefinition('present.build', FactType::Text, FactOwner::Machine),
            new FactDefinition('present.build_reaches', FactType::YesNo, FactOwner::Machine),
            new FactDefinition('present.edition', FactType::Text, FactOwner::Machine),
            new FactDefinition('present.language', FactType::Text, FactOwner::Machine),
            new FactDefinition('present.system', FactType::Text, FactOwner::Machine),
            new FactDefinition('recovery.environment', FactType::YesNo, FactOwner::Machine),
            new FactDefinition('symptom.picture', FactType::YesNo, FactOwner::Machine),
            new FactDefinition('symptom.powers_up', FactType::YesNo, FactOwner::Machine),
            new FactDefinition('symptom.since', FactType::Text, FactOwner::Machine),
            new FactDefinition('symptom.starts', FactType::Text, FactOwner::Machine),
            new FactDefinition('system.loader', FactType::Text, FactOwner::Machine),
        ];
    }

    /** @return list<FactDefinition> what only its owner can say */
    private static function ofOwner(): array
    {
        return [
            new FactDefinition('encryption.key', FactType::YesNo, FactOwner::Owner),
            new FactDefinition('licence.edition', FactType::Text, FactOwner::Owner),
            new FactDefinition('licence.kind', FactType::Choice, FactOwner::Owner),
            new FactDefinition('machine.managed', FactType::YesNo, FactOwner::Owner),
            new FactDefinition(
                'owner.keep', FactType::Choice, FactOwner::Owner, answers: ['some' => 'yes', 'nothing' => 'no'],
            ),
            new FactDefinition('owner.lock', FactType::Choice, FactOwner::Owner),
            new FactDefinition('wish.original', FactType::YesNo, FactOwner::Owner),
        ];
    }

    /** @return list<FactDefinition> what this job brings with it */
    private static function ofJob(): array
    {
        return [
            new FactDefinition('card.leads', FactType::Text, FactOwner::Job),
            new FactDefinition('card.processor_w', FactType::Measure, FactOwner::Job),
            new FactDefinition('card.supply_w', FactType::Measure, FactOwner::Job),
            new FactDefinition('card.watts', FactType::Measure, FactOwner::Job),
            new FactDefinition('channel.other', FactType::Text, FactOwner::Job),
            new FactDefinition('charger.at_hand', FactType::YesNo, FactOwner::Job),
            new FactDefinition('charger.watts', FactType::Measure, FactOwner::Job),
            new FactDefinition('decrypt.bytes', FactType::Measure, FactOwner::Job),
            new FactDefinition('decrypt.mb_s', FactType::Measure, FactOwner::Job),
            new FactDefinition('decrypt.percent', FactType::Measure, FactOwner::Job),
            new FactDefinition('factory.image', FactType::YesNo, FactOwner::Job),
            new FactDefinition('fallback.entry', FactType::Text, FactOwner::Job),
            new FactDefinition('hub.at_hand', FactType::YesNo, FactOwner::Job),
            new FactDefinition('image.expanded_bytes', FactType::Measure, FactOwner::Job),
            new FactDefinition('image.kind', FactType::Text, FactOwner::Job),
            new FactDefinition('image.matches', FactType::YesNo, FactOwner::Job),
            new FactDefinition('network.driver', FactType::Text, FactOwner::Job),
            new FactDefinition('network.works', FactType::YesNo, FactOwner::Job),
            new FactDefinition('power.load_w', FactType::Measure, FactOwner::Job),
            new FactDefinition('restore.point', FactType::YesNo, FactOwner::Job),
            new FactDefinition('stick.refused', FactType::YesNo, FactOwner::Job),
            new FactDefinition('swap.bytes', FactType::Measure, FactOwner::Job),
            new FactDefinition('swap.drive', FactType::Text, FactOwner::Job),
            new FactDefinition('swap.path', FactType::Text, FactOwner::Job),
            new FactDefinition('swap.serial', FactType::Text, FactOwner::Job),
            new FactDefinition('target.bytes', FactType::Measure, FactOwner::Job),
            new FactDefinition('target.drive', FactType::Text, FactOwner::Job),
            new FactDefinition('target.path', FactType::Text, FactOwner::Job),
            new FactDefinition('target.serial', FactType::Text, FactOwner::Job),
            new FactDefinition('tried', FactType::Text, FactOwner::Job),
            new FactDefinition('ups.usable_wh', FactType::Measure, FactOwner::Job),
        ];
    }
}
