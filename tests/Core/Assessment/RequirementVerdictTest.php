<?php

use Cobblestone\Assessment\Fit;
use Cobblestone\Assessment\InstallWish;
use Cobblestone\Assessment\Requirement;
use Cobblestone\Assessment\RequirementRows;
use Cobblestone\Assessment\Requirements;
use Cobblestone\Machine\Drive;
use Cobblestone\Quantity\Bytes;

it('says what lies idle above the ceiling of an edition, and only then', function (
    array $facts,
    string $id,
    string $verdict,
    ?string $note,
) {
    $row = onlyRow(
        needing([], more: ['ceilings' => ['Dock' => ['memory_bytes' => 4096, 'sockets' => 1]]]),
        $facts,
        null,
        'Dock',
    );
    expect([$row['id'], $row['verdict'], $row['note'] ?? null])->toBe([$id, $verdict, $note]);
})->with([
    [['memory_bytes' => 4096], 'memory_ceiling', 'meets', null],
    [['memory_bytes' => 5120], 'memory_ceiling', 'short', '1.0 KiB would lie idle; another edition uses them.'],
    [['sockets' => 1], 'socket_ceiling', 'meets', null],
    [['sockets' => '2'], 'socket_ceiling', 'short', 'The others would lie idle; another edition uses them.'],
]);

it('knows no ceiling without the edition or without a reading', function () {
    $system = needing([], more: ['ceilings' => ['Dock' => ['memory_bytes' => 4096, 'sockets' => 1]]]);
    expect(onlyRow($system, ['memory_bytes' => 5120], null, 'Ferry'))->toBeNull();
    expect(onlyRow($system, ['memory_bytes' => 5120]))->toBeNull();
    expect(onlyRow($system, [], null, 'Dock'))->toBeNull();
});

it('tells which needs may be bypassed, and takes the hardest for the verdict', function () {
    $system = needing(
        ['memory_bytes' => 2048, 'cores' => 4],
        more: ['bypass' => ['of' => ['cores'], 'consequences' => ['Updates may end.']]],
    );
    $assess = fn (array $facts, string $school) => Requirements::assess(
        new InstallWish(machineKnowing($facts), $system),
        $school,
    );
    $both = $assess(['memory_bytes' => 1024, 'cores' => 2], 'recorded');
    expect(array_map(fn (Requirement $row): bool => $row->bypassable, $both->rows))->toBe([false, true]);
    expect($both->fit)->toBe(Fit::Cannot);
    expect($both->contribution->steps)->toBe([]);
    expect(array_column($both->contribution->blockers, 'reason'))
        ->toBe(['Heron 1 needs Memory: 2.0 KiB; this machine: 1.0 KiB (lshw). Short by 1.0 KiB.']);
    $cores = $assess(['memory_bytes' => 2048, 'cores' => 2], 'recorded');
    expect($cores->fit)->toBe(Fit::OnlyWithBypass);
    expect($cores->contribution->blockers)->toBe([]);
    expect($cores->contribution->steps[0]->instructions)->toBe([
        'Tell the owner what is bypassed: cores.', 'Updates may end.',
        'Later upgrades and repairs need the same bypass again: it is printed on the handover sheet.',
    ]);
    expect(array_column($assess(['memory_bytes' => 2048, 'cores' => 2], 'off')->contribution->blockers, 'reason'))
        ->toBe([
            'Heron 1 needs Cores: 4; this machine: 2 (lshw). Short by 2. It can be bypassed, but the bench\'s policy '
                .'does not allow it.',
        ]);
    expect($assess(['memory_bytes' => 2048], 'off')->contribution->decisions[0]->chosen)
        ->toBe('fits, as far as is known');
    expect(array_map(
        fn ($question) => $question->fact,
        $assess(['memory_bytes' => 2048], 'off')->contribution->questions,
    ))
        ->toBe(['cores']);
});

it('assumes nothing of a new drive that nobody has read', function () {
    $rows = fn (bool $newDrive, ?Drive $target): array => RequirementRows::of(new InstallWish(
        machineKnowing(['drive_bytes' => 65_500]),
        needing(['drive_bytes' => 64_000]),
        target: $target,
        newDrive: $newDrive,
    ));
    expect($rows(true, null)[0]->has)->toBe('unknown');
    expect($rows(true, new Drive('sda', Bytes::of(64_000)))[0]->has)->toBe('64.0 kB (reading of the drive)');
    expect($rows(false, null)[0]->has)->toBe('65.5 kB (lshw)');
});

it('says in its title that not all is known', function () {
    $title = fn (array $facts): string => Requirements::assess(
        new InstallWish(machineKnowing($facts), needing(['cores' => 4])),
        'off',
    )
        ->found()->title;
    expect($title([]))->toBe('fits, as far as is known');
    expect($title(['cores' => 4]))->toBe('fits');
    expect($title(['cores' => 2]))->toBe('cannot');
});
