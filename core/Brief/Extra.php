<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Something that comes from neither publisher nor maker (rule A15). */
final readonly class Extra
{
    /** @param  string  $undo  what undoes it, of one that is put onto the finished system; empty: nothing does */
    public function __construct(
        public string $what,
        public string $source = '',
        public string $sha256 = '',
        public string $reason = '',
        public string $undo = '',
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('what'),
            $fields->optionalString('source') ?? '',
            $fields->optionalString('sha256') ?? '',
            $fields->optionalString('reason') ?? '',
            $fields->optionalString('undo') ?? '',
        );
    }

    /** Whether source, checksum and reason are all there. */
    public function isRecorded(): bool
    {
        return $this->source !== '' && $this->sha256 !== '' && $this->reason !== '';
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
