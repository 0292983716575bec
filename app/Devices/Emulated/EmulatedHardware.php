<?php

declare(strict_types=1);

namespace App\Devices\Emulated;

use Cobblestone\Boot\Emulated\DriveBus;
use Cobblestone\Boot\Emulated\EmulatedParts;

/** What an emulated machine is made of besides its firmware and the medium. */
final readonly class EmulatedHardware
{
    /** @param  string|null  $drive  file of a drive that may be written (qcow2); null: none */
    public function __construct(
        public int $memoryMib = EmulatedParts::USUAL_MEMORY,
        public ?string $drive = null,
        public DriveBus $bus = DriveBus::Sata,
    ) {
    }

    /** @return list<string> as the emulator takes it: where an installer restarts the machine, the start is over */
    public function arguments(): array
    {
        return $this->drive === null ? [] : [
            '-no-reboot', '-drive', 'if=none,id=drive,format=qcow2,discard=unmap,file='
                .str_replace(',', ',,', $this->drive),
            ...match ($this->bus) {
                DriveBus::Nvme => ['-device', 'nvme,drive=drive,serial=stand-in'],
                DriveBus::Sata => [
                    '-device', 'ahci,id=sata', '-device', 'ide-hd,drive=drive,bus=sata.0,serial=stand-in',
                ],
            },
        ];
    }

    /** @return list<string> */
    public function stick(string $medium): array
    {
        return [
            '-drive', 'if=none,id=medium,format=raw,snapshot=on,file='.str_replace(',', ',,', $medium),
            '-device', 'usb-storage,drive=medium'.($this->drive === null ? '' : ',removable=on'),
        ];
    }
}
