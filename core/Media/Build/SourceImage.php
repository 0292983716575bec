<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

use Cobblestone\Media\Inspection\ImageReport;

/** The image a stick is made from, as the plan names it. */
final readonly class SourceImage
{
    /** How the files are read where there is no image: out of a folder. */
    public const FOLDER = 'folder';

    /** What stands for the image's name then. */
    public const NONE = 'files';

    /**
     * @param  string  $file  its name without a folder
     * @param  string|null  $sha256  of the file as it is; null while nobody has hashed it
     * @param  string|null  $compression  gzip, bzip2, xz, zstd or zip
     * @param  int|null  $expanded  bytes when written raw; null where the format does not tell
     * @param  string|null  $tree  udf, iso or fat: how its files are read; or that they come out of a folder
     */
    public function __construct(
        public string $file,
        public int $bytes,
        public ?string $sha256,
        public ?string $compression,
        public ?int $expanded,
        public ?string $tree,
    ) {
    }

    /** Whether files of a folder stand for it. */
    public function isFolder(): bool
    {
        return $this->tree === self::FOLDER;
    }

    public static function of(ImageReport $report, ?string $sha256): self
    {
        return new self(
            $report->name,
            $report->bytes,
            $sha256,
            $report->compression['kind'] ?? null,
            $report->expanded(),
            $report->files['tree'] ?? null,
        );
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self(
            PlanFields::name($data, 'image.file'),
            PlanFields::whole($data, 'image.bytes'),
            PlanFields::maybeHash($data, 'image.sha256'),
            PlanFields::oneOf($data, 'image.compression', ['gzip', 'bzip2', 'xz', 'zstd', 'zip'], true),
            PlanFields::maybeWhole($data, 'image.expanded_bytes'),
            PlanFields::oneOf($data, 'image.tree', ['udf', 'iso', 'fat', self::FOLDER], true),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'file' => $this->file,
            'bytes' => $this->bytes,
            'sha256' => $this->sha256,
            'compression' => $this->compression,
            'expanded_bytes' => $this->expanded,
            'tree' => $this->tree,
        ];
    }
}
