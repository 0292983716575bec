<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Reading\TableReading;

/**
 * What an image is, what it can start on and how it may be written: findings as data, verdicts in words from them
 * (rule M2).
 *
 * @phpstan-type Compressed array{kind: string, expanded_bytes: int|null, hint: string|null, members: int,
 *   faults: list<string>}
 * @phpstan-type Counted array{
 *   count: int, directories: int, bytes: int, largest: array{path: string, bytes: int}|null, complete: bool,
 *   tree: string
 * }
 * @phpstan-type StartImage array{
 *   platform: string, bootable: bool, media: int, at: int, bytes: int, measured: bool
 * }
 * @phpstan-type Optical array{
 *   iso9660: bool, joliet: bool, rock_ridge: bool, udf: bool, label: string|null, stated_bytes: int|null
 * }
 * @phpstan-type Found array{
 *   path: string, where: string, place: string, architecture: string, bytes: int, fault: string|null,
 *   trust: string|null, because: string, signers: list<string>, digest: string|null
 * }
 */
final readonly class ImageReport
{
    /**
     * @param  Compressed|null  $compression
     * @param  Optical|null  $optical
     * @param  list<StartImage>  $startImages  of the boot catalogue
     * @param  TableReading|null  $table  null where it has none
     * @param  Counted|null  $files
     * @param  list<Found>  $loaders
     * @param  array{raw: bool|null, copied: bool|null}  $legacy  whether the old way of starting works; null: cannot
     *     tell
     * @param  list<string>  $damage
     * @param  list<string>  $notes
     */
    public function __construct(
        public string $name,
        public int $bytes,
        public string $kind,
        public ?array $compression = null,
        public ?array $optical = null,
        public array $startImages = [],
        public ?TableReading $table = null,
        public ?string $label = null,
        public ?array $files = null,
        public array $loaders = [],
        public array $legacy = ['raw' => false, 'copied' => false],
        public array $damage = [],
        public array $notes = [],
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        $fields = Fields::of($data);
        $legacy = $fields->block('legacy');

        return new self(
            $fields->string('name'), $fields->int('bytes'), $fields->string('kind'),
            $fields->optional('compression', ReportParts::compressed(...)),
            $fields->optional('optical', ReportParts::optical(...)),
            $fields->each('start_images', ReportParts::startImage(...)),
            $fields->optional('table', TableReading::read(...)),
            $fields->optionalString('label'),
            $fields->optional('files', ReportParts::counted(...)),
            $fields->each('loaders', ReportParts::found(...)),
            ['raw' => $legacy->optionalBool('raw'), 'copied' => $legacy->optionalBool('copied')],
            $fields->strings('damage'),
            $fields->strings('notes'),
        );
    }

    /** A file that could not be looked into at all, and why. */
    public static function unreadable(string $file, int $bytes, string $why): self
    {
        return new self($file, $bytes, 'unknown', damage: [$why]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'bytes' => $this->bytes,
            'kind' => $this->kind,
            'compression' => $this->compression,
            'optical' => $this->optical,
            'start_images' => $this->startImages,
            'table' => $this->table?->toArray(),
            'label' => $this->label,
            'files' => $this->files,
            'loaders' => $this->loaders,
            'legacy' => $this->legacy,
            'damage' => $this->damage,
            'notes' => $this->notes,
            'verdict' => [
                'what' => $this->what(),
                'written_raw' => $this->starts('raw'),
                'files_copied' => $this->starts('copied'),
                'ways' => $this->ways(),
                'damaged' => $this->isDamaged(),
            ],
        ];
    }

    public function isDamaged(): bool
    {
        return $this->damage !== [];
    }

    /** Bytes on a stick when written raw; null where the format does not tell. */
    public function expanded(): ?int
    {
        return $this->compression === null ? $this->bytes : $this->compression['expanded_bytes'];
    }

    public function canBeRaw(): bool
    {
        return in_array($this->kind, ['raw', 'optical-hybrid', 'fat'], true);
    }

    public function canBeCopied(): bool
    {
        return ($this->files['count'] ?? 0) > 0
            && in_array($this->kind, ['optical', 'optical-hybrid', 'fat'], true)
            && $this->compression === null;
    }

    /**
     * Loaders that firmware would find on a stick written that way.
     *
     * @param  string  $way  raw or copied
     * @return list<Found>
     */
    public function loadersWhen(string $way): array
    {
        return array_values(array_filter(
            $this->loaders,
            static fn (array $loader): bool => $way === 'copied'
                ? $loader['where'] === 'files'
                : in_array($loader['where'], ['partition', 'volume'], true),
        ));
    }

    /**
     * Architectures that start by UEFI from a stick written that way.
     *
     * @return list<string>
     */
    public function architectures(string $way): array
    {
        return array_values(array_unique(array_column(
            array_filter($this->loadersWhen($way), static fn (array $loader): bool => $loader['fault'] === null),
            'architecture',
        )));
    }

    public function what(): string
    {
        return ImageWords::what($this);
    }

    /** What a stick made that way can start on, in one sentence. */
    public function starts(string $way): string
    {
        return ImageWords::starts($this, $way);
    }

    /** @return list<string> how it may be written */
    public function ways(): array
    {
        if ($this->kind === 'device-restore') {
            return ['Restored to the device over a cable; a stick is of no use.'];
        }
        if ($this->kind === 'unknown' || $this->kind === 'empty' || $this->kind === 'archive') {
            return [];
        }

        return array_values(array_filter([
            $this->canBeRaw()
                ? 'Written raw, byte for byte'.($this->compression === null ? '.' : ', unpacked on the way.')
                : null,
            $this->canBeCopied() ? 'Files copied onto a file system of ours.' : null,
        ]));
    }
}
