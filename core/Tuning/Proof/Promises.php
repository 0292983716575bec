<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

use Cobblestone\Catalogue\SystemReads;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Expected;
use Cobblestone\Tuning\DisplayScale;

/** What a path leaves behind: the machine as it was read before, and what the path changes of it (rule T1). */
final readonly class Promises
{
    /**
     * @param  Machine  $machine  as it was before
     * @param  list<PromisedSetting>  $settings  of the firmware, as they are when the machine is read
     * @param  array<string, string>  $versions  identifier of a device => version of the driver it gets
     * @param  list<string>  $bare  identifiers of devices that no package is known for
     * @param  list<string>  $gone  identifiers of devices that leave the machine
     * @param  array<string, string>  $come  identifier => name of devices that come into it
     * @param  list<Drive>  $drives  that are in the machine at the end, the one that is written left out
     * @param  string|null  $firmware  version that is on the board at the end; null where nobody knows
     * @param  bool  $updates  whether the path writes that version
     * @param  int|null  $rate  million transfers a second of the memory; null where nobody knows
     * @param  bool|null  $encrypted  whether the system's drive is encrypted at the end; null where nobody knows
     * @param  int|null  $lanes  of the link of what comes in; null where nobody knows
     * @param  int|null  $build  of the system that the path installs; null where it installs none, or none is known
     * @param  array<string, string>  $known  function that is known not to work => what is known of it
     * @param  Expected|null  $pictureHz  rate of the picture after a card came in; null where none did
     * @param  DisplayScale|null  $scale  of the display, where the path brings a system to a screen that is known
     * @param  int|null  $everydayW  power limit in watts that was agreed on for every day
     * @param  bool  $activates  whether the system has to be activated at the end
     */
    public function __construct(
        public Machine $machine,
        public array $settings = [],
        public array $versions = [],
        public array $bare = [],
        public array $gone = [],
        public array $come = [],
        public array $drives = [],
        public ?string $firmware = null,
        public bool $updates = false,
        public ?int $rate = null,
        public ?bool $encrypted = null,
        public ?int $lanes = null,
        public ?int $build = null,
        public bool $activates = false,
        public SystemReads $reads = new SystemReads(),
        public array $known = [],
        public ?Expected $pictureHz = null,
        public ?DisplayScale $scale = null,
        public ?int $everydayW = null,
    ) {
    }
}
