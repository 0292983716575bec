<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Memory;

use InvalidArgumentException;

/** The modules and slots a memory fault is looked for among, and which slots may be filled together (rule A4). */
final readonly class MemoryBench
{
    /** Modules and slots beyond which placements would be too many to try out here. */
    public const MOST = 8;

    /** The bench's own module, known good, when one that fits is at hand. */
    public const SPARE = 'bench module';

    /**
     * @param  array<string, int>  $modules  module => GiB
     * @param  list<string>  $slots
     * @param  list<list<string>>  $populations  slot sets that may be filled; empty where any may
     * @param  bool  $soldered  whether the memory cannot be taken out
     * @param  int|null  $spare  GiB of the bench's known-good module, null where none fits
     */
    private function __construct(
        public array $modules,
        public array $slots,
        public array $populations,
        public bool $soldered,
        public ?int $spare,
    ) {
    }

    /**
     * @param  array<string, int>  $modules
     * @param  list<string>  $slots
     * @param  list<list<string>>  $populations
     *
     * @throws InvalidArgumentException
     */
    public static function of(
        array $modules,
        array $slots,
        array $populations = [],
        bool $soldered = false,
        ?int $spare = null,
    ): self {
        if ($modules === [] || count($modules) > self::MOST || count($slots) > self::MOST) {
            throw new InvalidArgumentException('A memory sheet takes 1 to '.self::MOST.' modules and slots.');
        }
        if (count($slots) < count($modules) || count(array_unique($slots)) !== count($slots)) {
            throw new InvalidArgumentException('Name every slot once; there are at least as many slots as modules.');
        }
        foreach ($modules as $name => $gib) {
            if ($gib < 1 || $gib > 1024 || $name === self::SPARE) {
                throw new InvalidArgumentException("Module {$name}: its size is wanted in whole GiB, 1 to 1024.");
            }
        }
        foreach ($populations as $set) {
            if (array_diff($set, $slots) !== []) {
                throw new InvalidArgumentException(
                    'Slots '.implode(', ', $set).': a population rule names a slot that is not there.',
                );
            }
        }

        return new self($modules, $slots, $populations, $soldered, $spare);
    }

    /** @param  array<string, string>  $placed  module => slot */
    public function allows(array $placed): bool
    {
        if ($this->populations === []) {
            return true;
        }
        $slots = array_values($placed);
        sort($slots);
        foreach ($this->populations as $set) {
            sort($set);
            if ($set === $slots) {
                return true;
            }
        }

        return false;
    }

    /** @param  array<string, string>  $placed */
    public function gibibytes(array $placed): int
    {
        return array_sum(
            array_map(
                fn (string $module): int => $module === self::SPARE
                    ? (int) $this->spare
                    : $this->modules[$module] ?? 0,
                array_keys($placed),
            ),
        );
    }

    /**
     * Every placement of at least one module that the slots allow; with many modules only singles, pairs and the
     * whole set.
     *
     * @return list<array<string, string>>
     */
    public function placements(): array
    {
        if ($this->soldered) {
            return [array_combine(array_keys($this->modules), array_slice($this->slots, 0, count($this->modules)))];
        }
        $names = array_map(strval(...), array_keys($this->modules));
        $most = count($names) <= 4 && count($this->slots) <= 4 ? count($names) : 2;
        $found = [];
        $this->extend([], $names, $most, $found);
        if ($this->spare !== null) {
            foreach ($this->slots as $slot) {
                $found[] = [self::SPARE => $slot];
            }
        }
        if ($most < count($names)) {
            $found[] = array_combine($names, array_slice($this->slots, 0, count($names)));
        }

        return array_values(array_filter($found, $this->allows(...)));
    }

    /**
     * @param  array<string, string>  $placed
     * @param  list<string>  $left
     * @param  list<array<string, string>>  $found
     */
    private function extend(array $placed, array $left, int $most, array &$found): void
    {
        if ($placed !== []) {
            $found[] = $placed;
        }
        if (count($placed) === $most) {
            return;
        }
        foreach ($left as $index => $module) {
            foreach (array_diff($this->slots, $placed) as $slot) {
                $this->extend([...$placed, $module => $slot], array_slice($left, $index + 1), $most, $found);
            }
        }
    }
}
