<?php

use Cobblestone\Handover\HandoverDate;
use Cobblestone\Handover\HandoverDates;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Progress;
use Tests\Support\Demo;

/** @return list<array{string, string}> */
function daysOf(string $brief, array $entries): array
{
    return array_map(
        fn (HandoverDate $one) => [$one->id, $one->day],
        HandoverDates::of(Progress::of(Demo::plan($brief), $entries), 'Europe/Lisbon'),
    );
}

it('names the days that somebody has to keep in mind', function () {
    $installed = Demo::entry(1, EntryKind::Done, 'install.upgrade', 1796000000);
    $back = Demo::entry(2, EntryKind::Done, 'hand-over.give-back', data: ['evidence' => ['delete_by' => '2026-12-24']]);
    $day = gmdate('Y-m-d', 1796000000 + 10 * 86400);
    expect(daysOf('upgrade', [$installed, $back]))->toBe([['way-back', $day], ['copy', '2026-12-24']])
        ->and(daysOf('upgrade', [$back]))->toBe([['copy', '2026-12-24']])
        ->and(daysOf('fairlead-13', [$back]))->toBe([['copy', '2026-12-24']])
        ->and(daysOf('fairlead-13', []))->toBe([]);
});

it('has no way back once the old folder is gone, and no day that is none', function () {
    $entries = [
        Demo::entry(1, EntryKind::Done, 'install.upgrade', 1796000000),
        Demo::entry(2, EntryKind::RollbackLost, null),
        Demo::entry(3, EntryKind::Done, 'hand-over.give-back', data: ['evidence' => ['delete_by' => '12 March']]),
    ];
    expect(daysOf('upgrade', $entries))->toBe([]);
});

it('says what the days are about', function () {
    $data = ['evidence' => ['delete_by' => '2026-12-24']];
    $entries = [Demo::entry(1, EntryKind::Done, 'hand-over.give-back', data: $data)];
    [$copy] = HandoverDates::of(Progress::of(Demo::plan('fairlead-13'), $entries), 'UTC');
    expect($copy->what)->toContain('deletes its copy')->toContain('Fairlead 13')
        ->and($copy->more)->toContain('your own files');
});
