<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

/** The facts of a state, and a note of every one that was asked: what a prediction rests on. */
final class Consulted
{
    /** @var array<string, true> */
    private array $names = [];

    public function __construct(private readonly BootState $state)
    {
    }

    /** @throws Undetermined */
    public function get(string $name): bool|int|float|string
    {
        $this->names[$name] = true;

        return $this->state->facts[$name] ?? throw Undetermined::fact($name);
    }

    /** The value where the machine has such a thing at all; null where it does not. */
    public function optional(string $name): bool|int|float|string|null
    {
        return array_key_exists($name, $this->state->facts) ? $this->get($name) : null;
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_keys($this->names);
    }
}
