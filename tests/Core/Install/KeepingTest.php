<?php

use Cobblestone\Findings\Layouts;
use Cobblestone\Machine\Drive;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Plan;
use Cobblestone\Storage\DevicePart;
use Tests\Support\Demo;

// Something on the target drive is to stay (rules I2, I8). Fairlead 13 holds START at 2048, reserved at 206848,
// Old system at 239616 and Recovery at 499935232.

/** @param  array<string, mixed>  $facts */
function keepingPlan(array $facts, string $brief = 'fairlead-13', array $more = []): Plan
{
    $given = Demo::brief($brief);
    $given['machine']['facts'] = [...$given['machine']['facts'] ?? [], ...$facts];

    return Demo::plan($brief, [...$more, 'machine' => ['facts' => $given['machine']['facts']]]);
}

/** @return array<string, string> what stands against it */
function against(Plan $plan): array
{
    $blockers = array_filter($plan->blockers, static fn ($one): bool => str_starts_with($one->id, 'stays-'));

    return array_column($blockers, 'reason', 'id');
}

/** @return list<string> "system 239616+497598464" */
function placed(Plan $plan): array
{
    return array_map(
        static fn (DevicePart $one): string => "{$one->name} {$one->firstSector}+{$one->sectors}",
        Layouts::of($plan)->target->after->partitions ?? [],
    );
}

const BESIDE = ['target.stays' => '2048, 206848, 499935232'];

const TWO_SYSTEMS = [
    'target.stays' => '2048, 206848, 239616, 499935232', 'target.other_system' => 'tansy-desktop-6',
];

/**
 * The same drive, but that its old system has 100 GiB and leaves room behind it.
 *
 * @param  array<string, mixed>  $facts
 */
function twoSystems(array $facts = []): Plan
{
    $machine = Demo::brief('fairlead-13')['machine'];
    $lsblk = str_replace('255844155392', '107374182400', $machine['lsblk']);

    return Demo::plan('fairlead-13', [
        'machine' => ['lsblk' => $lsblk, 'facts' => [...$machine['facts'], ...TWO_SYSTEMS, ...$facts]],
    ]);
}

it('keeps what is to stay and makes the rest in the largest room between', function () {
    $plan = keepingPlan(BESIDE);
    expect(against($plan))->toBe([])->and(placed($plan))->toBe([
        'START 2048+204800', 'reserved 206848+32768', 'system 239616+497598464', 'recovery 497838080+2097152',
        'Recovery 499935232+163840',
    ])->and(array_map(fn (DevicePart $one): bool => $one->stays, Layouts::of($plan)->target->now ?? []))
        ->toBe([true, true, false, true]);
});

it('goes by a table at a stone that deletes no more than it says', function () {
    $step = keepingPlan(BESIDE)->step('target.erase');
    expect($step?->title)->toBe('Make room on the drive')
        ->and(array_column($step->rows ?? [], 'becomes', 'begins at sector'))->toBe([
            2048 => 'stays, and is used by the new system too: do not format it',
            206848 => 'stays as it is',
            239616 => 'deleted',
            'about 239616' => 'made new, ntfs',
            'about 497838080' => 'made new, ntfs',
            499935232 => 'stays as it is',
        ])->and($step?->confirmation?->loses)->toBe('Old system (238.3 GiB)')
        ->and($step?->evidence[0]->expected?->value)->toBe('255844155392')
        ->and($step?->evidence[0]->expected?->tolerance)->toBe(0.01)
        ->and($step?->done?->words)->toBe('Deleted: Old system (238.3 GiB). Deleting is not secure erasure. Kept: '
            .'START (100.0 MiB), reserved (16.0 MiB), Recovery (80.0 MiB).')
        ->and(implode(' ', $step->cautions ?? []))->toContain('Never the line that takes the whole drive')
        ->and($step?->acts)->toBe([Act::Erase])
        ->and(array_column($step->because ?? [], 'rule'))->toContain('I8');
});

it('says who starts which, and starts both at the proof', function (array $facts, ?string $chosen, bool $both) {
    $plan = twoSystems($facts);
    $proof = array_map(static fn ($one): string => $one->id, $plan->step('proof.readings')->evidence ?? []);
    expect($plan->decision('install.loader')?->chosen)->toBe($chosen)
        ->and(in_array('other_starts', $proof, true))->toBe($both)
        ->and($plan->decision('install.stays')?->reasons)
        ->toBe(['0 partitions deleted, 2 partitions made in 138.3 GiB.'])
        ->and($plan->step('target.erase')?->title)->toBe('Place the new partitions')
        ->and($plan->step('target.erase')->boots ?? [])->toHaveCount($both ? 0 : 1);
})->with([
    'by UEFI' => [[], 'the firmware: Tansy Desktop 7 first, Tansy Desktop 6 from its list', true],
    'one of no name' => [
        ['target.other_system' => 'another'],
        'the firmware: Tansy Desktop 7 first, the other system from its list',
        true,
    ],
    'only data' => [['target.other_system' => 'none'], null, false],
]);

it('tells the owner what goes and what is meant to stay', function () {
    $lines = keepingPlan(BESIDE)->step('protect.owner-word')->instructions ?? [];
    expect($lines[0])->toBe('Tell the crew office: lost is all of Old system (238.3 GiB). Meant to stay: START (100.0 '
        .'MiB), reserved (16.0 MiB), Recovery (80.0 MiB). Nobody can promise that: one wrong pick deletes it.');
});

