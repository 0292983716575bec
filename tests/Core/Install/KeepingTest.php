<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Findings\Layouts;
use Cobblestone\Findings\PartFound;
use Cobblestone\Install\Keeping;
use Cobblestone\Job\MachineBuilder;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Partition;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Plan;
use Cobblestone\Storage\PartitionType;
use Cobblestone\Storage\Scheme;
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
        static fn (PartFound $one): string => "{$one->name} {$one->firstSector}+{$one->sectors}",
        Layouts::of($plan)->target->after->partitions ?? [],
    );
}

const BESIDE = ['target.stays' => '2048, 206848, 499935232', 'target.other_system' => 'tansy-desktop-6'];

it('keeps what is to stay and makes the rest in the largest room between', function () {
    $plan = keepingPlan(BESIDE);
    expect(against($plan))->toBe([])->and(placed($plan))->toBe([
        'START 2048+204800', 'reserved 206848+32768', 'system 239616+497598464', 'recovery 497838080+2097152',
        'Recovery 499935232+163840',
    ])->and(array_map(fn (PartFound $one): bool => $one->stays, Layouts::of($plan)->target->now ?? []))
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
        ->and($step?->boots)->toBe([])
        ->and(implode(' ', $step->cautions ?? []))->toContain('Never the line that takes the whole drive')
        ->and($step?->acts)->toBe([Act::Erase])
        ->and(array_column($step->because ?? [], 'rule'))->toContain('I8');
});

it('says who starts which, and starts both at the proof', function (array $facts, ?string $chosen, bool $both) {
    $plan = keepingPlan([...BESIDE, ...$facts]);
    $proof = array_map(static fn ($one): string => $one->id, $plan->step('proof.readings')->evidence ?? []);
    expect($plan->decision('install.loader')?->chosen)->toBe($chosen)
        ->and(in_array('other_starts', $proof, true))->toBe($both)
        ->and($plan->decision('install.stays')?->reasons)
        ->toBe(['1 partition deleted, 2 partitions made in 238.3 GiB.']);
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
    $chosen = static fn (array $facts): ?string => keepingPlan($facts)->decision('assess.encryption')?->chosen;
    expect($chosen(BESIDE))->toContain('suspend')->and($chosen([]))->not->toContain('suspend');
});

