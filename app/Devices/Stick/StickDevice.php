<?php

namespace App\Devices\Stick;

use App\Devices\Build\BuildFailure;
use Cobblestone\Media\Build\StickTarget;

/** A removable drive that can be written: a stand-in, a plain file, or a real one behind the same questions. */
interface StickDevice
{
    /**
     * Size, sector and serial as they are right now (rule M10).
     *
     * @throws BuildFailure where it is not there
     */
    public function target(): StickTarget;

    /** What tools open. */
    public function path(): string;

    /** @throws BuildFailure where it cannot be written */
    public function mustBeWritable(): void;

    /** @throws BuildFailure where making a file system fails */
    public function formatted(): void;

    /**
     * So many more bytes have gone to it.
     *
     * @throws BuildFailure where it vanishes on the way
     */
    public function wrote(int $bytes): void;

    /** Whether it takes bytes at a pace of its own, so that a program that writes to it has to be held meanwhile. */
    public function isPaced(): bool;

    /**
     * Flushes to the medium and drops what the computer remembers of it, so that reading asks the medium (rule M11).
     */
    public function settle(): void;
}
