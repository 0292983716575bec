<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

use Cobblestone\Media\Inspection\ElTorito;
use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\GptHeader;
use Cobblestone\Storage\Reading\MbrTable;
use Cobblestone\Storage\Reading\ReadPartition;
use Cobblestone\Storage\Reading\WindowSource;

/**
 * The volumes UEFI finds on a device: a protective MBR and one whole copy of the GPT; or an MBR; or a file system
 * from sector 0
 * (UEFI specification 2.10, 5.2 and 5.3; 13.3.2 for optical start images). Types and the active flag of an MBR do not
 * matter to it.
 */
final readonly class FirmwareTable
{
    private const USUAL_SECTOR = 512;

    private const LARGE_SECTOR = 4096;

    private const MOST = 64;

    /**
     * @param  string  $words  how the volumes were found
     * @param  list<array{title: string, source: ByteSource, guid: string|null}>  $volumes
     */
    private function __construct(
        public string $words,
        public ?string $fault,
        public array $volumes,
        public bool $byOptical = false,
    ) {
    }

    /**
     * @param  int|null  $known  bytes of a sector where the device says so; an image tells it by where its GPT stands
     */
    public static function read(ByteSource $device, ?int $known = null): self
    {
        if ($device->size() < self::USUAL_SECTOR) {
            return new self('', 'there is nothing on it', []);
        }
        $sector = $known ?? self::sectorOf($device);
        $mbr = MbrTable::read($device, $sector);
        $last = intdiv($device->size(), $sector) - 1;
        // Emulated firmware goes by a start catalogue before it looks at an MBR.
        $first = (MbrTable::announcesGpt($device) ? self::gpt($device, $sector, $last) : null)
            ?? self::optical($device, $mbr !== null);
        if ($first !== null) {
            return $first;
        }
        // A protective entry alone describes the whole device, and no file system begins where it does.
        $own =
            $mbr !== null &&
            array_filter($mbr->partitions, static fn (ReadPartition $one): bool => $one->type !== '0xEE') !== [];
        if ($mbr !== null && $own && self::isTable($mbr, $last)) {
            return self::of('an MBR', $mbr->partitions, $device, $last, $sector);
        }
        if (FatVolume::asFirmware($device) !== null) {
            return new self('no table: a file system begins in sector 0', null, [
                ['title' => 'The whole device', 'source' => $device, 'guid' => null],
            ]);
        }

        return self::withoutTable($mbr);
    }

    /** Null where neither copy of it is whole. */
    private static function gpt(ByteSource $device, int $sector, int $last): ?self
    {
        $primary = GptHeader::read($device, $sector, 1);
        $backup = $primary->isValid() ? null : GptHeader::read($device, $sector, $last);
        $used = $backup ?? $primary;

        return ! $used->isValid() ? null : self::of(
            $primary->isValid()
                ? 'a protective MBR, and the GPT at the start is whole'
                : 'a protective MBR; the GPT at the start is damaged, its copy at the end is whole and is used',
            $used->partitions,
            $device,
            $last,
            $sector,
        );
    }

    private static function withoutTable(?MbrTable $mbr): self
    {

        return new self(
            '',
            $mbr !== null && $mbr->isProtective()
                ? 'its MBR announces a GPT, but neither copy is whole'
                : 'it has neither a partition table nor a file system that firmware knows',
            [],
        );
    }

    private static function sectorOf(ByteSource $device): int
    {
        $gptAt = static fn (int $sector): bool => $device->read($sector, 8) === 'EFI PART';

        return ! $gptAt(self::USUAL_SECTOR) && $gptAt(self::LARGE_SECTOR) ? self::LARGE_SECTOR : self::USUAL_SECTOR;
    }

    /**
     * The start catalogue of an optical image written to a stick: emulated firmware goes by it, whatever kind of
     * machine its entries are for; no standard asks for it there.
     */
    private static function optical(ByteSource $device, bool $table): ?self
    {
        $volumes = [];
        foreach (ElTorito::read($device)->entries ?? [] as $entry) {
            if ($entry['bootable']) {
                $volumes[] = [
                    'title' => "The optical start image for {$entry['platform']}",
                    'source' => new WindowSource($device, $entry['at'], $entry['bytes']),
                    'guid' => null,
                ];
            }
        }

        return $volumes === []
            ? null
            : new self(
                'an optical start catalogue, '.($table ? 'which comes before the MBR' : 'and no partition table'),
                null,
                $volumes,
                true,
            );
    }

    /** Four entries of which one at least begins and ends on the device, and no two overlap. */
    private static function isTable(MbrTable $mbr, int $last): bool
    {
        $placed = array_values(
            array_filter(
                $mbr->partitions,
                static fn (ReadPartition $one): bool => $one->number <= 4 && $one->sectors > 0,
            ),
        );
        usort($placed, static fn (ReadPartition $a, ReadPartition $b): int => $a->first <=> $b->first);
        foreach ($placed as $index => $partition) {
            if ($partition->last() > $last || ($index > 0 && $partition->first <= $placed[$index - 1]->last())) {
                return false;
            }
        }

        return $placed !== [];
    }

    /** @param  list<ReadPartition>  $partitions */
    private static function of(string $words, array $partitions, ByteSource $device, int $last, int $sector): self
    {
        $volumes = [];
        foreach (array_slice($partitions, 0, self::MOST) as $partition) {
            if ($partition->sectors > 0 && $partition->first <= $last) {
                $volumes[] = [
                    'title' => "Partition {$partition->number}",
                    'source' => new WindowSource($device, $partition->first * $sector, $partition->sectors * $sector),
                    'guid' => $partition->guid,
                ];
            }
        }

        return new self($words.($sector === self::LARGE_SECTOR ? ', sectors of 4096 bytes' : ''), null, $volumes);
    }
}
