<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

/** A value that a setting must have, and whose doing that is (rule F3). */
final readonly class Need
{
    /**
     * @param  bool  $stays  whether the change is meant to stay
     * @param  bool  $weakens  whether it lowers protection and so opens a put-back entry
     */
    public function __construct(public string $setting, public string $value, public string $because, public string $rule, public bool $stays = true, public bool $weakens = false)
    {
    }
}
