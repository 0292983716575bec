<?php

declare(strict_types=1);

namespace Cobblestone\Document;

/**
 * What makes one document out of another. A change is itself a document, one of
 *   {to: value}                               another value;
 *   {in: {key: change}, order: [key]}         a block: what is not in the order is gone, what is not changed stays;
 *   {items: {id: change}, order: [id]}        the same for a list of blocks that each have an id of their own.
 * Order is part of a document and is kept; without an order it is the old one.
 */
final class Change
{
    /** @return array<string, mixed> empty where nothing changed */
    public static function between(mixed $old, mixed $new): array
    {
        if ($old === $new) {
            return [];
        }
        if (! is_array($old) || ! is_array($new)) {
            return ['to' => $new];
        }
        if (array_is_list($old) || array_is_list($new)) {
            [$before, $after] = [self::byId($old), self::byId($new)];

            return $before === null || $after === null ? ['to' => $new] : self::parts('items', $before, $after);
        }

        return self::parts('in', $old, $new);
    }

    /** @param  array<array-key, mixed>  $change */
    public static function apply(mixed $old, array $change): mixed
    {
        if ($change === []) {
            return $old;
        }
        if (array_key_exists('to', $change)) {
            return $change['to'];
        }
        $old = is_array($old) ? $old : [];
        if (isset($change['items'])) {
            return array_values(self::applied('items', self::byId($old) ?? [], $change));
        }

        return self::applied('in', $old, $change);
    }

    /**
     * @param  array<array-key, mixed>  $old
     * @param  array<array-key, mixed>  $new
     * @return array<string, mixed>
     */
    private static function parts(string $name, array $old, array $new): array
    {
        $parts = [];
        foreach ($new as $key => $value) {
            $part = array_key_exists($key, $old) ? self::between($old[$key], $value) : ['to' => $value];
            if ($part !== []) {
                $parts[$key] = $part;
            }
        }

        return [$name => $parts, ...array_keys($old) === array_keys($new) ? [] : ['order' => array_keys($new)]];
    }

    /**
     * @param  array<array-key, mixed>  $old
     * @param  array<array-key, mixed>  $change
     * @return array<array-key, mixed>
     */
    private static function applied(string $name, array $old, array $change): array
    {
        $parts = is_array($change[$name] ?? null) ? $change[$name] : [];
        $order = is_array($change['order'] ?? null) ? $change['order'] : array_keys($old);
        $new = [];
        foreach ($order as $key) {
            if (is_int($key) || is_string($key)) {
                $part = is_array($parts[$key] ?? null) ? $parts[$key] : [];
                $new[$key] = self::apply($old[$key] ?? null, $part);
            }
        }

        return $new;
    }

    /**
     * @param  array<array-key, mixed>  $list
     * @return array<array-key, mixed>|null  by id; null where not every item has one of its own
     */
    private static function byId(array $list): ?array
    {
        $byId = [];
        foreach ($list as $item) {
            $id = is_array($item) ? $item['id'] ?? null : null;
            if (! is_string($id) || isset($byId[$id])) {
                return null;
            }
            $byId[$id] = $item;
        }

        return array_is_list($list) ? $byId : null;
    }
}
