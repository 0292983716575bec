<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Quantity\Bytes;

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
 * @phpstan-type Found array{
 *   path: string, where: string, place: string, architecture: string, bytes: int, fault: string|null,
 *   trust: string|null, because: string, signers: list<string>, digest: string|null
 * }
 */
final readonly class ImageReport
{
    public const KINDS = [
        'empty' => 'an empty file', 'unknown' => 'no image that is known '
            .'here', 'optical' => 'an optical image', 'optical-hybrid' => 'a hybrid optical image: it also has a '
            .'partition table',
        'raw' => 'a raw disk image', 'fat' => 'a FAT file system without a partition '
            .'table', 'device-restore' => 'a bundle that restores a device over a '
            .'cable', 'archive' => 'an archive of files',
    ];

    /**
     * @param  Compressed|null  $compression
     * @param  array<string, mixed>|null  $optical
     * @param  list<array<string, mixed>>  $startImages  of the boot catalogue
     * @param  array<string, mixed>|null  $table
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
        public ?array $compression,
        public ?array $optical,
        public array $startImages,
        public ?array $table,
        public ?string $label,
        public ?array $files,
        public array $loaders,
        public array $legacy,
        public array $damage,
        public array $notes,
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
            $fields->optional('compression', self::compressed(...)),
            $fields->has('optical') ? $fields->map('optical') : null,
            $fields->maps('start_images'),
            $fields->has('table') ? $fields->map('table') : null,
            $fields->optionalString('label'),
            $fields->optional('files', self::counted(...)),
            $fields->each('loaders', self::found(...)),
            ['raw' => $legacy->optionalBool('raw'), 'copied' => $legacy->optionalBool('copied')],
            $fields->strings('damage'),
            $fields->strings('notes'),
        );
    }

    /** @return Compressed */
    private static function compressed(Fields $fields): array
    {
        return [
            'kind' => $fields->string('kind'), 'expanded_bytes' => $fields->optionalInt('expanded_bytes'),
            'hint' => $fields->optionalString('hint'), 'members' => $fields->optionalInt('members') ?? 0, 'faults' => $fields->strings('faults'),
        ];
    }

    /** @return Counted */
    private static function counted(Fields $fields): array
    {
        $largest = $fields->optionalBlock('largest');

        return [
            'count' => $fields->int('count'), 'directories' => $fields->int('directories'), 'bytes' => $fields->int('bytes'),
            'largest' => $largest === null ? null : ['path' => $largest->string('path'), 'bytes' => $largest->int('bytes')],
            'complete' => $fields->optionalBool('complete') ?? true, 'tree' => $fields->optionalString('tree') ?? 'iso',
        ];
    }

    /** @return Found */
    private static function found(Fields $fields): array
    {
        return [
            'path' => $fields->string('path'), 'where' => $fields->string('where'), 'place' => $fields->string('place'),
            'architecture' => $fields->string('architecture'), 'bytes' => $fields->int('bytes'),
            'fault' => $fields->optionalString('fault'), 'trust' => $fields->optionalString('trust'),
            'because' => $fields->string('because'), 'signers' => $fields->strings('signers'), 'digest' => $fields->optionalString('digest'),
        ];
    }

    /** A file that could not be looked into at all, and why. */
    public static function unreadable(string $file, int $bytes, string $why): self
    {
        return new self($file, $bytes, 'unknown', null, null, [], null, null, null, [], ['raw' => false, 'copied' => false], [$why], []);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name, 'bytes' => $this->bytes, 'kind' => $this->kind, 'compression' => $this->compression, 'optical' => $this->optical, 'start_images' => $this->startImages, 'table' => $this->table,
            'label' => $this->label, 'files' => $this->files, 'loaders' => $this->loaders, 'legacy' => $this->legacy, 'damage' => $this->damage, 'notes' => $this->notes,
            'verdict' => ['what' => $this->what(), 'written_raw' => $this->starts('raw'), 'files_copied' => $this->starts('copied'), 'ways' => $this->ways(), 'damaged' => $this->isDamaged()],
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
        return ($this->files['count'] ?? 0) > 0 && in_array($this->kind, ['optical', 'optical-hybrid', 'fat'], true) && $this->compression === null;
    }

    /**
     * Loaders that firmware would find on a stick written that way.
     *
     * @param  string  $way  raw or copied
     * @return list<Found>
     */
    public function loadersWhen(string $way): array
    {
        return array_values(array_filter($this->loaders, static fn (array $loader): bool => $way === 'copied' ? $loader['where'] === 'files' : in_array($loader['where'], ['partition', 'volume'], true)));
    }

    /**
     * Architectures that start by UEFI from a stick written that way.
     *
     * @return list<string>
     */
    public function architectures(string $way): array
    {
        return array_values(array_unique(array_column(array_filter($this->loadersWhen($way), static fn (array $loader): bool => $loader['fault'] === null), 'architecture')));
    }

    public function what(): string
    {
        $what = self::KINDS[$this->kind];
        $packed = $this->compression === null ? '' : ", packed with {$this->compression['kind']}";

        return ucfirst($what).$packed.', '.Bytes::of($this->bytes)->decimal().($this->label === null || $this->label === '' ? '' : ", labelled \"{$this->label}\"").'.';
    }

    /** What a stick made that way can start on, in one sentence. */
    public function starts(string $way): string
    {
        if ($way === 'raw' ? ! $this->canBeRaw() : ! $this->canBeCopied()) {
            return $way === 'raw' ? 'It is not meant to be written raw'.($this->kind === 'optical' ? ': it has no '
                .'partition table that firmware would look for on a '
                .'stick.' : '.') : 'There is no tree of files to copy.';
        }
        $uefi = $this->architectures($way);
        $legacy = $this->legacy[$way] ?? null;
        $parts = array_filter([$uefi === [] ? '' : 'UEFI on '.implode(' and ', $uefi), $legacy ? 'legacy BIOS' : '']);
        $faults = array_map(static fn (array $loader): string => "{$loader['path']} {$loader['place']}: {$loader['fault']}", array_filter($this->loadersWhen($way), static fn (array $loader): bool => $loader['fault'] !== null));
        $tail = ($legacy === null ? ($way === 'raw' ? ' Whether its boot sector starts anything the old way cannot '
            .'be told.' : ' Its legacy loader starts from a disc; from a stick only with a boot sector of its '
            .'own.') : '')
            .($faults === [] ? '' : ' '.ucfirst(implode('; ', $faults)).'.');
        if ($parts === []) {
            return 'Nothing on it starts a machine by UEFI'.($legacy === false ? ', and nothing the old way' : '').'.'.$tail;
        }

        return 'Starts by '.implode(' and by ', $parts).'.'.$tail;
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
            $this->canBeRaw() ? 'Written raw, byte for byte'.($this->compression === null ? '.' : ', unpacked on '
                .'the way.') : null,
            $this->canBeCopied() ? 'Files copied onto a file system of ours.' : null,
        ]));
    }
}
