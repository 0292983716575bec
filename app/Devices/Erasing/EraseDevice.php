<?php

declare(strict_types=1);

namespace App\Devices\Erasing;

use App\Devices\Build\BuildFailure;
use App\Devices\Build\BuildProgress;
use Cobblestone\Hardware\Erasure\ErasableDrive;
use Cobblestone\Hardware\Erasure\ErasureWay;

/** A drive that can be erased: a stand-in, or a real one behind the same questions. */
interface EraseDevice
{
    /**
     * As it is right now; asked once more right before the first byte (rule M10).
     *
     * @throws BuildFailure where it is not there
     */
    public function drive(): ErasableDrive;

    /** @throws BuildFailure where the drive refuses, fails on the way, or somebody cancels what can be cancelled */
    public function erase(ErasureWay $way, BuildProgress $progress): void;

    /** What stands at that place; null where it cannot be read. */
    public function at(int $offset, int $length): ?string;
}
