<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use Cobblestone\Machine\HealthReading;
use Cobblestone\Quantity\Moment;

/** Reads `smartctl -j -a` of one drive: ATA attributes or the NVMe health log (rules A1, A5). */
final class SmartctlReader
{
    private const NVME = [
        'critical_warning',
        'available_spare',
        'available_spare_threshold',
        'percentage_used',
        'media_errors',
        'num_err_log_entries',
        'power_on_hours',
        'unsafe_shutdowns',
    ];

    /** @throws UnreadableInventory */
    public static function read(string $text): Reading
    {
        $data = JsonText::decode($text, 'smartctl -j -a');
        $notes = [];
        foreach (JsonText::map(JsonText::map($data['smartctl'] ?? null)['messages'] ?? null) as $message) {
            $words = Plain::word(is_array($message) ? $message['string'] ?? null : null);
            if ($words !== null) {
                $notes[] = "smartctl said: {$words}";
            }
        }
        $serial = Plain::word($data['serial_number'] ?? null);
        $model = Plain::word($data['model_name'] ?? ($data['scsi_model_name'] ?? null));
        if ($serial === null && $model === null) {
            return self::unreadable($notes);
        }
        $figures = self::nvme($data) ?? self::ata($data);
        if ($figures === []) {
            $notes[] =
                'smartctl: '.
                ($model ?? $serial).
                ' gave no health figures, as behind some bridges: its health is unknown, not good.';
        }
        $at = JsonText::map($data['local_time'] ?? null)['time_t'] ?? null;
        $passed = JsonText::map($data['smart_status'] ?? null)['passed'] ?? null;
        $bytes = JsonText::map($data['user_capacity'] ?? null)['bytes'] ?? null;
        $health = new HealthReading(
            $serial ?? 'no serial',
            $model ?? 'drive',
            $figures === [] ? 'unknown' : (isset($data['nvme_smart_health_information_log']) ? 'nvme' : 'ata'),
            $figures,
            is_bool($passed) ? $passed : null,
            is_int($data['rotation_rate'] ?? null) ? $data['rotation_rate'] > 0 : null,
            is_int($bytes) ? $bytes : null,
            is_int($at) && $at > 0 ? Moment::ofUnix($at)->iso() : null,
        );

        return new Reading('smartctl', 'pasted', $health->at, health: [$health], notes: $notes);
    }

    /**
     * @param  list<string>  $notes
     */
    private static function unreadable(array $notes): Reading
    {
        return new Reading(
            'smartctl',
            'pasted',
            notes: [
                ...$notes,
                'smartctl: no drive is named in this output; run it as root with -a and the path of the drive.',
            ],
        );
    }

    /**
     * @param  array<mixed>  $data
     * @return array<int|string, int>|null
     */
    private static function nvme(array $data): ?array
    {
        $log = $data['nvme_smart_health_information_log'] ?? null;
        if (! is_array($log)) {
            return null;
        }
        $figures = [];
        foreach (self::NVME as $name) {
            if (is_int($log[$name] ?? null)) {
                $figures[$name] = $log[$name];
            }
        }

        return $figures;
    }

    /**
     * @param  array<mixed>  $data
     * @return array<int|string, int>
     */
    private static function ata(array $data): array
    {
        $figures = [];
        foreach (JsonText::map(JsonText::map($data['ata_smart_attributes'] ?? null)['table'] ?? null) as $row) {
            $id = JsonText::map($row)['id'] ?? null;
            $raw = JsonText::map(JsonText::map($row)['raw'] ?? null)['value'] ?? null;
            if (is_int($id) && is_int($raw)) {
                $figures[$id] = $raw;
            }
        }

        return $figures;
    }
}
