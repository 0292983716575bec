<?php

namespace Tests\Support;

/** What two documents say differently, each with the path of the place. */
final class Difference
{
    /** What entries of a list are known by, where each has one of its own. */
    private const NAMES = ['id', 'fact', 'name', 'serial', 'what'];

    private const SHORT = 140;

    /** @return list<string> "stones.erase.minutes.likely: was 2.0, is 3.0" */
    public static function between(mixed $was, mixed $is, string $at = ''): array
    {
        if (! is_array($was) || ! is_array($is)) {
            return $was === $is ? [] : ["{$at}: was ".self::said($was).', is '.self::said($is)];
        }
        [$was, $is] = [self::named($was, $is), self::named($is, $was)];
        $told = [];
        foreach ($was as $name => $one) {
            $path = ltrim("{$at}.{$name}", '.');
            array_push($told, ...array_key_exists($name, $is)
                ? self::between($one, $is[$name], $path)
                : ["{$path}: gone, was ".self::said($one)]);
        }
        foreach (array_diff_key($is, $was) as $name => $one) {
            $told[] = ltrim("{$at}.{$name}", '.').': new, is '.self::said($one);
        }
        $order = array_values(array_intersect(array_keys($was), array_keys($is)));
        $now = array_values(array_intersect(array_keys($is), array_keys($was)));

        return $order === $now ? $told : [
            ...$told,
            "{$at}: in another order, was ".self::said($order).', is '.self::said($now),
        ];
    }

    /**
     * A list by what its entries are called, where all of both are called something and no two the same.
     *
     * @param  array<array-key, mixed>  $list
     * @param  array<array-key, mixed>  $other
     * @return array<array-key, mixed>
     */
    private static function named(array $list, array $other): array
    {
        foreach (array_is_list($list) && array_is_list($other) ? self::NAMES : [] as $name) {
            $called = array_filter(array_column($list, $name), is_string(...));
            $otherwise = array_filter(array_column($other, $name), is_string(...));
            if (
                $list !== [] && count(array_unique($called)) === count($list)
                && count(array_unique($otherwise)) === count($other)
            ) {
                return array_combine($called, $list);
            }
        }

        return $list;
    }

    private static function said(mixed $value): string
    {
        $flags = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION;
        $said = (string) json_encode($value, $flags);

        return mb_strlen($said) > self::SHORT ? mb_substr($said, 0, self::SHORT).' …' : $said;
    }
}
