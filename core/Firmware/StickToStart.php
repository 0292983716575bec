<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Signer;

/** The stick that the firmware is to start: what is on it, who signed that, and the plug it has. */
final readonly class StickToStart
{
    /**
     * @param  string|null  $connector  usb-a or usb-c; null where no stick is chosen
     * @param  Signer|null  $signer  of the loader, where the catalogue knows
     */
    public function __construct(public Image $image, public ?string $connector, public ?Signer $signer)
    {
    }
}
