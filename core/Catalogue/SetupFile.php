<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** A setup-information file of a package, as it was read when the package came onto the shelf (rule D2). */
final readonly class SetupFile
{
    /**
     * @param  string  $path  within the package
     * @param  bool  $signed  whether the catalogue of signatures that it names came with it
     * @param  list<SetupFileClaim>  $claims
     * @param  string|null  $date  as 2026-11-01
     */
    public function __construct(
        public string $path,
        public array $claims,
        public bool $signed = false,
        public ?string $provider = null,
        public ?string $version = null,
        public ?string $date = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('claims');

        return new self(
            $fields->string('path'),
            $fields->each('claims', SetupFileClaim::read(...)),
            $fields->optionalBool('signed') ?? false,
            $fields->optionalString('provider'),
            $fields->optionalString('version'),
            $fields->optionalString('date'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this, ['claims']);
    }
}
