<?php

namespace App\Jobs;

use App\Devices\Build\Pump;
use App\Devices\Inspection\FileSource;
use App\Devices\Lease;
use App\Models\ShelfFile;
use Generator;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use RuntimeException;

/** SHA-256 of a file of the shelf, with progress twice a second. */
final class HashShelfFile implements ShouldQueue
{
    use Queueable;

    private const EVERY = 0.5;

    public int $timeout = 0;

    /** Given out again when the worker died: it begins anew. */
    public int $tries = 0;

    public function __construct(private readonly int $file)
    {
        $this->onQueue('hash');
    }

    public function handle(): void
    {
        $file = ShelfFile::query()->find($this->file);
        $lease = $file === null ? null : Lease::take("hash-{$file->id}");
        if ($file === null || $lease === null) {
            return;
        }
        try {
            // "Running" under a lease that was free is what a dead worker left behind.
            if ($file->here && in_array($file->hash_state, ['waiting', 'running'], true)) {
                $this->hash($file);
            }
        } finally {
            fclose($lease);
        }
    }

    private function hash(ShelfFile $file): void
    {
        $file->update(['hash_state' => 'running', 'hashed_bytes' => 0, 'hash_began_at' => now()]);
        try {
            $sum = Pump::hash($this->pieces($file));
        } catch (RuntimeException) {
            $file
                ->refresh()
                ->update(['hash_state' => $file->hash_state === 'running' ? 'failed' : $file->hash_state]);

            return;
        }
        $file->refresh();
        if ($file->hash_state === 'running') {
            clearstatcache();
            $same =
                is_file($file->path()) &&
                filesize($file->path()) === (int) $file->bytes &&
                filemtime($file->path()) === (int) $file->changed_at;
            $file->update(
                $same
                    ? ['hash_state' => 'done', 'sha256' => $sum, 'hashed_bytes' => $file->bytes]
                    : ['hash_state' => 'failed'],
            );
        }
    }

    /** @return Generator<int, string> */
    private function pieces(ShelfFile $file): Generator
    {
        $done = 0;
        $told = microtime(true);
        foreach (Pump::pieces(new FileSource($file->path()), 0, (int) $file->bytes) as $piece) {
            yield $piece;
            $done += strlen($piece);
            if (microtime(true) - $told >= self::EVERY) {
                $told = microtime(true);
                // Somebody may have stopped it meanwhile: then no row is met.
                if (
                    ShelfFile::query()
                        ->whereKey($file->id)
                        ->where('hash_state', 'running')
                        ->update(['hashed_bytes' => $done, 'updated_at' => now()]) === 0
                ) {
                    throw new RuntimeException('stopped');
                }
            }
        }
    }
}
