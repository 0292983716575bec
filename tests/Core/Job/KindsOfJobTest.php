<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Firmware\ReleasePath;
use Cobblestone\Firmware\UpdateSupply;
use Cobblestone\Hardware\CardSupply;
use Cobblestone\Install\RollbackWindow;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Machine\Model\Release;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Quantity\Moment;
use Cobblestone\Quantity\Power;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Tests\Support\Demo;

it('has a golden job for each kind, whole from first to last stone', function () {
    $kinds = array_values(array_unique(array_map(fn (string $job) => Demo::brief($job)['goal'] ?? 'clean-install', Demo::ALL)));
    sort($kinds);
    $all = array_column(JobKind::cases(), 'value');
    sort($all);
    expect($kinds)->toBe($all);
    foreach (Demo::ALL as $job) {
        $steps = Demo::plan($job)->steps;
        expect($steps[count($steps) - 1]->after)->toContain(PathFact::HANDED_OVER)
            ->and($steps[count($steps) - 1]->stage->value)->toBe('hand-over');
    }
});

it('makes a stick and nothing else, for any machine', function () {
    $plan = Demo::plan('stick-for-any');
    expect(array_map(fn ($step) => $step->id, $plan->steps))->toBe(['gather.lay-out', 'image.check', 'media.identify', 'media.write', 'media.verify', 'hand-over.shelve'])
        ->and($plan->layouts['target'])->toBeNull()
        ->and($plan->layouts['stick']['name'])->toBe('Harbour 16')
        ->and($plan->step('hand-over.shelve')?->instructions[1])->toContain('those by UEFI and those that start the old way')
        ->and($plan->verdict()->value)->toBe('go');
});

it('gives a new build power before its stick, and loses nothing', function () {
    $plan = Demo::plan('new-capstan');
    $ids = array_map(fn ($step) => $step->id, $plan->steps);
    expect(array_search('hardware.first-power', $ids, true))->toBeLessThan(array_search('boot.start', $ids, true))
        ->and($plan->step('hardware.first-power')?->presence)->toBe(Presence::StayNear)
        ->and($plan->step('protect.back-up'))->toBeNull()
        ->and($plan->step('target.erase')?->gates)->toBe([])
        ->and($plan->step('target.erase')?->confirmation?->loses)->toBe('whatever is on it: its contents were not read')
        ->and($plan->step('target.erase')?->before)->toContain(PathFact::CASE_CLOSED)
        ->and($plan->step('hardware.first-power')?->rows[0])->toBe(['seen in setup' => 'Memory', 'must be' => '32.0 GiB']);
});

it('takes the only blank drive of a new build, and asks where there is none', function () {
    $lsblk = (string) json_encode(['blockdevices' => [['name' => 'nvme0n1', 'size' => 512110190592, 'type' => 'disk', 'serial' => 'NEW-1', 'pttype' => null], ['name' => 'sda', 'size' => 2000398934016, 'type' => 'disk', 'serial' => 'OLD-1', 'pttype' => 'gpt', 'children' => [['name' => 'sda1', 'size' => 9, 'fstype' => 'ext4']]]]]);
    $plan = Demo::plan('new-capstan', ['machine' => ['lsblk' => $lsblk, 'facts' => []]]);
    expect($plan->step('target.erase')?->confirmation?->serial)->toBe('NEW-1')
        ->and($plan->step('hardware.detach'))->not->toBeNull();
    expect(Demo::plan('new-capstan', ['machine' => ['facts' => []]])->questions[0]->fact)->toBe('target.reading')
        ->and(Demo::plan('new-capstan', ['machine' => ['facts' => ['target.serial' => 'X', 'target.bytes' => 'many']]])->questions[0]->fact)->toBe('target.reading');
});

it('rescues a failing drive before it comes out, and carries the data over from the copy', function () {
    $plan = Demo::plan('drive-swap');
    $ids = array_map(fn ($step) => $step->id, $plan->steps);
    expect(array_search('protect.back-up', $ids, true))->toBeLessThan(array_search('hardware.swap-drive', $ids, true))
        ->and($plan->step('install.carry-over')?->instructions[0])->toContain('the rescued copy')
        ->and($plan->step('target.erase')?->confirmation?->serial)->toBe('SM3-2610-55E0C1')
        ->and($plan->step('hand-over.give-back')?->gates[0]->fact)->toBe(PathFact::putBack('old-drive'))
        ->and($plan->layouts['target']['bytes'])->toBe(512110190592);
});

