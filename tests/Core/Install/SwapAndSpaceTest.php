<?php

use Cobblestone\Install\PartitionPlan;
use Cobblestone\Install\SpaceLeft;
use Cobblestone\Install\SwapPlan;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Scheme;
use Tests\Support\Entries;

/** @param  array<string, mixed>  $system */
function swapOf(?int $memory, string $school, array $system): SwapPlan
{
    $facts = $memory === null
        ? FactSheet::empty()
        : FactSheet::empty()->with(Fact::of('memory_bytes', $memory, Source::Person, 'read'));

    return SwapPlan::of(
        new Machine('Mole', Kind::Laptop, $facts),
        Entries::system($system),
        Policy::of(['swap' => $school]),
    );
}

it('works out how much memory may be moved to the drive', function (
    ?int $gib,
    string $school,
    array $swap,
    string $secureBoot,
    int $size,
    string $chosen,
    string $why,
) {
    $plan = swapOf($gib === null ? null : $gib * 1024 ** 3, $school, [
        'swap' => $swap, 'firmware' => ['boot_mode' => 'uefi', 'secure_boot_after' => $secureBoot],
    ]);
    expect($plan->size->count)->toBe($size * 1024 ** 3)
        ->and($plan->decision?->chosen)->toContain($chosen)
        ->and(implode(' ', $plan->decision->reasons ?? []))->toContain($why);
})->with([
    'as much as memory' => [4, 'file', [], 'on', 4, 'a file of 4.0 GiB', 'As much'],
    'just as much' => [8, 'file', [], 'on', 8, 'a file of 8.0 GiB', 'As much'],
    'no more than 8' => [32, 'file', [], 'on', 8, 'a file of 8.0 GiB', 'Memory is 32.0 GiB'],
    'none' => [32, 'none', [], 'on', 0, 'none', 'wants none'],
    'hibernation' => [
        16, 'hibernation', ['hibernates' => true, 'under_secure_boot' => true], 'on', 20, '20.0', 'root',
    ],
    'rounded up' => [
        8, 'hibernation', ['hibernates' => true, 'under_secure_boot' => true], 'on', 11, '11.0', '2.8 GiB',
    ],
    'not under Secure Boot' => [16, 'hibernation', ['hibernates' => true], 'on', 8, 'a file', 'Secure Boot'],
    'without Secure Boot' => [16, 'hibernation', ['hibernates' => true], 'off', 20, 'hibernate', 'rounded up'],
    'a system that cannot' => [16, 'hibernation', [], 'off', 8, 'a file', 'cannot hibernate.'],
    'memory nobody read' => [null, 'file', [], 'on', 0, 'as the installer proposes', 'Nobody has read'],
]);

it('decides nothing for a system that sees to it itself', function () {
    expect(swapOf(8 * 1024 ** 3, 'file', [])->decision)->toBeNull();
});

/** @param  list<array<string, mixed>>  $partitions */
function leftOf(array $partitions, ?int $installed, int $driveGib = 100, int $swapGib = 0): ?string
{
    $system = Entries::system([
        'partitions' => $partitions,
        ...$installed === null ? [] : ['installed_bytes' => $installed * 1024 ** 3],
    ]);
    $layout = PartitionPlan::wipe($system, Scheme::Gpt, Bytes::gibi($driveGib), 512, 'seed');
    $decision = SpaceLeft::of($system, $layout, Bytes::gibi($swapGib));

    return $decision === null ? null : "{$decision->chosen} | {$decision->reasons[0]}";
}

it('says what is left, with two copies of the system and swap counted', function () {
    $efi = ['name' => 'EFI', 'role' => 'efi', 'type' => 'efi-system', 'mebibytes' => 1024, 'file_system' => 'fat32'];
    $system = ['name' => 'system', 'role' => 'system', 'type' => 'linux-filesystem', 'file_system' => 'ext4'];
    expect(leftOf([$efi, $system], 20))->toStartWith('about 79.0 GiB | 100.0 GiB in all, 1.0 GiB in partitions')
        ->and(leftOf([$efi, $system], 20, 100, 8))->toStartWith('about 71.0 GiB')
        ->and(leftOf([$efi, $system], 20, 100, 8))->toEndWith('28.0 GiB taken in system.')
        ->and(leftOf([
            $efi,
            [...$system, 'name' => 'A', 'mebibytes' => 10240],
            [...$system, 'name' => 'B', 'mebibytes' => 10240],
            [...$system, 'name' => 'home', 'role' => 'data'],
        ], 20))->toBe('about 79.0 GiB | 100.0 GiB in all, 21.0 GiB in partitions of fixed size.')
        ->and(leftOf([$efi, $system], 120))->toStartWith('nothing: it does not fit')
        ->and(leftOf([$efi, $system], null))->toBeNull();
});
