<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build\Script;

use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\PlannedPartition;

/** The head of an exported script: what it needs, and what it refuses (rule M13). */
final class ScriptHead
{
    /** @return list<string> */
    public static function head(StickPlan $plan, ?HostProfile $host = null): array
    {
        $tools = $plan->mode === WriteMode::Raw
            ? ['dd', 'sha256sum', ...($plan->image->compression === null ? [] : [GuardedScript::expander($plan)[0]])]
            : self::tools($plan);

        $drivers = array_filter($plan->files, static fn (PlannedFile $file): bool => $file->from === 'drivers') !== [];

        return [
            '#!/usr/bin/env bash',
            '# Makes the stick: '.ShellText::comment($plan->title),
            '# from '.ShellText::comment($plan->image->file).'; written by Cobblestone.',
            '# It needs '.implode(', ', $tools).ScriptRoom::words($plan, false).'.',
            '#   make-stick.sh --image FILE --on DEVICE'.($drivers ? ' --drivers FOLDER' : '').' [--write]',
            '# Without --write it only shows what it would do. DEVICE is a whole stick or an image file of exactly '
                .'the planned size.',
            '# shellcheck disable=SC2016 # names are names: nothing in them is expanded',
            'set -euo pipefail',
            'export LC_ALL=C.UTF-8 MTOOLSRC=/dev/null PATH="$PATH:/usr/sbin:/sbin"',
            'image='.ShellText::quoted($plan->image->file).' device="" write=no'.($drivers ? ' drivers=""' : ''),
            'device_bytes='.$plan->device.' device_serial='.ShellText::quoted((string) $plan->serial),
            'image_bytes='.$plan->image->bytes.' image_sha256='.ShellText::quoted((string) $plan->image->sha256),
            'say() { printf "%s\n" "$*"; }',
            'stop() { printf "Stopped: %s\n" "$*" >&2; exit 1; }',
            '# Shows a command, and runs it only when writing was asked for.',
            'run() { printf "+"; printf " %q" "$@"; printf "\n"; if [ "$write" = yes ]; then "$@"; fi; }',
            ...self::options($drivers),
            ...array_map(
                static fn (string $tool): string => 'command -v '.ShellText::command([$tool]).' >/dev/null || stop '
                    .ShellText::quoted("{$tool} is missing on this computer".self::whence($tool, $host)),
                $tools,
            ),
        ];
    }

    /** @return list<string> */
    private static function image(): array
    {
        return [
            '[ -f "$image" ] || stop "there is no image $image"',
            '[ "$(stat -c %s -- "$image")" = "$image_bytes" ] || stop "$image has not the planned $image_bytes bytes"',
            'if [ -n "$image_sha256" ]; then',
            '    [ "$(sha256sum <"$image" | cut -d" " -f1)" = "$image_sha256" ] || stop "the checksum of $image is '
                .'not the planned one"',
            'fi',
        ];
    }

    /** @return list<string> */
    private static function options(bool $drivers): array
    {
        return [
            'while [ $# -gt 0 ]; do',
            '    case $1 in',
            '        --image) image=${2:?--image wants a file}; shift ;;',
            '        --on) device=${2:?--on wants a device}; shift ;;',
            ...($drivers ? ['        --drivers) drivers=${2:?--drivers wants a folder}; shift ;;'] : []),
            '        --write) write=yes ;;',
            '        *) stop "unknown option $1" ;;',
            '    esac',
            '    shift',
            'done',
        ];
    }

    private static function whence(string $tool, ?HostProfile $host): string
    {
        foreach ($host->lacks ?? [] as $one) {
            if ($one->tool === $tool) {
                return ": get {$one->get}";
            }
        }

        return '';
    }

    /** @return list<string> */
    private static function tools(StickPlan $plan): array
    {
        return [
            'dd',
            'sha256sum',
            'sfdisk',
            'mkfs.vfat',
            'mcopy',
            ...($plan->image->isFolder() ? [] : ['7zz']),
            ...(self::hasExfat($plan) ? ['mkfs.exfat', 'od'] : []),
            ...(self::hasAnswers($plan) ? ['base64'] : []),
        ];
    }

    /** @return list<string> */
    public static function guards(StickPlan $plan): array
    {
        return [
            '',
            '# ---- Is it the right image, and the right stick? Device paths prove nothing: size and serial do.',
            ...$plan->image->isFolder() ? [] : self::image(),
            ...self::stickGuards($plan),
            '[ "$write" = yes ] || say "Only showing what would be done; --write does it."',
            'scratch=$(mktemp -d)',
            'trap \'rm -rf -- "$scratch"\' EXIT',
            ...ScriptRoom::check($plan, false),
            '',
            '# ---- Nothing of an earlier life may be found again.',
            'run dd if=/dev/zero of="$device" bs='.BuildSteps::WIPE.' count=1 conv=notrunc,fsync status=none',
            'run dd if=/dev/zero of="$device" bs='.BuildSteps::WIPE.' count=1 seek='
                .max(0, $plan->device - BuildSteps::WIPE).' oflag=seek_bytes conv=notrunc,fsync status=none',
        ];
    }

    /** @return list<string> */
    private static function stickGuards(StickPlan $plan): array
    {
        return [
            '[ -n "$device" ] || stop "--on says which stick"',
            'if [ -b "$device" ]; then',
            '    [ "$(lsblk -dnro TYPE -- "$device")" = disk ] || stop "$device is no whole device"',
            '    [ "$(lsblk -dnbro SIZE -- "$device")" = "$device_bytes" ] || stop "$device has another size than '
                .'the planned $device_bytes bytes"',
            '    [ -z "$device_serial" ] || [ "$(lsblk -dnro SERIAL -- "$device")" = "$device_serial" ] || stop "the '
                .'serial of $device is not $device_serial"',
            '    [ -z "$(lsblk -nro MOUNTPOINT -- "$device" | tr -d "\n")" ] || stop "something on $device is mounted"',
            '    if [ "$write" = yes ]; then',
            '        wanted=$device_bytes; [ -z "$device_serial" ] || wanted=${device_serial: -4}',
            '        printf "Everything on %s will be lost. Type %s: " "$device" "$([ -z "$device_serial" ] && echo '
                .'"its size in bytes" || echo "the last four of the serial printed on it")"',
            '        read -r typed',
            '        [ "$typed" = "$wanted" ] || stop "that is not it; nothing was written"',
            '    fi',
            'else',
            '    [ -f "$device" ] || stop "there is no stick $device"',
            '    [ "$(stat -c %s -- "$device")" = "$device_bytes" ] || stop "$device has not the planned '
                .'$device_bytes bytes"',
            ...(
                $plan->sector === 512
                    ? []
                    : ["    stop \"a file has sectors of 512 bytes, the plan is for {$plan->sector}\""]
            ),
            'fi',
        ];
    }

    private static function hasExfat(StickPlan $plan): bool
    {
        return array_filter(
            $plan->layout->partitions ?? [],
            static fn (PlannedPartition $partition): bool => $partition->fat32 === null,
        ) !== [];
    }

    private static function hasAnswers(StickPlan $plan): bool
    {
        return array_filter($plan->files, static fn (PlannedFile $file): bool => $file->text !== null) !== [];
    }
}
