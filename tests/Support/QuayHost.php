<?php

namespace Tests\Support;

use Symfony\Component\Process\Process;

/**
 * A stand-in for a computer with commands of its own, as the demo's catalogue describes them: they work on files in
 * place of drives. "quay:2" and "block:3" are the file it is made with.
 */
final class QuayHost
{
    private readonly string $tools;

    /** @var array<string, string> */
    private array $knows;

    public function __construct(string $folder, private readonly string $drive, string $serial = '', int $build = 7200)
    {
        $this->tools = "{$folder}/host";
        mkdir($this->tools);
        $this->knows = ['QUAY_SERIAL' => $serial, 'QUAY_BUILD' => (string) $build, 'QUAY_OPEN' => ''];
        $this->program('quaysum', <<<'SH'
            case ${2:-}-${1:-} in
                /in-*) sha256sum | tr a-f A-F ;;
                *-/bytes) wc -c <"$2" | tr -d ' ' ;;
                *) sha256sum <"$2" | tr a-f A-F | sed "s|-\$|$2|" ;;
            esac
            SH);
        $this->program('quaydisk', self::DRIVES);
        $this->program('seal', <<<'SH'
            case $1 in
                sum) if [ $# -gt 1 ]; then sha256sum "$2"; else sha256sum; fi ;;
                length) wc -c <"$2" | tr -d ' ' ;;
                mounts) exec quaydisk open "$2" ;;
                put) exec quaydisk write "$2" ;;
                get) exec quaydisk read "$2" "$3" ;;
                *) exec quaydisk "$@" ;;
            esac
            SH);
    }

    private const DRIVES = <<<'SH'
        verb=$1; shift
        case $verb in
            place) folder=$1; shift ;;
            unpack) exec 7zz x -y -bd "-o$2" -- "$1" >/dev/null ;;
            cut) exec sh -c 'tail -c +"$(($2 + 1))" "$1" | head -c "$3"' cut "$@" ;;
            build) echo "$QUAY_BUILD"; exit ;;
        esac
        case ${1:-} in quay:2|block:3) file=$QUAY_DRIVE ;; *) echo "no such drive: $1" >&2; exit 3 ;; esac
        volume="$file@@1048576"
        case $verb in
            bytes) wc -c <"$file" | tr -d ' ' ;;
            serial) echo "$QUAY_SERIAL" ;;
            open) echo "$QUAY_OPEN" ;;
            flush) sync "$file" ;;
            clear) dd if=/dev/zero of="$file" bs=1048576 count=1 conv=notrunc status=none ;;
            write) dd of="$file" bs=1048576 conv=notrunc status=none ;;
            read) head -c "$2" "$file" ;;
            lay)
                if [ "$2" = gpt ]; then label=gpt type=uefi; else label=dos type=0c; fi
                printf 'label: %s\nstart=2048, type=%s, bootable\n' "$label" "$type" | sfdisk --quiet "$file"
                sectors=$(sfdisk --json "$file" | sed -n 's/.*"size": \([0-9]*\).*/\1/p')
                mkfs.vfat -F 32 -n "$3" --offset 2048 "$file" "$((sectors / 2))" >/dev/null ;;
            place) (cd "$folder" && find . -mindepth 1 -maxdepth 1 -exec mcopy -s -Q -i "$volume" {} ::/ \;) ;;
            take) mcopy -s -Q -n -i "$volume" '::/*' "$2/" ;;
            *) exit 4 ;;
        esac
        SH;

    /** Replaces a command by one that does otherwise. */
    public function program(string $name, string $text): void
    {
        file_put_contents("{$this->tools}/{$name}", "#!/bin/sh\nset -eu\n{$text}\n");
        chmod("{$this->tools}/{$name}", 0755);
    }

    public function without(string $name): void
    {
        unlink("{$this->tools}/{$name}");
    }

    public function inUse(string $volume): void
    {
        $this->knows['QUAY_OPEN'] = $volume;
    }

    /** @return array{0: int, 1: string} how it ended, and all it said */
    public function runs(string $script, string $typed, string ...$options): array
    {
        $process = new Process(['dash', $script, ...$options], dirname($this->tools), [
            ...$this->knows,
            'QUAY_DRIVE' => $this->drive,
            'PATH' => "{$this->tools}:/usr/bin:/bin:/usr/sbin:/sbin",
            'MTOOLS_SKIP_CHECK' => '1',
        ], "{$typed}\n", 300);
        $process->run();

        return [(int) $process->getExitCode(), $process->getOutput().$process->getErrorOutput()];
    }
}
