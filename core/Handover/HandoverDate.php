<?php

declare(strict_types=1);

namespace Cobblestone\Handover;

/** A day that the owner or the bench has to keep in mind after the hand-over. */
final readonly class HandoverDate
{
    /**
     * @param  string  $id  which date of the job it is
     * @param  string  $day  such as 2026-12-24
     */
    public function __construct(public string $id, public string $day, public string $what, public string $more = '')
    {
    }
}
