<?php

namespace App\House;

use FilesystemIterator;
use PhpToken;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/** Which part of a tree names which other, read from the code itself. */
final class Imports
{
    public const CORE = 'Cobblestone\\';

    public const APP = 'App\\';

    /** @param  array<string, array<string, list<string>>>  $edges  part => part it uses => the files that do */
    private function __construct(public readonly array $edges)
    {
    }

    /** @param  string  $prefix  of the names in that tree */
    public static function of(string $core, string $prefix = self::CORE): self
    {
        $edges = [];
        $folder = new RecursiveDirectoryIterator($core, FilesystemIterator::SKIP_DOTS);
        foreach (new RecursiveIteratorIterator($folder) as $file) {
            $name = substr((string) $file, strlen($core) + 1);
            $part = explode('/', $name)[0];
            $edges[$part] ??= [];
            foreach (self::named((string) file_get_contents((string) $file), $prefix) as $used) {
                if ($used !== $part) {
                    $edges[$part][$used][] = $name;
                }
            }
        }
        ksort($edges);

        return new self($edges);
    }

    /** @return list<string> the parts, by name */
    public function parts(): array
    {
        return array_keys($this->edges);
    }

    /** @return list<string>|null a part, what it uses, and so on back to itself; null where nothing leads back */
    public function cycle(): ?array
    {
        foreach ($this->parts() as $part) {
            $found = $this->wayBack($part, $part, [$part], []);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $way
     * @param  array<string, true>  $seen
     * @return list<string>|null
     */
    private function wayBack(string $at, string $to, array $way, array $seen): ?array
    {
        foreach (array_keys($this->edges[$at] ?? []) as $next) {
            if ($next === $to) {
                return [...$way, $to];
            }
            if (isset($seen[$next])) {
                continue;
            }
            $seen[$next] = true;
            $found = $this->wayBack($next, $to, [...$way, $next], $seen);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /** @return list<string> parts whose classes a file names */
    private static function named(string $code, string $prefix): array
    {
        $parts = [];
        foreach (PhpToken::tokenize($code) as $token) {
            $name = ltrim($token->text, '\\');
            if ($token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED]) && str_starts_with($name, $prefix)) {
                $part = explode('\\', $name)[1];
                $parts[$part] = true;
            }
        }

        return array_keys($parts);
    }
}
