<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What starts an image: its signature, its signer, the ways it can start. */
final readonly class ImageLoader
{
    /**
     * @param  bool|null  $signed  null where nobody could tell
     */
    public function __construct(
        public ?bool $signed = null,
        public ?string $signer = null,
        public bool $legacy = false,
        public ?string $nextStage = null,
        public ?bool $uefi = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->optionalBool('signed'),
            $fields->optionalString('signer'),
            $fields->optionalBool('legacy') ?? false,
            $fields->optionalString('next_stage'),
            $fields->optionalBool('uefi'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this, ['signed']);
    }
}
