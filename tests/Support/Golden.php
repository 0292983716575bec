<?php

namespace Tests\Support;

use InvalidArgumentException;

/**
 * Documents that were read once and are held word for word, below tests/fixtures. A block that fits on a line stands on
 * one; what is long is a folder with a file for each of its parts. UPDATE_GOLDEN=1 writes them anew, to be read again.
 */
final class Golden
{
    /** Lines that somebody still reads. */
    public const LONGEST = 300;

    private const WIDTH = 110;

    /** Differences that are told; who changed more looks into the files. */
    private const TOLD = 40;

    /** @return list<string> where it differs from what is held, and how; empty where it does not */
    public static function differences(string $name, mixed $found): array
    {
        $text = self::text($found);
        $parts = is_array($found) && ! array_is_list($found) && substr_count($text, "\n") > self::LONGEST
            ? self::parts($found)
            : ['' => $text];
        $folder = Demo::root()."/tests/fixtures/{$name}";
        $held = self::held($folder);
        if (getenv('UPDATE_GOLDEN') === '1') {
            self::write($folder, $parts, array_keys($held));
            $held = $parts;
        }
        if ($parts === $held) {
            return [];
        }
        $told = [];
        foreach (array_unique([...array_keys($held), ...array_keys($parts)]) as $part) {
            array_push($told, ...match (true) {
                ! isset($held[$part]) => ["{$name}/{$part}: new, and not held so far"],
                ! isset($parts[$part]) => ["{$name}/{$part}: gone"],
                $held[$part] === $parts[$part] => [],
                default => Difference::between(
                    json_decode($held[$part], true),
                    json_decode($parts[$part], true),
                    rtrim("{$name}/{$part}", '/'),
                ) ?: ["{$name}/{$part}: laid out otherwise"],
            });
        }

        return count($told) > self::TOLD
            ? [...array_slice($told, 0, self::TOLD), 'and '.(count($told) - self::TOLD).' more']
            : $told;
    }

    /** JSON with every block on one line that fits on one. */
    public static function text(mixed $value, string $indent = ''): string
    {
        $flags = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;
        $line = json_encode($value, $flags);
        $end = $indent === '' ? "\n" : '';
        $value = is_object($value) ? json_decode($line, true) : $value;
        if (! is_array($value) || $value === [] || mb_strlen($indent.$line) <= self::WIDTH) {
            return $line.$end;
        }
        $list = array_is_list($value);
        $rows = [];
        foreach ($value as $name => $one) {
            $rows[] = "{$indent}  ".($list ? '' : json_encode((string) $name, $flags).': ')
                .self::text($one, "{$indent}  ");
        }

        return ($list ? '[' : '{')."\n".implode(",\n", $rows)."\n{$indent}".($list ? ']' : '}').$end;
    }

    /**
     * @param  array<string, mixed>  $found
     * @return array<string, string> name of the part => its text
     */
    private static function parts(array $found): array
    {
        $parts = [];
        foreach ($found as $name => $one) {
            $part = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower((string) $name)), '-');
            $parts[$part] = isset($parts[$part])
                ? throw new InvalidArgumentException("Two parts would be the file {$part}.")
                : self::text($one);
        }

        return $parts;
    }

    /** @return array<string, string> what is held: one file under the empty name, or the parts of a folder */
    private static function held(string $folder): array
    {
        $held = is_file("{$folder}.json") ? ['' => (string) file_get_contents("{$folder}.json")] : [];
        foreach (glob("{$folder}/*.json") ?: [] as $file) {
            $held[basename($file, '.json')] = (string) file_get_contents($file);
        }

        return $held;
    }

    /**
     * @param  array<string, string>  $parts
     * @param  list<string>  $before  names of the parts that were held
     */
    private static function write(string $folder, array $parts, array $before): void
    {
        $file = fn (string $part): string => $part === '' ? "{$folder}.json" : "{$folder}/{$part}.json";
        foreach ($before as $part) {
            unlink($file($part));
        }
        foreach ($parts as $part => $text) {
            is_dir(dirname($file($part))) || mkdir(dirname($file($part)), recursive: true);
            file_put_contents($file($part), $text);
        }
        is_dir($folder) && glob("{$folder}/*") === [] && rmdir($folder);
    }
}
