<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;

/** Screws by type: what came out goes in (rule H3). */
final class Screws
{
    /** Compared with what the entry of the model counts, where it does: a machine may come with one missing. */
    public static function out(?Opening $opening = null): Evidence
    {
        $counted = $opening?->tally() ?? '';

        return new Evidence(
            'screws_out',
            $counted === '' ? 'Screws taken out, by type' : 'Screws taken out, by letter',
            EvidenceKind::Tally,
            hint: $counted === '' ? null : 'such as "6 × A, 2 × B"',
            expected: $counted === '' ? null : new Expected($counted, source: Expected::CATALOGUE),
            overruledBy: ['technician', 'lead'],
            remedy: $counted === '' ? '' : 'Count again. Was one missing when it came, accept it and say so.',
        );
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
