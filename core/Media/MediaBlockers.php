<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Firmware\FirmwarePlanner;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\GatherItem;

/** What stops a stick from being made, and what has to be laid out for it. */
final class MediaBlockers
{
    /**
     * @param  list<Blocker>  $blockers  of the layout
     * @return list<Blocker>
     */
    public static function copying(
        MediaWish $wish,
        FileSystemChoice $fileSystem,
        array $blockers,
        StickChoice $choice,
    ): array {
        return [
            ...(
                $fileSystem->blocker === null
                    ? []
                    : [Blocker::narrow('image-not-copied', $fileSystem->blocker, 'M5', [Act::WriteStick], Door::choice(
                        'image',
                        'Choose another image.',
                    ))]
            ),
            ...$blockers,
            ...self::blockers($choice, $wish->sticks, $wish->image),
            ...self::host($wish, WriteMode::FilesCopied, $fileSystem->split !== null),
        ];
    }

    /** @return list<Blocker> why the computer that was chosen cannot make it (rules M13, M14) */
    public static function host(MediaWish $wish, WriteMode $mode, bool $parts = false): array
    {
        [$host, $image] = [$wish->host, $wish->image];
        if ($host === null) {
            return [];
        }
        $newer = HostFit::newer($host, $image->system, $wish->system, $image->version);
        $cannot = HostFit::cannot($host, $mode, $parts, $parts && $image->largest()->splitter !== []);

        return [
            ...$newer === null ? [] : [
                Blocker::stop('image-newer-than-builder', $newer, 'M14', self::here(), [$host->dated()]),
            ],
            ...$cannot === [] ? [] : [
                Blocker::narrow('host-cannot', implode(' ', $cannot), 'M13', [Act::WriteStick], self::here()),
            ],
        ];
    }

    private static function here(): Door
    {
        return Door::choice('host', 'Have it made here, or on another kind of computer.', '');
    }

    /** @return list<GatherItem> */
    public static function gather(StickChoice $choice, Machine $machine, DriverPlace $place): array
    {
        $items = [
            new GatherItem("stick: {$choice->decision->chosen}", 'carries the installer'),
            new GatherItem('spare stick of the same size or larger', 'if the first one fails'),
        ];
        if ($place->second !== null) {
            $items[] = new GatherItem("second stick: {$place->second}", 'carries the drivers');
        }
        $port = $choice->stick === null ? null : FirmwarePlanner::portFor($machine, $choice->stick->connector);
        if ($choice->stick !== null && $port !== null && $port->connector !== $choice->stick->connector) {
            $items[] = new GatherItem("adapter from {$choice->stick->connector} to {$port->connector}", 'the stick '
                ."goes into {$port->connector}, {$port->where}");
        }

        return $items;
    }

    /**
     * @param  list<Stick>  $sticks
     * @return list<Blocker>
     */
    public static function blockers(StickChoice $choice, array $sticks, Image $image): array
    {
        $unfit = match (true) {
            $image->kind === 'device-restore' => [Blocker::stop('image-kind', "{$image->name} is a restore bundle "
                .'for a cable and starts from no stick.',
                'M3',
                Door::choice('image', 'Choose an image of the system, or the kind of job that restores over a cable.'),
                ["kind: {$image->kind}"])],
            ! $image->isHybrid()
                && ! $image->isCounted() => [
                    Blocker::narrow(
                        'image-not-counted',
                        "The files of {$image->name} are not counted yet.",
                        'M2',
                        [Act::WriteStick],
                        Door::choice('image', 'Bring it to the shelf, where it is inspected, and choose it there.'),
                    ),
                ],
            default => [],
        };

        return [...$unfit, ...($choice->stick === null && $sticks !== [] ? [Blocker::narrow('no-stick', 'No stick '
            .'in the register can carry this image.',
            'M7',
            [Act::WriteStick],
            Door::page('stick', "Get {$choice->decision->chosen}, or free one."))] : [])];
    }
}
