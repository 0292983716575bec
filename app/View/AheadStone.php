<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Shut;
use Cobblestone\Runbook\Step;

/** A shut stone further on the path, as run mode mentions it at a free one. */
final readonly class AheadStone
{
    private function __construct(public Step $step, public string $words)
    {
    }

    public static function of(Progress $progress, Step $step): self
    {
        $shut = array_values(array_filter($progress->shut($step), static fn (Shut $one): bool => $one->isHere()));

        $more = count($shut) - 1;

        return new self($step, $shut[0]->sentence().($more > 0 ? " And {$more} more." : ''));
    }
}
