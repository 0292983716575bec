<?php

use Cobblestone\Brief\MachineBlock;
use Cobblestone\Job\KnownFacts;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\WalkThrough;
use Tests\Support\Demo;

$decided = fn (Plan $plan, string $id): string => array_column(
    array_map(fn ($one) => [$one->id, $one->chosen.' | '.implode(' ', $one->reasons)], $plan->decisions),
    1,
    0,
)[$id]
    ?? '';
$laid = fn (Plan $plan): array => array_column(WalkThrough::of($plan), 'laid', 'id');

it('takes an encrypted volume in a reading for a fact', function () use ($decided) {
    $lsblk = fn (string $fs) => (string) json_encode([
        'blockdevices' => [
            [
                'name' => 'a',
                'type' => 'disk',
                'size' => 256060514304,
                'serial' => 'S-1',
                'pttype' => 'gpt',
                'tran' => 'nvme',
                'children' => [['name' => 'a1', 'size' => 107374182400, 'start' => 2048, 'fstype' => $fs]],
            ],
        ],
    ]);
    $plan = fn (string $fs, array $facts) => Demo::plan('firmware-update', [
        'machine' => ['lsblk' => $lsblk($fs), 'facts' => [
            'firmware.version' => '1.05', 'machine.serial' => 'F-1', ...$facts,
        ]],
    ]);
    expect($decided($plan('crypto_LUKS', []), 'assess.encryption'))->toContain('State: encrypted, protection unknown.')
        ->and($plan('crypto_LUKS', ['drive.encryption' => 'none'])->verdict()->value)->toBe('hold')
        ->and($decided($plan('crypto_LUKS', ['drive.encryption' => 'none']), 'assess.encryption'))
        ->toContain('"not encrypted" cannot be so')
        ->and($plan('crypto_LUKS', [])->question('drive.encryption')->options)->not->toHaveKey('none')
        ->and($plan('ext4', ['drive.encryption' => 'none'])->verdict()->value)->toBe('go');
});

it('takes no size for a need that nobody has measured', function () use ($decided, $laid) {
    $image = ['name' => 'heron.img.gz', 'bytes' => 2_900_000_000, 'kind' => 'raw-compressed'];
    $plan = Cobblestone\Job\JobPlanner::plan(
        Cobblestone\Brief\Brief::fromArray(
            ['image' => $image, 'system' => ['name' => 'Heron']] + Demo::brief('stick-for-any'),
        ),
        Demo::catalogue(),
        Cobblestone\Policy\Policy::of(),
    );
    expect($decided($plan, 'media.stick'))->toStartWith('once the image is measured')
        ->and($laid($plan)['media.write'])->toBeFalse()
        ->and(json_encode($plan->step('media.write')?->instructions))->not->toContain('2 900 000 000');
});

it('lists a name under facts that no rule reads', function () {
    expect(implode(' ', Demo::plan('fairlead-13', ['machine' => ['facts' => ['drive.encription' => 'chip']]])->notes))
        ->toContain(
            '"drive.encription" is not understood: no rule reads a fact of this name; did you mean "drive.encryption"?',
        );
    $like = fn (string $name) => implode(
        ' ',
        KnownFacts::notUnderstood(MachineBlock::fromArray(['facts' => [$name => 'x']]), Demo::catalogue()),
    );
    expect($like('firmware.secure_bot'))->toContain('did you mean "firmware.secure_boot"')
        ->and($like('memory.slotz'))->toContain('did you mean "memory.slots"')
        ->and($like('symptom.wether'))->toContain('is not understood')
        ->and($like('firmware.secure_boot'))->toBe('')
        ->and($like('choice.boot_mode'))->toBe('')
        ->and($like('nothing.like.it'))->toBe(
            '"nothing.like.it" is not understood: no rule reads a fact of this name.',
        );
    foreach (Demo::ALL as $job) {
        expect(KnownFacts::notUnderstood(MachineBlock::fromArray(Demo::brief($job)['machine']), Demo::catalogue()))
            ->toBe([], $job);
    }
});

it('does not ask what an answer implies, and asks what is left in one go', function () {
    $repair = fn (array $facts) => Demo::plan('repair', [
        'machine' => ['facts' => ['drive.encryption' => 'none', ...$facts]],
    ]);
    $asked = fn (Plan $plan) => array_map(fn ($one) => $one->fact, [...$plan->questions, ...$plan->later]);
    expect($asked($repair(['symptom.starts' => 'normally'])))->not->toContain(
        'symptom.powers_up',
        'symptom.picture',
        'owner.lock',
    )
        ->and($asked($repair(['symptom.powers_up' => 'no'])))->not->toContain('symptom.picture', 'symptom.starts')
        ->and(count($asked($repair(['symptom.starts' => 'normally']))))->toBeGreaterThan(1);
    $image = fn (string $build, string $edition) => Demo::plan('repair', [
        'edition' => $edition,
        'machine' => [
            'facts' => ['symptom.starts' => 'normally', 'drive.encryption' => 'none', 'present.build' => $build],
        ],
    ])->assessment->all()['route']['ladder'];
    $why = fn (array $ladder) => implode(' ', array_column($ladder, 'why', 'id')['repair-install-image']);
    expect($why($image('99.9', 'Dock')))->toContain('No image at hand matches')
        ->and($why($image('7.1', 'Dock')))->not->toContain('No image at hand matches');
});

