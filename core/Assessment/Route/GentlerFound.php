<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Route;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What is gentler than a job that loses what is on the machine (rule A3). */
final readonly class GentlerFound
{
    /**
     * @param  string|null  $why  what the owner wants it for; null while nobody has said
     * @param  list<WeighedRung>  $ladder  gentlest first
     */
    public function __construct(public ?string $why, public array $ladder)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->optionalString('why'), $fields->each('ladder', WeighedRung::read(...)));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'why' => $this->why,
            'ladder' => array_map(static fn (WeighedRung $rung): array => $rung->toArray(), $this->ladder),
        ];
    }
}
