<?php

use Cobblestone\Assessment\InstallWish;
use Cobblestone\Assessment\RequirementRows;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;
use Tests\Support\Entries;

/** @param  array<string, mixed>  $needs */
function needing(array $needs, string $bootMode = 'either', bool $chip = false, array $more = []): SystemProfile
{
    return Entries::system([
        'id' => 'x',
        'name' => 'Heron 1',
        'as_of' => '2026-11',
        'firmware' => ['boot_mode' => $bootMode, 'secure_boot_after' => 'any', 'security_chip' => $chip],
        'needs' => $needs,
        ...$more,
    ]);
}

/** @param  array<string, mixed>  $facts */
function machineKnowing(array $facts): Machine
{
    $sheet = FactSheet::empty();
    foreach ($facts as $name => $value) {
        $sheet = $sheet->with(Fact::of($name, $value, Source::Reading, 'lshw'));
    }

    return new Machine('x', Kind::Laptop, $sheet);
}

/** @return array<string, mixed>|null the only row, without what is false or empty */
function onlyRow(SystemProfile $system, array $facts, ?Drive $target = null, ?string $edition = null): ?array
{
    $rows = RequirementRows::of(new InstallWish(machineKnowing($facts), $system, null, $target, $edition));
    expect(count($rows))->toBeLessThan(2);

    return $rows === []
        ? null
        : array_filter($rows[0]->toArray(), fn (mixed $value): bool => $value !== '' && $value !== false);
}
