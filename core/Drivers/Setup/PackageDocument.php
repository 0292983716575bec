<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Setup;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Text\Visible;

/** A package that came without a manifest, as its own setup files describe it: a document of the catalogue (D2). */
final class PackageDocument
{
    /** Class of device as setup files name it => family of packages. */
    private const FAMILIES = [
        'display' => 'graphics', 'net' => 'network', 'bluetooth' => 'network', 'media' => 'audio', 'sound' => 'audio',
        'hidclass' => 'input', 'keyboard' => 'input', 'mouse' => 'input',
        'scsiadapter' => 'storage', 'hdc' => 'storage',
        'sensor' => 'sensor', 'biometric' => 'sensor', 'camera' => 'sensor',
    ];

    /** Minutes where nobody has measured: a package unpacks at some 5 MB a second, and asks a few things. */
    private const BYTES_A_MINUTE = 300_000_000;

    /**
     * @param  array<string, array{setup: SetupInformation, signed: bool}>  $files  path within the package => what it
     *     says
     * @param  array{id: string, file: string, bytes: int, sha256: string, source: string, day: string}  $package
     * @param  array<string, SystemProfile>  $systems  all that the bench knows
     * @return array<string, mixed>
     */
    public static function of(array $files, array $package, array $systems): array
    {
        $claims = array_merge([], ...array_values(array_map(
            static fn (array $file): array => $file['setup']->claims,
            $files,
        )));
        $first = self::newest($files);
        $dates = array_filter(array_map(static fn (array $file): ?string => $file['setup']->date, $files));
        $likely = 1 + $package['bytes'] / self::BYTES_A_MINUTE;
        $fit = array_keys(array_filter($systems, static fn (SystemProfile $of): bool => self::fits($of, $claims)));

        return [
            'id' => $package['id'],
            'name' => self::name($claims, $first, $package['id']),
            'family' => self::FAMILIES[strtolower((string) $first?->class)] ?? 'chipset',
            'claims' => self::identifiers($claims),
            'systems' => $fit,
            'architecture' => self::architecture($claims),
            'version' => $first->version ?? 'not said',
            'date' => $dates === [] ? $package['day'] : max($dates),
            'bytes' => $package['bytes'],
            'restart' => 'after',
            'minutes' => [round($likely / 2, 1), round($likely, 1), round($likely * 4, 1)],
            'sha256' => $package['sha256'],
            'source' => $package['source'],
            'file' => $package['file'],
            'setup_files' => array_map(self::setupFile(...), array_keys($files), $files),
        ];
    }

    /** @param  array<string, array{setup: SetupInformation, signed: bool}>  $files */
    private static function newest(array $files): ?SetupInformation
    {
        $newest = null;
        foreach ($files as ['setup' => $setup]) {
            $newest = $newest === null || (string) $setup->date > (string) $newest->date ? $setup : $newest;
        }

        return $newest;
    }

    /** @param  list<SetupClaim>  $claims */
    private static function fits(SystemProfile $system, array $claims): bool
    {
        foreach ($claims as $claim) {
            if (
                ! $system->noSetupFiles &&
                ($claim->architecture === null || in_array($claim->architecture, $system->needs->architectures, true))
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<SetupClaim>  $claims
     * @return list<string>
     */
    private static function identifiers(array $claims): array
    {
        return array_values(array_unique(array_map(
            static fn (SetupClaim $claim): string => $claim->identifier->text(),
            $claims,
        )));
    }

    /** @param  list<SetupClaim>  $claims */
    private static function name(array $claims, ?SetupInformation $setup, string $id): string
    {
        $words = Visible::of(trim($claims[0]->description ?? $setup->provider ?? ''));

        return mb_substr($words === '' ? $id : $words, 0, 120);
    }

    /**
     * The one that most of it is for; each claim says its own besides.
     *
     * @param  list<SetupClaim>  $claims
     */
    private static function architecture(array $claims): string
    {
        $many = array_count_values(array_filter(array_map(
            static fn (SetupClaim $claim): ?string => $claim->architecture,
            $claims,
        )));
        arsort($many);

        return (string) (array_key_first($many) ?? 'x86-64');
    }

    /**
     * @param  array{setup: SetupInformation, signed: bool}  $file
     * @return array<string, mixed>
     */
    private static function setupFile(string $path, array $file): array
    {
        $setup = $file['setup'];

        return array_filter([
            'path' => $path,
            'signed' => $file['signed'],
            'provider' => mb_substr(Visible::of((string) $setup->provider), 0, 200),
            'version' => mb_substr(Visible::of((string) $setup->version), 0, 200),
            'date' => $setup->date,
            'claims' => array_map(static fn (SetupClaim $claim): array => array_filter([
                'id' => $claim->identifier->text(),
                'architecture' => $claim->architecture,
                'from_build' => $claim->fromBuild,
                'compatible' => $claim->compatible,
                'excluded' => $claim->excluded,
            ]), $setup->claims),
        ], static fn (mixed $said): bool => ! in_array($said, [null, '', false], true));
    }
}
