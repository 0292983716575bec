<?php

namespace App\House;

use FilesystemIterator;
use PhpToken;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/**
 * What cannot be read from a metre away. Wide lines are a fault; lengths of files, methods and lists of parameters are
 * advice: told, and never a reason to part what is one thought.
 */
final class Readable
{
    public const WIDTH = 120;

    private const WIDE = 'wide lines';

    public const FILE = 250;

    public const METHOD = 40;

    public const PARAMETERS = 6;

    /** Tokens that are passed over; among them what stands in a string, where a bracket is a sign like any other. */
    private const NO_CODE = [T_WHITESPACE, T_COMMENT, T_DOC_COMMENT, T_ENCAPSED_AND_WHITESPACE];

    private const FOLDERS = [
        'core', 'app', 'tests', 'database', 'routes', 'config', 'bootstrap', 'resources/views',
    ];

    /**
     * @return array<string, array<string, int>> file => what is too much of it => how many times, files that are well
     *     left out
     */
    public static function debts(string $root): array
    {
        $debts = [];
        foreach (self::FOLDERS as $folder) {
            $found = new RecursiveDirectoryIterator("{$root}/{$folder}", FilesystemIterator::SKIP_DOTS);
            foreach (new RecursiveIteratorIterator($found) as $file) {
                $path = substr((string) $file, strlen($root) + 1);
                if (str_ends_with($path, '.php') && ! str_starts_with($path, 'bootstrap/cache/')) {
                    $debts[$path] = self::of(
                        (string) file_get_contents((string) $file),
                        ! str_ends_with($path, '.blade.php'),
                    );
                }
            }
        }
        ksort($debts);

        return array_filter($debts);
    }

    /**
     * What is a fault of it, and not only advice.
     *
     * @param  array<string, array<string, int>>  $debts
     * @return list<string>
     */
    public static function faults(array $debts): array
    {
        $wide = array_filter(array_map(static fn (array $found): int => $found[self::WIDE] ?? 0, $debts));

        return array_map(
            static fn (string $file, int $many): string => "{$file}: {$many} ".self::WIDE,
            array_keys($wide),
            $wide,
        );
    }

    /** @return array<string, int> */
    public static function of(string $code, bool $isCode = true): array
    {
        $lines = explode("\n", rtrim($code));
        $wide = count(array_filter($lines, static fn (string $line): bool => mb_strlen($line) > self::WIDTH));
        [$long, $many] = $isCode ? self::methods($code) : [0, 0];

        return array_filter([
            self::WIDE => $wide,
            'lines over the limit of a file' => $isCode ? max(0, count($lines) - self::FILE) : 0,
            'long methods' => $long,
            'methods of many parameters' => $many,
        ]);
    }

    /** @return array{0: int, 1: int} how many are too long, and how many take too much */
    private static function methods(string $code): array
    {
        $tokens = array_values(array_filter(
            PhpToken::tokenize($code),
            static fn (PhpToken $token): bool => ! $token->is(self::NO_CODE),
        ));
        $long = $many = 0;
        foreach ($tokens as $index => $token) {
            $name = $tokens[$index + 1] ?? null;
            // A closure has no name; it is judged with the method it stands in.
            if (! $token->is(T_FUNCTION) || $name === null || $name->is(['(', '&'])) {
                continue;
            }
            [$parameters, $last] = self::method($tokens, $index + 2);
            $long += $last - $token->line + 1 > self::METHOD ? 1 : 0;
            $many += $name->text !== '__construct' && $parameters > self::PARAMETERS ? 1 : 0;
        }

        return [$long, $many];
    }

    /**
     * @param  list<PhpToken>  $tokens
     * @return array{0: int, 1: int} parameters, and the line the method ends on
     */
    private static function method(array $tokens, int $at): array
    {
        $depth = $parameters = 0;
        $line = $tokens[$at]->line;
        $inBody = false;
        for ($count = count($tokens); $at < $count; $at++) {
            $token = $tokens[$at];
            $line = $token->line;
            if ($token->is(['(', '[', '{', T_CURLY_OPEN, T_DOLLAR_OPEN_CURLY_BRACES])) {
                $inBody = $inBody || ($depth === 0 && $token->text === '{');
                $depth++;
            } elseif ($token->is([')', ']', '}'])) {
                $depth--;
                if ($depth === 0 && $inBody) {
                    break;
                }
            } elseif ($token->is(T_VARIABLE) && $depth === 1 && ! $inBody) {
                $parameters++;
            } elseif ($depth === 0 && $token->text === ';') {
                break;
            }
        }

        return [$parameters, $line];
    }
}
