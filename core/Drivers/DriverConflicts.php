<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Runbook\Decision;

/** Packages that must not be there together, and needs that the shelf does not hold (rule D4). */
final readonly class DriverConflicts
{
    /**
     * @param  list<DriverPackage>  $kept  in order
     * @param  list<array{DriverPackage, DriverPackage}>  $out  each that stays out, and the one it cannot be with
     */
    private function __construct(public array $kept, private array $out)
    {
    }

    /** @param  list<DriverPackage>  $ordered  what comes first stays */
    public static function in(array $ordered): self
    {
        $kept = $out = [];
        foreach ($ordered as $package) {
            $with = self::excludedBy($package, $kept);
            if ($with === null) {
                $kept[] = $package;
            } else {
                $out[] = [$package, $with];
            }
        }

        return new self($kept, $out);
    }

    public function isOut(DriverPackage $package): bool
    {
        return in_array($package, array_column($this->out, 0), true);
    }

    /** @return list<Decision> */
    public function decisions(): array
    {
        return array_map(static fn (array $pair): Decision => new Decision(
            "drivers.conflict.{$pair[0]->id}",
            "{$pair[0]->title()} stays out",
            $pair[1]->title(),
            ["{$pair[0]->name} and {$pair[1]->name} must not be there together; the one that comes first stays."],
            [$pair[0]->title() => ["Its maker says that it cannot be with {$pair[1]->name}."]],
            ["{$pair[0]->id}, {$pair[1]->id}"],
            'D4',
        ), $this->out);
    }

    /**
     * @param  list<DriverPackage>  $shelf
     * @return list<string> a sentence for each need that nothing on the shelf meets
     */
    public function missing(array $shelf): array
    {
        $there = array_map(static fn (DriverPackage $package): string => $package->id, $shelf);
        $missing = [];
        foreach ($this->kept as $package) {
            foreach (array_diff($package->needs, $there) as $need) {
                $missing[] = "{$package->name} needs {$need}, which is not on the shelf.";
            }
        }

        return $missing;
    }

    /** @param  list<DriverPackage>  $kept */
    private static function excludedBy(DriverPackage $package, array $kept): ?DriverPackage
    {
        foreach ($kept as $other) {
            if (in_array($other->id, $package->conflicts, true) || in_array($package->id, $other->conflicts, true)) {
                return $other;
            }
        }

        return null;
    }
}
