<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

/** What follows a failure, by what failed and how often in a row on this stick (rule M11). */
final class FailureRule
{
    public const KINDS = ['format', 'write', 'mismatch', 'size', 'gone', 'protected', 'source', 'room'];

    /**
     * @param  string  $kind  one of KINDS
     * @param  int  $before  failures of the same kind on this stick since it last was good
     * @return array{retry: bool, retire: bool, next: string}
     */
    public static function after(string $kind, int $before): array
    {
        return match ($kind) {
            'format', 'write' => self::whenItIsTheStick($before),
            'mismatch' => $before === 0
                ? [
                    'retry' => true,
                    'retire' => false,
                    'next' => 'The image is hashed again, then the stick is written once more; use another port if '
                        .'you can.',
                ]
                : [
                    'retry' => false,
                    'retire' => true,
                    'next' => 'It read back differently twice: the stick is retired.',
                ],
            'size' => [
                'retry' => false,
                'retire' => true,
                'next' => 'It has less room than it claims: the stick is retired.',
            ],
            'gone' => [
                'retry' => false,
                'retire' => false,
                'next' => 'Plug it in again; it stays unfinished until it has been written and proven anew.',
            ],
            'protected' => [
                'retry' => false,
                'retire' => false,
                'next' => 'Look for a switch on its side; a card reader or a guard program can also hold it.',
            ],
            'room' => ['retry' => false, 'retire' => false, 'next' => 'Make room on this computer and start again.'],
            default => [
                'retry' => false,
                'retire' => false,
                'next' => 'Fetch the image again and compare its checksum.',
            ],
        };
    }

    /** @return array{retry: bool, retire: bool, next: string} */
    private static function whenItIsTheStick(int $before): array
    {
        return $before === 0
            ? ['retry' => true, 'retire' => false, 'next' => 'It is tried once more.']
            : [
                'retry' => false,
                'retire' => $before > 1,
                'next' => $before > 1
                        ? 'It failed three times: the stick is retired.'
                        : 'It failed twice: take another port, then another stick.',
            ];
    }
}
