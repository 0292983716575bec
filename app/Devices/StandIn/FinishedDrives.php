<?php

declare(strict_types=1);

namespace App\Devices\StandIn;

/** The drives of a machine at the end of its job, as `lsblk -J -b` prints them. */
final class FinishedDrives
{
    /**
     * @param  array<array-key, string>  $named  serial => bytes
     * @param  int|null  $unnamed  bytes of one more drive that nobody knows the serial of
     * @param  bool  $sealed  whether the first one is encrypted
     * @param  bool  $lastGone  whether the last one is not seen
     */
    public static function lsblk(array $named, ?int $unnamed, bool $sealed, bool $lastGone): string
    {
        $drives = [];
        foreach ($named as $serial => $bytes) {
            $drives[] = self::drive('nvme'.count($drives).'n1', (string) $serial, (int) $bytes);
        }
        if ($unnamed !== null) {
            $drives[] = self::drive('sda', 'QP-DRIVE', $unnamed);
        }
        $lastGone && array_pop($drives);
        if ($drives === []) {
            return '';
        }
        $drives[0]['children'] = [[
            'name' => "{$drives[0]['name']}p1",
            'type' => 'part',
            'size' => intdiv($drives[0]['size'], 2),
            'fstype' => $sealed ? 'crypto_LUKS' : 'ext4',
            'start' => 2048,
        ]];

        return (string) json_encode(['blockdevices' => $drives], JSON_PRETTY_PRINT);
    }

    /** @return array{name: string, type: string, size: int, serial: string, tran: string, rm: bool, pttype: string} */
    private static function drive(string $name, string $serial, int $bytes): array
    {
        return [
            'name' => $name,
            'type' => 'disk',
            'size' => $bytes,
            'serial' => $serial,
            'tran' => 'nvme',
            'rm' => false,
            'pttype' => 'gpt',
        ];
    }
}
