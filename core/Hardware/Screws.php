<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;

/** Screws by type: what came out goes in (rule H3). */
final class Screws
{
    public static function out(): Evidence
    {
        return new Evidence('screws_out', 'Screws taken out, by type', EvidenceKind::Tally);
    }

    /** @param  string  $opened  id of the step that took them out */
    public static function in(string $opened): Evidence
    {
        return new Evidence(
            'screws_in',
            'Screws put in, by type',
            EvidenceKind::Tally,
            expected: Expected::asIn($opened, 'screws_out'),
            overruledBy: ['technician', 'lead'],
            remedy: 'Look for it in the tray and in the machine: a loose screw shorts a board.',
        );
    }
}
