<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Emulated;

/** The firmware of an emulated machine. */
enum EmulatedFirmware: string
{
    case Uefi = 'uefi';
    case UefiSecure = 'uefi-secure';
    case Bios = 'bios';
}
