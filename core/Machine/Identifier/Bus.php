<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Identifier;

/** What a device hangs on, and so how its identifier is made (rule D1). */
enum Bus: string
{
    case Pci = 'pci';
    case Usb = 'usb';
    case Audio = 'hdaudio';
    case Platform = 'acpi';
    /** Any other way of naming a device: compared as it is written. */
    case Other = 'other';
}
