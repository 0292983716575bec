<?php

namespace Tests\Support;

use Generator;

/** A brief with one thing taken away, or with one word spoiled: every one there is (rules U2, U3). */
final class ChangedBrief
{
    /** What a spoiled word becomes: no rule knows it, and no unit ends it. */
    public const SPOILED = 'vinyl';

    /** Fields that say nothing of the machine or the job. */
    private const NAMES = ['brief', 'title', 'owner', 'read_at', 'goal', 'slot', 'catalogue'];

    private const BLOCKS = ['backup', 'licence', 'update', 'card', 'first_boot'];

    /** Fields without which a block says nothing, or cannot be. */
    private const NEEDED = ['card.new', 'licence.kind'];

    /**
     * @param  array<string, mixed>  $brief
     * @return Generator<string, array<string, mixed>> what was taken away => the rest
     */
    public static function lacking(array $brief): Generator
    {
        foreach (array_keys($brief['machine']['facts'] ?? []) as $fact) {
            $less = $brief;
            unset($less['machine']['facts'][$fact]);
            yield (string) $fact => $less;
        }
        if (isset($brief['machine']['lsblk'])) {
            yield 'lsblk' => self::without($brief, 'machine', 'lsblk');
        }
        foreach ($brief['machine']['readings'] ?? [] as $at => $reading) {
            $less = $brief;
            array_splice($less['machine']['readings'], $at, 1);
            yield "reading of {$reading['tool']}" => $less;
        }
        foreach (self::BLOCKS as $block) {
            foreach (array_keys($brief[$block] ?? []) as $field) {
                if (! in_array("{$block}.{$field}", self::NEEDED, true)) {
                    yield "{$block}.{$field}" => self::without($brief, $block, (string) $field);
                }
            }
        }
        foreach (['memory', 'licence', 'edition'] as $field) {
            if (isset($brief[$field])) {
                yield $field => array_diff_key($brief, [$field => 1]);
            }
        }
        if (isset($brief['machine']['model'])) {
            $less = self::without($brief, 'machine', 'model');
            $less['machine']['kind'] = Demo::catalogue()->machine($brief['machine']['model'])->kind->value;
            yield 'model' => $less;
        }
    }

    /**
     * @param  array<string, mixed>  $brief
     * @return Generator<string, array<string, mixed>> what was spoiled => the brief with it
     */
    public static function spoiled(array $brief): Generator
    {
        foreach (self::leaves($brief) as $path) {
            $last = $path[count($path) - 1];
            if (in_array($path[0], self::NAMES, true)) {
                continue;
            }
            if ($last === 'lsblk') {
                $read = json_decode((string) self::at($brief, $path), true);
                foreach (self::leaves(is_array($read) ? $read : []) as $inside) {
                    $spoiled = json_encode(self::put($read, $inside, self::SPOILED));
                    yield 'lsblk '.implode('.', $inside) => self::put($brief, $path, $spoiled);
                }
            } else {
                yield implode('.', $path) => self::put($brief, $path, self::SPOILED);
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $of
     * @param  list<array-key>  $path
     * @return Generator<int, list<array-key>>
     */
    private static function leaves(array $of, array $path = []): Generator
    {
        foreach ($of as $key => $value) {
            if (is_array($value)) {
                yield from self::leaves($value, [...$path, $key]);
            } else {
                yield [...$path, $key];
            }
        }
    }

    /** @param  list<array-key>  $path */
    private static function at(array $of, array $path): mixed
    {
        return array_reduce($path, static fn (mixed $part, int|string $key): mixed => $part[$key], $of);
    }

    /** @param  list<array-key>  $path */
    private static function put(array $of, array $path, mixed $value): array
    {
        $key = array_shift($path);
        $of[$key] = $path === [] ? $value : self::put($of[$key], $path, $value);

        return $of;
    }

    private static function without(array $brief, string $block, string $field): array
    {
        unset($brief[$block][$field]);

        return $brief[$block] === [] ? array_diff_key($brief, [$block => 1]) : $brief;
    }
}
