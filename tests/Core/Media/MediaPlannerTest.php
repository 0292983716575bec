<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Job\MachineBuilder;
use Cobblestone\Media\MediaPlan;
use Cobblestone\Media\MediaPlanner;
use Cobblestone\Media\MediaWish;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;
use Tests\Support\Entries;

/**
 * The stick of a job from the demo world, with an image or sticks that differ.
 *
 * @param  array<string, mixed>  $image  over the catalogue's entry
 * @param  array<string, string>  $policy
 * @param  list<Stick>|null  $sticks
 */
function mediaPlan(
    string $brief,
    string $imageId,
    array $image = [],
    array $policy = [],
    ?array $sticks = null,
    int $driverBytes = 0,
    int $driverFiles = 0,
): MediaPlan {
    [$machine] = MachineBuilder::build(Brief::fromArray(Demo::brief($brief)), Demo::catalogue());
    $entry = [...Demo::catalogue()->image($imageId)->toArray(), ...$image];

    return MediaPlanner::plan(new MediaWish(
        $machine,
        Image::fromArray(array_filter($entry, fn ($value) => $value !== 'none')),
        $sticks ?? Demo::catalogue()->sticks(),
        Policy::of($policy),
        Bytes::of($driverBytes),
        $driverFiles,
    ));
}

/** @return array<string, mixed> everything a media plan says, in the order it says it */
function spoken(MediaPlan $plan): array
{
    $c = $plan->contribution;

    return [
        'mode' => $plan->mode->value,
        'stick' => $plan->stick?->id,
        'label' => $plan->label,
        'layout' => $plan->layout?->toArray(),
        'blockers' => array_map(fn ($one) => $one->toArray(), $c->blockers),
        'decisions' => array_map(fn ($decision) => $decision->toArray(), $c->decisions),
        'questions' => array_map(fn ($question) => $question->toArray(), $c->questions),
        'gather' => array_map(fn ($item) => $item->toArray(), $c->gather),
        'steps' => array_map(fn (Step $step) => $step->toArray(), $c->steps),
    ];
}

it('plans the same stick as before', function (string $name, Closure $plan) {
    holdsGolden("media/{$name}", spoken($plan()));
})->with([
    'copied and split' => ['copied-split', fn () => mediaPlan('fairlead-13', 'tansy-desktop-7-dock')],
    'copied, drivers beside' => [
        'copied-drivers',
        fn () => mediaPlan('fairlead-13', 'tansy-desktop-7-dock', driverBytes: 48_000_000, driverFiles: 3),
    ],
    'copied, too full for the drivers' => [
        'copied-too-full',
        fn () => mediaPlan('fairlead-13', 'tansy-desktop-7-dock', driverBytes: 127_000_000_000, driverFiles: 3),
    ],
    'copied, for old firmware' => [
        'copied-widest',
        fn () => mediaPlan(
            'unknown-laptop',
            'tansy-desktop-7-fleet',
            policy: ['scheme' => 'widest', 'stick' => 'next-up'],
        ),
    ],
    'copied, modern' => [
        'copied-modern',
        fn () => mediaPlan('unknown-laptop', 'tansy-desktop-7-fleet', policy: ['scheme' => 'modern']),
    ],
    'copied, nothing joins the parts' => [
        'copied-refused',
        fn () => mediaPlan('fairlead-13', 'tansy-desktop-7-dock', [
            'files' => [
                'count' => 3,
                'directories' => 1,
                'bytes' => 5_000_000_000,
                'largest' => ['path' => 'big', 'bytes' => 4_900_000_000, 'parts' => null],
            ],
        ]),
    ],
    'copied, no label known' => [
        'copied-unlabelled',
        fn () => mediaPlan('capstan-t3', 'tansy-desktop-7-fleet', [
            'label' => 'none',
            'sha256' => 'none',
            'file' => 'the image file',
        ]),
    ],
    'no sticks at all' => ['no-sticks', fn () => mediaPlan('fairlead-13', 'tansy-desktop-7-fleet', sticks: [])],
    'no stick is large enough' => [
        'small-sticks',
        fn () => mediaPlan(
            'fairlead-13',
            'tansy-desktop-7-fleet',
            sticks: [
                Entries::stick([
                    'id' => 'tiny',
                    'name' => 'Tiny',
                    'bytes' => 4_000_000_000,
                    'connector' => 'usb-a',
                    'write_mb_s' => 9,
                    'read_mb_s' => 20,
                    'health' => 'good',
                    'contents_may_go' => true,
                ]),
            ],
        ),
    ],
    'exactly too small for FAT' => [
        'layout-too-small',
        fn () => mediaPlan(
            'fairlead-13',
            'tansy-desktop-7-fleet',
            [
                'files' => [
                    'count' => 1,
                    'directories' => 0,
                    'bytes' => 1000,
                    'largest' => ['path' => 'a', 'bytes' => 1000, 'parts' => null],
                ],
            ],
            sticks: [
                Entries::stick([
                    'id' => 'tiny',
                    'name' => 'Tiny',
                    'bytes' => 20_000_256,
                    'connector' => 'usb-c',
                    'write_mb_s' => 9,
                    'read_mb_s' => 20,
                    'health' => 'good',
                    'contents_may_go' => true,
                ]),
            ],
        ),
    ],
    'raw, packed' => ['raw-packed', fn () => mediaPlan('pocket-lantern', 'corvane-play-2')],
    'raw, packed, size not told' => [
        'raw-packed-unknown',
        fn () => mediaPlan('pocket-lantern', 'corvane-play-2', ['expanded_bytes' => 'none']),
    ],
    'raw, hybrid' => ['raw-hybrid', fn () => mediaPlan('stick-for-any', 'orrin-desktop-3')],
    'raw, drivers on a second stick' => [
        'raw-drivers',
        fn () => mediaPlan('capstan-t3', 'skerry-rolling', driverBytes: 30_000_000, driverFiles: 2),
    ],
    'raw, sectors of 4096' => [
        'raw-4096',
        fn () => mediaPlan(
            'capstan-t3',
            'skerry-rolling',
            sticks: [
                Entries::stick([
                    'id' => 'large',
                    'name' => 'Large',
                    'serial' => 'LG-4096',
                    'bytes' => 64_000_000_000,
                    'sector_bytes' => 4096,
                    'connector' => 'usb-a',
                    'write_mb_s' => 999,
                    'read_mb_s' => 999,
                    'health' => 'good',
                    'contents_may_go' => true,
                ]),
            ],
        ),
    ],
    'raw, taken for raw' => [
        'raw-assumed',
        fn () => mediaPlan('capstan-t3', 'skerry-rolling', [
            'kind_assumed' => true,
            'as_of' => 'none',
            'partitions' => 'none',
            'table' => 'none',
        ]),
    ],
]);
