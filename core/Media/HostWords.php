<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Catalogue\HostTool;
use Cobblestone\Catalogue\Image;

/** What is typed where a stick is made: on this bench, or on another computer with commands of its own (rule M13). */
final readonly class HostWords
{
    /** @param  HostProfile|null  $host  null: this bench */
    public function __construct(public ?HostProfile $host)
    {
    }

    public function where(): string
    {
        return $this->host === null ? 'the bench computer' : $this->host->name;
    }

    /** The command that prints a file's SHA-256 there. */
    public function sum(string $file): string
    {
        return $this->host === null ? "sha256sum {$file}" : $this->host->commands->typed('sum', ['{file}' => $file]);
    }

    /** The command that lists drives with size and serial there. */
    public function drives(string $here): string
    {
        return $this->host === null ? $here : $this->host->commands->typed('drives', []);
    }

    /** @return list<string> resources that work there takes beside those of the stone */
    public function needs(): array
    {
        return $this->host === null ? ['bench computer'] : [];
    }

    /** @return list<string> how the script is run there, what it lacks, what drives are called */
    public function writing(Image $image, WriteMode $mode): array
    {
        if ($this->host === null) {
            return [];
        }

        return [
            'Take the script for it from the *Stick* page of this job. Without `--write` it only shows what it would '
                .'do.',
            "Run it with `--on` and the drive, such as `{$this->host->drive}`: {$this->host->drives}.",
            ...array_map(
                static fn (HostTool $one): string => "Have `{$one->tool}` there before: {$one->get}.",
                HostFit::lacks($this->host, $mode, $image->compression),
            ),
            'It compares size, serial and checksum, and asks for the last four, before it writes anything.',
        ];
    }
}
