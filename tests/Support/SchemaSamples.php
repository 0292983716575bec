<?php

namespace Tests\Support;

/**
 * Documents made from a schema alone: the fullest it allows, and the same with one field taken away or spoiled.
 *
 * @phpstan-type Schema array<string, mixed>
 */
final class SchemaSamples
{
    /** @var array<string, mixed> */
    private array $definitions;

    /** @param  array<string, mixed>  $schema */
    public function __construct(private array $schema)
    {
        $this->definitions = $schema['$defs'] ?? ($schema['definitions'] ?? []);
    }

    public static function ofFile(string $path): self
    {
        return new self(json_decode((string) file_get_contents($path), true, 512, JSON_THROW_ON_ERROR));
    }

    /** Every field filled with something that differs from what its absence would mean. */
    public function full(): mixed
    {
        return $this->value($this->schema, 'x');
    }

    /**
     * Paths of fields, with what the schema says of each.
     *
     * @return array<string, array{required: bool, enum: bool}>
     */
    public function fields(): array
    {
        return $this->walk($this->schema, '');
    }

    /** @param  array<string, mixed>  $schema */
    private function value(array $schema, string $name): mixed
    {
        $schema = $this->resolved($schema);
        if (isset($schema['const'])) {
            return $schema['const'];
        }
        if (isset($schema['enum'])) {
            // Not the first: a value that a type takes for granted would hide that it never reads the field.
            return $schema['enum'][count($schema['enum']) - 1];
        }
        $types = (array) ($schema['type'] ?? 'object');

        return match ($types[0]) {
            'string' => $this->text($schema, $name),
            'integer' => max(7, (int) ($schema['minimum'] ?? 7)),
            'number' => isset($schema['maximum']) && $schema['maximum'] <= 1 ? 0.5 : 7.5,
            'boolean' => true,
            'array' => $this->items($schema, $name),
            default => $this->block($schema),
        };
    }

    /** @param  array<string, mixed>  $schema */
    private function text(array $schema, string $name): string
    {
        return match (true) {
            str_contains($schema['pattern'] ?? '', '{64}') => str_repeat('a', 64),
            str_contains($schema['pattern'] ?? '', ':') => 'pci:1234:5678',
            str_contains($schema['pattern'] ?? '', '\\d')
                || str_contains($schema['pattern'] ?? '', '[0-9]{4}') => '2026-11-24',
            default => strtolower(substr($name, 0, 20)),
        };
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return list<mixed>
     */
    private function items(array $schema, string $name): array
    {
        $count = max(1, (int) ($schema['minItems'] ?? 1));

        return array_fill(0, $count, $this->value($schema['items'] ?? [], $name));
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private function block(array $schema): array
    {
        $block = [];
        foreach ($schema['properties'] ?? [] as $name => $of) {
            $block[$name] = $this->value($of, $name);
        }
        if (! isset($schema['properties']) && is_array($schema['additionalProperties'] ?? null)) {
            $block['one'] = $this->value($schema['additionalProperties'], 'one');
        }

        return $block;
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private function resolved(array $schema): array
    {
        if (isset($schema['$ref'])) {
            return $this->resolved($this->definitions[basename($schema['$ref'])]);
        }
        foreach (['oneOf', 'anyOf'] as $choice) {
            if (isset($schema[$choice])) {
                $choices = array_map($this->resolved(...), $schema[$choice]);
                $lists = array_values(
                    array_filter($choices, static fn (array $one): bool => ($one['type'] ?? null) === 'array'),
                );

                return $lists[0] ?? $choices[count($choices) - 1];
            }
        }

        return $schema;
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, array{required: bool, enum: bool}>
     */
    private function walk(array $schema, string $at): array
    {
        $schema = $this->resolved($schema);
        $found = [];
        foreach ($schema['properties'] ?? [] as $name => $of) {
            $path = ltrim("{$at}.{$name}", '.');
            $inner = $this->resolved($of);
            $found[$path] = [
                'required' => in_array($name, $schema['required'] ?? [], true) &&
                    ! in_array('null', (array) ($inner['type'] ?? ''), true),
                'enum' => isset($inner['enum']),
            ];
            $found = [...$found, ...$this->walk($of, $path)];
        }
        if (($schema['type'] ?? null) === 'array') {
            $found = [...$found, ...$this->walk($schema['items'] ?? [], "{$at}.0")];
        }
        if (! isset($schema['properties']) && is_array($schema['additionalProperties'] ?? null)) {
            $found = [...$found, ...$this->walk($schema['additionalProperties'], "{$at}.one")];
        }

        return $found;
    }
}
