<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Model\BootEntry;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What a rehearsal starts from: the machine as it stands, and what the path will put on stick and drive. */
final readonly class BootScene
{
    /** The drive the path works on. */
    public const TARGET = 'drive';

    /**
     * @param  Medium|null  $stick  what will be on the stick once it is written
     * @param  Medium|null  $system  what will be on the target once the system is installed
     * @param  BootEntry|null  $systemEntry  the line its installer enters
     * @param  array<string, string>  $defaults  what the settings go back to by an update, by fact
     * @param  list<Quirk>  $quirks  what this model was seen to do otherwise
     */
    public function __construct(
        public BootState $state,
        public ?Medium $stick,
        public ?Medium $system,
        public ?BootEntry $systemEntry,
        public array $defaults = [],
        public array $quirks = [],
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        return self::read(Fields::of($data));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            BootState::read($fields->block('state')),
            $fields->optional('stick', Medium::read(...)),
            $fields->optional('system', Medium::read(...)),
            $fields->optional('system_entry', BootEntry::read(...)),
            $fields->words('defaults'),
            $fields->each('quirks', Quirk::read(...)),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'state' => $this->state->toArray(),
            'stick' => $this->stick?->toArray(),
            'system' => $this->system?->toArray(),
            'system_entry' => $this->systemEntry?->toArray(),
            'defaults' => $this->defaults,
            'quirks' => array_map(static fn (Quirk $quirk): array => $quirk->toArray(), $this->quirks),
        ];
    }
}
