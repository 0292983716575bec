<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\ProvingStart;
use Cobblestone\Boot\Emulated\StartSeen;

/** How many starts in emulated machines ended as predicted, by the kind of firmware. */
final class EmulatedShare
{
    /** @return array<string, array{as_predicted: int, otherwise: int, open: int}> firmware => how many; none of zero */
    public static function all(): array
    {
        $share = [];
        $rows = ProvingStart::query()
            ->where('state', 'done')
            ->toBase()
            ->selectRaw('firmware, predicted, outcome, count(*) as many')
            ->groupBy('firmware', 'predicted', 'outcome')
            ->orderBy('firmware')
            ->get();
        foreach ($rows as $row) {
            $kind = match (true) {
                $row->outcome === StartSeen::CannotTell->value => 'open',
                in_array($row->outcome, explode('|', $row->predicted), true) => 'as_predicted',
                default => 'otherwise',
            };
            $share[$row->firmware] ??= ['as_predicted' => 0, 'otherwise' => 0, 'open' => 0];
            $share[$row->firmware][$kind] += (int) $row->many;
        }

        return $share;
    }
}
