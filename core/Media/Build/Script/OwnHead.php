<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build\Script;

use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\WriteMode;

/** The head of a script for a computer's own commands: what it needs, and what it refuses (rules M13, M14). */
final class OwnHead
{
    /** @return list<string> */
    public static function head(StickPlan $plan, HostProfile $host): array
    {
        $drivers = self::hasDrivers($plan);
        $tools = self::tools($plan, $host);

        return [
            '#!/bin/sh',
            '# Makes the stick: '.ShellText::comment($plan->title),
            '# from '.ShellText::comment($plan->image->file).', on '.ShellText::comment($host->name)
                .'; written by Cobblestone.',
            '# It needs '.implode(', ', $tools).ScriptRoom::words($plan, true).'.',
            ...self::builds($host),
            '#   sh make-stick.sh --image FILE --on DRIVE'.($drivers ? ' --drivers FOLDER' : '').' [--write]',
            '# Without --write it only shows what it would do. DRIVE is a whole drive, such as '
                .ShellText::comment($host->drive).':',
            '# '.ShellText::comment($host->drives).'.',
            '# shellcheck disable=SC2016 # names are names: nothing in them is expanded',
            'set -eu',
            'image='.ShellText::quoted($plan->image->file).' drive="" write=no'.($drivers ? ' drivers=""' : ''),
            'say() { printf "%s\n" "$@"; }',
            'stop() { printf "Stopped: %s\n" "$*" >&2; exit 1; }',
            "first() { sed -e 's/[[:space:]].*\$//' -e q | tr A-F a-f; }",
            '# Shows a command, and runs it only when writing was asked for.',
            'run() { printf "+"; printf " %s" "$@"; printf "\n"; if [ "$write" = yes ]; then "$@"; fi; }',
            ...self::options($drivers),
            ...array_map(static fn (string $tool): string => self::found($tool, $host), $tools),
            ...self::checkedBuild($host),
        ];
    }

    /** @return list<string> */
    private static function options(bool $drivers): array
    {
        return [
            'while [ $# -gt 0 ]; do',
            '    case $1 in',
            '        --image) image=${2:?--image wants a file}; shift ;;',
            '        --on) drive=${2:?--on wants a drive}; shift ;;',
            ...($drivers ? ['        --drivers) drivers=${2:?--drivers wants a folder}; shift ;;'] : []),
            '        --write) write=yes ;;',
            '        *) stop "unknown option $1" ;;',
            '    esac',
            '    shift',
            'done',
        ];
    }

    /** @return list<string> */
    public static function guards(StickPlan $plan, HostProfile $host): array
    {
        $call = new HostCall($host->commands);
        $drive = ['{drive}' => '"$drive"'];
        $serial = (string) $plan->serial;
        $typed = $serial === '' ? (string) $plan->device : substr($serial, -4);

        return [
            '',
            '# ---- Is it the right image, and the right drive? Names of drives prove nothing: size and serial do.',
            '[ -f "$image" ] || stop "there is no image $image"',
            ...self::image($plan, $call),
            ...self::hasDrivers($plan) ? ['[ -d "$drivers" ] || stop "--drivers wants the folder of drivers"'] : [],
            ...self::drive($plan, $host, $call),
            'scratch=$(mktemp -d)',
            'trap \'rm -rf -- "$scratch"\' EXIT',
            ...ScriptRoom::check($plan, true),
            'if [ "$write" = yes ]; then',
            '    printf "Everything on %s will be lost. Type %s: " "$drive" '.ShellText::quoted($serial === ''
                ? 'its size in bytes' : 'the last four of the serial printed on it'),
            '    read -r typed',
            '    [ "$typed" = '.ShellText::quoted($typed).' ] || stop "that is not it; nothing was written"',
            'else',
            '    say "Only showing what would be done; --write does it."',
            'fi',
            ...$host->commands->clear === [] ? [] : [
                '',
                '# ---- Nothing of an earlier life may be found again.',
                'run '.$call->line('clear', $drive),
            ],
        ];
    }