it('weighs both entitlements, and says in the fit what an edition leaves idle', function () use ($decided) {
    $licence = fn (array $facts) => $decided(
        Demo::plan('fairlead-13', [
            'licence' => ['kind' => 'retail', 'edition' => 'Dock'],
            'machine' => ['facts' => ['drive.encryption' => 'none', ...$facts]],
        ]),
        'assess.licence',
    );
    expect($licence(['licence.firmware_edition' => 'Ferry']))
        ->toContain('The key in the firmware fits Ferry, Dock is wanted')
        ->and($licence(['licence.firmware_edition' => 'Dock']))->toContain('nothing has to be typed')
        ->and($licence([]))->not->toContain('firmware');
});

it('holds the activation while nobody has said where the licence comes from', function () use ($laid) {
    $brief = Demo::brief('fairlead-13');
    unset($brief['licence']);
    $plan = Cobblestone\Job\JobPlanner::plan(
        Cobblestone\Brief\Brief::fromArray($brief),
        Demo::catalogue(),
        Cobblestone\Policy\Policy::of(),
    );
    expect($plan->question('licence.kind'))->not->toBeNull()
        ->and($laid($plan)['activation.check'])->toBeFalse()
        ->and($laid($plan)['target.erase'])->toBeTrue();
});

it('says where a reading contradicts that a factory image is on the drive', function (
    array $from,
    array $to,
    ?string $said,
) use ($laid) {
    $reading = (string) Demo::brief('factory-restore')['machine']['lsblk'];
    $plan = Demo::plan('factory-restore', ['machine' => ['lsblk' => str_replace($from, $to, $reading)]]);
    $blocker = array_column(array_map(fn ($one) => [$one->id, $one->reason], $plan->blockers), 1, 0)['factory-not-read']
        ?? null;
    expect($laid($plan)['target.restore'])->toBe($said === null)
        ->and($plan->verdict()->value)->toBe($said === null ? 'go' : 'stop');
    $said === null ? expect($blocker)->toBeNull() : expect($blocker)->toContain($said);
})->with([
    'room for one' => [[], [], null],
    '0.6 GB used' => [['13421772800'], ['629145600'], 'Factory, holds 629.1 MB'],
    'just enough' => [['13421772800'], ['3000000000'], null],
    'just too little' => [['13421772800'], ['2999999999'], 'Factory, holds'],
    'the starting volume does not count' => [
        ['13421772800', '"fsused": "29360128"'],
        ['1000', '"fsused": "9000000000"'],
        'Factory, holds',
    ],
    'the size where use was not read' => [['"13421772800"'], ['null'], null],
]);

it('lets the reading of a destination count, and says what was said', function (
    ?string $said,
    string $read,
    bool $limited,
) {
    $backup = [
        'keep' => 'some',
        'bytes' => '20 GB',
        'largest_bytes' => '5 GB',
        'destination' => ['name' => 'Pantry disk', 'serial' => 'PD-1', 'file_system' => $said],
    ];
    $drive = [
        'name' => 'sdz',
        'size' => 2000398934016,
        'type' => 'disk',
        'rm' => true,
        'serial' => 'PD-1',
        'model' => 'Pantry disk',
        'tran' => 'usb',
        'pttype' => 'gpt',
        'children' => [['name' => 'sdz1', 'size' => 2000000000000, 'type' => 'part', 'fstype' => $read]],
    ];
    $read = json_decode((string) Demo::brief('fairlead-13')['machine']['lsblk'], true);
    $plan = Demo::plan('fairlead-13', [
        'backup' => $backup,
        'machine' => ['lsblk' => json_encode(['blockdevices' => [...$read['blockdevices'], $drive]])],
    ]);
    expect(in_array('destination-file-limit', array_map(fn ($one) => $one->id, $plan->blockers), true))->toBe($limited);
    $cautions = implode(' ', $plan->step('protect.back-up')->cautions ?? []);
    $said === null
        || $said === $drive['children'][0]['fstype']
            ? expect($cautions)->not->toContain('was said')
            : expect($cautions)->toContain("Pantry disk was said to be {$said}, the reading shows");
})->with([['fat32', 'ntfs', false], ['ntfs', 'vfat', true], [null, 'vfat', true], ['ntfs', 'ntfs', false]]);

it('asks at take-in for what such a machine can have', function (string $job, bool $portable) {
    $words = json_encode(Demo::plan($job)->step('intake.take-in')?->toArray());
    foreach (['charger', 'cell', 'swollen'] as $word) {
        expect(str_contains($words, $word))->toBe($portable, "{$word} in {$job}");
    }
})->with([
    ['fairlead-13', true],
    ['pocket-lantern', true],
    ['capstan-t3', false],
    ['card-swap', false],
    ['new-capstan', false],
]);

it('knows every fact that a rule reads by name', function () {
    $read = [];
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
            Demo::root().'/core',
            FilesystemIterator::SKIP_DOTS,
        )) as $file
    ) {
        preg_match_all(
            "/(?:->fact|facts->get)\\('([a-z0-9_.]+)'\\)/",
            (string) file_get_contents((string) $file),
            $found,
        );
        array_push($read, ...$found[1]);
    }
    expect(count(array_unique($read)))->toBeGreaterThan(40)
        ->and(KnownFacts::notUnderstood(
            MachineBlock::fromArray(['facts' => array_fill_keys($read, 'x')]),
            Demo::catalogue(),
        ))
        ->toBe([]);
});
