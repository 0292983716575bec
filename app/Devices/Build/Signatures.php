<?php

namespace App\Devices\Build;

use App\Devices\Command;
use Cobblestone\Media\Build\StickPlan;

/** No table or file system of an earlier life is left on the stick (rule M6). */
final class Signatures
{
    private const OF_TABLE = ['gpt' => ['gpt', 'PMBR'], 'mbr' => ['dos']];

    /** @throws BuildFailure where something foreign is found */
    public static function onlyOurs(StickPlan $plan, string $device): void
    {
        $found =
            (array) (json_decode(Command::run(['wipefs', '--no-act', '--json', $device], 60), true)['signatures'] ??
                []);
        $types = array_values(array_unique(array_column($found, 'type')));
        $foreign = array_diff($types, self::OF_TABLE[$plan->layout->scheme->value ?? 'mbr']);
        if ($foreign !== []) {
            throw BuildFailure::of(
                'mismatch',
                'A foreign signature is left on the stick: '.implode(', ', $foreign).'.',
            );
        }
        foreach ($plan->layout->partitions ?? [] as $partition) {
            [$at, $bytes] = [$partition->extent->first * $plan->sector, $partition->extent->count * $plan->sector];
            $type = trim(
                Command::run(
                    self::probe($at, $bytes, $device),
                    60,
                ),
            );
            $wanted = $partition->fat32 !== null ? 'vfat' : $partition->fileSystem;
            if ($type !== $wanted) {
                throw BuildFailure::of(
                    'mismatch',
                    "Partition {$partition->number} carries \"{$type}\", planned is {$wanted}.",
                );
            }
        }
    }

    /**
     * @return list<string>
     */
    private static function probe(int $at, int $bytes, string $device): array
    {
        return [
            'blkid',
            '--probe',
            '--offset',
            (string) $at,
            '--size',
            (string) $bytes,
            '--output',
            'value',
            '--match-tag',
            'TYPE',
            $device,
        ];
    }
}
