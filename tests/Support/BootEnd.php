<?php

namespace Tests\Support;

use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;

/** How a power-on ends: its state, its outcome, the stone where it stands still, and what the prediction rests on. */
final class BootEnd
{
    /** @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> one for every way to end */
    public static function everyOne(): array
    {
        return [...SignatureEnds::all(), ...MediumEnds::all(), ...RunningEnds::all()];
    }

    /** @return array{BootState, Outcome, string|null, Ground} */
    public static function ends(
        BootState $state,
        Outcome $outcome,
        ?string $at = null,
        Ground $ground = Ground::Standard,
    ): array {
        return [$state, $outcome, $at, $ground];
    }

    /** @return array{BootState, Outcome, string|null, Ground} */
    public static function installs(BootState $state): array
    {
        return self::ends($state, Outcome::InstallerStarts);
    }

    /** @return array{BootState, Outcome, string|null, Ground} */
    public static function refuses(BootState $state): array
    {
        return self::ends($state, Outcome::RefusedBySecureBoot, 'signature');
    }

    /**
     * A stick whose loader differs in something.
     *
     * @param  array<string, mixed>  $loader
     * @param  array<string, string>  $facts
     */
    public static function loaded(array $loader, array $facts = []): BootState
    {
        return self::stick($facts, BootBench::medium(loaders: [BootBench::loader($loader)]));
    }

    /** @param  array<string, string>  $facts */
    public static function stick(
        array $facts,
        ?Medium $medium = null,
        bool $attached = true,
        bool $readable = true,
    ): BootState {
        return BootBench::state($facts, [BootBench::stick($medium, $attached, $readable)]);
    }
}
