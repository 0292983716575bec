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
            $lists = [
                FactsOfModel::all(), FactsOfMachine::all(), FactsOfOwner::all(), FactsOfJob::all(),
                FactsOfFirmware::all(),
            ];
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

    /** @return array<string, string> what a question or a form offers for it: value => words */
    public static function offers(string $name): array
    {
        return self::find($name)?->offers() ?? [];
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
}
