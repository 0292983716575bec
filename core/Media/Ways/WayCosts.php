<?php

declare(strict_types=1);

namespace Cobblestone\Media\Ways;

use Cobblestone\Catalogue\ImageFiles;
use Cobblestone\Media\HostSpace;
use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\StickNeed;
use Cobblestone\Media\WriteTime;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Duration;
use Cobblestone\Storage\Scheme;

/** What a way costs: room, time, and what one gives up with it. */
final class WayCosts
{
    /**
     * @param  bool  $byHand  whether its parts are cut by the system's own splitter
     * @return list<string>
     */
    public static function of(WayInput $of, Policy $policy, bool $byHand): array
    {
        $own = 'Its parts are cut by the system\'s own splitter: only the exported script makes this stick.';

        return [...self::splits($of, $policy), ...($byHand ? [$own] : []), self::onHost($of->report)];
    }

    /**
     * @return list<string>
     */
    private static function splits(WayInput $of, Policy $policy): array
    {
        $costs = [];
        foreach ($of->tooLarge as $path => $bytes) {
            if (isset($of->parts[$path])) {
                $costs[] = "{$path} is split into "
                    .Bytes::of($bytes)->portions(Bytes::mebi((int) $policy->figure('part_mebibytes')))
                    .' parts of at most '.(int) $policy->figure('part_mebibytes').' MiB.';
            }
        }

        return $costs;
    }

    /**
     * @return list<string>
     */
    public static function cautions(Scheme $scheme, ImageReport $report, bool $storage): array
    {
        $cautions = [];
        if ($report->legacy['copied'] !== false) {
            $cautions[] = $scheme === Scheme::Gpt
                ? 'Starts no machine the old way.'
                : 'The old way needs a boot sector of its own, which is not put there: it starts by UEFI only.';
        }
        if ($storage) {
            $cautions[] = 'Survives only tools that write to one partition: "whole stick" in any other tool takes the '
                .'storage with it.';
        }

        return $cautions;
    }

    /** What the bench computer has to hold meanwhile. */
    private static function onHost(ImageReport $report): string
    {
        return HostSpace::copied(
            Bytes::of($report->bytes),
            Bytes::of($report->files['bytes'] ?? 0),
            Bytes::of($report->files['largest']['bytes'] ?? 0),
        )->describe();
    }

    public static function need(WayInput $of, bool $storage, Policy $policy): Bytes
    {
        $files = $of->report->files ?? ['count' => 0, 'directories' => 0, 'bytes' => 0];
        $counted = new ImageFiles($files['count'], $files['directories'], $files['bytes']);
        $need = StickNeed::of($counted, $of->drivers, $of->driverFiles);

        return $storage ? $need->besideStorage() : $need->wholeStick($policy->figure('stick_spare'));
    }

    /** @return array{0: WriteTime, 1: WriteTime} */
    public static function times(WayInput $of, StickRates $rates): array
    {
        $bytes = Bytes::of($of->report->files['bytes'] ?? 0)->plus($of->drivers);
        $perFile = Duration::seconds((int) ceil($rates->perFile(
            ($of->report->files['count'] ?? 0) + $of->driverFiles,
        )));

        return [
            WriteTime::of($bytes, $rates->writing(false), $perFile),
            WriteTime::of($bytes, $rates->reading(), $perFile),
        ];
    }

    public static function pace(?WriteTime $write, ?WriteTime $verify): string
    {
        return $write === null
            || $verify === null
                ? 'not known before it is unpacked'
                : "writing: {$write->limit}, {$write->rate->label()}; reading "
            ."back: {$verify->limit}, {$verify->rate->label()}";
    }
}
