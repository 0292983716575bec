<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use Cobblestone\Machine\HealthReading;

/**
 * The readings of one machine: a newer one takes the place of an older one of its kind, and the same again changes
 * nothing (rule A1).
 */
final readonly class ReadingSet
{
    /** Readings of drive health kept; older ones say nothing more about rising. */
    private const KEPT = 60;

    /**
     * @param  list<Reading>  $readings
     * @param  list<string>  $new  what is new or changed, by tool
     */
    private function __construct(public array $readings, public array $new)
    {
    }

    /**
     * @param  list<Reading>  $present
     * @param  list<Reading>  $added  oldest first
     */
    public static function merge(array $present, array $added): self
    {
        $byKey = [];
        foreach ($present as $reading) {
            $byKey[$reading->key()] = $reading;
        }
        $new = [];
        foreach ($added as $reading) {
            if ($reading->isEmpty() || self::isKnown($reading, $byKey)) {
                continue;
            }
            unset($byKey[$reading->key()]);
            $byKey[$reading->key()] = $reading;
            $new[] = $reading->health === [] ? $reading->tool : "{$reading->tool} of {$reading->health[0]->model}";
        }

        return new self(array_slice(array_values($byKey), -self::KEPT), array_values(array_unique($new)));
    }

    /** @return list<array<string, mixed>> for the brief */
    public function toArray(): array
    {
        return array_map(static fn (Reading $reading): array => $reading->toArray(), $this->readings);
    }

    /** @param  array<string, Reading>  $byKey */
    private static function isKnown(Reading $reading, array $byKey): bool
    {
        foreach ($byKey as $other) {
            $sameDay =
                $reading->health === [] ||
                substr((string) $reading->at, 0, 10) === substr((string) $other->at, 0, 10);
            if ($other->tool === $reading->tool && $sameDay && self::content($other) === self::content($reading)) {
                return true;
            }
        }

        return false;
    }

    /** What it says, without where and when it was read. */
    private static function content(Reading $reading): string
    {
        $content = array_diff_key($reading->toArray(), ['origin' => 1, 'at' => 1, 'health' => 1]);
        $content['health'] = array_map(
            static fn (HealthReading $one): array => array_diff_key($one->toArray(), ['at' => 1]),
            $reading->health,
        );

        return (string) json_encode($content);
    }
}
