<?php

use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\Build\StickPlanner;
use Cobblestone\Media\Build\StickTarget;
use Cobblestone\Media\Build\StickWish;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Scheme;
use Tests\Support\StickPlans;

/** @return array<string, StickPlan> the plans whose scripts and documents are kept in tests/fixtures/sticks */
function goldenSticks(): array
{
    $split = [
        'parts' => ['payload/system.img' => 'payload/system.p%d'],
        'bytes' => 16_008_609_792,
        'files' => [
            'EFI/BOOT/BOOTX64.EFI' => 3152,
            "it's a [name] $(x).txt" => 12,
            'payload/system.img' => 5_206_302_720,
        ],
    ];

    return [
        'copied-gpt' => StickPlans::plan(),
        'copied-mbr-storage-drivers' => StickPlans::plan(
            drivers: ['net/w2 a.inf' => 10],
            scheme: Scheme::Mbr,
            storage: true,
        ),
        'copied-split' => StickPlans::plan(...$split),
        'copied-own-splitter' => StickPlans::plan(
            ...[...$split, 'splitter' => ['own-splitter', '--size', '{mebibytes}', '{source}', '{target}']],
        ),
        'copied-4096' => StickPlanner::plan(
            StickPlans::report(),
            null,
            new StickTarget(8_000_000_000 - (8_000_000_000 % 4096), 4096),
            new StickWish('Orrin Desktop 3', Bytes::mebi(3800), WriteMode::FilesCopied),
            ['EFI/BOOT/BOOTX64.EFI' => 3152],
        ),
        'raw' => rawStick('disk-gpt.img', 'GL-1', 32_010_928_128),
        'raw-small' => rawStick('disk-gpt.img', null, 6_291_456),
        'raw-xz' => packedStick('xz', 8_589_934_592),
        'raw-gzip' => packedStick('gzip', null),
        'raw-bzip2' => packedStick('bzip2', null),
        'raw-zstd' => packedStick('zstd', 4096),
        'raw-zip' => packedStick('zip', 4096),
    ];
}

function rawStick(string $image, ?string $serial, int $bytes): StickPlan
{
    return StickPlanner::plan(
        StickPlans::report($image),
        str_repeat('b', 64),
        new StickTarget($bytes, 512, $serial),
        new StickWish('Skerry Rolling', Bytes::mebi(3800), WriteMode::Raw),
    );
}

/** An image that is unpacked while it is written, of which no checksum is known. */
function packedStick(string $kind, ?int $expanded): StickPlan
{
    return StickPlan::fromArray([
        ...rawStick('disk-gpt.img', null, 32_010_928_128)->toArray(),
        'image' => [
            'file' => "disk.{$kind}",
            'bytes' => 1000,
            'sha256' => null,
            'compression' => $kind,
            'expanded_bytes' => $expanded,
            'tree' => null,
        ],
    ]);
}
