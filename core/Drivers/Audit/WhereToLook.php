<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Audit;

use Cobblestone\Machine\Device;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;

/** Where a driver that nobody has is looked for, in order (rule D9). */
final class WhereToLook
{
    /**
     * @param  Machine|null  $machine  null where nobody said which it is
     * @param  string|null  $maker  name of the device's maker, where a list knows it
     * @return list<string>
     */
    public static function for(Device $device, ?Machine $machine, ?string $maker): array
    {
        $model = $machine?->model?->title() ?? $machine?->title;
        $own = match (true) {
            $machine === null => ['The page of the machine\'s maker for exactly its model, its older items too.'],
            $machine->kind === Kind::Desktop => [
                'The page of the board'.self::named($machine->fact('board.name')->text())
                    .', with its revision.',
            ],
            default => ["The maker's page for exactly {$model}, its older items too."],
        };
        $part = $maker === null
            ? ["Who made it is not in the bench's list of names; the number behind the bus says it."]
            : ["The page of {$maker}, which made this part."];

        return [
            ...$own,
            ...$part,
            'The system\'s own updates, once more, and those it calls optional.',
            "Last, a search for `{$device->identifier}`. A site that collects the drivers of others is no source: "
                .'what comes from there needs the policy, a checksum and a reason.',
        ];
    }

    private static function named(string $board): string
    {
        return $board === '' ? ', whose name is printed on it' : " {$board}";
    }
}
