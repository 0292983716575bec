<?php

declare(strict_types=1);

namespace Cobblestone\Document;

use BackedEnum;
use stdClass;

/** The lists and maps among the fields of a document. */
trait Lists
{
    /**
     * The texts of a list; none where the field is not there.
     *
     * @param  list<string>|null  $allowed
     * @return list<string>
     *
     * @throws FieldFault
     */
    public function strings(string $name, ?array $allowed = null): array
    {
        $texts = [];
        foreach ($this->items($name) as $index => $value) {
            $text = is_string($value) ? $value : throw $this->wanted("{$name}.{$index}", 'a text');
            if ($allowed !== null && ! in_array($text, $allowed, true)) {
                throw FieldFault::at($this->path("{$name}.{$index}"), self::choose($allowed));
            }
            $texts[] = $text;
        }

        return $texts;
    }

    /**
     * The cases of a list; none where the field is not there.
     *
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return list<T>
     *
     * @throws FieldFault
     */
    public function enums(string $name, string $enum): array
    {
        $cases = [];
        foreach (array_keys($this->items($name)) as $index) {
            $cases[] = self::of($this->items($name), $this->path($name))->enum((string) $index, $enum);
        }

        return $cases;
    }

    /**
     * A list of maps of texts; none where the field is not there.
     *
     * @return list<array<string, string>>
     *
     * @throws FieldFault
     */
    public function records(string $name): array
    {
        $records = [];
        foreach (array_keys($this->items($name)) as $index) {
            $records[] = self::of($this->items($name), $this->path($name))->words((string) $index);
        }

        return $records;
    }

    /**
     * The numbers of a list; none where the field is not there.
     *
     * @return list<int|float>
     *
     * @throws FieldFault
     */
    public function numbers(string $name): array
    {
        $numbers = [];
        foreach ($this->items($name) as $at => $value) {
            $numbers[] = is_int($value) || is_float($value) ? $value : throw $this->wanted("{$name}.{$at}", 'a number');
        }

        return $numbers;
    }

    /**
     * The single values of a map; none where the field is not there.
     *
     * @return array<string, bool|int|float|string>
     *
     * @throws FieldFault
     */
    public function scalars(string $name): array
    {
        $all = [];
        foreach ($this->items($name) as $key => $value) {
            $all[(string) $key] = is_scalar($value) ? $value : throw $this->wanted("{$name}.{$key}", 'a single value');
        }

        return $all;
    }

    /**
     * The texts of a map; none where the field is not there.
     *
     * @return array<string, string>
     *
     * @throws FieldFault
     */
    public function words(string $name): array
    {
        $words = [];
        foreach ($this->items($name) as $key => $value) {
            $words[(string) $key] = is_string($value) ? $value : throw $this->wanted("{$name}.{$key}", 'a text');
        }

        return $words;
    }

    /**
     * A list of lists of texts; none where the field is not there.
     *
     * @return list<list<string>>
     *
     * @throws FieldFault
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
     * A map whose values somebody else reads; empty where the field is not there.
     *
     * @return array<string, mixed>
     *
     * @throws FieldFault
     */
    public function map(string $name): array
    {
        $map = [];
        foreach ($this->items($name) as $key => $value) {
            $map[(string) $key] = $value;
        }

        return $map;
    }

    /**
     * A list of such maps.
     *
     * @return list<array<string, mixed>>
     *
     * @throws FieldFault
     */
    public function maps(string $name): array
    {
        $maps = [];
        foreach (array_keys($this->items($name)) as $index) {
            $maps[] = self::of($this->items($name), $this->path($name))->map((string) $index);
        }

        return $maps;
    }

    /**
     * Single values or lists of texts, by name; none where the field is not there.
     *
     * @return array<string, bool|int|float|string|list<string>>
     *
     * @throws FieldFault
     */
    public function facts(string $name): array
    {
        $facts = [];
        $block = self::of($this->items($name), $this->path($name));
        foreach (array_keys($this->items($name)) as $fact) {
            $facts[(string) $fact] = $block->told((string) $fact)
                ?? throw FieldFault::at($block->path((string) $fact), 'a single value is wanted.');
        }

        return $facts;
    }

    /**
     * A single value or a list of texts; null where the field is not there.
     *
     * @return bool|int|float|string|list<string>|null
     *
     * @throws FieldFault
     */
    public function told(string $name): bool|int|float|string|array|null
    {
        return is_array($this->raw($name)) ? $this->strings($name) : $this->optionalScalar($name);
    }

    /**
     * The blocks of a list or map; none where the field is not there.
     *
     * @return array<array-key, self>
     *
     * @throws FieldFault
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
     * @throws FieldFault
     */
    public function each(string $name, callable $read): array
    {
        return array_values(array_map($read, $this->blocks($name)));
    }

    private function wanted(string $name, string $what): FieldFault
    {
        return FieldFault::at($this->path($name), "{$what} is wanted.");
    }

    /** @return array<array-key, mixed> */
    private function items(string $name): array
    {
        $value = $this->values[$name] ?? [];
        $value = $value instanceof stdClass ? (array) $value : $value;

        return is_array($value) ? $value : throw $this->missing($name, 'a list is wanted.');
    }
}
