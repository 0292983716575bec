<?php

namespace App\Actions;

use Cobblestone\Firmware\Setting;
use Cobblestone\Firmware\Snapshot;
use Illuminate\Http\UploadedFile;

/** Settings as somebody saw them in the setup, and how they came here. */
final readonly class SettingsSeen
{
    /** @param  list<Setting>  $settings  of the model */
    public function __construct(
        public Snapshot $snapshot,
        public array $settings,
        public string $origin,
        public ?string $pasted = null,
        public ?UploadedFile $photo = null,
    ) {
    }
}
