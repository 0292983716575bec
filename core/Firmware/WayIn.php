<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Job\KindDefaults;
use Cobblestone\Machine\Machine;

/** How to get into the setup or the one-time menu of this machine, best known way first (rule F1). */
final readonly class WayIn
{
    /** @param  list<array<string, mixed>>  $ways ranked */
    private function __construct(public array $ways, public bool $forThisModel, public string $source)
    {
    }

    public static function setup(Machine $machine): self
    {
        return self::of($machine, 'setup');
    }

    public static function menu(Machine $machine): self
    {
        return self::of($machine, 'menu');
    }

    /** @return list<string> what to press, as sentences */
    public function instructions(string $reaches): array
    {
        $lines = [];
        foreach ($this->ways as $index => $way) {
            $lead = $index === 0 ? 'Power on and' : 'Nothing? Power fully off, then';
            $lines[] = $way['how'] === 'hold'
                ? "Fully off. Hold `{$way['key']}`, press `{$way['press']}` once, keep holding about {$way['seconds']} s until {$reaches} stands, then let go."
                : "{$lead} tap `{$way['key']}` until {$reaches} stands.";
        }

        return $lines;
    }

    private static function of(Machine $machine, string $which): self
    {
        $own = $machine->model['firmware']['ways_in'][$which] ?? null;
        if ($own !== null) {
            $confirmed = ($own['confirmed'] ?? 0) > 0 ? " Worked {$own['confirmed']} times on this model." : '';

            return new self([$own], true, "catalogue, {$machine->title}, as of {$machine->model['as_of']}.{$confirmed}");
        }

        return new self(KindDefaults::waysIn($machine->kind)[$which], false, "usual for a {$machine->kind->value}, most common first; which one worked is worth a note");
    }
}
