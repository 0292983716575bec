<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** One thing that has to hold between the power button and where one wanted to be. */
final readonly class Stone
{
    /** What may stand between, in order; the drawing sets a stone for each that is asked for. */
    public const NAMES = [
        'power',
        'firmware',
        'choice',
        'device',
        'table',
        'volume',
        'loader',
        'program',
        'signature',
        'next stage',
        'boot sector',
        'system',
        'key',
        'drives',
    ];

    public function __construct(
        public string $name,
        public bool $holds,
        public string $words,
        public ?Cause $cause = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->bool('holds'),
            $fields->string('words'),
            $fields->optionalEnum('cause', Cause::class),
        );
    }

    /** @return array{name: string, holds: bool, words: string, cause: string|null} */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'holds' => $this->holds,
            'words' => $this->words,
            'cause' => $this->cause?->value,
        ];
    }
}
