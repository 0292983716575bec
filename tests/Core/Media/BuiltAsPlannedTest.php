<?php

use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\GeometryCheck;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\SourceImage;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\Build\StickPlanner;
use Cobblestone\Media\Build\StickTarget;
use Cobblestone\Media\Build\StickWish;
use Cobblestone\Media\Inspection\ImageInspector;
use Cobblestone\Media\Inspection\Signers;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Reading\StringSource;
use Cobblestone\Storage\Scheme;
use Cobblestone\Storage\TableBytes;
use Tests\Support\Images;
use Tests\Support\StickPlans;

it('names the source as it has to be read', function (
    string $image,
    ?string $tree,
    ?string $compression,
    ?int $expanded,
) {
    $source = SourceImage::of(
        ImageInspector::inspect(
            Images::source($image),
            $image,
            Images::tools(['a' => 'b'], Images::bytes('disk-gpt.img')),
            Signers::unknown(),
        ),
        null,
    );
    expect([$source->tree, $source->compression, $source->expanded, $source->sha256])
        ->toBe([$tree, $compression, $expanded, null])
        ->and(SourceImage::fromArray($source->toArray()))->toEqual($source);
})->with([
    ['udf.iso', 'udf', null, strlen(Images::bytes('udf.iso'))],
    ['plain.iso', 'iso', null, strlen(Images::bytes('plain.iso'))],
    ['fat16.img', 'fat', null, 16_777_216],
    ['disk.img.xz', null, 'xz', 6_291_456],
    ['disk.img.bz2', null, 'bzip2', null],
]);

it('passes every value to the tools', function () {
    $plan = StickPlans::plan(scheme: Scheme::Mbr, storage: true);
    [$fat, $exfat] = $plan->layout->partitions;
    $g = $fat->fat32;
    expect(BuildSteps::vfat($fat, $plan, '/x'))->toBe([
        'mkfs.vfat',
        '-F',
        '32',
        '-S',
        '512',
        '-s',
        (string) $g->sectorsPerCluster,
        '-R',
        '32',
        '-f',
        '2',
        '-a',
        '-h',
        '2048',
        '-i',
        BuildSteps::volumeId($plan),
        '-n',
        'ORRIN 3',
        '/x',
    ])
        ->and(BuildSteps::volumeId($plan))
        ->toMatch('/^[0-9A-F]{8}$/')
        ->toBe(BuildSteps::volumeId(StickPlans::plan(scheme: Scheme::Mbr, storage: true)))
        ->and(BuildSteps::vfatBytes($fat))->toBe((32 + 2 * $g->fatSectors + $g->sectorsPerCluster) * 512)
        ->and(BuildSteps::exfat($exfat, '/x'))->toBe(['mkfs.exfat', '-L', 'storage', '/x'])
        ->and(BuildSteps::drive($fat, $plan, '/dev/x'))->toBe('/dev/x@@1048576')
        ->and(BuildSteps::target($plan))->toBe($fat)
        ->and(BuildSteps::sfdisk('/x'))->toBe([
            'sfdisk', '--quiet', '--no-reread', '--no-tell-kernel', '--wipe=always', '/x',
        ])
        ->and(BuildSteps::folders($plan))->toBe(['EFI', 'EFI/BOOT', 'payload'])
        ->and(BuildSteps::scratch($plan, 5000))->toBe(3152)->and(BuildSteps::scratch($plan, 5001))->toBe(8152);
    expect(fn () => BuildSteps::vfat($exfat, $plan, '/x'))->toThrow(PlanFault::class);
    expect(fn () => BuildSteps::vfatBytes($exfat))->toThrow(PlanFault::class);
    $boot = str_pad(str_repeat("\0", 88).pack('VVV', 4096, 1000, 5).str_repeat("\0", 8).chr(9).chr(3), 512, "\0");
    expect(BuildSteps::exfatBytes($boot))->toBe(4096 * 512 + 4 * 4096)
        ->and(fn () => BuildSteps::exfatBytes('short'))->toThrow(PlanFault::class);
});

