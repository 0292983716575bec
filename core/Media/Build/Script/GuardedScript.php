<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build\Script;

use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\Splitter;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\Fat32Geometry;
use Cobblestone\Storage\PlannedPartition;

/** A stick plan as a shell script that makes the same stick on a real device, when told to write (rule M13). */
final class GuardedScript
{
    /** @param  HostProfile|null  $host  that it is run on, where the catalogue knows what it lacks */
    public static function of(StickPlan $plan, ?HostProfile $host = null): string
    {
        $work = $plan->mode === WriteMode::Raw ? self::raw($plan) : self::files($plan);

        return implode("\n", [
            ...ScriptHead::head($plan, $host),
            ...ScriptHead::guards($plan),
            ...$work,
            '',
            'say "Done: every byte was read back and is as it should be."',
        ])
            ."\n";
    }

    /** @return list<string> */
    private static function raw(StickPlan $plan): array
    {
        $open = $plan->image->compression === null
            ? 'cat -- "$image"'
            : implode(' ', self::expander($plan)).' "$image"';

        return [
            '',
            '# ---- Byte for byte.',
            'expand() { '.$open.'; }',
            'say "+ expand | dd of=$device bs=4M"',
            'if [ "$write" = yes ]; then',
            '    expand | dd of="$device" bs=4M iflag=fullblock conv=notrunc,fsync status=none',
            '    dd if="$device" iflag=nocache count=0 status=none',
            '    bytes='.($plan->image->expanded ?? '$(expand | wc -c)'),
            '    [ "$(expand | sha256sum)" = "$(head -c "$bytes" -- "$device" | sha256sum)" ] || stop "the stick '
                .'reads back differently: use another port and write once more"',
            'else',
            '    say "+ read back and compare"; exit 0',
            'fi',
        ];
    }

    /** @return list<string> */
    private static function files(StickPlan $plan): array
    {
        $lines = [
            '',
            '# ---- The table.',
            ...ShellText::written(explode("\n", rtrim(BuildSteps::sfdiskScript($plan))), '"$scratch/table.sfdisk"'),
            'say "+ sfdisk $device"',
            'if [ "$write" = yes ]; then '.ShellText::command(array_slice(BuildSteps::sfdisk(''), 0, -1))
                .' "$device" <"$scratch/table.sfdisk"; fi'];
        foreach ($plan->layout->partitions ?? [] as $partition) {
            array_push($lines, ...self::volume($partition, $plan));
        }

        return [...$lines, ...self::copy($plan), ...self::readBack($plan)];
    }

    /** @return list<string> */
    private static function volume(PlannedPartition $partition, StickPlan $plan): array
    {
        $bytes = $partition->extent->count * $plan->sector;
        $at = $partition->extent->first * $plan->sector;
        $make = $partition->fat32 !== null
            ? BuildSteps::vfat($partition, $plan, '')
            : BuildSteps::exfat($partition, '');

        return [
            '', "# ---- The file system of partition {$partition->number}, made beside the stick and put in its place.",
            'rm -f -- "$scratch/volume"; truncate -s '.$bytes.' "$scratch/volume"',
            'run '.ShellText::command(array_slice($make, 0, -1)).' "$scratch/volume"',
            $partition->fat32 !== null ? 'length='.BuildSteps::vfatBytes($partition)
                : 'read -r heap _ root < <(od -An -tu4 -j88 -N12 "$scratch/volume"); read -r shift_sector '
                    .'shift_cluster < <(od -An -tu1 -j108 -N2 "$scratch/volume"); length=$(((heap << shift_sector) + '
                        .'(root > 0 ? root - 1 : 0) * (1 << (shift_sector + shift_cluster))))',
            'run dd if="$scratch/volume" of="$device" bs=1M count="$length" '
                ."seek={$at} iflag=count_bytes oflag=seek_bytes conv=notrunc,fsync status=none",
            'rm -f -- "$scratch/volume"',
        ];
    }

