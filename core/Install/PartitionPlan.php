<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemPartition;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Decision;
use Cobblestone\Storage\Layout;
use Cobblestone\Storage\LayoutBuilder;
use Cobblestone\Storage\PartitionRequest;
use Cobblestone\Storage\PartitionType;
use Cobblestone\Storage\Scheme;
use Cobblestone\Storage\SectorSize;

/** What the wiped drive will carry: the profile's partitions in its order, GPT for UEFI, MBR for legacy (rule I2). */
final class PartitionPlan
{
    /**
     * @throws \Cobblestone\Storage\LayoutImpossible
     */
    public static function wipe(
        SystemProfile $system,
        Scheme $scheme,
        Bytes $drive,
        int $sectorBytes,
        string $seed,
    ): Layout {
        $requests = array_map(
            static fn (SystemPartition $partition): PartitionRequest => new PartitionRequest(
                $partition->name,
                PartitionType::from($partition->type),
                $partition->mebibytes === null ? null : Bytes::mebi($partition->mebibytes),
                $partition->fileSystem,
                $partition->role,
            ),
            $scheme === Scheme::Gpt ? $system->partitions : self::withoutEfi($system->partitions),
        );

        return LayoutBuilder::build($scheme, SectorSize::from($sectorBytes), $drive, $requests, $seed);
    }

    /** @return array{0: Scheme, 1: Decision} */
    public static function scheme(
        Machine $machine,
        SystemProfile $system,
        Bytes $drive,
        int $sectorBytes = 512,
    ): array {
        $legacy =
            $system->firmware->bootMode === 'legacy' ||
            ($system->firmware->bootMode === 'either' && $machine->fact('firmware.kind')->is('bios'));
        $scheme = $legacy ? Scheme::Mbr : Scheme::Gpt;
        $sector = SectorSize::from($sectorBytes);
        $lost = $scheme->outOfReach($sector, $sector->sectorsIn($drive));
        $reasons = $legacy
            ? [
                'This machine starts the old way.',
                $lost->count > 0
                    ? "MBR cannot reach the last {$lost->binary()} of this drive."
                    : 'MBR reaches all of this drive.',
            ]
            : ["{$system->name} starts by UEFI here, and UEFI starts internal drives from GPT."];

        return [
            $scheme,
            new Decision(
                'install.scheme',
                'Partition scheme of the drive',
                $scheme->title(),
                $reasons,
                [
                    $legacy ? 'GPT' : 'MBR' => [
                        $legacy
                            ? 'Its firmware could not start from it.'
                            : 'It would start only the old way, and reach no more than 2 TiB.',
                    ],
                ],
                ["firmware.kind = {$machine->fact('firmware.kind')->spoken()}", $system->dated()],
                'I2',
            ),
        ];
    }

    /**
     * @param  list<SystemPartition>  $partitions
     * @return list<SystemPartition>
     */
    private static function withoutEfi(array $partitions): array
    {
        return array_values(
            array_filter(
                $partitions,
                static fn (SystemPartition $partition): bool => ! in_array(
                    $partition->type,
                    ['efi-system', 'reserved'],
                    true,
                ),
            ),
        );
    }
}
