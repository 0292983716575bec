<?php

use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\SplitCheck;
use Cobblestone\Media\Build\Splitter;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\Build\StickPlanner;
use Cobblestone\Media\Build\StickTarget;
use Cobblestone\Media\Build\StickWish;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\Scheme;
use Tests\Support\StickPlans;

it('plans copied files to the byte and survives a round trip', function (Scheme $scheme) {
    $plan = StickPlans::plan(scheme: $scheme);
    $again = StickPlan::fromArray(json_decode(json_encode($plan->toArray()), true));
    expect($again->toArray())->toEqual($plan->toArray())
        ->and($plan->bytes())->toBe(8152)
        ->and($plan->label)->toBe('ORRIN 3')
        ->and($plan->layout->scheme)->toBe($scheme)
        ->and($plan->layout->partitions)->toHaveCount(1)
        ->and($plan->layout->partitions[0]->active)->toBe($scheme === Scheme::Mbr)
        ->and($plan->layout->partitions[0]->extent->first)->toBe(2048)
        ->and($plan->image->sha256)->toBe(str_repeat('a', 64))
        ->and($plan->splitter)->toBeNull();
})->with([Scheme::Gpt, Scheme::Mbr]);

it('splits what is too large into parts that are legal and complete', function () {
    $size = 9_000_000_000;
    $plan = StickPlans::plan(
        ['payload/system.img' => $size, 'a' => 1],
        bytes: 16_000_000_000,
        parts: ['payload/system.img' => 'payload/system.p%d'],
    );
    $parts = array_values(array_filter($plan->files, fn ($file) => $file->isPart()));
    expect(array_map(fn ($part) => [$part->path, $part->at, $part->bytes, $part->of], $parts))->toBe([
        ['payload/system.p1', 0, 3_984_588_800, $size],
        ['payload/system.p2', 3_984_588_800, 3_984_588_800, $size],
        ['payload/system.p3', 7_969_177_600, 1_030_822_400, $size],
    ])->and(array_sum(array_map(fn ($part) => $part->bytes, $parts)))->toBe($size)->and($plan->bytes())->toBe($size + 1)
        ->and(SplitCheck::faults(
            array_combine(array_map(fn ($part) => $part->path, $parts), array_map(fn ($part) => $part->bytes, $parts)),
            'payload/system.p%d',
            'payload/system.img',
            $size,
        ))
        ->toBe([]);
    expect(StickPlans::plan(['x' => 4_294_967_295], bytes: 16_000_000_000)->files[0]->isPart())->toBeFalse();
    expect(fn () => StickPlans::plan(['x' => 4_294_967_296], bytes: 16_000_000_000))
        ->toThrow(PlanFault::class, 'does not join parts');
});

it('keeps the system\'s own splitter only where something is split', function () {
    $command = ['own', '{source}', '{target}'];
    $wish = ['parts' => ['big' => 'p%d'], 'splitter' => $command, 'bytes' => 16_000_000_000];
    $plan = StickPlans::plan(['big' => 5_000_000_000], ...$wish);
    expect($plan->splitter->toArray())->toBe(['command' => $command, 'pattern' => 'p%d', 'source' => 'big'])
        ->and(StickPlan::fromArray(json_decode(json_encode($plan->toArray()), true))->splitter)
        ->toEqual($plan->splitter)
        ->and(StickPlans::plan(['small' => 5], ...$wish)->splitter)->toBeNull();
    foreach (
        [
            [],
            'x',
            ['command' => []],
            ['command' => [1]],
            ['command' => ['a'], 'pattern' => 'none', 'source' => 'a'],
            ['command' => ['a'], 'pattern' => '%d%s', 'source' => 'a'],
        ] as $wrong
    ) {
        expect(fn () => Splitter::fromArray($wrong))->toThrow(PlanFault::class);
    }
});

