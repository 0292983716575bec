<?php

use Cobblestone\Assessment\CopyGone;
use Cobblestone\Brief\BackupDestination;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\Presence;

it('names the drive and the job, and nothing else is deleted', function () {
    $step = CopyGone::step(new BackupDestination('Bollard external drive', 'BX-0042'), 'job 0004, crew laptop');
    expect($step->id)->toBe(CopyGone::STEP)
        ->and($step->instructions)->toBe([
            'Take Bollard external drive, and compare its serial.',
            'Delete the folder of job 0004, crew laptop and nothing else; empty the bin.',
            'Look once more: nothing of it is there.',
        ])
        ->and($step->presence)->toBe(Presence::Hands)
        ->and($step->needs)->toBe(['hands'])
        ->and($step->does(Act::CopyData))->toBeTrue()
        ->and($step->because[0]->rule)->toBe('L4')
        ->and([$step->time->low->inMinutes(), $step->time->likely->inMinutes(), $step->time->high->inMinutes()])
        ->toBe([2.0, 5.0, 20.0]);
});

it('asks for the serial where one is known, how it went, and a second look', function () {
    $rows = CopyGone::step(new BackupDestination('Bollard', 'BX-0042'), 'job')->evidence;
    $judged = fn (Evidence $of, string $value) => EvidenceJudge::judge($of, $value, [])->verdict->value;
    expect(array_column($rows, 'id'))->toBe(['copy_serial', 'how', 'gone'])
        ->and($rows[0]->expected?->hidden)->toBeTrue()
        ->and($judged($rows[0], '0042'))->toBe('equal')
        ->and($judged($rows[0], '0043'))->toBe('differs')
        ->and(array_keys($rows[1]->options))->toBe(['deleted', 'overwritten', 'erased', 'given'])
        ->and($judged($rows[1], 'erased'))->toBe('noted')
        ->and($judged($rows[2], 'yes'))->toBe('equal')
        ->and($judged($rows[2], 'no'))->toBe('differs')
        ->and(array_merge(...array_map(fn (Evidence $one) => $one->overruledBy, $rows)))->toBe([]);
    $unnamed = CopyGone::step(null, 'job');
    expect(array_column($unnamed->evidence, 'id'))->toBe(['how', 'gone'])
        ->and($unnamed->instructions[0])->toContain('the drive with the copy');
});
