<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\KindDefaults;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\KnownWay;
use Cobblestone\Machine\Model\WaysIn;

/** How to get into the setup, the one-time menu or the recovery of this machine, best known way first (rule F1). */
final readonly class WayIn
{
    /**
     * @param  list<KnownWay>  $ways  those to try, ranked
     * @param  list<RankedWay>  $ranking  every way that is known of the model, its maker and its kind
     */
    private function __construct(
        public array $ways,
        public bool $forThisModel,
        public string $source,
        public array $ranking,
    ) {
    }

    public static function setup(Machine $machine): self
    {
        return self::of($machine, 'setup');
    }

    public static function menu(Machine $machine): self
    {
        return self::of($machine, 'menu');
    }

    public static function recovery(Machine $machine): self
    {
        return self::of($machine, 'recovery');
    }

    /** @return list<string> what to press, as sentences */
    public function instructions(string $reaches): array
    {
        $lines = [];
        foreach ($this->ways as $index => $way) {
            $lead = $index === 0 ? 'Power on and' : 'Nothing? Power fully off, then';
            $lines[] = $way->isHeld()
                ? "Fully off. Hold `{$way->key}`, press `{$way->press}` once, keep holding "
                    ."about {$way->seconds} s until {$reaches} stands, then let go."
                : "{$lead} tap `{$way->key}` until {$reaches} stands.";
        }

        return $lines;
    }

    /** @param  string  $reaches  setup, menu or recovery */
    public static function to(string $reaches, Machine $machine): self
    {
        return self::of($machine, $reaches);
    }

    private static function of(Machine $machine, string $which): self
    {
        $makers = $machine->makerWays;
        $ways = $machine->model->firmware->waysIn ?? new WaysIn();
        $ranking = RankedWay::rank(
            $ways->to($which),
            $makers->to($which),
            KindDefaults::waysIn($machine->kind)->to($which),
        );
        $own = array_values(
            array_filter($ranking, static fn (RankedWay $way): bool => $way->from === RankedWay::MODEL),
        );
        if ($own !== []) {
            $worked = $own[0]->worked;
            $confirmed =
                $worked > 0 ? ' Worked '.($worked === 1 ? 'once' : "{$worked} times").' on this model.' : '';

            return new self(
                array_map(static fn (RankedWay $way): KnownWay => $way->way, $own),
                true,
                "catalogue, {$machine->title}, as of {$machine->model?->asOf}.{$confirmed}",
                $ranking,
            );
        }
        $usual = $makers->isEmpty()
            ? "usual for a {$machine->kind->value}"
            : "usual for {$machine->model?->maker}, then for a {$machine->kind->value}";

        return new self(
            array_map(static fn (RankedWay $way): KnownWay => $way->way, $ranking),
            false,
            "{$usual}, most common first; which one worked is worth a note",
            $ranking,
        );
    }
}
