<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Step;

/** Memory that graphics on the processor take away from the system (rules F8, T1). */
final class GraphicsShare
{
    /**
     * What the graphics take of the memory once the settings are as the path leaves them.
     *
     * @param  list<Step>  $steps
     */
    public static function after(Machine $machine, array $steps): ?Bytes
    {
        $share = $machine->fact('firmware.graphics_memory')->value;
        foreach ($steps as $step) {
            foreach ($step->boots as $event) {
                $share = $event->changes['firmware.graphics_memory'] ?? $share;
            }
        }

        // Firmware counts in powers of 1024, whatever its page says.
        return is_string($share) && preg_match('/^(\d+)\s*G(?:i?B)?$/i', trim($share), $m) === 1
            ? Bytes::gibi((int) $m[1])
            : null;
    }
}
