<?php

use Cobblestone\Machine\HealthReading;

function ata(
    array $figures,
    string $at = '2026-11-20T08:00Z',
    ?bool $passed = true,
    string $serial = 'KB-1',
): HealthReading {
    return new HealthReading($serial, 'Kelpbed 2T', 'ata', $figures, $passed, true, 2000398934016, $at);
}

function nvme(array $figures): HealthReading
{
    return new HealthReading(
        'SM-1',
        'Saltmarsh NV-3',
        'nvme',
        ['available_spare' => 100, 'available_spare_threshold' => 10, ...$figures],
        true,
        false,
        256060514304,
        '2026-11-20T08:00Z',
    );
}
