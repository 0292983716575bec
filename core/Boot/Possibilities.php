<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Boot\Model\BootModel;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Model\Prediction;
use Cobblestone\Boot\Model\Undetermined;
use Cobblestone\Machine\Facts\FactRegistry;

/** Every way a power-on can end while some facts are unknown, and which fact would settle it (rule B). */
final readonly class Possibilities
{
    /** Facts that are asked one after the other; each has few values, so this stays small. */
    private const MOST = 64;

    /**
     * @param  list<array{given: array<string, bool|int|float|string>, prediction: Prediction}>  $ways  the likeliest
     *     first
     * @param  list<array{fact: string, value: bool|int|float|string, prediction: Prediction}>  $otherwise  what would
     *     come of it if something assumed is not so
     */
    private function __construct(public array $ways, public array $otherwise)
    {
    }

    public static function of(BootState $state): self
    {
        $ways = self::explore($state, []);
        $otherwise = [];
        $first = $ways[0]['prediction'];
        foreach (array_intersect($first->rests, $state->assumed) as $fact) {
            foreach (FactRegistry::find($fact)->values ?? [] as $value) {
                if ($value === ($state->facts[$fact] ?? null)) {
                    continue;
                }
                $other = self::explore($state->knowing([...$ways[0]['given'], $fact => $value]), [])[0]['prediction'];
                if ($other->outcome !== $first->outcome) {
                    $otherwise[] = ['fact' => $fact, 'value' => $value, 'prediction' => $other];
                }
            }
        }

        return new self($ways, $otherwise);
    }

    public function likeliest(): Prediction
    {
        return $this->ways[0]['prediction'];
    }

    /** @return list<Outcome> */
    public function outcomes(): array
    {
        $outcomes = [];
        foreach ($this->ways as $way) {
            $outcomes[$way['prediction']->outcome->value] = $way['prediction']->outcome;
        }

        return array_values($outcomes);
    }

    /**
     * The unknown fact whose values lead to different ends; null where it makes no difference, or nothing is unknown.
     */
    public function settledBy(): ?string
    {
        if (count($this->outcomes()) < 2) {
            return null;
        }
        foreach (array_keys($this->ways[0]['given']) as $fact) {
            $ends = [];
            foreach ($this->ways as $way) {
                if (isset($way['given'][$fact])) {
                    $ends[(string) $way['given'][$fact]][$way['prediction']->outcome->value] = true;
                }
            }
            if (
                count(
                    array_unique(array_map(static fn (array $set): string => implode(' ', array_keys($set)), $ends)),
                ) > 1
            ) {
                return $fact;
            }
        }

        return array_key_first($this->ways[0]['given']);
    }

    /**
     * @param  array<string, bool|int|float|string>  $given
     * @return non-empty-list<array{given: array<string, bool|int|float|string>, prediction: Prediction}>
     */
    private static function explore(BootState $state, array $given): array
    {
        try {
            return [['given' => $given, 'prediction' => BootModel::start($state)]];
        } catch (Undetermined $fork) {
            $ways = [];
            foreach ($fork->values as $value) {
                if (count($ways) >= self::MOST) {
                    break;
                }
                array_push(
                    $ways,
                    ...self::explore($state->knowing([$fork->fact => $value]), [...$given, $fork->fact => $value]),
                );
            }

            return $ways === [] ? throw $fork : $ways;
        }
    }
}