it('puts drivers into a folder of their own that clashes with nothing', function () {
    $paths = fn (array $files) => array_map(
        fn ($file) => $file->path,
        StickPlans::plan($files, ['net/w2.inf' => 10])->files,
    );
    expect($paths(['a' => 1]))->toBe(['a', 'DRIVERS/net/w2.inf'])
        ->and($paths(['drivers/a' => 1]))->toBe(['drivers/a', 'DRIVERS2/net/w2.inf'])
        ->and($paths(['Drivers' => 1, 'DRIVERS2/x' => 1]))->toBe(['Drivers', 'DRIVERS2/x', 'DRIVERS3/net/w2.inf']);
    $file = StickPlans::plan(['a' => 1], ['net/w2.inf' => 10])->files[1];
    expect([$file->from, $file->source, $file->bytes, $file->of])->toBe(['drivers', 'net/w2.inf', 10, 10]);
});

it('leaves room for storage in steps of 256 MiB, fifteen percent above the need', function (int $payload, int $mebi) {
    $plan = StickPlans::plan(['payload' => $payload], storage: true);
    expect($plan->layout->partitions[0]->extent->count * 512)->toBe($mebi * 1_048_576)
        ->and($plan->layout->partitions[1]->fileSystem)->toBe('exfat')
        ->and($plan->layout->partitions[1]->name)->toBe('storage');
})->with([[1000, 512], [400_000_000, 512], [480_000_000, 768], [2_000_000_000, 2304]]);

it('says what stands against a plan', function (Closure $plan, string $class, string $says) {
    expect($plan)->toThrow($class, $says);
})->with([
    [
        fn () => StickPlans::plan(['payload' => 60_000_000], bytes: 40_000_000),
        LayoutImpossible::class,
        'There is no room for the files',
    ],
    [fn () => StickPlans::plan(['payload' => 9], bytes: 20_000_256), LayoutImpossible::class, 'would not be FAT32'],
    [
        fn () => StickPlans::plan(['a' => 8_000_000_000], bytes: StickPlans::BYTES, parts: ['a' => 'a%d']),
        LayoutImpossible::class,
        'There is no room for the files',
    ],
    [
        fn () => StickPlanner::plan(
            StickPlans::report(),
            null,
            new StickTarget(StickPlans::BYTES),
            new StickWish('x', Bytes::mebi(1), WriteMode::Raw),
            [],
            ['a' => 1],
        ),
        PlanFault::class,
        'the drivers go onto a second stick',
    ],
    [
        fn () => StickPlanner::plan(
            StickPlans::report('plain.iso'),
            null,
            new StickTarget(StickPlans::BYTES),
            new StickWish('x', Bytes::mebi(1), WriteMode::Raw),
        ),
        PlanFault::class,
        'Copy its files instead.',
    ],
    [
        fn () => StickPlanner::plan(
            StickPlans::report('disk-gpt.img'),
            null,
            new StickTarget(StickPlans::BYTES),
            new StickWish('x', Bytes::mebi(1), WriteMode::FilesCopied),
        ),
        PlanFault::class,
        'There is no tree of files to copy. Write it raw instead.',
    ],
    [
        fn () => StickPlanner::plan(
            StickPlans::report('disk-gpt.img'),
            null,
            new StickTarget(6_291_455),
            new StickWish('x', Bytes::mebi(1), WriteMode::Raw),
        ),
        PlanFault::class,
        'The image has 6291456 B when written, the stick 6291455 B.',
    ],
]);

it('takes a stick that is exactly as large as the image', function () {
    $plan = StickPlanner::plan(
        StickPlans::report('disk-gpt.img'),
        null,
        new StickTarget(6_291_456),
        new StickWish('x', Bytes::mebi(1), WriteMode::Raw),
    );
    expect($plan->bytes())->toBe(6_291_456)
        ->and($plan->layout)->toBeNull()
        ->and($plan->label)->toBeNull()
        ->and(BuildSteps::sfdiskScript($plan))->toBe('')
        ->and(BuildSteps::scratch($plan, 10))->toBe(0);
});
