<?php

namespace App\Bridge;

use App\Devices\Inspection\FileSource;
use App\Devices\Inspection\SbverifyTool;
use Cobblestone\Boot\Emulated\EmulatedAs;
use Cobblestone\Boot\Emulated\EmulatedFirmware;
use Cobblestone\Boot\Keys\KeyFiles;
use Cobblestone\Boot\Keys\KnownSigners;
use Cobblestone\Boot\Keys\TrustedSigners;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Medium\MediumReader;
use Cobblestone\Boot\Possibilities;
use Cobblestone\Boot\StickStart;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Machine\Facts\FactRegistry;
use InvalidArgumentException;
use RuntimeException;

/** A real stick, or the image of one, against a model of the catalogue or a kind of firmware. */
final class StickRehearsal
{
    private const LARGEST_KEY_FILE = 8_388_608;

    private readonly KnownSigners $known;

    public function __construct(private readonly Catalogue $catalogue)
    {
        $this->known = new KnownSigners($catalogue->signers());
    }

    /**
     * @param  list<string>  $keys  paths of files with enrolled keys; none: the catalogue's signers
     * @param  array<string, string>  $set  settings that differ from what the model comes with
     *
     * @throws InvalidArgumentException
     * @throws RuntimeException where a file cannot be read
     * @throws \Cobblestone\Catalogue\UnknownEntry
     */
    public function predict(string $image, ?string $model, ?string $firmware, array $keys, array $set): Possibilities
    {
        $medium = $this->medium($image, $keys);
        [$facts, $assumed, $trusted] = $model !== null ? $this->ofModel($model) : $this->ofKind((string) $firmware);
        foreach ($set as $name => $value) {
            $fact = isset(FactRegistry::values()[$name]) || str_contains($name, '.') ? $name : "firmware.{$name}";
            $allowed = $this->values($fact, $model);
            if ($allowed === null) {
                throw new InvalidArgumentException(
                    "--set {$name}: there is no such setting".
                        ($model === null ? '' : " on {$model}").
                        '; known are '.
                        implode(
                            ', ',
                            array_map(
                                static fn (string $one): string => str_replace('firmware.', '', $one),
                                array_keys(FactRegistry::values()),
                            ),
                        ).
                        '.',
                );
            }
            if (! in_array($value, $allowed, true)) {
                throw new InvalidArgumentException(
                    "--set {$name}={$value}: it can be ".implode(', ', $allowed).'.',
                );
            }
            $facts[$fact] = $value;
            $assumed = array_values(array_diff($assumed, [$fact]));
        }

        return StickStart::predict($medium, $facts, $assumed, $trusted);
    }

    /** What the boot model says of it by the firmware and the keys of an emulated machine. */
    public function predictAs(string $image, EmulatedAs $as): Possibilities
    {
        $facts = [...StickStart::KINDS[$as->firmware->value], 'architecture' => 'x86-64'];

        return StickStart::predict($this->medium($image), $facts, [], new TrustedSigners($as->trusts));
    }

    /**
     * A stick against every model of the catalogue that takes one.
     *
     * @return list<array{id: string, title: string, possible: Possibilities}>
     */
    public function everywhere(string $image): array
    {
        $medium = $this->medium($image);
        $rows = [];
        foreach ($this->catalogue->machines() as $id => $model) {
            if ($model->firmware?->kind !== 'sealed') {
                [$facts, $assumed, $trusted] = $this->ofModel($id);
                $rows[] = [
                    'id' => $id,
                    'title' => $model->title(),
                    'possible' => StickStart::predict($medium, $facts, $assumed, $trusted),
                ];
            }
        }

        return $rows;
    }

    /** @param  list<string>  $keys */
    public function medium(string $image, array $keys = []): Medium
    {
        $files = [];
        foreach ($keys as $path) {
            $bytes = is_file($path) && filesize($path) <= self::LARGEST_KEY_FILE ? file_get_contents($path) : false;
            $files[basename($path)] =
                $bytes !== false
                    ? $bytes
                    : throw new InvalidArgumentException(
                        "{$path}: there is no such file, or it is larger than 8 MiB.",
                    );
        }

        return MediumReader::read(
            new FileSource($image),
            new SbverifyTool(),
            $files === [] ? $this->known->all() : KeyFiles::read($files),
            $files === [],
        );
    }

    /**
     * The emulated firmware that comes nearest to a model as it is delivered, and the signers it trusts then.
     *
     * @return array{EmulatedFirmware, list<string>}
     *
     * @throws InvalidArgumentException where nothing here is like it
     */
    public function emulated(string $model): array
    {
        [$facts, , $trusted] = $this->ofModel($model);
        if (! in_array($facts['architecture'], ['x86-64', null], true)) {
            throw new InvalidArgumentException(
                "{$model} has a processor of the kind {$facts['architecture']}, which is not emulated here.",
            );
        }

        $switched = array_keys(array_filter(
            $trusted->switches,
            static fn (string $setting): bool => ($facts["firmware.{$setting}"] ?? null) === 'trusted',
        ));

        return [match (true) {
            $facts['firmware.kind'] === 'bios', $facts['firmware.boot_mode'] === 'legacy' => EmulatedFirmware::Bios,
            $facts['firmware.secure_boot'] === 'on' => EmulatedFirmware::UefiSecure,
            default => EmulatedFirmware::Uefi,
        }, [...$trusted->always, ...$switched]];
    }

    /**
     * @return array{0: array<string, bool|int|float|string|null>, 1: list<string>, 2: TrustedSigners}
     */
    private function ofModel(string $id): array
    {
        $model = $this->catalogue->machine($id);
        $facts = ['firmware.kind' => $model->firmware?->kind, 'architecture' => $model->architecture];
        $assumed = [];
        foreach ($model->settings() as $setting) {
            $facts[$setting->fact()] = $setting->default;
            $assumed[] = $setting->fact();
        }
        $facts += ['firmware.boot_mode' => 'uefi', 'firmware.secure_boot' => null];

        return [$facts, $assumed, $this->known->trusted($model->firmware->trusts ?? [])];
    }

    /**
     * @return array{0: array<string, bool|int|float|string|null>, 1: list<string>, 2: TrustedSigners}
     */
    private function ofKind(string $kind): array
    {
        $facts =
            StickStart::KINDS[$kind] ??
            throw new InvalidArgumentException(
                "--firmware={$kind}: choose ".implode(', ', array_keys(StickStart::KINDS)).'.',
            );

        return [
            [
                ...$facts,
                'architecture' => 'x86-64',
                ...$kind === 'uefi-secure' ? $this->known->trusted()->unknown() : [],
            ],
            [],
            $this->known->trusted(),
        ];
    }

    /** @return list<string>|null */
    private function values(string $fact, ?string $model): ?array
    {
        foreach ($model === null ? [] : $this->catalogue->machine($model)->settings() as $setting) {
            if ($setting->fact() === $fact) {
                return $setting->values;
            }
        }

        return FactRegistry::values()[$fact] ?? null;
    }
}