it('picks on no page the whole drive', function () {
    $rows = array_column(keepingPlan(BESIDE)->step('install.pages')->rows ?? [], 'pick', 'page');
    expect($rows['What is to be done'])->toBe('Install anew')
        ->and($rows['Where to'])->toBe('the free room of 255.8 GB on it, once it is made; never the drive itself');
    $orrin = keepingPlan(BESIDE, more: [
        'system' => 'orrin-desktop-3', 'image' => 'orrin-desktop-3', 'edition' => null,
    ]);
    expect(array_column($orrin->step('install.pages')->rows ?? [], 'pick', 'page')['Drive'])->toBe('By hand');
});

it('suspends the encryption of a system that stays', function () {
    $chosen = static fn (Plan $plan): ?string => $plan->decision('assess.encryption')?->chosen;
    expect($chosen(twoSystems()))->toContain('suspend')->and($chosen(keepingPlan([])))->not->toContain('suspend');
});

it('shuts erasing and writing where it cannot be', function (array $facts, array $says) {
    $plan = keepingPlan($facts);
    expect(against($plan))->toBe($says);
    expect($says === [] ? null : $plan->decision('install.stays'))->toBeNull()
        ->and($plan->decision('install.loader'))->toBeNull();
    foreach ($plan->blockers as $blocker) {
        if (str_starts_with($blocker->id, 'stays-')) {
            expect($blocker->unsafe)->toContain(Act::Erase)->toContain(Act::WriteSystem);
        }
    }
})->with([
    'no room is left' => [
        ['target.stays' => '2048, 239616'],
        ['stays-no-room' => 'Between what stays the largest room is 89.0 MiB; Tansy Desktop 7 wants at least 1.0 GiB.'],
    ],
    'the other system would lose its start' => [
        ['target.stays' => '239616', 'target.other_system' => 'another'],
        [
            'stays-loader-lost' => 'The other system stays, and the partition it starts from (START, 100.0 MiB) would '
                .'be deleted: it would not start any more.',
            'stays-no-room' => 'Between what stays the largest room is 116.0 MiB; Tansy Desktop 7 wants at least 1.3 '
                .'GiB.',
        ],
    ],
    'nothing that is ticked can hold the system' => [
        [...BESIDE, 'target.other_system' => 'another'],
        ['stays-no-system' => 'A system is said to stay, and nothing that is ticked can hold one.'],
    ],
    'it is not there any more' => [
        ['target.stays' => '2048, 4096'],
        ['stays-changed' => 'What was to stay at sector 4096 is not there in the newest reading.'],
    ],
    'nothing readable is named' => [
        ['target.stays' => 'the large one'],
        ['stays-illegible' => 'What is to stay on the drive cannot be read: "the large one" is no first sector of a '
            .'partition. Until it can, nothing on the drive is deleted.'],
    ],
    'one of its words cannot be read' => [
        ['target.stays' => '2048, 206848x'],
        ['stays-illegible' => 'What is to stay on the drive cannot be read: "206848x" is no first sector of a '
            .'partition. Until it can, nothing on the drive is deleted.'],
    ],
    'a system stays, and nobody has said what is its' => [
        ['target.other_system' => 'another'],
        ['stays-no-list' => 'Another system is said to stay, and nobody has said which partitions are its.'],
    ],
    'no system stays' => [['target.other_system' => 'none'], []],
]);

it('wants a reading that says where partitions begin', function () {
    $plan = keepingPlan(['target.stays' => '2048'], 'unknown-laptop');
    expect(array_keys(against($plan)))->toBe(['stays-unread'])
        ->and($plan->step('target.erase')?->title)->toBe('Erase the drive');
});

it('lays the whole drive out where a new one is fitted, whatever was said of the old', function (string $brief) {
    $plan = keepingPlan(['target.stays' => '2048'], $brief);
    expect(against($plan))->toBe([])->and($plan->step('target.erase')?->title)->not->toContain('room');
})->with(['drive-swap', 'new-capstan']);

it('wants the key of what stays and is encrypted', function (array $facts, bool $stops) {
    $lsblk = json_decode(Demo::brief('fairlead-13')['machine']['lsblk'], true);
    $lsblk['blockdevices'][0]['children'][3]['fstype'] = 'crypto_LUKS';
    $machine = Demo::brief('fairlead-13')['machine'];
    $plan = Demo::plan('fairlead-13', ['machine' => [
        'lsblk' => json_encode($lsblk), 'facts' => [...$machine['facts'], ...BESIDE, ...$facts],
    ]]);
    expect(isset(against($plan)['stays-locked']))->toBe($stops)
        ->and($plan->question('encryption.key')?->shuts ?? [])
        ->toBe($facts === [] ? [Act::Erase, Act::WriteSystem] : []);
})->with([[['encryption.key' => 'no'], true], [['encryption.key' => 'yes'], false], [[], false]]);

it('puts files back where what held them goes, and not where their system stays', function () {
    $steps = fn (Plan $plan): array => array_column($plan->steps, 'id');
    expect($steps(keepingPlan(BESIDE)))->toContain('files.put-back', 'files.count-home')
        ->and($steps(twoSystems()))->toContain('protect.back-up')
        ->not->toContain('files.put-back')
        ->not->toContain('files.count-home');
});
