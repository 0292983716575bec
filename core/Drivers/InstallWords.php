<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Drivers\Matching\DeviceMatch;
use Cobblestone\Runbook\Reason;

/** How one package is installed on this machine, and for which of its devices (rules D2, D3, D4). */
final class InstallWords
{
    /** @return list<string> */
    public static function of(DriverPackage $package, DriverSet $set): array
    {
        $served = $set->servedBy($package);
        $files = array_unique(array_filter(
            array_map(static fn (DeviceMatch $match): ?string => $match->package?->setupFile, $served),
        ));
        if ($package->silent !== null) {
            return ["Install {$package->title()}. Without questions: `{$package->silent}`."];
        }
        if ($files === [] || $package->unpacksItself()) {
            return ["Install {$package->title()}."];
        }
        $way = $set->system->setupFileWay === null ? '' : ": {$set->system->setupFileWay}";

        return [
            "Install {$package->title()} by its setup file{$way}.",
            ...array_values(array_map(
                static fn (DeviceMatch $match): string => "{$match->device->name}: the folder of "
                    ."`{$match->package?->setupFile}`.",
                array_filter($served, static fn (DeviceMatch $match): bool => $match->package?->setupFile !== null),
            )),
        ];
    }

    /** @return list<Reason> */
    public static function because(DriverPackage $package, DriverSet $set): array
    {
        $served = array_map(
            static fn (DeviceMatch $match): string => "{$match->device->name}, which it claims as "
                ."{$match->identifier}",
            $set->servedBy($package),
        );
        $needing = $set->needing($package);
        $needed = $set->neededBy($package);

        return [
            ...$served === [] ? [] : [
                new Reason('For '.implode('; ', $served).'.', 'D3', "shelf, {$package->date}"),
            ],
            ...$needing === [] ? [] : [
                new Reason('Comes before what needs it: '.implode(', ', $needing).'.', 'D4'),
            ],
            ...$needed === [] ? [] : [
                new Reason('Comes after what it needs: '.implode(', ', $needed).'.', 'D4'),
            ],
        ];
    }
}
