<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Brief\MachineBlock;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Machine\Model\FirmwareSetting;

/** Which facts some rule reads; another name under a brief's facts is listed, never silently taken (rule A1). */
final class KnownFacts
{
    /** @return array<string, true> every name that a rule or an entry of the catalogue reads */
    private static function names(Catalogue $catalogue): array
    {
        $names = FactRegistry::names();
        $isSetting = static fn (string $name): bool => str_starts_with($name, FactRegistry::FIRMWARE);
        $settings = array_filter($names, $isSetting);
        foreach ($catalogue->machines() as $model) {
            $own = array_map(static fn (FirmwareSetting $one): string => $one->fact(), $model->settings());
            array_push($settings, ...$own);
        }
        foreach ($settings as $setting) {
            array_push($names, $setting, str_replace(FactRegistry::FIRMWARE, 'choice.', $setting));
        }
        foreach (['systems', 'routes', 'issues'] as $kind) {
            $entries = $catalogue->all($kind);
            array_walk_recursive($entries, static function (mixed $value, int|string $key) use (&$names): void {
                if ($key === 'fact' && is_string($value)) {
                    $names[] = $value;
                }
            });
        }

        return array_fill_keys($names, true);
    }

    /**
     * @return list<string> a note for each name that no rule reads
     */
    public static function notUnderstood(MachineBlock $machine, Catalogue $catalogue): array
    {
        $given = array_map(strval(...), array_keys([...$machine->facts, ...$machine->settled]));
        $left = array_diff($given, FactRegistry::names());
        // The catalogue is only gone through for a name that no rule reads.
        [$names, $notes] = [$left === [] ? [] : self::names($catalogue), []];
        foreach ($left as $name) {
            if (! isset($names[$name])) {
                $like = self::nearest($name, array_keys($names));
                $notes[] =
                    "\"{$name}\" is not understood: no rule reads a fact of this name".
                    ($like === null ? '.' : "; did you mean \"{$like}\"?");
            }
        }

        return $notes;
    }

    /** @param  list<string>  $names */
    private static function nearest(string $name, array $names): ?string
    {
        $best = null;
        $least = 4;
        foreach ($names as $known) {
            $away = levenshtein($name, $known);
            if ($away < $least) {
                [$best, $least] = [$known, $away];
            }
        }

        return $best;
    }
}
