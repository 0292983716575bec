<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

/** A setting of the firmware and what the path leaves it at. */
final readonly class PromisedSetting
{
    /** @param  string  $id  such as secure_boot */
    public function __construct(public string $id, public string $title, public string $value)
    {
    }
}
