<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use Cobblestone\Machine\Drive;

/** What a reader understood, and by entry what it did not (rule A1). */
final readonly class InventoryReading
{
    /**
     * @param  list<Drive>  $drives
     * @param  list<string>  $notes  one sentence for each entry that was left out or is doubtful
     */
    public function __construct(public array $drives, public array $notes)
    {
    }
}
