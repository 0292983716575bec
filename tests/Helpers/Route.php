<?php

use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Source;

const RUNS = [
    'symptom.powers_up' => 'yes',
    'symptom.picture' => 'yes',
    'drive.grade' => 'good',
    'memory.verdict' => 'trusted',
    'hardware.suspect' => 'no',
    'channel.other' => 'no',
    'fit' => 'fits',
    'present.build_reaches' => 'yes',
];

const COMMERCIAL = [
    ...RUNS,
    'system.family' => 'commercial',
    'recovery.environment' => 'yes',
    'restore.point' => 'yes',
    'network.works' => 'yes',
    'image.matches' => 'yes',
    'factory.image' => 'yes',
    'wish.original' => 'no',
    'fallback.entry' => 'no',
];

/** @param  array<string, string>  $facts */
function facts(array $facts): FactSheet
{
    $sheet = FactSheet::empty();
    foreach ($facts as $name => $value) {
        $sheet = $sheet->with(Fact::of($name, $value, Source::Person, 'test'));
    }

    return $sheet;
}
