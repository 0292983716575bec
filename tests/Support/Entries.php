<?php

namespace Tests\Support;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Model\MachineModel;

/** Entries of a catalogue of which only what a test is about is said; the rest is plain. */
final class Entries
{
    /** @param  array<string, mixed>  $said */
    public static function stick(array $said = []): Stick
    {
        return Stick::fromArray([
            'id' => 'gull',
            'name' => 'Gull',
            'as_of' => '2026-11',
            'bytes' => 16_000_000_000,
            'connector' => 'usb-a',
            'write_mb_s' => 20,
            'read_mb_s' => 60,
            'health' => 'good',
            'contents_may_go' => true,
            ...$said,
        ]);
    }

    /** @param  array<string, mixed>  $said */
    public static function image(array $said = []): Image
    {
        return Image::fromArray([
            'id' => 'heron',
            'name' => 'Heron',
            'file' => 'heron.iso',
            'bytes' => 4_000_000_000,
            'kind' => 'optical-hybrid',
            ...$said,
        ]);
    }

    /** @param  array<string, mixed>  $said */
    public static function package(array $said = []): DriverPackage
    {
        return DriverPackage::fromArray([
            'id' => 'p',
            'name' => 'p',
            'family' => 'graphics',
            'claims' => ['pci:0001:0001'],
            'systems' => ['heron'],
            'architecture' => 'x86-64',
            'version' => '1',
            'date' => '2026-01-01',
            'bytes' => 1000,
            'restart' => 'none',
            'minutes' => [1, 2, 3],
            'sha256' => 'ab',
            'source' => 'the maker',
            ...$said,
        ]);
    }

    /** @param  array<string, mixed>  $said */
    public static function system(array $said = []): SystemProfile
    {
        return SystemProfile::fromArray([
            'id' => 'heron',
            'name' => 'Heron 1',
            'as_of' => '2026-11',
            'source' => 'its publisher',
            'firmware' => ['boot_mode' => 'uefi', 'secure_boot_after' => 'any'],
            'partitions' => [
                ['name' => 'system', 'role' => 'system', 'type' => 'linux-filesystem', 'file_system' => 'ext4'],
            ],
            'install' => ['phases' => [['name' => 'Copy files', 'minutes' => [8, 20, 45], 'restart' => true]]],
            'first_boot' => ['minutes' => [3, 8, 20], 'rows' => [['ask' => 'Region', 'answer' => 'as used']]],
            'updates' => ['minutes' => [5, 20, 60]],
            ...$said,
        ]);
    }

    /**
     * A model whose settings, releases, sockets and recovery need say only what the test is about.
     *
     * @param  array<string, mixed>  $said
     */
    public static function model(array $said = []): MachineModel
    {
        $firmware = $said['firmware'] ?? [];
        foreach (
            [
                'settings' => ['title' => 'T', 'place' => 'P'],
                'releases' => ['file' => 'f', 'minutes' => [3, 6, 20]],
            ] as $list => $rest
        ) {
            if (isset($firmware[$list])) {
                $firmware[$list] = array_map(static fn (array $one): array => [...$rest, ...$one], $firmware[$list]);
            }
        }
        foreach ($said['ports'] ?? [] as $index => $port) {
            $said['ports'][$index] = ['connector' => 'usb-a', 'where' => 'left', ...$port];
        }
        if (isset($said['recovery'])) {
            $said['recovery'] = ['cable' => 'a cable', 'helper_minimum' => 'any', ...$said['recovery']];
        }

        return MachineModel::fromArray([
            'id' => 't',
            'maker' => 'Norrel',
            'name' => 'Test',
            'kind' => 'laptop',
            'as_of' => '2026-11-01',
            'source' => 'x',
            ...$said,
            'firmware' => ['kind' => 'uefi', ...$firmware],
        ]);
    }
}
