<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Brief\CardBlock;
use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Identifier\IdentifierReader;
use Cobblestone\Machine\Machine;

/** The card that goes out, found in the machine's device list, and what of its maker's drivers there is (rule D6). */
final readonly class OldCard
{
    /**
     * @param  list<DriverPackage>  $packages  of its maker for graphics and this system, as the shelf knows them
     * @param  list<Device>  $kin  other graphics devices of the same maker, which stay
     * @param  bool  $isDrivenBySystem  whether the system has its driver by itself, and no package is for it
     */
    private function __construct(
        public string $name,
        public ?Device $device,
        public array $packages,
        public array $kin,
        public bool $isDrivenBySystem = false,
    ) {
    }

    /** @param  list<DriverPackage>  $shelf */
    public static function of(CardBlock $card, Machine $machine, ?SystemProfile $system, array $shelf): self
    {
        $graphics = array_values(
            array_filter($machine->devices, static fn (Device $device): bool => $device->family === 'graphics'),
        );
        $device = self::named($card->old, $graphics);
        $maker = $device === null ? null : self::maker($device);
        $isKin = static fn (Device $other): bool => $other !== $device && self::maker($other) === $maker;
        $isOfMaker = static fn (DriverPackage $package): bool => $package->family === 'graphics'
            && in_array($system?->id, $package->systems, true)
            && in_array($maker, array_map(self::makerOf(...), $package->claims), true);

        $packages = $maker === null ? [] : array_values(array_filter($shelf, $isOfMaker));

        return new self(
            $device->name ?? $card->old ?? 'the old card',
            $device,
            $packages,
            $maker === null ? [] : array_values(array_filter($graphics, $isKin)),
            $packages === [] && $device !== null && self::brings($system, $device),
        );
    }

    /** @return string|null vendor of its identifier; null where the card was not found in the device list */
    public function vendor(): ?string
    {
        return $this->device === null ? null : self::maker($this->device);
    }

    /** @return string|null vendor of an identifier as somebody wrote it */
    public static function makerOf(string $identifier): ?string
    {
        return (IdentifierReader::all($identifier)[0] ?? null)?->vendor;
    }

    /**
     * By its name or identifier as it was said; else the only one there is.
     *
     * @param  list<Device>  $graphics
     */
    private static function named(?string $said, array $graphics): ?Device
    {
        if ($said === null || trim($said) === '') {
            return count($graphics) === 1 ? $graphics[0] : null;
        }
        $wanted = mb_strtolower(trim($said));
        $identifier = (IdentifierReader::all($said)[0] ?? null)?->text();
        $fits = array_values(array_filter(
            $graphics,
            static fn (Device $device): bool => str_contains(mb_strtolower($device->name), $wanted)
                || in_array($identifier, $device->forms(), true),
        ));

        return count($fits) === 1 ? $fits[0] : null;
    }

    private static function brings(?SystemProfile $system, Device $device): bool
    {
        foreach ($device->identified() as $identifier) {
            if ($system !== null && $system->brings->brings($identifier)) {
                return true;
            }
        }

        return false;
    }

    private static function maker(Device $device): ?string
    {
        return $device->identified()[0]->vendor;
    }
}
