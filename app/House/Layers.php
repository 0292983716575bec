<?php

namespace App\House;

/** The layers of the core, lowest first: a part may use those of lower layers and no other. */
final class Layers
{
    /** Adding a part means deciding here what it may use. */
    public const CORE = [
        ['Quantity', 'Text'],
        ['Document'],
        ['Runbook', 'Storage'],
        ['Machine'],
        ['Inventory'],
        ['Catalogue'],
        ['Brief'],
        ['Policy'],
        ['Assessment', 'Drivers', 'Tuning'],
        ['Firmware'],
        ['Hardware'],
        ['Install', 'Media'],
        ['Boot'],
        ['Findings'],
        ['Bench', 'Handover', 'Job'],
    ];

    /** @return array<string, int> part => its layer */
    public static function ranks(): array
    {
        $ranks = [];
        foreach (self::CORE as $rank => $parts) {
            $ranks += array_fill_keys($parts, $rank);
        }

        return $ranks;
    }

    /** @return list<string> each import that does not go down, in words */
    public static function faults(Imports $imports): array
    {
        $ranks = self::ranks();
        $faults = array_map(
            static fn (
                string $part,
            ): string => "core/{$part} stands in no layer: say in Layers::CORE what it may use.",
            array_values(array_diff($imports->parts(), array_keys($ranks))),
        );
        foreach ($imports->edges as $part => $uses) {
            foreach ($uses as $used => $files) {
                if (($ranks[$used] ?? -1) >= ($ranks[$part] ?? PHP_INT_MAX)) {
                    $faults[] =
                        "core/{$part} uses core/{$used}, which is not below it: ".
                        implode(', ', array_unique($files)).
                        '.';
                }
            }
        }
        $cycle = $imports->cycle();

        return $cycle === null ? $faults : [...$faults, 'A knot: '.implode(' → ', $cycle).'.'];
    }
}
