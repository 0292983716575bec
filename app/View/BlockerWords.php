<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;

/** What a blocker shuts and what opens it, in words. */
final class BlockerWords
{
    /** @param  list<Blocker>  $blockers */
    public static function heading(array $blockers): string
    {
        return array_filter($blockers, static fn (Blocker $one): bool => $one->isStop()) === []
            ? 'Hold: some of its stones are shut'
            : 'Stop: it cannot work like this';
    }

    public static function of(Blocker $blocker): string
    {
        $shuts = $blocker->isStop()
            ? 'Shuts every stone that changes something.'
            : 'Shuts: '.implode(', ', array_map(static fn (Act $act): string => $act->title(), $blocker->unsafe)).'.';
        $waiver = $blocker->waivableBy === []
            ? ''
            : ' A '.implode(' or a ', $blocker->waivableBy).' may waive it in writing.';

        return "{$shuts}{$waiver}";
    }
}
