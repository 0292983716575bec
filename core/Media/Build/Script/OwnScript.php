<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build\Script;

use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\WriteMode;

/** A stick plan as a script for a plain shell that calls another computer's own commands (rules M13, M14). */
final class OwnScript
{
    public static function of(StickPlan $plan, HostProfile $host): string
    {
        $work = $plan->mode === WriteMode::Raw ? self::raw($plan, $host) : self::files($plan, $host);

        return implode("\n", [
            ...OwnHead::head($plan, $host),
            ...OwnHead::guards($plan, $host),
            ...$work,
            '',
            'say "Done: what was written was read back and is as it should be."',
        ])."\n";
    }

    /** @return list<string> */
    private static function raw(StickPlan $plan, HostProfile $host): array
    {
        $call = new HostCall($host->commands);
        $bytes = $plan->image->expanded === null
            ? '$(expand | wc -c | tr -d " ")' : (string) $plan->image->expanded;

        return [
            '',
            '# ---- Byte for byte.',
            'if [ "$write" = no ]; then',
            '    say "+ write all of it onto $drive, from its first byte on" "+ read back and compare"; exit 0',
            'fi',
            'expand | '.$call->line('write', ['{drive}' => '"$drive"']),
            ...self::flushed($call),
            "bytes={$bytes}",
            'wanted=$(expand | '.$call->line('sum_stream').' | first)',
            'found=$('.$call->line('read', ['{drive}' => '"$drive"', '{bytes}' => '"$bytes"']).' | '
                .$call->line('sum_stream').' | first)',
            '[ "$found" = "$wanted" ] || stop "the stick reads back differently: use another port and write once more"',
        ];
    }

    /** @return list<string> */
    private static function files(StickPlan $plan, HostProfile $host): array
    {
        $call = new HostCall($host->commands);

        return [
            '',
            '# ---- The table, and one FAT32 volume over the whole stick, as this computer makes them.',
            'run '.$call->line('lay', [
                '{drive}' => '"$drive"',
                '{scheme}' => ShellText::command([$plan->layout->scheme->value ?? 'gpt']),
                '{label}' => ShellText::command([(string) $plan->label]),
            ]),
            '',
            '# ---- The files: out of the image, split where they must be, onto the stick.',
            'run mkdir "$scratch/all" "$scratch/files"',
            'run '.$call->line('unpack', ['{image}' => '"$image"', '{folder}' => '"$scratch/all"']),
            'put() { mkdir -p -- "$(dirname -- "$scratch/files/$2")" && mv -- "$1" "$scratch/files/$2"; }',
            ...self::each($plan, $call),
            'run '.$call->line('place', ['{folder}' => '"$scratch/files"', '{drive}' => '"$drive"']),
            ...self::flushed($call),
            '',
            '# ---- Read back past the cache, and compare every file.',
            'if [ "$write" = no ]; then say "+ read back and compare"; exit 0; fi',
            'mkdir "$scratch/back"',
            $call->line('take', ['{drive}' => '"$drive"', '{folder}' => '"$scratch/back"']),
            'sums() { find . -type f | sort | while IFS= read -r one; do',
            '    printf "%s %s\n" "$('.$call->line('sum', ['{file}' => '"$one"']).' | first)" "$one"; done; }',
            '(cd "$scratch/files" && sums) >"$scratch/wanted"',
            '(cd "$scratch/back" && sums) >"$scratch/found"',
            'cmp -s "$scratch/wanted" "$scratch/found" || stop "the stick reads back differently: use another port and '
                .'write once more"',
            'count=$(find "$scratch/back" -type f | wc -l | tr -d " ")',
            '[ "$count" = '.count($plan->files).' ] || stop "$count files are on the stick, '.count($plan->files)
                .' were planned"',
        ];
    }

    /** @return list<string> */
    private static function each(StickPlan $plan, HostCall $call): array
    {
        $lines = [];
        foreach ($plan->files as $file) {
            $to = ShellText::quoted($file->path);
            $from = '"$scratch/all/"'.ShellText::quoted($file->source);
            if ($file->text !== null) {
                array_push($lines, ...self::answers($file));
            } elseif ($file->from === 'drivers') {
                $lines[] = 'run mkdir -p -- "$scratch/files/"'.ShellText::quoted(dirname($file->path));
                $lines[] = 'run cp -- "$drivers/"'.ShellText::quoted($file->source)." \"\$scratch/files/\"{$to}";
            } elseif ($file->isPart()) {
                $lines[] = 'run mkdir -p -- "$scratch/files/"'.ShellText::quoted(dirname($file->path));
                $cut = $call->line('cut', [
                    '{file}' => $from, '{at}' => (string) $file->at, '{bytes}' => (string) $file->bytes,
                ]);
                $lines[] = "if [ \"\$write\" = yes ]; then {$cut} >\"\$scratch/files/\"{$to}; fi";
            } else {
                $lines[] = "run put {$from} {$to}";
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private static function answers(PlannedFile $file): array
    {
        $to = ShellText::quoted($file->path);
        $lines = explode("\n", (string) $file->text);
        $last = array_pop($lines);

        return [
            '# The answers of the first start: '.ShellText::comment($file->path),
            'mkdir -p -- "$scratch/files/"'.ShellText::quoted(dirname($file->path)),
            '{',
            ...array_map(static fn (string $line): string => "    printf '%s\\n' ".ShellText::quoted($line), $lines),
            "    printf '%s' ".ShellText::quoted($last),
            "} >\"\$scratch/files/\"{$to}",
        ];
    }

    /** @return list<string> */
    private static function flushed(HostCall $call): array
    {
        $line = $call->line('flush', ['{drive}' => '"$drive"']);

        return $line === '' ? [] : ["run {$line}"];
    }
}
