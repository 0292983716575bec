<?php

namespace App\Devices\Build;

/** Somebody who watches a build, and may end it. */
interface BuildProgress
{
    /** A new part of the work begins; $bytes is what it will move, 0 where that cannot be said. */
    public function stage(string $title, int $bytes): void;

    /** So many bytes of the present part are done. */
    public function at(int $bytes): void;

    /** @throws BuildFailure where somebody cancelled */
    public function mustGoOn(): void;
}