it('keeps a sound old drive as the way back, without a backup of its own', function () {
    $plan = Demo::plan('drive-swap', ['machine' => ['readings' => [], 'facts' => ['drive.encryption' => 'none', 'target.serial' => 'N-1', 'target.bytes' => '512.1 GB']]]);
    expect($plan->step('protect.back-up'))->toBeNull()
        ->and($plan->step('install.carry-over')?->instructions[0])->toContain('nvme0n1')
        ->and($plan->step('put-back.old-drive')?->before)->toContain('data.carried-over')
        ->and($plan->verdict()->value)->toBe('go');
});

it('puts the factory image back only with everything else detached, and stops where none answers', function () {
    $plan = Demo::plan('factory-restore');
    expect($plan->step('boot.recovery')?->before)->toContain('protect.detached-all')
        ->and($plan->step('boot.recovery')?->instructions[0])->toContain('`F7`')
        ->and($plan->step('install.factory')?->presence)->toBe(Presence::StayNear)
        ->and($plan->step('target.restore')?->confirmation?->typed)->toBeTrue();
    $facts = fn (array $facts) => Demo::plan('factory-restore', ['machine' => ['facts' => ['owner.keep' => 'nothing', ...$facts]]]);
    expect($facts(['factory.image' => 'no'])->blockers[0]->reason)->toContain('does not answer any more')
        ->and($facts(['factory.image' => 'media'])->step('boot.recovery')?->instructions[0])->toContain('recovery medium')
        ->and($facts([])->verdict()->value)->toBe('hold');
});

it('updates firmware only with a reason and through the required stops', function () {
    $plan = Demo::plan('firmware-update');
    expect(array_map(fn ($step) => $step->title, array_values(array_filter($plan->steps, fn ($step) => str_starts_with($step->id, 'firmware.write')))))->toBe(['Write 1.14', 'Write 1.16'])
        ->and($plan->step('firmware.write-1.14')?->isOneWay())->toBeTrue()
        ->and($plan->step('firmware.write-1.14')?->presence)->toBe(Presence::StayNear)
        ->and($plan->step('firmware.supply')?->evidence[0]->least)->toBe(50);
    expect(Demo::plan('firmware-update', ['update' => ['reason' => ' ']])->blockers[0]->reason)->toBe('A firmware update without a reason is refused: say what it mends or brings.');
    $from = fn (string $version, array $update) => Demo::plan('firmware-update', ['machine' => ['facts' => ['firmware.version' => $version, 'drive.encryption' => 'none']], 'update' => ['reason' => 'x', ...$update]]);
    expect($from('1.14', ['gives' => 'sleep drain'])->blockers[0]->reason)->toContain('is there already')
        ->and($from('1.02', ['to' => '1.16'])->step('firmware.write-1.16')?->title)->toBe('Write 1.16')
        ->and($from('1.05', ['to' => '9.9'])->blockers[0]->reason)->toContain('The catalogue holds no release 9.9');
    expect(Demo::plan('firmware-update', ['machine' => ['facts' => ['drive.encryption' => 'none']]])->questions[0]->fact)->toBe('firmware.version');
    expect(Demo::plan('firmware-update', ['machine' => ['model' => 'wickley-pocket-lantern', 'facts' => ['firmware.version' => '3', 'drive.encryption' => 'none']]])->step('firmware.write-new')?->title)->toBe('Write the new version');
});

/**
 * @param  list<array<string, mixed>>  $said
 * @return list<Release>
 */
function releases(array $said): array
{
    return array_map(static fn (array $one): Release => Release::fromArray(['file' => 'f', 'minutes' => [3, 6, 20], ...$one]), $said);
}

it('finds the shortest way through releases', function (string $from, string $to, ?array $way) {
    $releases = releases([['version' => '1.0'], ['version' => '1.5', 'from' => '1.0'], ['version' => '2.0', 'from' => '1.4'], ['version' => '2.1', 'from' => '1.0'], ['version' => '3.0', 'from' => '2.0']]);
    $found = ReleasePath::shortest($releases, $from, $to);
    expect($found === null ? null : array_map(fn ($release) => $release->version, $found))->toBe($way);
})->with([['1.0', '3.0', ['2.1', '3.0']], ['1.0', '2.0', ['1.5', '2.0']], ['2.0', '3.0', ['3.0']], ['3.0', '3.0', []], ['3.5', '3.0', []], ['0.9', '2.1', ['1.0', '2.1']], ['1.0', '4.0', null]]);

