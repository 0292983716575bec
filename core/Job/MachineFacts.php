<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Inventory\InventoryReader;
use Cobblestone\Inventory\Reading;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Machine\Facts\FactType;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\KindDefaults;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Machine\Source;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\InvalidQuantity;

/**
 * The facts of one machine, least trusted source first: kind, catalogue, readings, answers, and what a person settled
 * (rule A1).
 */
final class MachineFacts
{
    /**
     * @param  list<Reading>  $readings
     *
     * @throws BriefFault
     */
    public static function of(Brief $brief, ?MachineModel $model, Kind $kind, array $readings): FactSheet
    {
        $sheet = FactSheet::empty()->with(
            $model === null
                ? Fact::of('machine.kind', $kind->value, Source::Person, 'this job', $brief->readAt)
                : Fact::of('machine.kind', $kind->value, Source::Catalogue, $model->dated()),
        );
        foreach (KindDefaults::facts($kind) as $name => $value) {
            $sheet = $sheet->with(Fact::of($name, $value, Source::KindDefault, "usual for a {$kind->value}"));
        }
        if ($model !== null) {
            foreach (self::modelFacts($model) as $name => $value) {
                $sheet = $sheet->with(Fact::of($name, $value, Source::Catalogue, $model->dated()));
            }
        }
        foreach ($readings as $reading) {
            foreach ($reading->facts as $name => $value) {
                $sheet = $sheet->with(Fact::of($name, $value, Source::Reading, self::origin($reading), $reading->at));
            }
        }
        foreach (self::said($brief->machine->facts) as $name => $value) {
            $sheet = $sheet->with(
                Fact::of(
                    $name,
                    self::plain($name, $value, $model),
                    Source::Person,
                    $brief->machine->factsFrom ?? 'entered at the bench',
                    $brief->readAt,
                ),
            );
        }
        $sheet = self::settled($brief, $sheet, $model);

        return $sheet;
    }

    /**
     * Without what somebody said not to know: that is no value, and a rule that needs it asks (rule U2).
     *
     * @param  array<string, bool|int|float|string>  $facts
     * @return array<string, bool|int|float|string>
     */
    private static function said(array $facts): array
    {
        return array_filter(
            $facts,
            static fn (bool|int|float|string $value, string $name): bool => $value !== 'unknown'
                || FactRegistry::find($name)?->mayBeUnknown() === true,
            ARRAY_FILTER_USE_BOTH,
        );
    }

    private static function settled(Brief $brief, FactSheet $sheet, ?MachineModel $model): FactSheet
    {
        foreach (self::said($brief->machine->settled) as $name => $value) {
            $sheet = $sheet->with(
                Fact::of(
                    $name,
                    self::plain($name, $value, $model),
                    Source::Settled,
                    $brief->machine->factsFrom ?? 'a person at the machine',
                    $brief->readAt,
                ),
            );
        }

        return $sheet;
    }

    private static function origin(Reading $reading): string
    {
        $command = InventoryReader::COMMANDS[$reading->tool] ?? $reading->tool;

        return in_array($reading->origin, ['pasted', 'brief'], true) ? $command : "{$command} ({$reading->origin})";
    }

    /** @return array<string, bool|int|float|string> fact => value, as the catalogue holds it */
    private static function modelFacts(MachineModel $model): array
    {
        $facts = [
            'architecture' => $model->architecture,
            'memory_bytes' => $model->memoryBytes,
            'cores' => $model->cores,
            'drive_bytes' => $model->driveBytes,
            'clock_mhz' => $model->clockMhz,
            'processor' => $model->processor,
            'security_chip.version' => $model->securityChipVersion,
            'graphics.features' => $model->graphicsFeatures,
            'display.pixels' => $model->displayPixels,
            'firmware.kind' => $model->firmware?->kind,
        ];
        foreach ($model->settings() as $setting) {
            $facts[$setting->fact()] = $setting->default;
        }

        return array_filter($facts, static fn (mixed $value): bool => $value !== null);
    }

    /**
     * YAML reads a bare on or off as text or truth depending on its writer; settings are words; typed numbers are
     * numbers.
     */
    private static function plain(
        string $name,
        bool|int|float|string $value,
        ?MachineModel $model,
    ): bool|int|float|string {
        if (is_bool($value) && str_starts_with($name, 'firmware.')) {
            return $value ? 'on' : 'off';
        }
        $known = FactRegistry::find($name);
        $word = is_bool($value) ? ($value ? 'yes' : 'no') : (string) $value;
        $settings = $known?->isFirmware() === true ? self::values($name, $model) : [];
        if ($known !== null && ! $known->takes($word, $settings)) {
            $typed = mb_substr($word, 0, 40);
            $words = implode(', ', array_unique([...$known->words(), ...$settings]));
            throw BriefFault::at("machine.facts.{$name}", "\"{$typed}\" is not one of {$words} and unknown.");
        }
        $lacks = $known?->lacks($word);
        if ($lacks !== null && $word !== 'unknown') {
            throw BriefFault::at(
                "machine.facts.{$name}",
                "{$known->spoken()} has {$lacks} in it; \"".mb_substr($word, 0, 40).'" has none. Copy it as it stands.',
            );
        }
        $number = match ($known?->type) {
            FactType::Count, FactType::Measure => self::measured($name, $word),
            FactType::Size => self::size($name, $value),
            default => null,
        };
        $range = $number === null ? null : $known->implausible($number);
        if ($range !== null) {
            throw BriefFault::at(
                "machine.facts.{$name}",
                "{$known->spoken()} is {$range}; \"{$word}\" cannot be. Look once more, and at the unit.",
            );
        }

        return $number ?? $value;
    }

    /** Bytes, as a number or with their unit. */
    private static function size(string $name, bool|int|float|string $value): int
    {
        try {
            return Bytes::parse(is_int($value) ? $value : (string) $value)->count;
        } catch (InvalidQuantity $e) {
            throw BriefFault::at("machine.facts.{$name}", $e->getMessage());
        }
    }

    /** @return list<string> what a setting of this model can be */
    private static function values(string $name, ?MachineModel $model): array
    {
        foreach ($model?->settings() ?? [] as $setting) {
            if ($setting->fact() === $name) {
                return $setting->values;
            }
        }

        return [];
    }

    /** A number as it was typed, its digits in groups or not. */
    private static function measured(string $name, string $word): int|float
    {
        $number = str_replace([' ', "\u{a0}", "\u{202f}"], '', $word);
        if (! is_numeric($number) || $number < 0) {
            $typed = mb_substr($word, 0, 40);
            $asked = FactRegistry::spoken($name);
            throw BriefFault::at(
                "machine.facts.{$name}",
                "\"{$typed}\" is no number of 0 or more, as {$asked} is.",
            );
        }

        return $number + 0;
    }
}
