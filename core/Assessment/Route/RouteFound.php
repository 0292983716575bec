<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Route;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Runbook\Question;

/** Which way was found: the gentlest that can work, and all others beside it (rule A3). */
final readonly class RouteFound
{
    /**
     * @param  string|null  $recommended  id of the rung; null where nothing on the ladder can work
     * @param  string|null  $title  its title
     * @param  bool  $provisional  whether a gentler one is still possible
     * @param  list<WeighedRung>  $ladder  gentlest first
     * @param  Question|null  $settles  the one answer that would change it most
     */
    public function __construct(
        public ?string $recommended,
        public ?string $title,
        public bool $provisional,
        public array $ladder,
        public ?Question $settles,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->optionalString('recommended'),
            $fields->optionalString('title'),
            $fields->bool('provisional'),
            $fields->each('ladder', WeighedRung::read(...)),
            $fields->optional('settles', Question::read(...)),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'recommended' => $this->recommended,
            'title' => $this->title,
            'provisional' => $this->provisional,
            'ladder' => array_map(static fn (WeighedRung $rung): array => $rung->toArray(), $this->ladder),
            'settles' => $this->settles?->toArray(),
        ];
    }
}
