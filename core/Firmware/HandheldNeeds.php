<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\FirmwareSetting;
use Cobblestone\Quantity\Bytes;

/** Memory shared with the graphics, and the power mode, of machines that have such settings (rules F2, F8). */
final class HandheldNeeds
{
    /** Largest part of memory that goes to the graphics (default). */
    private const SHARE = 0.25;

    /** What the system keeps beyond its own need (default). */
    private const SPARE = 1.5;

    /** @return list<Need> */
    public static function of(Machine $machine, SystemProfile $system): array
    {
        if ($machine->kind !== Kind::Handheld) {
            return [];
        }
        [$share, $mode] = [$machine->setting('graphics_memory'), $machine->setting('power_mode')];
        $needs = [];
        $memory = $machine->fact('memory_bytes')->value;
        if ($share !== null && is_int($memory)) {
            $value = self::graphics($share, $memory, $system->needs->memoryBytes ?? 0);
            if ($value !== null) {
                $needs[] = new Need(
                    'graphics_memory',
                    $value,
                    Bytes::of($memory)->binary().
                        ' of memory: at most a quarter goes to the graphics, and '.
                        $system->name.
                        ' keeps what it needs and half as much again.',
                    'F4',
                    whose: 'model',
                );
            }
        }
        if ($mode !== null && in_array('balanced', $mode->values, true)) {
            $needs[] = new Need(
                'power_mode',
                'balanced',
                'The battery feeds the machine while the stick is in its socket; the fast mode would empty it, the '
                    .'quiet one makes the install longer.',
                'F8',
                stays: false,
                weakens: true,
                whose: 'model',
            );
        }

        return $needs;
    }

    /** The largest of the setting's sizes that fits; null where none does. */
    private static function graphics(FirmwareSetting $setting, int $memory, int $need): ?string
    {
        $best = null;
        $most = 0;
        foreach ($setting->values as $value) {
            if (preg_match('/^(\d+) (GB|MB)$/', $value, $size) !== 1) {
                continue;
            }
            $bytes = (int) $size[1] * ($size[2] === 'GB' ? 1 << 30 : 1 << 20);
            if ($bytes > $most && $bytes <= $memory * self::SHARE && $memory - $bytes >= $need * self::SPARE) {
                [$best, $most] = [$value, $bytes];
            }
        }

        return $best;
    }
}
