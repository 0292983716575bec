<?php

namespace App\Jobs;

use App\Devices\Build\BuildFailure;
use App\Devices\Build\BuildProgress;
use App\Models\StickBuild;

/** BuildProgress kept in the database, twice a second at most, where the page and a cancel find each other. */
final class StoredProgress implements BuildProgress
{
    private const EVERY = 0.5;

    private float $told = 0.0;

    private int $bytes = 0;

    public function __construct(private readonly StickBuild $build)
    {
    }

    public function stage(string $title, int $bytes): void
    {
        $this->bytes = 0;
        $this->build->update([
            'stage' => $title,
            'stage_bytes' => $bytes,
            'done_bytes' => 0,
            'stage_began_at' => now(),
        ]);
        $this->mustGoOn();
    }

    public function at(int $bytes): void
    {
        $this->bytes = $bytes;
    }

    public function mustGoOn(): void
    {
        if (microtime(true) - $this->told < self::EVERY) {
            return;
        }
        $this->told = microtime(true);
        $this->build->update(['done_bytes' => $this->bytes, 'updated_at' => now()]);
        if (StickBuild::query()->whereKey($this->build->id)->value('cancel')) {
            throw BuildFailure::cancelled();
        }
    }
}