    /** @return list<string> */
    private static function copy(StickPlan $plan): array
    {
        $fromImage = array_values(array_unique(array_map(
            static fn (PlannedFile $file): string => $file->source,
            array_filter($plan->files, static fn (PlannedFile $file): bool => $file->from === 'image'),
        )));
        $lines = [
            '',
            '# ---- The files: out of the image, split where they must be, onto the stick.',
            'mkdir "$scratch/files"',
            ...$fromImage === [] ? [] : [
                ...ShellText::written($fromImage, '"$scratch/list"'),
                'run 7zz x -y -bd -spd -scsUTF-8 -t'.$plan->image->tree
                    .' "-o$scratch/files" "-i@$scratch/list" -- "$image"',
            ]];
        $split = [];
        foreach ($plan->files as $file) {
            if ($file->text !== null) {
                array_push($lines, ...self::answers($file));
            } elseif ($file->from === 'drivers') {
                $lines[] = 'run install -D -m 644 -- "${drivers:?--drivers wants the folder of drivers}/"'
                    .ShellText::quoted($file->source).' "$scratch/files/"'.ShellText::quoted($file->path);
            } elseif ($file->isPart()) {
                $split[$file->source][] = $file;
            }
        }
        foreach ($split as $source => $parts) {
            array_push($lines, ...self::split((string) $source, $parts, $plan->splitter));
        }

        return [...$lines, 'shopt -s nullglob dotglob',
            'run mcopy -s -m -Q -i "$device@@'.BuildSteps::target($plan)->extent->first * $plan->sector
                .'" "$scratch/files/"* ::/',
            'run sync "$device"'];
    }

    /**
     * The answers stand in the script itself, in signs that no shell reads anything into.
     *
     * @return list<string>
     */
    private static function answers(PlannedFile $file): array
    {
        $at = '"$scratch/files/"'.ShellText::quoted($file->path);

        return [
            '# The answers of the first start: '.ShellText::comment($file->path),
            'mkdir -p -- "$(dirname -- '.$at.')"',
            'base64 -d >'.$at." <<'ANSWERS'",
            ...explode("\n", rtrim(chunk_split(base64_encode((string) $file->text), 76, "\n"))),
            'ANSWERS',
        ];
    }

    /**
     * @param  non-empty-list<PlannedFile>  $parts
     * @return list<string>
     */
    private static function split(string $source, array $parts, ?Splitter $splitter): array
    {
        $whole = '"$scratch/files/"'.ShellText::quoted($source);
        $lines = [];
        if ($splitter === null || $splitter->source !== $source) {
            foreach ($parts as $part) {
                $lines[] = "run dd if={$whole} of=\"\$scratch/files/\"".ShellText::quoted($part->path).' bs=1M '
                    ."iflag=skip_bytes,count_bytes skip={$part->at} count={$part->bytes} status=none";
            }

            return [...$lines, "run rm -f -- {$whole}"];
        }
        $replace = [
            '{source}' => $whole,
            '{target}' => '"$scratch/files/"'.ShellText::quoted($parts[0]->path),
            '{mebibytes}' => (string) intdiv($parts[0]->bytes, 1_048_576),
        ];
        $lines[] = 'run '
            .implode(
                ' ',
                array_map(
                    static fn (string $word): string => $replace[$word] ?? ShellText::command([$word]),
                    $splitter->command,
                ),
            );

        return [...$lines, "run rm -f -- {$whole}",
            'if [ "$write" = yes ]; then',
            '    [ -z "$(find "$scratch/files" -type f -size +'.Fat32Geometry::MAX_FILE
                .'c)" ] || stop "a part is larger than a FAT32 file can be"',
            '    parts=$(find "$scratch/files/"'.ShellText::quoted(dirname($parts[0]->path))
                .' -type f -printf "%s\n" | awk "{ sum += \$1 } END { printf \"%d\", sum }")',
            '    [ "$parts" -gt '.intdiv($parts[0]->of * 98, 100)
                .' ] || stop "the parts together are smaller than the whole: one is missing"',
            'fi'];
    }

    /** @return list<string> */
    private static function readBack(StickPlan $plan): array
    {
        return ['', '# ---- Read back past the cache, and compare every file.',
            'if [ "$write" = no ]; then say "+ read back and compare"; exit 0; fi',
            '(cd "$scratch/files" && find . -type f -print0 | sort -z | xargs -0 sha256sum >"$scratch/SHA256SUMS")',
            'if [ -b "$device" ]; then blockdev --flushbufs "$device"; fi',
            'dd if="$device" iflag=nocache count=0 status=none',
            'rm -rf -- "$scratch/files"; mkdir "$scratch/back"',
            'mcopy -s -Q -n -i "$device@@'.BuildSteps::target($plan)->extent->first * $plan->sector
                .'" "::/*" "$scratch/back/"',
            '(cd "$scratch/back" && sha256sum --quiet -c "$scratch/SHA256SUMS") || stop "the stick reads back '
                .'differently: use another port and write once more"',
            'sfdisk --verify --quiet "$device"',
        ];
    }

    /** @return list<string> the program that unpacks, before the file */
    public static function expander(StickPlan $plan): array
    {
        return match ($plan->image->compression) {
            'gzip' => ['gzip', '-dc', '--'],
            'bzip2' => ['bzip2', '-dc', '--'],
            'xz' => ['xz', '-dc', '--'],
            'zstd' => ['zstd', '-dcq', '--'],
            default => ['7zz', 'x', '-so', '-tzip', '--'],
        };
    }
}
