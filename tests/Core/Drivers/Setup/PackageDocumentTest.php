<?php

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Drivers\Setup\PackageDocument;
use Cobblestone\Drivers\Setup\SetupReader;
use Tests\Support\Entries;

/**
 * @param  array<string, string>  $files  path => class of device, "end of the section", stamp
 * @param  array<string, mixed>  $package
 */
function describedPackage(array $files, array $package = []): DriverPackage
{
    $setups = [];
    foreach ($files as $path => [$class, $end, $stamp]) {
        $text = setupFile([
            'Manufacturer' => ["%Quarrel%=M,{$end}"],
            "M.{$end}" => ['"Quay thing"=I,PCI\VEN_51A2&DEV_0202,PCI\VEN_51A2&DEV_0203'],
            'I' => ['ExcludeID=PCI\VEN_51A2&DEV_0202&REV_01'],
        ], $stamp);
        $setups[$path] = [
            'setup' => SetupReader::read(str_replace('Class=Net', "Class={$class}", $text)),
            'signed' => str_contains($path, 'signed'),
        ];
    }

    return DriverPackage::fromArray(PackageDocument::of($setups, [
        'id' => 'quay', 'file' => 'Quay.zip', 'bytes' => 600_000_000, 'sha256' => 'ab', 'source' => 'a disc',
        'day' => '2026-11-29', ...$package,
    ], [
        'heron' => Entries::system(['needs' => ['architectures' => ['x86-64']]]),
        'egret' => Entries::system(['id' => 'egret', 'needs' => ['architectures' => ['arm-64']]]),
        'skerry' => Entries::system(['needs' => ['architectures' => ['x86-64']], 'no_setup_files' => true]),
    ]));
}

it('describes a package by what its setup files say', function () {
    $package = describedPackage(['a/signed.inf' => ['Net', 'NTamd64.10.0...7100', '07/03/2026, 22.9']]);
    expect([$package->id, $package->name, $package->family, $package->version, $package->date, $package->architecture])
        ->toBe(['quay', 'Quay thing', 'network', '22.9', '2026-07-03', 'x86-64'])
        ->and([$package->bytes, $package->sha256, $package->source, $package->file, $package->restart])
        ->toBe([600_000_000, 'ab', 'a disc', 'Quay.zip', 'after'])
        ->and($package->claims)->toBe(['pci:51a2:0202', 'pci:51a2:0203'])
        ->and($package->systems)->toBe(['heron'])
        ->and($package->minutes)->toBe([1.5, 3.0, 12.0]);
    $file = $package->setupFiles[0];
    expect([$file->path, $file->signed, $file->provider, $file->version, $file->date])
        ->toBe(['a/signed.inf', true, 'Quarrel', '22.9', '2026-07-03'])
        ->and([$file->claims[1]->id, $file->claims[1]->compatible, $file->claims[1]->fromBuild])
        ->toBe(['pci:51a2:0203', true, 7100])
        ->and($file->claims[0]->excluded)->toBe(['pci:51a2:0202#01']);
});

it('is for the systems whose processors it names, and takes its words from the newest of its files', function () {
    $package = describedPackage([
        'old.inf' => ['Display', 'NTarm64', '01/01/2024, 1.0'],
        'new.inf' => ['Display', 'NTamd64', '01/01/2026, 2.0'],
        'older.inf' => ['Display', 'NTamd64', '01/01/2023, 0.9'],
    ]);
    expect($package->systems)->toBe(['heron', 'egret'])
        ->and([$package->version, $package->date, $package->family, $package->architecture])
        ->toBe(['2.0', '2026-01-01', 'graphics', 'x86-64'])
        ->and(count($package->setupFiles))->toBe(3)
        ->and($package->setupFiles[0]->signed)->toBeFalse();
});

it('knows the family by the class of the device', function (string $class, string $family) {
    expect(describedPackage(['a.inf' => [$class, 'NTamd64', '01/01/2026, 1']])->family)->toBe($family);
})->with([
    ['NET', 'network'], ['Bluetooth', 'network'], ['Display', 'graphics'], ['Media', 'audio'], ['HIDClass', 'input'],
    ['SCSIAdapter', 'storage'], ['Sensor', 'sensor'], ['System', 'chipset'], ['Quay', 'chipset'],
]);

it('takes the day it came for a date that nobody wrote', function () {
    $package = describedPackage(['a.inf' => ['Net', 'NTamd64', 'soon']]);
    expect([$package->date, $package->version, $package->setupFiles[0]->date])->toBe(['2026-11-29', 'not said', null]);
});
