<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Closure;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\TableReader;
use Cobblestone\Storage\Reading\TableReading;

/** Looks into an image without reading all of it: what it is, starts on, and how it may be written (rule M2). */
final class ImageInspector
{
    /** So much of what is compressed is unpacked to look at its table and loaders. */
    public const HEAD = 67_108_864;

    private const RESTORE_MANIFEST = 'restore-manifest.json';

    private const FILE_LIMIT = 50_000;

    private readonly LoaderSearch $loaders;

    /** @var list<string> */
    private array $damage = [];

    /** @var list<string> */
    private array $notes = [];

    private bool $whole = true;

    private ?FileCount $files = null;

    private ?string $label = null;

    /** @param  string|null  $nextStage  path of the loader that the first one loads, where the catalogue knows it */
    private function __construct(
        private readonly InspectionTools $tools,
        Signers $signers,
        ?string $nextStage,
    ) {
        $this->loaders = new LoaderSearch($tools->signatures(), $signers, $nextStage);
    }

    public static function inspect(
        ByteSource $file,
        string $name,
        InspectionTools $tools,
        Signers $signers,
        ?string $nextStage = null,
    ): ImageReport {
        return (new self($tools, $signers, $nextStage))->look($file, mb_scrub($name));
    }

    private function look(ByteSource $file, string $name): ImageReport
    {
        if ($file->size() === 0) {
            return new ImageReport($name, 0, 'empty', damage: ['The file is empty.']);
        }
        $compression = Compression::detect($file);
        if ($compression === null) {
            return $this->content($file, $name, $file->size(), null);
        }
        $this->whole = false;
        array_push($this->damage, ...$compression->faults);
        $kind = $compression->kind === 'zip' ? $this->zipKind($compression) : null;
        $content = $kind === null ? $this->head($compression) : null;
        if ($content === null) {
            return new ImageReport(
                $name,
                $file->size(),
                $kind ?? 'unknown',
                $compression->toArray(),
                label: $this->label,
                files: $this->files?->toArray(),
                damage: $this->damage,
                notes: $this->notes,
            );
        }

        return $this->content($content, $name, $file->size(), $compression);
    }

    private function content(ByteSource $content, string $name, int $bytes, ?Compression $compression): ImageReport
    {
        $optical = OpticalVolume::read($content);
        $catalogue = ElTorito::read($content);
        $table = $this->table($content, $optical, $catalogue);
        $this->label = $optical?->label;
        $fat = $optical === null && $table->scheme === 'none' ? FatVolume::open($content) : null;
        $kind = ImageKind::of($optical, $table, $fat);
        $this->inPartitions($table, $content, $kind);
        if ($fat !== null) {
            $this->inVolume($fat, 'volume', 'in the file system');
            $this->countFat($fat);
        }
        array_push($this->notes, ...$this->loaders->inStartImages($catalogue, $content, $this->whole));
        if ($optical !== null && $this->whole) {
            $this->listed(fn () => $this->inFiles($optical));
        }
        $legacy = ImageKind::startsOldWay($kind, $table, $content);

        return new ImageReport(
            $name,
            $bytes,
            $kind,
            $compression?->toArray(),
            $optical?->toArray(),
            $catalogue->entries ?? [],
            $table->scheme === 'none' ? null : $table,
            $this->label,
            $this->files?->toArray(),
            array_map(static fn (FoundLoader $loader): array => $loader->toArray(), $this->loaders->found),
            ['raw' => $legacy, 'copied' => $catalogue !== null && $catalogue->starts('BIOS') ? null : false],
            array_values(array_unique($this->damage)),
            $this->notes);
    }

