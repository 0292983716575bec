<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Modules, slots and tests of a machine (rules A4, A13). */
final readonly class MemoryBlock
{
    /**
     * @param  array<array-key, int>  $modules  name => GiB
     * @param  list<string>  $slots
     * @param  list<list<string>>  $populations
     * @param  list<TriedMemory>  $tests
     */
    public function __construct(
        public array $modules,
        public array $slots,
        public array $populations = [],
        public bool $soldered = false,
        public ?int $spareGib = null,
        public ?string $profile = null,
        public ?int $passes = null,
        public int|float|null $minutesPerGib = null,
        public array $tests = [],
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  the brief's memory block
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $document): self
    {
        return self::read(Fields::of($document));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('modules', 'slots');

        return new self(
            self::gibibytes($fields),
            $fields->strings('slots'),
            $fields->rows('populations'),
            $fields->optionalBool('soldered') ?? false,
            $fields->optionalInt('spare_gib'),
            $fields->optionalOneOf('profile', ['standard', 'faster']),
            $fields->optionalInt('passes'),
            $fields->optionalNumber('minutes_per_gib'),
            $fields->each('tests', TriedMemory::read(...)),
        );
    }

    /** @return array<array-key, int> */
    private static function gibibytes(Fields $fields): array
    {
        $modules = [];
        foreach (array_keys($fields->block('modules')->all()) as $name) {
            $modules[$name] = $fields->block('modules')->int((string) $name);
        }

        return $modules;
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