it('takes the lowest release that gives what is needed', function () {
    $releases = releases([['version' => '1.10', 'gives' => ['a']], ['version' => '1.9', 'gives' => ['a', 'b']], ['version' => '2.0']]);
    expect(ReleasePath::lowestGiving($releases, 'a'))->toBe('1.9')
        ->and(ReleasePath::lowestGiving($releases, 'b'))->toBe('1.9')
        ->and(ReleasePath::lowestGiving($releases, null))->toBe('2.0')
        ->and(ReleasePath::lowestGiving($releases, 'z'))->toBeNull();
});

it('wants twice the energy of an update from an uninterruptible supply', function () {
    expect(UpdateSupply::required(Power::watts(120), Duration::minutes(10))->milliwattHours)->toBe(40_000);
    $tower = fn (array $facts) => Demo::plan('firmware-update', ['machine' => ['model' => 'brackwater-capstan-t3', 'facts' => ['firmware.version' => 'F9', 'drive.encryption' => 'none', ...$facts]], 'update' => ['reason' => 'x', 'to' => 'F12']]);
    expect($tower(['power.load_w' => 120, 'ups.usable_wh' => 20])->blockers)->toBe([])
        ->and($tower(['power.load_w' => 120, 'ups.usable_wh' => 19.9])->blockers[0]->reason)->toContain('is too small: 120 W × 5 min × 2 = 20.0 Wh')
        ->and($tower([])->step('firmware.supply')?->evidence[0]->options)->toHaveKeys(['ups', 'wall']);
});

it('compares supply and leads with the card', function () {
    expect(CardSupply::required(220, 105, 75))->toBe(500)
        ->and(CardSupply::required(1, 0, 0))->toBe(2)
        ->and(CardSupply::leads([]))->toBe(75)
        ->and(CardSupply::leads(['8-pin', '6-pin']))->toBe(300)
        ->and(CardSupply::leads(['16-pin:450']))->toBe(525)
        ->and(CardSupply::leads(['string']))->toBe(75);
    $card = fn (array $change) => Demo::plan('card-swap', ['card' => $change]);
    expect($card([])->blockers)->toBe([])
        ->and($card(['supply_w' => 499])->blockers[0]->reason)->toContain('= 500 W; the supply gives 499 W')
        ->and($card(['watts' => 376, 'supply_w' => 900])->blockers[0]->reason)->toContain('carry 375 W, it draws 376 W');
});

it('removes the old family between safe mode and the new card, offline', function () {
    $ids = array_map(fn ($step) => $step->id, Demo::plan('card-swap')->steps);
    $order = array_map(fn (string $id) => array_search($id, $ids, true), ['drivers.fetch', 'network.offline', 'boot.safe-mode', 'drivers.remove-old', 'hardware.swap-card', 'boot.first', 'drivers.install-new', 'put-back.network', 'hand-over.give-back']);
    $sorted = $order;
    sort($sorted);
    expect($order)->toBe($sorted)
        ->and(Demo::plan('card-swap', ['machine' => ['facts' => ['drive.encryption' => 'chip', 'encryption.key' => 'yes']]])->step('protect.suspend'))->not->toBeNull();
});

it('revives before it restores, and restores only once nothing is kept or reviving was tried', function () {
    $with = fn (array $facts) => Demo::plan('cable-restore', ['machine' => ['facts' => ['owner.lock' => 'signed-out', ...$facts]]]);
    expect($with(['owner.keep' => 'some'])->step('install.revive'))->not->toBeNull()
        ->and($with(['owner.keep' => 'some'])->step('target.restore'))->toBeNull()
        ->and($with(['owner.keep' => 'some', 'tried' => 'revive'])->step('target.restore')?->gates[0]->fact)->toBe(PathFact::BACKUP_SETTLED)
        ->and($with(['owner.keep' => 'nothing'])->step('install.revive'))->toBeNull();
    expect($with(['owner.keep' => 'nothing'])->step('boot.recovery')?->instructions[0])->toBe('Cable into the socket usb-c, rear, nearest the power lead, seen from behind.')
        ->and(Demo::plan('cable-restore', ['image' => 'orrin-desktop-3'])->blockers[0]->reason)->toContain('is no restore image');
});

