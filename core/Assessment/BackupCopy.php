<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;

/** The copy that is made: what, where to, and how long it takes. */
final readonly class BackupCopy
{
    /**
     * @param  Bytes|null  $bytes  null until the folders are measured
     * @param  list<string>  $folders
     * @param  list<string>  $cautions
     * @param  string|null  $existing  day of a proven copy that is there already
     */
    public function __construct(
        public string $destination,
        public ?Bytes $bytes,
        public array $folders,
        public Estimate $time,
        public array $cautions,
        public ?string $existing,
    ) {
    }
}
