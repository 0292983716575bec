<?php

use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\PutBack;
use Tests\Support\Demo;

/** A small path: copied, proven, weakened, erased behind its gate, restored, handed over. */
function erasingPath(object $test): void
{
    $test->copy = Demo::step('copy', [], ['copied'], presence: Presence::WalkAway);
    $test->check = Demo::step(
        'check',
        ['copied'],
        ['proven'],
        evidence: [
            new Evidence('count', 'Files', 'count', least: 3),
            new Evidence('how', 'How', 'choice', ['a' => 'A']),
        ],
    );
    $test->weaken = Demo::step('weaken', [], ['weak'], opens: [new PutBack('lock', 'Lock', 'for the job', 'restore')]);
    $test->erase = Demo::step(
        'erase',
        [],
        ['erased'],
        gates: [new Gate('backup', 'proven', 'Backup', 'check', ['lead'], ['copy', 'check'])],
        confirmation: new Confirmation('Drive', 5, 'SER-77aB', 'all', 'me', true),
    );
    $test->restore = Demo::step('restore', ['erased'], ['restored'], removes: ['weak']);
    $test->end = Demo::step('end', ['restored'], [PathFact::HANDED_OVER]);
    $test->plan = Demo::planOf(
        [$test->copy, $test->check, $test->weaken, $test->erase, $test->restore, $test->end],
        ['given'],
    );
    $test->after = fn (array ...$entries) => Progress::of(
        $test->plan,
        array_map(
            fn (array $entry, int $i) => Demo::entry($i + 1, $entry[0], $entry[1], $entry[2] ?? 0, $entry[3] ?? []),
            $entries,
            array_keys($entries),
        ),
    );
}