it('upgrades in place with a way back, and says what room it wants', function () {
    $plan = Demo::plan('upgrade');
    expect($plan->assessment['rollback'])->toBe(['step' => 'install.upgrade', 'days' => 10])
        ->and($plan->step('install.start')?->gates[0]->fact)->toBe(PathFact::BACKUP_SETTLED)
        ->and($plan->steps[count($plan->steps) - 1]->gates)->toBe([])
        ->and(array_filter($plan->steps, fn ($step) => $step->isOneWay()))->toBe([]);
    $free = fn (int $bytes) => Demo::plan('upgrade', ['machine' => ['facts' => ['drive.encryption' => 'none', 'drive.free_bytes' => $bytes]]])->blockers;
    expect($free(32_000_000_000))->toBe([])->and($free(31_999_999_999)[0]->reason)->toContain('short by 1 B');
});

it('counts the days of a way back on the calendar of the bench', function (string $installed, string $zone, string $deadline, array $reminders) {
    $window = RollbackWindow::from(Moment::of($installed, $zone), 10);
    expect($window->deadline->iso())->toBe($deadline)
        ->and(array_map(fn (Moment $moment) => $moment->day(), $window->reminders()))->toBe($reminders);
})->with([
    ['2026-11-24T15:40', 'UTC', '2026-12-04T15:40+00:00', ['2026-12-01', '2026-12-03']],
    'clocks go back in between' => ['2026-10-20T15:40', 'Europe/Berlin', '2026-10-30T15:40+01:00', ['2026-10-27', '2026-10-29']],
    'leap day' => ['2028-02-25T09:00', 'UTC', '2028-03-06T09:00+00:00', ['2028-03-03', '2028-03-05']],
    'turn of the year' => ['2026-12-28T23:50', 'UTC', '2027-01-07T23:50+00:00', ['2027-01-04', '2027-01-06']],
]);

it('knows open, last day, over and lost', function () {
    $window = RollbackWindow::from(Moment::of('2026-11-24T15:40'), 10);
    $state = fn (string $now, bool $gone = false) => $window->state(Moment::of($now), $gone);
    expect($state('2026-11-25T08:00'))->toBe('open')
        ->and($state('2026-12-04T15:39'))->toBe('ends today')
        ->and($state('2026-12-04T15:40'))->toBe('over')
        ->and($state('2026-11-25T08:00', true))->toBe('lost')
        ->and($window->sentence(Moment::of('2026-12-01T08:00'), false))->toBe('Can be taken back until 4 Dec 2026, 15:40, 3 days from now.')
        ->and($window->sentence(Moment::of('2026-12-01T08:00'), true))->toContain('folder is gone')
        ->and($window->sentence(Moment::of('2027-01-01'), false))->toContain('that is over')
        ->and($window->sentence(Moment::of('2026-12-04T01:00'), false))->toContain('until today');
});

it('reads complete dates only, and never a clock', function (string $text) {
    expect(fn () => Moment::of($text))->toThrow(InvalidQuantity::class, 'is not a date');
})->with(['now', 'tomorrow', '2026-13-01', '2026-02-30', '24.11.2026', '2026-11-24 15:40', '']);

it('keeps a moment in its zone', function () {
    expect(Moment::ofUnix(0)->iso())->toBe('1970-01-01T00:00+00:00')
        ->and(Moment::of('2026-11-24T15:40Z', 'Europe/Berlin')->iso())->toBe('2026-11-24T16:40+01:00')
        ->and(Moment::of('2026-11-24')->daysUntil(Moment::of('2026-11-20')))->toBe(-4)
        ->and(Moment::of('2026-11-24T23:59')->daysUntil(Moment::of('2026-11-25T00:01')))->toBe(1)
        ->and(Moment::of('2026-11-24T10:00')->isBefore(Moment::of('2026-11-24T10:01')))->toBeTrue()
        ->and(Moment::of('1970-01-02')->unix())->toBe(86400)
        ->and(Moment::of('2026-11-04T09:05')->spoken())->toBe('4 Nov 2026, 09:05');
});

it('says what is plugged in where and whether it still charges', function () {
    expect(Demo::plan('fairlead-13')->assessment['ports'])->toBe([
        ['stage' => 'Back up', 'uses' => [['port' => 'usb-a, right side', 'what' => 'backup drive'], ['port' => 'usb-c, left side rear', 'what' => 'charger']], 'charges' => true, 'note' => ''],
        ['stage' => 'Start from the stick and install', 'uses' => [['port' => 'usb-a, right side', 'what' => 'stick'], ['port' => 'usb-c, left side rear', 'what' => 'charger']], 'charges' => true, 'note' => ''],
        ['stage' => 'First boot and updates', 'uses' => [['port' => 'usb-c, left side rear', 'what' => 'charger']], 'charges' => true, 'note' => ''],
    ]);
    $lantern = Demo::plan('pocket-lantern')->assessment['ports'];
    expect($lantern[0])->toMatchArray(['uses' => [['port' => 'usb-c, top edge', 'what' => 'stick']], 'charges' => false, 'note' => 'the charger\'s socket is taken, so it runs on its battery'])
        ->and($lantern[1]['charges'])->toBeTrue()
        ->and(Demo::plan('unknown-laptop', ['machine' => ['ports' => []]])->assessment['ports'])->toBe([]);
});

