<?php

use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\Walk;
use Tests\Support\Demo;

// A one-way stone for a machine names the machine, and asks for the last four of its serial (rule U9).

it('names machine, board, revision and serial where a machine is written, and says no bytes', function (
    string $job,
    string $stone,
    string $says,
) {
    $confirmation = Demo::plan($job)->step($stone)?->confirmation;
    expect($confirmation?->device)->toContain($says)
        ->and($confirmation->machine)->toBeTrue()->and($confirmation->typed)->toBeTrue()
        ->and($confirmation->bytes)->toBe(0)
        ->and($confirmation->accepts(substr((string) $confirmation->serial, -4)))->toBeTrue()
        ->and($confirmation->accepts('0000'))->toBeFalse()
        ->and(Confirmation::fromArray($confirmation->toArray()))->toEqual($confirmation);
})->with([
    ['firmware-update', 'firmware.write-1.14', 'Norrel Fairlead 13'],
    ['cable-restore', 'target.restore', 'Tamber Halden Block'],
]);

it('names the board and its revision as they are known', function () {
    $facts = [...Demo::brief('firmware-update')['machine']['facts'], 'board.name' => 'NF-13A', 'board.revision' => '2'];
    $plan = Demo::plan('firmware-update', ['machine' => ['facts' => $facts]]);
    expect($plan->step('firmware.write-1.14')?->confirmation?->device)
        ->toBe('Norrel Fairlead 13 · board NF-13A, revision 2');
});

it('asks which machine it is before anything is written that cannot be undone', function (string $job, Act $shuts) {
    $facts = Demo::brief($job)['machine']['facts'];
    unset($facts['machine.serial']);
    $plan = Demo::plan($job, ['machine' => ['facts' => $facts]]);
    expect($plan->question('machine.serial')?->shuts)->toContain($shuts)
        ->and($plan->verdict()->value)->toBe('hold');
    $none = Demo::plan($job, ['machine' => ['facts' => [...$facts, 'machine.serial' => 'none']]]);
    expect($none->question('machine.serial'))->toBeNull();
    foreach ($none->steps as $step) {
        if ($step->confirmation?->machine === true) {
            expect($step->confirmation->typed)->toBeFalse()->and($step->confirmation->serial)->toBeNull();
        }
    }
})->with([['firmware-update', Act::WriteFirmware], ['cable-restore', Act::Erase]]);

it('refuses another machine in its own words, and where it was read', function () {
    $plan = Demo::plan('cable-restore');
    $step = $plan->step('target.restore');
    $bare = $plan->withSteps([$step->with(['before' => [], 'gates' => []])]);
    $walk = new Walk(Progress::of($bare, []));
    expect(fn () => $walk->confirm($bare->steps[0], '0000', 'label'))
        ->toThrow(Refused::class, 'These are not the last four of this machine\'s serial')
        ->and(fn () => $walk->confirm($bare->steps[0], '4417', 'cup'))->toThrow(Refused::class, 'on the helper')
        ->and($walk->confirm($bare->steps[0], '4417', 'label')['read_from'])->toBe('label');
});

it('takes the system from the fetched file, with its name and bytes', function (string $stone, array $facts) {
    $plan = Demo::plan('cable-restore', ['machine' => [
        'facts' => [...Demo::brief('cable-restore')['machine']['facts'], ...$facts],
    ]]);
    expect(implode(' ', $plan->step($stone)->instructions ?? []))->toContain('Choose to take it from a file: `')
        ->toContain('halden-28.1-block.restore`, 17 179 869 184 B.');
})->with([['target.restore', []], ['install.revive', ['owner.keep' => 'some', 'owner.lock' => 'none']]]);

it('compares the serial that the helper shows, where it is known', function () {
    $shown = Demo::plan('cable-restore')->step('boot.recovery')->evidence[0] ?? null;
    expect($shown?->expected?->value)->toBe('HB28-04417');
});

it('makes a change of channel one-way for a machine that is named', function () {
    $plan = Demo::plan('repair', [
        'machine' => ['model' => 'wickley-pocket-lantern', 'facts' => [
            'symptom.starts' => 'normally', 'channel.other' => 'yes', 'machine.serial' => 'PL-00719',
        ]],
        'system' => 'corvane-play-2',
    ]);
    expect($plan->step('route.channel-0')?->confirmation?->device)->toContain('Pocket Lantern')
        ->and($plan->step('route.channel-0')->confirmation->serial)->toBe('PL-00719');
});
