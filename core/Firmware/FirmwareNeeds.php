<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Machine;

/** What system, medium, policy and model need of the settings, before it is compared with what is set (rule F3). */
final class FirmwareNeeds
{
    /**
     * @param  list<Need>  $secureBoot  what was decided about Secure Boot
     * @param  bool  $permanent  whether the stick is started by the permanent order
     * @return list<Need>
     */
    public static function of(
        Machine $machine,
        SystemProfile $system,
        Image $image,
        array $secureBoot,
        bool $permanent,
    ): array {
        $order = $permanent
            ? [
                new Need(
                    'boot_order',
                    'stick first',
                    'The bench policy starts sticks by permanent order.',
                    'F1',
                    stays: false,
                    weakens: true,
                    whose: 'policy',
                ),
            ]
            : [];

        return [
            ...self::systemNeeds($system),
            ...self::driveNeeds($machine, $system),
            ...self::mediumNeeds($image),
            ...self::stickNeeds($machine),
            ...$secureBoot,
            ...HandheldNeeds::of($machine, $system),
            ...MemoryNeed::of($machine),
            ...$order,
        ];
    }

    /** @return list<Need> */
    private static function systemNeeds(SystemProfile $system): array
    {
        $needs = [];
        if ($system->firmware->bootMode === 'uefi') {
            $needs[] = new Need('boot_mode', 'uefi', "{$system->name} starts only by UEFI.", 'F2');
        }
        if ($system->firmware->securityChip) {
            $needs[] = new Need('security_chip', 'on', "{$system->name} needs the security chip.", 'F2');
        }

        return $needs;
    }

    /**
     * An installer without a driver for the controller's mode sees no drive; on a drive that is wiped the mode may
     * change (rule I7).
     *
     * @return list<Need>
     */
    private static function driveNeeds(Machine $machine, SystemProfile $system): array
    {
        $modes = $system->controllerModes;
        $has = $machine->setting('controller_mode')->values ?? [];
        $both = array_values(array_intersect($modes, $has));

        return $both === []
            ? []
            : [
                new Need(
                    'controller_mode',
                    $both[0],
                    "{$system->name} has drive drivers for ".
                        implode(' and ', $modes).
                        ' only; with another mode its installer sees no drive.',
                    'I7',
                    accepts: array_slice($both, 1),
                ),
            ];
    }

    /**
     * A stick is not even listed while starting from USB is off.
     *
     * @return list<Need>
     */
    private static function stickNeeds(Machine $machine): array
    {
        $off = $machine->fact('firmware.usb_start')->is('off') || $machine->setting('usb_start') !== null;

        return $off
            ? [
                new Need(
                    'usb_start',
                    'on',
                    'While starting from USB is off the stick is not listed.',
                    'F9',
                    stays: false,
                    weakens: true,
                    whose: 'medium',
                ),
            ]
            : [];
    }

    /** @return list<Need> */
    private static function mediumNeeds(Image $image): array
    {
        return $image->startsByUefi()
            ? []
            : [
                new Need(
                    'boot_mode',
                    'legacy',
                    "{$image->name} has no loader for UEFI: it starts the old way only.",
                    'F2',
                    stays: false,
                    weakens: true,
                    accepts: ['both'],
                    whose: 'medium',
                ),
            ];
    }
}