it('still helps each kind of job with an empty catalogue', function (array $brief, string $verdict, array $steps) {
    $plan = Cobblestone\Job\JobPlanner::plan(Cobblestone\Brief\Brief::fromArray(['brief' => 1, 'title' => 'odd', 'catalogue' => 'none', ...$brief]), Demo::catalogue(), Cobblestone\Policy\Policy::of());
    expect($plan->verdict()->value)->toBe($verdict)->and(count($plan->questions))->toBeLessThanOrEqual(3);
    $ids = array_map(fn ($step) => $step->id, $plan->steps);
    $order = array_map(fn (string $id) => array_search($id, $ids, true), $steps);
    $sorted = $order;
    sort($sorted);
    expect(in_array(false, $order, true))->toBeFalse(implode(' ', $ids))->and($order)->toBe($sorted);
})->with([
    'a dead desktop is looked at before anything is copied' => [['goal' => 'repair', 'machine' => ['kind' => 'desktop', 'facts' => ['symptom.powers_up' => 'no']], 'system' => ['name' => 'Some system']], 'go', ['intake.take-in', 'route.hardware-0', 'route.hardware-1', 'route.result']],
    'firmware of an unknown board' => [['goal' => 'firmware-update', 'machine' => ['kind' => 'desktop', 'facts' => ['firmware.version' => 'A1', 'drive.encryption' => 'none']], 'update' => ['reason' => 'new processor', 'to' => 'A3']], 'go', ['firmware.snapshot', 'firmware.write-new', 'firmware.re-enter']],
    'a sealed machine nobody described' => [['goal' => 'cable-restore', 'machine' => ['kind' => 'sealed', 'title' => 'Slab', 'facts' => ['owner.keep' => 'nothing', 'owner.lock' => 'none']], 'system' => ['name' => 'Slab system'], 'image' => ['name' => 'slab.restore', 'bytes' => 9000000000]], 'go', ['media.helper', 'boot.recovery', 'target.restore', 'install.restore']],
    'a stick for any machine' => [['goal' => 'media-only', 'machine' => ['kind' => 'any'], 'system' => ['name' => 'Some system'], 'image' => ['name' => 'some.iso', 'bytes' => 3000000000, 'kind' => 'optical-hybrid']], 'go', ['media.write', 'media.verify', 'hand-over.shelve']],
    'a card in an unknown tower' => [['goal' => 'card-swap', 'machine' => ['kind' => 'desktop', 'facts' => ['drive.encryption' => 'none']], 'system' => ['name' => 'Some system'], 'card' => ['new' => 'a card', 'watts' => 120, 'supply_w' => 550, 'processor_w' => 65, 'leads' => ['8-pin']]], 'go', ['boot.safe-mode', 'hardware.swap-card', 'drivers.install-new']],
    'a new drive for an unknown laptop' => [['goal' => 'drive-swap', 'machine' => ['kind' => 'laptop', 'ports' => ['usb-a' => 2], 'facts' => ['target.serial' => 'N1', 'target.bytes' => '500107862016', 'network.driver' => 'brings', 'owner.keep' => 'some', 'drive.encryption' => 'none']], 'system' => ['name' => 'Some system'], 'image' => ['name' => 'some.iso', 'bytes' => 3000000000, 'kind' => 'optical-hybrid']], 'go', ['hardware.swap-drive', 'target.erase', 'install.carry-over', 'put-back.old-drive']],
    'a factory image nobody described' => [['goal' => 'factory-restore', 'machine' => ['kind' => 'laptop', 'ports' => ['usb-a' => 1, 'usb-c' => 1], 'facts' => ['owner.keep' => 'nothing', 'factory.image' => 'yes']], 'system' => ['name' => 'Some system']], 'go', ['boot.recovery', 'target.restore', 'install.factory']],
    'an upgrade of an unknown laptop' => [['goal' => 'upgrade', 'machine' => ['kind' => 'laptop', 'facts' => ['owner.keep' => 'nothing', 'drive.encryption' => 'none']], 'system' => ['name' => 'Some system'], 'image' => ['name' => 'some.iso', 'bytes' => 3000000000]], 'go', ['image.check', 'install.start', 'install.upgrade']],
    'a new build of unknown parts' => [['goal' => 'first-power-on', 'machine' => ['kind' => 'desktop', 'ports' => ['usb-a' => 4], 'facts' => ['target.serial' => 'N1', 'target.bytes' => 500107862016, 'network.driver' => 'brings']], 'system' => ['name' => 'Some system'], 'image' => ['name' => 'some.iso', 'bytes' => 3000000000, 'kind' => 'raw']], 'go', ['hardware.look-over', 'hardware.first-power', 'boot.start', 'target.erase']],
]);

