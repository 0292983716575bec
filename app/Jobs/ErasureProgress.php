<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Devices\Build\BuildFailure;
use App\Devices\Build\BuildProgress;
use App\Models\Erasure;

/** How far an erasure is, kept where its page finds it. */
final class ErasureProgress implements BuildProgress
{
    public function __construct(private readonly Erasure $erasure)
    {
    }

    public function stage(string $title, int $bytes): void
    {
        $this->erasure->update(['bytes' => $bytes, 'done_bytes' => 0]);
    }

    public function at(int $bytes): void
    {
        $this->erasure->update(['done_bytes' => $bytes]);
    }

    public function mustGoOn(): void
    {
        if (Erasure::query()->whereKey($this->erasure->id)->value('cancel')) {
            throw BuildFailure::cancelled();
        }
    }
}
