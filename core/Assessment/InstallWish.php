<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;

/** Which system goes onto which drive of which machine, as far as that is chosen. */
final readonly class InstallWish
{
    /** @param  bool  $newDrive  another drive than the present one is written to: nothing is assumed of its size */
    public function __construct(
        public Machine $machine,
        public SystemProfile $system,
        public ?Image $image = null,
        public ?Drive $target = null,
        public ?string $edition = null,
        public bool $newDrive = false,
    ) {
    }
}
