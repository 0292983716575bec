<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** One thing that can be picked on a page of an installer, and what happens then. */
final readonly class InstallerOption
{
    /** What picking it comes to. */
    public const DOES = [
        'install', 'live', 'repair', 'keep', 'erase', 'beside', 'by-hand', 'skip', 'type', 'go-on', 'other',
    ];

    public function __construct(public string $words, public string $does, public string $then)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->string('words'), $fields->oneOf('does', self::DOES), $fields->string('then'));
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
