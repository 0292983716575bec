<?php

use Tests\Support\Demo;

it('still helps each kind of job with an empty catalogue', function (array $brief, string $verdict, array $steps) {
    $plan = Cobblestone\Job\JobPlanner::plan(
        Cobblestone\Brief\Brief::fromArray(['brief' => 1, 'title' => 'odd', 'catalogue' => 'none', ...$brief]),
        Demo::catalogue(),
        Cobblestone\Policy\Policy::of(),
    );
    expect($plan->verdict()->value)->toBe($verdict)->and(count($plan->questions))->toBeLessThanOrEqual(3);
    $ids = array_map(fn ($step) => $step->id, $plan->steps);
    $order = array_map(fn (string $id) => array_search($id, $ids, true), $steps);
    $sorted = $order;
    sort($sorted);
    expect(in_array(false, $order, true))->toBeFalse(implode(' ', $ids))->and($order)->toBe($sorted);
})->with([
    'a dead desktop is looked at before anything is copied' => [
        [
            'goal' => 'repair',
            'machine' => ['kind' => 'desktop', 'facts' => ['symptom.powers_up' => 'no']],
            'system' => ['name' => 'Some system'],
        ],
        'go',
        ['intake.take-in', 'route.hardware-0', 'route.hardware-1', 'route.result'],
    ],
    'firmware of an unknown board' => [
        [
            'goal' => 'firmware-update',
            'machine' => ['kind' => 'desktop', 'facts' => [
                'firmware.version' => 'A1', 'drive.encryption' => 'none', 'machine.serial' => 'none',
            ]],
            'update' => ['reason' => 'new processor', 'to' => 'A3'],
        ],
        'go',
        ['firmware.snapshot', 'firmware.write-new', 'firmware.re-enter'],
    ],
    'a sealed machine nobody described' => [
        [
            'goal' => 'cable-restore',
            'machine' => [
                'kind' => 'sealed',
                'title' => 'Slab',
                'facts' => [
                    'owner.keep' => 'nothing', 'owner.lock' => 'none', 'image.for_model' => 'yes',
                    'machine.serial' => 'S-1',
                ],
            ],
            'system' => ['name' => 'Slab system'],
            'image' => ['name' => 'slab.restore', 'bytes' => 9000000000],
        ],
        'go',
        ['media.helper', 'boot.recovery', 'target.restore', 'install.restore'],
    ],
    'a stick for any machine' => [
        [
            'goal' => 'media-only',
            'machine' => ['kind' => 'any'],
            'system' => ['name' => 'Some system'],
            'image' => ['name' => 'some.iso', 'bytes' => 3000000000, 'kind' => 'optical-hybrid'],
        ],
        'go',
        ['media.write', 'media.verify', 'hand-over.shelve'],
    ],
    'a card in an unknown tower' => [
        [
            'goal' => 'card-swap',
            'machine' => ['kind' => 'desktop', 'facts' => ['drive.encryption' => 'none']],
            'system' => ['name' => 'Some system'],
            'card' => ['new' => 'a card', 'watts' => 120, 'supply_w' => 550, 'processor_w' => 65, 'leads' => ['8-pin']],
        ],
        'go',
        ['boot.safe-mode', 'hardware.swap-card', 'drivers.install-new'],
    ],
    'a new drive for an unknown laptop' => [
        [
            'goal' => 'drive-swap',
            'machine' => [
                'kind' => 'laptop',
                'ports' => ['usb-a' => 2],
                'facts' => [
                    'target.serial' => 'N1',
                    'target.bytes' => '500107862016',
                    'target.others' => 'none',
                    'network.driver' => 'brings',
                    'owner.keep' => 'some',
                    'drive.encryption' => 'none',
                ],
            ],
            'system' => ['name' => 'Some system'],
            'image' => ['name' => 'some.iso', 'bytes' => 3000000000, 'kind' => 'optical-hybrid'],
        ],
        'go',
        ['hardware.swap-drive', 'target.erase', 'install.carry-over', 'put-back.old-drive'],
    ],
    'a factory image nobody described' => [
        [
            'goal' => 'factory-restore',
            'machine' => [
                'kind' => 'laptop',
                'ports' => ['usb-a' => 1, 'usb-c' => 1],
                'facts' => ['owner.keep' => 'nothing', 'factory.image' => 'yes'],
            ],
            'system' => ['name' => 'Some system'],
        ],
        'go',
        ['boot.recovery', 'target.restore', 'install.factory'],
    ],
    'an upgrade of an unknown laptop' => [
        [
            'goal' => 'upgrade',
            'machine' => ['kind' => 'laptop', 'facts' => [
                'owner.keep' => 'nothing',
                'drive.encryption' => 'none',
                'present.system' => 'another',
                'upgrade.allowed' => 'yes',
            ]],
            'system' => ['name' => 'Some system'],
            'image' => ['name' => 'some.iso', 'bytes' => 3000000000],
        ],
        'go',
        ['image.check', 'install.start', 'install.upgrade'],
    ],
    'a new build of unknown parts' => [
        [
            'goal' => 'first-power-on',
            'machine' => [
                'kind' => 'desktop',
                'ports' => ['usb-a' => 4],
                'facts' => [
                    'target.serial' => 'N1',
                    'target.bytes' => 500107862016,
                    'target.others' => 'none',
                    'network.driver' => 'brings',
                ],
            ],
            'system' => ['name' => 'Some system'],
            'image' => ['name' => 'some.iso', 'bytes' => 3000000000, 'kind' => 'raw'],
        ],
        'go',
        ['hardware.look-over', 'hardware.first-power', 'boot.start', 'target.erase'],
    ],
]);
