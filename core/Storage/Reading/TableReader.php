<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

/** Finds the partition table of a device or image: GPT by either copy, MBR, or none (rules M2, M6). */
final class TableReader
{
    private const SECTORS = [512, 4096];

    /**
     * @param  bool  $nested  an optical image's table may list a partition inside another: that is how hybrids are
     *     made, no damage
     * @param  int|null  $known  bytes of a sector where the device says so; a GPT tells it itself, an MBR does not
     */
    public static function read(ByteSource $source, bool $nested = false, ?int $known = null): TableReading
    {
        $sector = $known ?? self::sectorSize($source);
        $mbr = MbrTable::read($source, $sector);
        // A FAT boot sector carries 55AA too; what looks like a table in it is its code.
        if ($mbr !== null && ! $mbr->isProtective() && FatVolume::open($source) !== null) {
            return self::noTable($sector);
        }
        $last = intdiv($source->size(), $sector) - 1;
        $primary = GptHeader::read($source, $sector, 1);
        $backup = self::backup($source, $sector, $primary, $last);
        $hasGpt = $primary->isValid() || $backup->isValid();
        if ($hasGpt && ($mbr === null || $mbr->isProtective() || $mbr->partitions === [])) {
            return self::gpt($mbr, $primary, $backup, $sector, $last, $nested);
        }
        if ($mbr === null) {
            return new TableReading('none', $sector, [], [], []);
        }
        $notes = $hasGpt ? ['A GPT stands beside an MBR that does not announce it: firmware goes by the MBR.'] : [];
        $faults = $mbr->isProtective()
            ? [
                'The MBR announces a GPT, but neither copy is whole: at the '
                    ."start {$primary->fault}, at the end {$backup->fault}.",
            ]
            : [];

        return new TableReading(
            'mbr',
            $sector,
            $mbr->partitions,
            [...$faults, ...$mbr->faults, ...self::placeFaults($mbr->partitions, 0, $last, $nested)],
            $notes,
            bootCode: $mbr->hasCode,
        );
    }

    private static function noTable(int $sector): TableReading
    {
        return new TableReading(
            'none',
            $sector,
            [],
            [],
            ['A file system begins in sector 0: there is no partition table.'],
            bootCode: true,
        );
    }

    private static function sectorSize(ByteSource $source): int
    {
        foreach (self::SECTORS as $sector) {
            if ($source->read($sector, 8) === 'EFI PART') {
                return $sector;
            }
        }
        foreach (self::SECTORS as $sector) {
            if (
                $source->size() > 2 * $sector &&
                $source->read(intdiv($source->size(), $sector) * $sector - $sector, 8) === 'EFI PART'
            ) {
                return $sector;
            }
        }

        return 512;
    }

    /** At the end of the device; an image written to a larger stick has it where the first copy says. */
    private static function backup(ByteSource $source, int $sector, GptHeader $primary, int $last): GptHeader
    {
        $backup = GptHeader::read($source, $sector, $last);

        return ! $backup->isValid() && $primary->isValid() && $primary->other > 1 && $primary->other < $last
            ? GptHeader::read($source, $sector, $primary->other)
            : $backup;
    }

    /** What is wrong with one of the two copies of a GPT. */
    private static function copyFault(GptHeader $primary, GptHeader $backup, int $last): ?string
    {
        return match (true) {
            ! $primary->isValid() => "The GPT at the start is damaged: {$primary->fault}. Its copy at the end is whole "
                .'and was used.',
            ! $backup->isValid() && $primary->other > $last => "The GPT expects its copy in sector {$primary->other}, "
                ."but the last one here is {$last}: the end is missing.",
            ! $backup->isValid() => "The GPT's copy at the end is damaged: {$backup->fault}.",
            ! $primary->agreesWith($backup) => 'The two copies of the GPT describe different partitions; the one at '
                .'the start was used.',
            default => null,
        };
    }

    private static function gpt(
        ?MbrTable $mbr,
        GptHeader $primary,
        GptHeader $backup,
        int $sector,
        int $last,
        bool $nested,
    ): TableReading {
        $used = $primary->isValid() ? $primary : $backup;
        $faults = array_filter([self::copyFault($primary, $backup, $last)]);
        $notes = [];
        if ($faults === [] && $backup->at !== $last) {
            $notes[] = 'The GPT\'s copy does not stand at the end of the device: the image is smaller than what it '
                .'was written to.';
        }
        if ($mbr === null || ! $mbr->isProtective()) {
            $faults[] = 'There is a GPT without a protective MBR: firmware may not take it for one.';
        }
        $hybrid = $mbr !== null && $mbr->isHybrid();
        if ($hybrid) {
            $notes[] = 'The MBR is hybrid: it lists partitions of its own beside the protective one.';
        }

        return new TableReading(
            'gpt',
            $sector,
            $used->partitions,
            [
                ...$faults,
                ...$mbr->faults ?? [],
                ...self::placeFaults($used->partitions, $used->firstUsable, min($last, $used->lastUsable), $nested),
            ],
            $notes,
            $hybrid,
            $mbr->hasCode ?? false,
            $primary->isValid() ? 'primary' : 'backup',
            $used->diskGuid,
        );
    }

    /**
     * @param  list<ReadPartition>  $partitions
     * @return list<string>
     */
    private static function placeFaults(array $partitions, int $firstUsable, int $last, bool $nested): array
    {
        $faults = [];
        $outside = ['0xEE', '0x05', '0x0F', '0x85'];
        $placed = [];
        foreach ($partitions as $partition) {
            if (in_array($partition->type, $outside, true)) {
                continue;
            }
            if ($partition->sectors < 1) {
                $faults[] = "Partition {$partition->number} has no sectors.";

                continue;
            }
            if ($partition->first < $firstUsable || $partition->first > $last) {
                $faults[] = "Partition {$partition->number} begins in "
                    ."sector {$partition->first}, outside what the table may use.";
            } elseif ($partition->last() > $last) {
                $faults[] = "Partition {$partition->number} ends in "
                    ."sector {$partition->last()}, past the last usable one, {$last}.";
            }
            $placed[] = $partition;
        }
        usort($placed, static fn (ReadPartition $a, ReadPartition $b): int => $a->first <=> $b->first);
        for ($i = 1; ! $nested && $i < count($placed); $i++) {
            if ($placed[$i]->first <= $placed[$i - 1]->last()) {
                $faults[] = "Partitions {$placed[$i - 1]->number} and {$placed[$i]->number} overlap.";
            }
        }

        return $faults;
    }
}
