<?php

declare(strict_types=1);

namespace Cobblestone\Document;

/** The lists and maps among the fields of a document. */
trait Lists
{
    /**
     * The texts of a list; none where the field is not there.
     *
     * @param  list<string>|null  $allowed
     * @return list<string>
     *
     * @throws DocumentFault
     */
    public function strings(string $name, ?array $allowed = null): array
    {
        $texts = [];
        foreach ($this->items($name) as $index => $value) {
            if (! is_string($value)) {
                throw DocumentFault::at($this->path("{$name}.{$index}"), 'a text is wanted.');
            }
            if ($allowed !== null && ! in_array($value, $allowed, true)) {
                throw DocumentFault::at($this->path("{$name}.{$index}"), self::choose($allowed));
            }
            $texts[] = $value;
        }

        return $texts;
    }

    /**
     * The numbers of a list; none where the field is not there.
     *
     * @return list<int|float>
     *
     * @throws DocumentFault
     */
    public function numbers(string $name): array
    {
        $numbers = [];
        foreach ($this->items($name) as $index => $value) {
            if (! is_int($value) && ! is_float($value)) {
                throw DocumentFault::at($this->path("{$name}.{$index}"), 'a number is wanted.');
            }
            $numbers[] = $value;
        }

        return $numbers;
    }

    /**
     * The single values of a map; none where the field is not there.
     *
     * @return array<string, bool|int|float|string>
     *
     * @throws DocumentFault
     */
    public function scalars(string $name): array
    {
        $scalars = [];
        foreach ($this->items($name) as $key => $value) {
            $scalars[(string) $key] = is_scalar($value) ? $value : throw DocumentFault::at($this->path("{$name}.{$key}"), 'a single value is wanted.');
        }

        return $scalars;
    }

    /**
     * The texts of a map; none where the field is not there.
     *
     * @return array<string, string>
     *
     * @throws DocumentFault
     */
    public function words(string $name): array
    {
        $words = [];
        foreach ($this->items($name) as $key => $value) {
            $words[(string) $key] = is_string($value) ? $value : throw DocumentFault::at($this->path("{$name}.{$key}"), 'a text is wanted.');
        }

        return $words;
    }

    /**
     * A list of lists of texts; none where the field is not there.
     *
     * @return list<list<string>>
     *
     * @throws DocumentFault
     */
    public function rows(string $name): array
    {
        $rows = [];
        foreach (array_keys($this->items($name)) as $index) {
            $rows[] = self::of($this->items($name), $this->path($name))->strings((string) $index);
        }

        return $rows;
    }

    /**
     * Single values or lists of texts, by name; none where the field is not there.
     *
     * @return array<string, bool|int|float|string|list<string>>
     *
     * @throws DocumentFault
     */
    public function facts(string $name): array
    {
        $facts = [];
        foreach (array_keys($this->items($name)) as $fact) {
            $block = self::of($this->items($name), $this->path($name));
            $facts[(string) $fact] = is_array($block->raw((string) $fact)) ? $block->strings((string) $fact) : $block->scalar((string) $fact);
        }

        return $facts;
    }

    /**
     * The blocks of a list or map; none where the field is not there.
     *
     * @return array<array-key, self>
     *
     * @throws DocumentFault
     */
    public function blocks(string $name): array
    {
        $blocks = [];
        foreach ($this->items($name) as $key => $value) {
            $blocks[$key] = self::of($value, $this->path("{$name}.{$key}"));
        }

        return $blocks;
    }

    /**
     * Each block of a list as a value of its type; none where the field is not there.
     *
     * @template T
     *
     * @param  callable(self): T  $read
     * @return list<T>
     *
     * @throws DocumentFault
     */
    public function each(string $name, callable $read): array
    {
        return array_values(array_map($read, $this->blocks($name)));
    }

    /** @return array<array-key, mixed> */
    private function items(string $name): array
    {
        $value = $this->values[$name] ?? [];

        return is_array($value) ? $value : throw $this->missing($name, 'a list is wanted.');
    }
}