    private function table(ByteSource $content, ?OpticalVolume $optical, ?ElTorito $catalogue): TableReading
    {
        $table = TableReader::read($content, $optical !== null);
        // Of a compressed image only the start is at hand: that its end is missing is no damage.
        array_push($this->damage, ...($this->whole ? $table->faults : []), ...($catalogue->faults ?? []));
        array_push($this->notes, ...$table->notes);
        if ($this->whole && $optical?->stated !== null && $optical->stated > $content->size()) {
            $this->damage[] = 'The optical volume states '.Bytes::of($optical->stated)->exact().', the file has '
                .Bytes::of($content->size())->exact().': its end is missing.';
        }

        return $table;
    }

    /**
     * A zip of one file is that file compressed; one with a restore manifest restores a device; others are archives.
     */
    private function zipKind(Compression $zip): ?string
    {
        if ($zip->members === 1) {
            return null;
        }
        $kind = 'archive';
        $this->listed(function () use (&$kind): void {
            foreach ($this->tools->tree('zip')?->entries() ?? [] as $entry) {
                $kind = basename($entry['path']) === self::RESTORE_MANIFEST ? 'device-restore' : $kind;
            }
        });

        return $kind;
    }

    /** What cannot be listed is said, with the reason; all else of the image is looked at as before. */
    private function listed(Closure $look): void
    {
        try {
            $look();
        } catch (ListingFailed $e) {
            $this->files = null;
            $this->damage[] = "The files inside cannot be listed: {$e->getMessage()}. No image made in good faith "
                .'needs that.';
        }
    }

    private function head(Compression $compression): ?ByteSource
    {
        $head = $this->tools->expandHead($compression->kind, self::HEAD);
        if ($head === null || $head->size() === 0) {
            $this->damage[] = "Nothing comes out of the {$compression->kind} file: it is damaged.";

            return null;
        }
        if ($compression->expanded === null && $compression->hint !== null) {
            $this->notes[] = ucfirst($compression->hint).'.';
        }

        return $compression->expanded === null
            || $compression->expanded <= $head->size() ? $head : new PartlyKnown($head, $compression->expanded);
    }

    private function inPartitions(TableReading $table, ByteSource $content, string $kind): void
    {
        foreach (array_slice($table->volumes(), 0, 32) as $partition) {
            $volume = FatVolume::open($table->open($partition, $content));
            if ($volume === null) {
                continue;
            }
            $sectors = $volume->geometry['sectors'] * $volume->geometry['sector'];
            if ($this->whole && $sectors > $partition->sectors * $table->sector) {
                $this->damage[] = "The file system of partition {$partition->number} is larger than the partition.";
            }
            $this->inVolume($volume, 'partition', "in partition {$partition->number}");
            if ($kind === 'raw' && $this->label === null) {
                $this->label = $volume->label();
            }
        }
    }

    private function inVolume(FatVolume $volume, string $where, string $place): void
    {
        array_push($this->notes, ...$this->loaders->inVolume($volume, $where, $place, $this->whole));
    }

    private function countFat(FatVolume $volume): void
    {
        $this->label = $volume->label();
        $entries = [];
        foreach ($volume->files(self::FILE_LIMIT) as $path => $entry) {
            $entries[] = ['path' => (string) $path, 'bytes' => $entry->size, 'directory' => false];
        }
        $this->files = FileCount::of(new ListedFiles($entries), 'fat');
        $this->loaders->alsoAmongFiles();
    }

    private function inFiles(OpticalVolume $optical): void
    {
        $kind = 'udf';
        $tree = $optical->udf ? $this->tools->tree($kind) : null;
        if ($tree === null) {
            $kind = 'iso';
            $tree = $this->tools->tree($kind);
        }
        if ($tree === null) {
            $this->damage[] = 'The list of files cannot be read.';

            return;
        }
        $this->files = FileCount::of($tree, $kind);
        if ($this->files->links > 0) {
            $this->notes[] = $this->files->links === 1
                ? 'One link is left out when files are copied: FAT has none.'
                : "{$this->files->links} links are left out when files are copied: FAT has none.";
        }
        $this->loaders->inTree($tree, $this->files->loaders);
    }
}
