<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

/** A system's own splitter: its parts are no plain runs of bytes, so only the exported script makes them (rule M5). */
final readonly class Splitter
{
    /**
     * @param  list<string>  $command  argument array with {source}, {target} and {mebibytes}
     * @param  string  $pattern  names of the parts, with one %d counted from 1
     * @param  string  $source  the file that is split
     */
    public function __construct(public array $command, public string $pattern, public string $source)
    {
    }

    /** @throws PlanFault */
    public static function fromArray(mixed $data): self
    {
        $block = PlanFields::block(['splitter' => $data], 'splitter', 'a list of arguments is needed.');
        $command = is_array($block['command'] ?? null) ? $block['command'] : [];
        $words = array_values(array_filter($command, is_string(...)));
        if ($words === [] || count($words) !== count($command)) {
            throw PlanFault::at('splitter', 'a list of arguments is needed.');
        }
        $pattern = PlanFields::path($block, 'splitter.pattern');
        if (substr_count($pattern, '%') !== 1 || ! str_contains($pattern, '%d')) {
            throw PlanFault::at('splitter.pattern', 'names of parts with one %d are needed.');
        }

        return new self($words, $pattern, PlanFields::path($block, 'splitter.source'));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['command' => $this->command, 'pattern' => $this->pattern, 'source' => $this->source];
    }
}
