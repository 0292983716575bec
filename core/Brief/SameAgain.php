<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

/** What of an earlier job's brief still holds when its machine comes again: which machine it is, and whose. */
final class SameAgain
{
    private const MACHINE = ['model', 'kind', 'title', 'ports'];

    private const FACTS = ['machine.serial'];

    /**
     * @param  array<string, mixed>  $brief
     * @return array<string, mixed>
     */
    public static function of(array $brief): array
    {
        $machine = is_array($brief['machine'] ?? null) ? $brief['machine'] : [];
        $facts = is_array($machine['facts'] ?? null) ? $machine['facts'] : [];
        $known = array_intersect_key($facts, array_flip(self::FACTS));

        return [
            ...array_intersect_key($brief, ['owner' => true]),
            'machine' => [
                ...array_intersect_key($machine, array_flip(self::MACHINE)),
                ...$known === [] ? [] : ['facts' => $known],
            ],
        ];
    }
}
