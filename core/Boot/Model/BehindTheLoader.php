<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\Loader;
use Cobblestone\Boot\Medium\Medium;

/** What comes once a loader or boot sector runs: the key, the drives, the system. */
trait BehindTheLoader
{
    /**
     * A loader or boot sector has run: what comes of what is on the device.
     *
     * @param  list<Stone>|null  $lead
     */
    public function whatRuns(BootDevice $device, ?array $lead = null, Ground $ground = Ground::Standard): self
    {
        $this->stones = $lead ?? $this->stones;
        [$this->ground, $this->device] = [$ground, $device->id];
        $medium = $device->medium;
        $broken = $medium->seal?->broken(Measurement::of($this->state)) ?? [];
        if ($broken !== []) {
            $this->holds('system', 'Its loader runs.');

            $words = 'Changed since the drive was sealed: '.implode(', ', $broken)
                .'. The security chip no longer gives the key.';

            return $this->fails(Outcome::RecoveryKeyPrompt, 'key', $words);
        }
        [$this->outcome, $words] = match ($medium->leads) {
            Leads::Installer => [Outcome::InstallerStarts, 'The installer starts.'],
            Leads::WantedSystem => [Outcome::WantedSystemStarts, 'The wanted system starts.'],
            Leads::OldSystem => [Outcome::OldSystemStarts, 'The old system starts.'],
            Leads::Recovery => [Outcome::RecoveryStarts, 'The recovery starts.'],
            Leads::Nowhere => [Outcome::Silent, 'There is nothing behind the loader.'],
        };
        if ($medium->leads === Leads::Nowhere) {
            return $this->fails(Outcome::Silent, 'system', $words, Ground::Emulation);
        }
        if ($this->isBlind($medium)) {
            return $this->seesNoDrive($medium, $words);
        }
        $this->holds('system', $words);

        return $this;
    }

    /** Whether what runs has no driver for the controller as it is set. */
    private function isBlind(Medium $medium): bool
    {
        $mode = $medium->controllerModes === [] ? null : $this->facts->optional('firmware.controller_mode');

        return $mode !== null && ! in_array($mode, $medium->controllerModes, true);
    }

    private function seesNoDrive(Medium $medium, string $starts): self
    {
        $mode = "The drive controller is set to \"{$this->facts->optional('firmware.controller_mode')}\"";
        $drivers = 'has drivers for '.implode(' and ', $medium->controllerModes).' only';
        if ($medium->leads === Leads::Installer) {
            $this->holds('system', $starts);
            $words = "{$mode}; the installer {$drivers}.";

            return $this->fails(Outcome::InstallerSeesNoDrive, 'drives', $words, Ground::Catalogue);
        }
        $words = "{$mode}, the system {$drivers}: it loses its drive while it starts.";

        return $this->fails(Outcome::Silent, 'drives', $words, Ground::Catalogue);
    }
}
