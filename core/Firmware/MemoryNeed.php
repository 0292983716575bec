<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Text\Lowered;

/** Memory that can do more than it is set to, on a board that has a profile for it (rule F4). */
final class MemoryNeed
{
    public const PRINTED = 'memory.printed_rate';

    private const SETTING = 'memory_profile';

    /** Million transfers a second that a module can be rated at. */
    private const LEAST = 200;

    private const MOST = 20_000;

    /** @return list<Need> */
    public static function of(Machine $machine): array
    {
        $values = $machine->setting(self::SETTING)->values ?? [];
        $rate = self::rated($machine);
        $tested = $machine->fact('memory.trusted')->value;
        if (! in_array('rated', $values, true) || $rate === null || $tested === 'no') {
            return [];
        }
        $set = min(
            array_filter(
                array_map(static fn (MemoryModule $module): int => $module->setTransfers ?? 0, $machine->modules),
            ) ?: [0],
        );
        if ($set >= $rate) {
            return [];
        }
        $ways = MemoryProfile::ways($rate, $machine->model->firmware->multiplierCountsTransfers ?? false);

        return [
            new Need(
                self::SETTING,
                'rated',
                "The modules are rated at {$rate} million transfers a second".
                    ($set > 0 ? " and run at {$set}" : '').
                    '. '.
                    ($ways === []
                        ? 'Choose the profile; no multiplier meets the rate exactly.'
                        : 'Without a profile by hand: '.Lowered::of($ways[0]->sentence())),
                'F4',
                whose: 'model',
            ),
        ];
    }

    /** A changed memory profile makes the next start long and black. */
    public static function waiting(ChangePlan $changes): ?Waiting
    {
        return isset($changes->becomes()['firmware.'.self::SETTING])
            ? new Waiting(
                [
                    'black for several minutes after saving, while memory is trained',
                    'it restarts by itself once or twice',
                ],
                'Do not cut the power. After fifteen minutes of black: settings back to their defaults by the '
                    .'board\'s jumper, then standard speed.',
                1,
            )
            : null;
    }

    /**
     * Where no system can be read yet, the modules themselves say what they can do.
     *
     * @return list<Question>
     */
    public static function questions(Machine $machine): array
    {
        $hasProfile = in_array('rated', $machine->setting(self::SETTING)->values ?? [], true);

        return $hasProfile && self::rated($machine) === null
            ? [FactQuestion::about(self::PRINTED, 'which memory profile is set', 'F4', 45)]
            : [];
    }

    /** The rate that all modules can do, in million transfers a second; null where neither reading nor label says. */
    private static function rated(Machine $machine): ?int
    {
        $fitted = array_filter($machine->modules, static fn (MemoryModule $module): bool => ! $module->isEmpty());
        $rates = array_map(static fn (MemoryModule $module): ?int => $module->ratedTransfers, $fitted);

        if ($rates !== [] && ! in_array(null, $rates, true)) {
            return (int) min($rates);
        }
        $printed = $machine->fact(self::PRINTED)->value;

        return is_numeric($printed) && $printed >= self::LEAST && $printed <= self::MOST ? (int) $printed : null;
    }
}
