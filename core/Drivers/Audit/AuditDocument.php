<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Audit;

use Cobblestone\Machine\Device;

/** An audit as a document, and as lines to read. */
final class AuditDocument
{
    /** @return array<string, mixed> */
    public static function of(DriverAudit $audit): array
    {
        return [
            'coverage' => $audit->coverage(),
            'readings' => array_map(static fn (DeviceReading $of): array => [
                'source' => $of->source,
                'devices' => $of->count(),
                'driven' => $of->driven(),
                'without' => count($of->without()),
                'unsaid' => $of->unsaid(),
            ], $audit->readings),
            'steps' => array_map(static fn (AuditStep $step): array => [
                'source' => $step->source,
                'cleared' => array_map(self::device(...), $step->cleared),
                'lost' => array_map(self::device(...), $step->lost),
                'came' => array_map(self::device(...), $step->came),
                'went' => array_map(self::device(...), $step->went),
            ], $audit->steps()),
            'left' => array_map(
                static fn (Device $device): array => [
                    ...self::device($device),
                    'where' => WhereToLook::for($device, null, null),
                ],
                array_values($audit->left()),
            ),
        ];
    }

    /** @return list<string> */
    public static function lines(DriverAudit $audit): array
    {
        $lines = [$audit->coverage()];
        foreach ($audit->steps() as $step) {
            $lines[] = $step->source;
            foreach (['cleared', 'lost', 'came', 'went'] as $what) {
                foreach ($step->{$what} as $device) {
                    $lines[] = "    {$what}: {$device->name} · {$device->identifier}";
                }
            }
        }
        foreach ($audit->left() as $device) {
            $lines[] = "without a driver: {$device->name} · {$device->identifier}"
                .($device->status === null ? '' : " · {$device->status}");
        }
        $unsaid = $audit->last()->unsaid();

        return $unsaid === 0 ? $lines : [...$lines, "of {$unsaid} the list does not say whether they have a driver"];
    }

    /** @return array{name: string, id: string} */
    private static function device(Device $device): array
    {
        return ['name' => $device->name, 'id' => $device->identifier];
    }
}
