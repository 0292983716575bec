<?php

use Cobblestone\Assessment\Route\RouteLadder;
use Tests\Support\Demo;

it('recommends the gentlest way that can work', function (array $changes, ?string $rung) {
    $advice = RouteLadder::of(Demo::catalogue()->routes())->recommend(facts([...COMMERCIAL, ...$changes]));
    expect($advice->rung?->id)->toBe($rung);
})->with([
    'dead' => [
        [
            'symptom.powers_up' => 'no',
            'symptom.picture' => 'no',
            'hardware.suspect' => 'yes',
            'symptom.starts' => 'no',
            'symptom.since' => 'nothing',
        ],
        'hardware',
    ],
    'stops in recovery' => [['symptom.starts' => 'recovery', 'symptom.since' => 'nothing'], 'startup-repair'],
    'recovery does not open' => [
        [
            'symptom.starts' => 'no',
            'symptom.since' => 'nothing',
            'recovery.environment' => 'no',
            'restore.point' => 'no',
        ],
        'file-system',
    ],
    'boot files' => [
        [
            'symptom.starts' => 'no',
            'symptom.since' => 'driver',
            'recovery.environment' => 'no',
            'restore.point' => 'no',
        ],
        'boot-files',
    ],
    'after a driver, safe mode' => [['symptom.starts' => 'safe-mode', 'symptom.since' => 'driver'], 'take-back'],
    'restore point' => [['symptom.starts' => 'normally', 'symptom.since' => 'nothing'], 'restore-point'],
    'system files' => [
        ['symptom.starts' => 'normally', 'symptom.since' => 'nothing', 'restore.point' => 'no'],
        'system-files',
    ],
    'tried the gentle ones' => [
        [
            'symptom.starts' => 'normally',
            'symptom.since' => 'nothing',
            'restore.point' => 'no',
            'tried' => 'system-files',
        ],
        'repair-install-built-in',
    ],
    'no network' => [
        [
            'symptom.starts' => 'normally',
            'symptom.since' => 'nothing',
            'restore.point' => 'no',
            'tried' => 'system-files',
            'network.works' => 'no',
        ],
        'repair-install-image',
    ],
    'bypassed machine' => [
        [
            'symptom.starts' => 'normally',
            'symptom.since' => 'nothing',
            'restore.point' => 'no',
            'tried' => 'system-files',
            'network.works' => 'no',
            'fit' => 'only-with-bypass',
        ],
        'reset',
    ],
    'first day wanted' => [
        [
            'symptom.starts' => 'no',
            'symptom.since' => 'update',
            'recovery.environment' => 'no',
            'restore.point' => 'no',
            'wish.original' => 'yes',
            'tried' => 'boot-files',
        ],
        'factory',
    ],
    'nothing gentler' => [
        [
            'symptom.starts' => 'no',
            'symptom.since' => 'update',
            'recovery.environment' => 'no',
            'restore.point' => 'no',
            'tried' => 'boot-files',
        ],
        'clean',
    ],
    'failing drive' => [
        ['symptom.starts' => 'no', 'symptom.since' => 'nothing', 'drive.grade' => 'replace', 'restore.point' => 'no'],
        'new-drive',
    ],
    'bad memory' => [
        [
            'symptom.starts' => 'no',
            'symptom.since' => 'nothing',
            'memory.verdict' => 'bad',
            'hardware.suspect' => 'yes',
        ],
        'hardware',
    ],
    'community, older entry' => [
        [
            'system.family' => 'community',
            'symptom.starts' => 'no',
            'symptom.since' => 'update',
            'fallback.entry' => 'yes',
            'restore.point' => 'no',
        ],
        'older-entry',
    ],
    'handheld, other channel' => [
        ['system.family' => 'handheld', 'symptom.starts' => 'normally', 'channel.other' => 'yes'],
        'channel',
    ],
    'sealed' => [
        ['system.family' => 'sealed', 'symptom.starts' => 'no', 'symptom.since' => 'update', 'restore.point' => 'no'],
        'revive',
    ],
    'sealed, revived in vain' => [
        [
            'system.family' => 'sealed',
            'symptom.starts' => 'no',
            'symptom.since' => 'update',
            'restore.point' => 'no',
            'tried' => 'revive',
            'factory.image' => 'no',
        ],
        'restore-sealed',
    ],
    'a failing sealed machine without power' => [
        [
            'system.family' => 'sealed',
            'symptom.powers_up' => 'no',
            'symptom.starts' => 'no',
            'symptom.since' => 'nothing',
            'drive.grade' => 'replace',
            'restore.point' => 'no',
            'tried' => 'hardware',
        ],
        null,
    ],
]);
