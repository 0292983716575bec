<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Install\Keeping;
use Cobblestone\Job\MachineBuilder;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Partition;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\PartitionType;
use Cobblestone\Storage\Scheme;
use Tests\Support\Demo;

// What has to hold so that something may stay on a drive, rule by rule (rules I2, I8).

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

it('stops where the system would get less than it takes, and not before', function (int $room, bool $stops) {
    // Tansy Desktop 7 takes about 34 GB; behind what stays it makes start files, reserved and recovery, 1300 MiB.
    $start = (200 << 21) - $room * 2048 - 2048;
    $ids = array_column(keptOn([[2048, $start - 2048]], '2048')->blockers, 'id');
    expect(in_array('stays-too-tight', $ids, true))->toBe($stops);
})->with(['just enough' => [33725, false], 'one MiB less' => [33724, true]]);

it('makes no fifth partition where a table has four', function (int $kept, bool $stops) {
    $parts = array_map(static fn (int $n): array => [2048 + $n * 4096, 2048], range(0, $kept - 1));
    $stays = implode(', ', array_column($parts, 0));
    $ids = array_column(keptOn($parts, $stays, 'dos', Scheme::Mbr)->blockers, 'id');
    expect(in_array('stays-too-many', $ids, true))->toBe($stops);
})->with([[2, false], [3, true]]);