it('shuts erasing and writing where it cannot be', function (array $facts, array $says) {
    $plan = keepingPlan($facts);
    expect(against($plan))->toBe($says);
    foreach ($plan->blockers as $blocker) {
        if (str_starts_with($blocker->id, 'stays-')) {
            expect($blocker->unsafe)->toContain(Act::Erase)->toContain(Act::WriteSystem);
        }
    }
})->with([
    'no room is left' => [
        ['target.stays' => '2048, 239616'],
        ['stays-no-room' => 'Between what stays the largest room is 89.0 MiB; Tansy Desktop 7 wants at least 1.0 GiB. '
            .'Delete more, or lay out the whole drive.'],
    ],
    'the other system would lose its start' => [
        ['target.stays' => '239616', 'target.other_system' => 'another'],
        [
            'stays-loader-lost' => 'The other system stays, and the partition it starts from (START, 100.0 MiB) would '
                .'be deleted: it would not start any more. Let that one stay too.',
            'stays-no-room' => 'Between what stays the largest room is 116.0 MiB; Tansy Desktop 7 wants at least 1.3 '
                .'GiB. Delete more, or lay out the whole drive.',
        ],
    ],
    'it is not there any more' => [
        ['target.stays' => '2048, 4096'],
        ['stays-changed' => 'What was to stay at sector 4096 is not there in the newest reading. Say anew what stays.'],
    ],
    'nothing readable is named' => [['target.stays' => 'the large one'], []],
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

/**
 * @param  list<array{int, int, 2?: PartitionType|null, 3?: int|null}>  $parts  first sector, sectors, type, used bytes
 */
function keptOn(array $parts, string $stays, string $table = 'gpt', Scheme $scheme = Scheme::Gpt): Keeping
{
    $partitions = array_map(static fn (array $one, int $at): Partition => new Partition(
        "p{$at}",
        Bytes::of($one[1] * 512),
        $one[0],
        type: ($one[2] ?? null)?->guid(),
        used: isset($one[3]) ? Bytes::of($one[3]) : null,
    ), $parts, array_keys($parts));
    $drive = new Drive('sda', Bytes::of(200 << 30), 'S-1', 'x', table: $table, partitions: $partitions);
    $brief = ['brief' => 1, 'title' => 'x', 'machine' => ['kind' => 'laptop', 'facts' => ['target.stays' => $stays]]];
    $machine = MachineBuilder::build(Brief::fromArray($brief), Demo::catalogue())[0];

    return Keeping::of($machine, Demo::catalogue()->system('tansy-desktop-7'), $drive, $scheme)
        ?? throw new LogicException('nothing stays');
}

it('shares an EFI system partition only where it is large enough and has room', function (
    int $mebi,
    ?int $usedMebi,
    ?string $says,
) {
    $efi = [2048, $mebi * 2048, PartitionType::EfiSystem, $usedMebi === null ? null : $usedMebi << 20];
    $kept = keptOn([$efi], '2048');
    $reasons = array_column($kept->blockers, 'reason', 'id');
    expect($reasons['stays-efi-too-small'] ?? null)->toBe(
        $says === null ? null : "The EFI system partition that stays is too small for one more system: {$says}.",
    );
})->with([
    'as small as it may be' => [100, null, null],
    'smaller' => [99, null, 'it has 99.0 MiB, 100.0 MiB are wanted'],
    'with just enough room' => [100, 68, null],
    'with less' => [100, 69, '31.0 MiB of it are free, 32 MiB are wanted'],
    'more used than it has' => [100, 200, '0 B of it are free, 32 MiB are wanted'],
]);

it('goes by the table of the drive', function (string $table, Scheme $scheme, bool $fits) {
    $ids = array_column(keptOn([[2048, 4096]], '2048', $table, $scheme)->blockers, 'id');
    expect(in_array('stays-other-table', $ids, true))->toBe(! $fits);
})->with([
    ['gpt', Scheme::Gpt, true], ['dos', Scheme::Mbr, true], ['dos', Scheme::Gpt, false], ['gpt', Scheme::Mbr, false],
    ['atari', Scheme::Gpt, false],
]);

it('makes what the profile wants and nothing that stays does already', function (
    array $parts,
    string $stays,
    array $made,
) {
    expect(array_map(static fn ($one): string => $one->wanted->role, keptOn($parts, $stays)->created))->toBe($made);
})->with([
    'nothing of it stays' => [[[2048, 4096]], '2048', ['efi', 'reserved', 'system', 'recovery']],
    'start files stay' => [
        [[2048, 614400, PartitionType::EfiSystem]], '2048', ['reserved', 'system', 'recovery'],
    ],
    'both stay' => [
        [[2048, 614400, PartitionType::EfiSystem], [616448, 32768, PartitionType::Reserved]],
        '2048, 616448',
        ['system', 'recovery'],
    ],
    'start files go' => [
        [[2048, 614400, PartitionType::EfiSystem], [616448, 4096]],
        '616448',
        ['efi', 'reserved', 'system', 'recovery'],
    ],
]);

it('never lays anything over what stays, or past the end', function () {
    mt_srand(20261129);
    for ($round = 0; $round < 400; $round++) {
        $at = 34 + mt_rand(0, 4096);
        $parts = [];
        for ($n = mt_rand(1, 8); $n > 0; $n--) {
            $count = mt_rand(1, 60_000_000);
            $parts[] = [$at, $count];
            $at += $count + mt_rand(0, 1) * mt_rand(0, 40_000_000);
        }
        $stays = array_values(array_filter(array_column($parts, 0), static fn (): bool => mt_rand(0, 1) === 1));
        $kept = keptOn($parts, implode(', ', $stays === [] ? [$parts[0][0]] : $stays));
        $taken = array_map(static fn (Partition $one): array => [
            (int) $one->startSector, (int) $one->startSector + intdiv($one->size->count, 512) - 1,
        ], $kept->kept);
        foreach ($kept->created as $one) {
            expect($one->extent->first % 2048)->toBe(0)->and($one->extent->last())->toBeLessThan((200 << 21) - 33);
            foreach ($taken as [$first, $last]) {
                expect($one->extent->first > $last || $one->extent->last() < $first)->toBeTrue();
            }
            $taken[] = [$one->extent->first, $one->extent->last()];
        }
    }
});
