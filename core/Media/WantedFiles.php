<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Stick;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Runbook\Plan;
use Cobblestone\Storage\Scheme;

/** A stick of plain files that a path wants: FAT32, every file where it is looked for (rules F5, M8). */
final readonly class WantedFiles
{
    /**
     * @param  list<WantedFile>  $files  empty where they are the folder with the job's drivers
     * @param  string|null  $stick  its number in the register; null where none fits
     */
    public function __construct(
        public FilesFor $for,
        public array $files,
        public ?string $stick,
        public Scheme $scheme = Scheme::Mbr,
    ) {
    }

    public static function drivers(?Stick $stick): self
    {
        return new self(FilesFor::Drivers, [], $stick?->id);
    }

    /**
     * Null where the path wants none.
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function of(Plan $plan): ?self
    {
        return $plan->assessment->optional('files', self::read(...));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->enum('for', FilesFor::class),
            $fields->each('files', WantedFile::read(...)),
            $fields->optionalString('stick'),
            $fields->enum('scheme', Scheme::class),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