    /** @return list<string> */
    private static function drive(StickPlan $plan, HostProfile $host, HostCall $call): array
    {
        $drive = ['{drive}' => '"$drive"'];
        $serial = (string) $plan->serial;

        return [
            '[ -n "$drive" ] || stop "--on says which drive"',
            '[ "$('.$call->line('drive_bytes', $drive)." | first)\" = {$plan->device} ] || stop \"\$drive has not the "
                ."planned {$plan->device} bytes\"",
            ...$serial === '' || $host->commands->driveSerial === [] ? [] : [
                '[ "$('.$call->line('drive_serial', $drive).')" = '.ShellText::quoted($serial).' ] || stop "the serial '
                    .'of $drive is not the planned one"',
            ],
            ...$host->commands->inUse === [] ? [] : [
                'used=$('.$call->line('in_use', $drive).')',
                '[ -z "$used" ] || stop "something on $drive is in use: $used"',
            ],
        ];
    }

    /** @return list<string> */
    private static function image(StickPlan $plan, HostCall $call): array
    {
        $file = ['{file}' => '"$image"'];
        $lines = ['[ "$('.$call->line('bytes', $file)." | first)\" = {$plan->image->bytes} ] || stop \"\$image has not "
            ."the planned {$plan->image->bytes} bytes\""];
        if ($plan->image->sha256 !== null) {
            $lines[] = '[ "$('.$call->line('sum', $file).' | first)" = '.$plan->image->sha256.' ] || stop "the '
                .'checksum of $image is not the planned one"';
        }
        if ($plan->mode !== WriteMode::Raw) {
            return $lines;
        }
        if ($plan->image->compression === null) {
            return [...$lines, 'expand() { cat "$image"; }'];
        }
        $lines[] = 'expand() { '.implode(' ', GuardedScript::expander($plan)).' "$image"; }';
        if ($plan->image->sha256 === null) {
            // A plain shell sees only how a pipe ends, not how it begins: half an image would be written and proven.
            $lines[] = 'expand >/dev/null || stop "$image does not unpack whole: fetch it again"';
        }

        return $lines;
    }

    /** @return list<string> programs that are called */
    private static function tools(StickPlan $plan, HostProfile $host): array
    {
        $names = $plan->mode === WriteMode::Raw
            ? ['sum', 'bytes', 'drive_bytes', 'write', 'read', 'sum_stream', 'flush']
            : ['sum', 'bytes', 'drive_bytes', 'lay', 'unpack', 'cut', 'place', 'take', 'flush'];
        $tools = array_filter(array_map(
            static fn (string $name): ?string => $host->commands->of($name)[0] ?? null,
            [...$names, 'drive_serial', 'in_use', 'clear', 'build'],
        ));
        if ($plan->image->compression !== null && $plan->mode === WriteMode::Raw) {
            $tools[] = GuardedScript::expander($plan)[0];
        }

        return array_values(array_unique($tools));
    }

    private static function found(string $tool, HostProfile $host): string
    {
        $get = '';
        foreach ($host->lacks as $one) {
            $get = $one->tool === $tool ? ": get {$one->get}" : $get;
        }

        return 'command -v '.ShellText::command([$tool]).' >/dev/null 2>&1 || stop '
            .ShellText::quoted("{$tool} is missing on this computer{$get}");
    }

    /** @return list<string> */
    private static function builds(HostProfile $host): array
    {
        [$from, $to] = [$host->fromBuild, $host->toBuild];
        $range = match (true) {
            $from !== null && $to !== null => "builds {$from} to {$to}",
            $from !== null => "builds from {$from} on",
            $to !== null => "builds up to {$to}",
            default => null,
        };

        return $range === null ? [] : ["# Its commands are known on {$range} of the system there."];
    }

    /** @return list<string> */
    private static function checkedBuild(HostProfile $host): array
    {
        if ($host->commands->build === [] || ($host->fromBuild === null && $host->toBuild === null)) {
            return [];
        }
        $lines = ['build=$('.(new HostCall($host->commands))->line('build').' | first)'];
        if ($host->fromBuild !== null) {
            $lines[] = "[ \"\$build\" -ge {$host->fromBuild} ] || stop \"this computer has build \$build, and the "
                ."commands are known from {$host->fromBuild} on\"";
        }
        if ($host->toBuild !== null) {
            $lines[] = "[ \"\$build\" -le {$host->toBuild} ] || stop \"this computer has build \$build, and the "
                ."commands are known up to {$host->toBuild}\"";
        }

        return $lines;
    }

    private static function hasDrivers(StickPlan $plan): bool
    {
        return array_filter($plan->files, static fn (PlannedFile $file): bool => $file->from === 'drivers') !== [];
    }
}
