<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Encryption;

/**
 * What a path will do around encrypted volumes: which changes, how many restarts, and whether the system's volume
 * stays (rule A7).
 */
final readonly class EncryptionIntent
{
    /**
     * @param  bool  $staysAfter  whether the present system stays on its drive
     * @param  list<Trigger>  $triggers  changes the path makes while the present system still counts
     * @param  int  $restarts  starts of the present system between suspending and resuming
     * @param  bool  $somethingToKeep  whether data on the volume is still wanted
     */
    public function __construct(
        public bool $staysAfter,
        public array $triggers,
        public int $restarts,
        public bool $somethingToKeep,
    ) {
    }

    /** Whether the drive comes out and is kept, so that it is read from outside its machine. */
    public function comesOut(): bool
    {
        return ! $this->staysAfter && in_array(Trigger::DriveMoved, $this->triggers, true);
    }
}
