<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\GatherItem;

/** What the kind of machine alone asks for (rule J5). */
final class GatherList
{
    /** @return list<GatherItem> */
    public static function forMachine(Machine $machine): array
    {
        return match ($machine->kind) {
            Kind::Desktop => [
                new GatherItem('wired keyboard and pointer', 'radio ones may not work before the system is up'),
                new GatherItem('screen and its cable', 'on the socket the graphics come from'),
            ],
            Kind::Handheld => [new GatherItem('wired keyboard', 'touch may not work in setup and installer')],
            default => [],
        };
    }
}
