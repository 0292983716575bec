<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Cobblestone\Brief\BriefFault;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\InvalidQuantity;

/** Fields of a form as they were typed: text, sizes, lists; empty is nothing. */
trait TypedFields
{
    private function text(string $field): ?string
    {
        $value = $this->typed[$field] ?? null;
        $text = is_scalar($value) ? trim((string) $value) : '';

        return $text === '' ? null : $text;
    }

    /** @return list<string>|null null where nothing was typed */
    private function list(string $field): ?array
    {
        $parts = array_map(trim(...), preg_split('/[\n,]/', (string) $this->text($field)) ?: []);

        $parts = array_values(array_filter($parts, static fn (string $part): bool => $part !== ''));

        return $parts === [] ? null : $parts;
    }

    /** @throws BriefFault */
    private function size(string $field, string $path): ?int
    {
        $text = $this->text($field);
        try {
            return $text === null ? null : Bytes::parse($text)->count;
        } catch (InvalidQuantity $e) {
            throw BriefFault::at($path, $e->getMessage());
        }
    }

    /**
     * The block with a field set as typed, taken out where it was emptied, left where the form does not have it.
     *
     * @param  array<string, mixed>  $block
     * @return array<string, mixed>
     */
    private function setting(array $block, string $key, string $field, mixed $value): array
    {
        if (! array_key_exists($field, $this->typed)) {
            return $block;
        }
        unset($block[$key]);

        return $value === null ? $block : [...$block, $key => $value];
    }
}
