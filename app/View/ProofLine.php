<?php

declare(strict_types=1);

namespace App\View;

use App\Models\ShelfFile;

/** Whether an image is the publisher's: how far its checksum is, or what came of comparing it. */
final readonly class ProofLine
{
    /**
     * @param  string  $word  equal or different; empty where nothing was compared
     * @param  int|null  $percent  while it is hashed
     */
    private function __construct(
        public string $class,
        public string $word,
        public string $words,
        public ?int $percent = null,
    ) {
    }

    public static function of(ShelfFile $file): self
    {
        $by = $file->published_by ?: 'the published one';

        return match (true) {
            $file->hash_state === 'running' => self::running($file),
            $file->hash_state === 'waiting' => new self('', '', 'waits for its turn'),
            $file->proof() === 'equal' => new self('holds', 'equal', "to {$by}"),
            $file->proof() === 'different' => new self('bad', 'different', "from {$by}: do not use it"),
            $file->proof() === 'none-published' => new self(
                '',
                '',
                substr((string) $file->sha256, 0, 12).'… · no published checksum',
            ),
            $file->hash_state === 'stopped' => new self('', '', 'stopped'),
            default => new self('', '', 'it changed while it was read'),
        };
    }

    private static function running(ShelfFile $file): self
    {
        $percent = $file->bytes > 0 ? (int) round((100 * $file->hashed_bytes) / $file->bytes) : 0;
        $seconds = $file->hash_began_at === null
            ? 0.0
            : max(0.5, $file->hash_began_at->diffInMilliseconds($file->updated_at) / 1000);
        $rate = $seconds > 0 && $file->hashed_bytes > 0 ? $file->hashed_bytes / $seconds : null;
        $left = $rate === null ? 0 : (int) ceil(($file->bytes - $file->hashed_bytes) / $rate);

        return new self(
            '',
            '',
            "{$percent} %".
                ($rate === null ? '' : ' · '.number_format($rate / 1e6, 0).' MB/s · '.ShelfWords::left($left)),
            $percent,
        );
    }
}