it('makes one folder of names that differ only in case', function () {
    expect(BuildSteps::folders(StickPlans::plan(['efi/boot/a' => 1, 'EFI/BOOT/b' => 1, 'EFI/x/c' => 1])))
        ->toBe(['efi', 'efi/boot', 'EFI/x']);
});

it('tells a stick from another', function () {
    $plan = StickPlans::plan();
    expect((new StickTarget(StickPlans::BYTES, 512, 'GL-1'))->differencesFrom($plan))->toBe([])
        ->and((new StickTarget(StickPlans::BYTES - 512, 4096, null))->differencesFrom($plan))
        ->toBe([
            'It has 7 999 999 488 B, the plan is for 8 000 000 000 B.',
            'Its serial is missing, the plan is for GL-1.', 'Its sectors have 4096 B, the plan is for 512 B.',
        ])
        ->and((new StickTarget(StickPlans::BYTES, 512, 'GL-2'))->differencesFrom($plan))
        ->toBe(['Its serial is GL-2, the plan is for GL-1.']);
    $unnamed = StickPlan::fromArray([...$plan->toArray(), 'serial' => null]);
    expect((new StickTarget(StickPlans::BYTES, 512, 'any'))->differencesFrom($unnamed))->toBe([]);
});

it('finds every difference between what was built and what was planned', function () {
    $plan = StickPlans::plan(bytes: 40_000_000 - 40_000_000 % 512, files: ['a' => 1]);
    $bytes = str_repeat("\0", $plan->device);
    foreach (TableBytes::of($plan->layout) as $at => $piece) {
        $bytes = substr_replace($bytes, $piece, $at, strlen($piece));
    }
    $check = fn (string $bytes, ?StickPlan $against = null) => GeometryCheck::differences(
        $against ?? $plan,
        new StringSource($bytes),
    );
    expect($check($bytes))->toBe(['There is no FAT32 file system where it was planned.'])
        ->and($check(substr_replace($bytes, "\0", 512, 1))[0])->toContain('The GPT at the start is damaged')
        ->and($check(str_repeat("\0", $plan->device)))->toBe([
            'The table is none, planned is gpt.',
            'There are 0 partitions, planned are 1.',
        ]);
    $fat = Images::bytes('fat32.img');
    $built = substr_replace($bytes, substr($fat, 0, 36_000_000), 1_048_576, 36_000_000);
    $faults = $check($built);
    expect($faults)
        ->toContain('The label is "TEST 32", planned is "ORRIN 3".')
        ->toContain('The file system\'s hidden is 0, planned is 2048.')
        ->toContain(
            'The file system\'s sectors is 69632, planned is '.$plan->layout->partitions[0]->fat32->sectors.'.',
        );
    $mbr = StickPlans::plan(bytes: $plan->device, files: ['a' => 1], scheme: Scheme::Mbr);
    expect($check($bytes, $mbr))->toContain('The table is gpt, planned is mbr.')
        ->and(GeometryCheck::differences(
            StickPlanner::plan(
                StickPlans::report('disk-gpt.img'),
                null,
                new StickTarget(9_000_000),
                new StickWish('x', Bytes::mebi(1), WriteMode::Raw),
            ),
            new StringSource(''),
        ))
        ->toBe([]);
    $other = TableBytes::of(StickPlans::plan(bytes: $plan->device, files: ['a' => 1], scheme: Scheme::Mbr)->layout)[0];
    expect($check(substr_replace(str_repeat("\0", $plan->device), substr_replace($other, "\0", 446, 1), 0, 512), $mbr))
        ->toContain('Partition 1 is of type 0x0C, planned is 0x0C, active.')
        ->and(
            $check(
                substr_replace(
                    str_repeat("\0", $plan->device),
                    substr_replace($other, pack('V', 2049), 446 + 8, 4),
                    0,
                    512,
                ),
                $mbr,
            )[0],
        )
        ->toContain('sectors from 2049, planned are 75776 from 2048.');
});