it('refuses a word that a rule would silently take for not known', function (string $fact, mixed $word, string $sentence) {
    expect(fn () => Demo::plan('fairlead-13', ['machine' => ['facts' => [$fact => $word]]]))->toThrow(BriefFault::class, $sentence);
})->with([
    ['drive.encryption', 'chip-bound', 'machine.facts.drive.encryption: "chip-bound" is not one of none, key-in-clear, chip, chip-and-pin, passphrase and unknown.'],
    ['drive.encryption', false, '"no" is not one of none'],
    ['encryption.binding', 'both', 'is not one of keys, measured and unknown.'],
    ['owner.keep', 'everything', 'is not one of some, nothing and unknown.'],
]);

it('takes "unknown" for what it says', function () {
    expect(Demo::plan('fairlead-13', ['machine' => ['facts' => ['drive.encryption' => 'unknown']]])->verdict()->value)->not->toBe('stop');
});

it('gates nothing of a new build behind a backup that nobody makes', function () {
    $plan = JobPlanner::plan(Brief::fromArray(['brief' => 1, 'title' => 'new', 'goal' => 'first-power-on', 'owner' => 'crew', 'system' => 'tansy-desktop-7', 'image' => 'tansy-desktop-7-dock', 'machine' => ['kind' => 'desktop']]), Demo::catalogue(), Policy::of());
    $gates = array_merge(...array_map(fn ($step) => array_map(fn ($gate) => $gate->id, $step->gates), $plan->steps));
    expect($plan->step('firmware.set'))->not->toBeNull();
    expect($gates)->not->toContain('backup');
    expect($plan->assessment['backup'])->toBe(['keep' => 'blank']);
    expect(array_map(fn ($question) => $question->fact, $plan->questions))->not->toContain('owner.keep');
});

it('has for every gate of every kind of job a step that opens it, or the fact already', function (string $job) {
    $plan = Demo::plan($job);
    $made = array_merge($plan->initial, ...array_map(fn ($step) => $step->after, $plan->steps));
    $shut = [];
    foreach ($plan->steps as $step) {
        foreach ($step->gates as $gate) {
            if (! in_array($gate->fact, $made, true) && ! PathFact::isAnswer($gate->fact)) {
                $shut[] = "{$step->id} waits for {$gate->fact}";
            }
        }
    }
    expect($shut)->toBe([]);
})->with(fn () => array_map(fn ($file) => basename($file, '.yaml'), glob(Demo::root().'/docs/guide/briefs/*.yaml') ?: []));

it('plans sockets of a swap for what is attached, and judges no size of a drive nobody has read', function () {
    $brief = Demo::brief('drive-swap');
    unset($brief['machine']['facts']['target.serial'], $brief['machine']['facts']['target.bytes']);
    $plan = fn (array $readings) => JobPlanner::plan(Brief::fromArray([...$brief, 'machine' => [...$brief['machine'], 'readings' => $readings]]), Demo::catalogue(), Policy::of());
    expect(array_column($plan([])->assessment['requirements']['rows'], 'has', 'id')['drive'])->toBe('unknown');
    expect($plan([])->layouts['target'])->toBeNull();
    expect(json_encode($plan([])->assessment['ports']))->not->toContain('backup drive');
    // A failing drive is rescued before it comes out.
    expect(json_encode($plan($brief['machine']['readings'])->assessment['ports']))->toContain('backup drive');
});

it('says of charging only what a portable can do', function () {
    $charges = fn (string $job): array => array_column(Demo::plan($job)->assessment['ports'], 'charges');
    expect(array_unique($charges('capstan-t3')))->toBe([null]);
    expect($charges('fairlead-13'))->not->toContain(null);
});
