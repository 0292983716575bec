<?php

use Cobblestone\Firmware\ChangePlan;
use Cobblestone\Firmware\FirmwarePlanner;
use Cobblestone\Firmware\Need;
use Cobblestone\Firmware\PortPower;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Machine\Battery;
use Cobblestone\Machine\Fact as MachineFact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Machine\Source;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Energy;
use Cobblestone\Quantity\Power;
use Tests\Support\Demo;
use Tests\Support\Entries;

/**
 * @param  list<array<string, mixed>>  $settings
 * @param  array<string, string>  $known
 */
function machineWith(array $settings, array $known = [], Kind $kind = Kind::Laptop, array $ports = [], ?Battery $battery = null, array $model = []): Machine
{
    $facts = FactSheet::empty();
    foreach ($settings as $setting) {
        $facts = $facts->with(MachineFact::of("firmware.{$setting['id']}", $setting['default'], Source::Catalogue, 'catalogue'));
    }
    foreach ($known as $name => $value) {
        $facts = $facts->with(MachineFact::of("firmware.{$name}", $value, Source::Person, 'seen'));
    }

    return new Machine('Test', $kind, $facts, [], $ports, [], $battery, Entries::model($model + ['firmware' => ['settings' => $settings]]));
}

function setting(string $id, string $default, array $requires = []): array
{
    return ['id' => $id, 'title' => ucfirst($id), 'place' => 'Page', 'values' => ['on', 'off'], 'default' => $default, 'requires' => $requires];
}

$named = fn (ChangePlan $plan) => array_map(fn ($change) => "{$change['setting']->id}={$change['need']->value}", $plan->changes);

it('changes only what is not known to be right', function () use ($named) {
    $settings = [setting('boot_mode', 'uefi'), setting('secure_boot', 'on')];
    $needs = [new Need('secure_boot', 'on', 'because', 'F6'), new Need('boot_mode', 'uefi', 'because', 'F2')];
    expect($named(ChangePlan::of(machineWith($settings, ['boot_mode' => 'uefi', 'secure_boot' => 'on']), $needs)))->toBe([])
        ->and(ChangePlan::of(machineWith($settings, ['boot_mode' => 'uefi', 'secure_boot' => 'on']), $needs)->isEmpty())->toBeTrue()
        ->and($named(ChangePlan::of(machineWith($settings, ['boot_mode' => 'both', 'secure_boot' => 'on']), $needs)))->toBe(['boot_mode=uefi'])
        ->and($named(ChangePlan::of(machineWith($settings), $needs)))->toBe([])
        ->and(array_map(fn ($look) => $look->id, ChangePlan::of(machineWith($settings), $needs)->looks))->toBe(['secure_boot', 'boot_mode']);
});

it('brings in what a setting requires, before it', function () use ($named) {
    $settings = [setting('secure_boot', 'off', ['older_devices' => 'off', 'zz_last' => 'on']), setting('older_devices', 'allowed', ['boot_mode' => 'uefi']), setting('boot_mode', 'both'), setting('zz_last', 'off')];
    expect($named(ChangePlan::of(machineWith($settings), [new Need('secure_boot', 'on', 'x', 'F6')])))->toBe(['boot_mode=uefi', 'older_devices=off', 'zz_last=on', 'secure_boot=on']);
});

it('says was, becomes and put back for each row', function () {
    $plan = ChangePlan::of(machineWith([setting('secure_boot', 'on'), setting('boot_mode', 'both'), setting('boot_order', 'drive')], ['boot_mode' => 'legacy']), [new Need('secure_boot', 'off', 'x', 'F10', stays: true, weakens: true), new Need('boot_mode', 'uefi', 'y', 'F2'), new Need('boot_order', 'stick first', 'z', 'F1', stays: false, weakens: true), new Need('fast_start', 'off', 'w', 'F9')]);
    expect($plan->rows())->toBe([
        ['where' => 'Page › Boot_mode', 'was' => 'legacy', 'becomes' => 'uefi', 'because' => 'y', 'put back' => 'stays'],
        ['where' => 'Page › Secure_boot', 'was' => 'on (assumed: look)', 'becomes' => 'off', 'because' => 'x', 'put back' => 'stays, signed'],
        ['where' => 'Page › Boot_order', 'was' => 'drive (assumed: look)', 'becomes' => 'stick first', 'because' => 'z', 'put back' => 'at the end'],
        ['where' => 'look on every page of the setup › Fast start', 'was' => 'look and record', 'becomes' => 'off', 'because' => 'w', 'put back' => 'stays'],
    ]);
});

it('makes a decision of needs that contradict each other, and leaves the setting until somebody chose', function () {
    $needs = [new Need('a', 'on', 'one', 'F2'), new Need('a', 'off', 'two', 'F2', whose: 'medium')];
    $open = ChangePlan::of(machineWith([setting('a', 'x')]), $needs);
    expect($open->changes)->toBe([])->and($open->conflicts)->toHaveCount(1)
        ->and($open->conflicts[0]->question()->options)->toBe(['on' => 'on: one', 'off' => 'off: two'])
        ->and($open->conflicts[0]->question()->holds())->toBeTrue()
        ->and($open->conflicts[0]->decision(machineWith([]))->chosen)->toBe('open: somebody has to choose')
        ->and($open->conflicts[0]->decision(machineWith([]))->facts)->toBe(['system needs on', 'medium needs off']);
    $machine = machineWith([setting('a', 'x')]);
    $chosen = new Machine('Test', Kind::Laptop, $machine->facts->with(MachineFact::of('choice.a', 'off', Source::Person, 'bench lead')), [], [], [], null, $machine->model);
    expect(array_column(ChangePlan::of($chosen, $needs)->rows(), 'becomes'))->toBe(['off'])
        ->and(ChangePlan::of($chosen, $needs)->conflicts[0]->decision($chosen)->chosen)->toBe('off')
        ->and(ChangePlan::of($chosen, $needs)->conflicts[0]->decision($chosen)->refused)->toBe(['on' => ['one']]);
});

it('takes a value that all needs accept instead of asking', function () {
    $plan = ChangePlan::of(machineWith([setting('a', 'x')]), [new Need('a', 'legacy', 'one', 'F2', accepts: ['both']), new Need('a', 'both', 'two', 'F2')]);
    expect($plan->conflicts)->toBe([])->and(array_column($plan->rows(), 'becomes'))->toBe(['both']);
});

it('names loops of settings that require each other', function () {
    expect(fn () => ChangePlan::of(machineWith([setting('a', 'x', ['b' => 'on']), setting('b', 'x', ['a' => 'on'])]), [new Need('a', 'on', 'one', 'F2')]))->toThrow(DomainException::class, 'loop: a → b → a');
});

it('needs twice the draw and a fifth of the cell', function () {
    $required = PortPower::required(Power::watts(15), Duration::minutes(14), Energy::wattHours(37.6));
    expect($required->milliwattHours)->toBe(3500 * 2 + 7520)
        ->and(PortPower::percentFor($required, Energy::wattHours(37.6), 0.9))->toBe(43)
        ->and(PortPower::percentFor(Energy::wattHours(9), Energy::wattHours(10), 0.9))->toBe(100)
        ->and(PortPower::percentFor(Energy::milliwattHours(9001), Energy::wattHours(10), 0.9))->toBe(101)
        ->and(PortPower::hubNet(Power::watts(45), Power::watts(5), Power::watts(41))->milliwatts)->toBe(-1000);
});

it('chooses charger, battery or hub by sockets and figures', function (array $ports, ?Battery $battery, Kind $kind, ?string $chosen, bool $step, int $blockers) {
    $plan = PortPower::plan(machineWith([], [], $kind, $ports, $battery, ['hub' => ['charger_w' => 45, 'hub_w' => 5]]), Duration::minutes(60));
    expect($plan->decisions[0]->chosen ?? null)->toBe($chosen)
        ->and($plan->steps !== [])->toBe($step)
        ->and($plan->blockers)->toHaveCount($blockers);
})->with(function () {
    $c = fn (string $id) => new Port($id, 'usb-c', 'here', 5000, true);
    $a = new Port('a', 'usb-a', 'here', 5000);
    $battery = fn (float $wh, ?float $draw) => new Battery(Energy::wattHours($wh), $draw === null ? null : Power::watts($draw));

    return [
        'a desktop needs nothing' => [[$c('1')], null, Kind::Desktop, null, false, 0], 'two sockets' => [[$c('1'), $c('2')], $battery(40, 15), Kind::Handheld, 'charger', false, 0], 'own charging socket' => [[$a], null, Kind::Laptop, 'charger', false, 0],
        'one socket, strong cell' => [[$c('1')], $battery(60, 10), Kind::Handheld, 'battery, from 60 % charge', true, 0], 'one socket, draw unknown' => [[$c('1')], $battery(60, null), Kind::Laptop, 'battery, from 40 % charge', true, 0], 'no cell known' => [[$c('1')], null, Kind::Laptop, 'battery, from 40 % charge', true, 0],
        'weak cell: hub' => [[$c('1')], $battery(20, 15), Kind::Handheld, 'hub with a power input', false, 0], 'even the hub drains' => [[$c('1')], $battery(20, 42), Kind::Handheld, 'hub with a power input', false, 1],
    ];
});

it('wants the charge written down and at least as high as computed', function () {
    $step = Demo::plan('pocket-lantern')->step('firmware.charge');
    expect($step?->evidence[0]->least)->toBe(43)
        ->and($step?->title)->toBe('Charge to 43 %')
        ->and($step?->after)->toBe(['power.safe'])
        ->and(implode(' ', $step?->cautions ?? []))->toContain('swollen');
});

it('compares the signer before Secure Boot is ever proposed off', function (string $job, array $facts, string $chosen, array $rows) {
    $plan = Demo::plan($job, ['machine' => ['facts' => $facts]]);
    $decision = array_values(array_filter($plan->decisions, fn ($decision) => $decision->id === 'firmware.secure-boot'))[0];
    expect($decision->chosen)->toBe($chosen)
        ->and(array_column($plan->step('firmware.set')->rows ?? [], 'becomes'))->toBe($rows);
})->with([
    'signed, trusted' => ['fairlead-13', [], 'on', ['uefi', 'off', 'on', 'on']],
    'third-party signer has a switch' => ['capstan-t3', ['firmware.secure_boot' => 'on', 'target.path' => 'nvme0n1'], 'on, with the third-party signer trusted', ['trusted']],
    'unsigned for good' => ['pocket-lantern', ['firmware.secure_boot' => 'on'], 'off, and it stays off', ['off', '4 GB', 'balanced']],
    'already off' => ['pocket-lantern', ['firmware.secure_boot' => 'off'], 'off, and it stays off', ['4 GB', 'balanced']],
]);

it('puts Secure Boot back on after an unsigned stick with a signed system', function () {
    $brief = Demo::brief('fairlead-13');
    $brief['image'] = ['name' => 'x.img', 'bytes' => 3_000_000_000, 'kind' => 'raw', 'loader' => ['signed' => false]];
    $plan = Cobblestone\Job\JobPlanner::plan(Cobblestone\Brief\Brief::fromArray($brief), Demo::catalogue(), Cobblestone\Policy\Policy::of());
    $steps = array_map(fn ($step) => $step->id, $plan->steps);
    expect($plan->step('put-back.secure-boot'))->not->toBeNull()
        // This system binds its drive to Secure Boot as it stands once it is online: it has to be back on before.
        ->and(array_search('put-back.secure-boot', $steps, true))->toBeLessThan(array_search('network.online', $steps, true))->toBeGreaterThan(array_search('install.phase-1', $steps, true))
        ->and(array_column(array_filter($plan->assessment['rehearsal'], fn ($start) => ! $start['succeeds']), 'sentence'))->toBe([])
        ->and(array_column($plan->toArray()['put_back'], 'id'))->toBe(['secure-boot'])
        ->and($plan->step('put-back.sign'))->toBeNull();
});

it('puts Secure Boot back on at the end where nothing is bound to it', function () {
    $brief = Demo::brief('fairlead-13');
    $brief['image'] = ['name' => 'x.img', 'bytes' => 3_000_000_000, 'kind' => 'raw', 'loader' => ['signed' => false]];
    $plan = Cobblestone\Job\JobPlanner::plan(Cobblestone\Brief\Brief::fromArray($brief), Demo::catalogue(), Cobblestone\Policy\Policy::of(['auto_encryption' => 'off']));
    $steps = array_map(fn ($step) => $step->id, $plan->steps);
    expect(array_search('put-back.secure-boot', $steps, true))->toBeGreaterThan(array_search('proof.readings', $steps, true))
        ->and(array_column(array_filter($plan->assessment['rehearsal'], fn ($start) => ! $start['succeeds']), 'sentence'))->toBe([]);
});

it('signs once what stays weakened, and hands over only then', function () {
    $plan = Demo::plan('pocket-lantern');
    expect($plan->step('put-back.sign')?->after)->toContain('put-back.secure-boot')
        ->and($plan->step('hand-over.give-back')?->required())->toContain('put-back.secure-boot')
        ->and($plan->toArray()['put_back'][0]['stays'])->toBeTrue();
});

it('starts by the one-time menu, or by a permanent order that is put back', function () {
    $menu = Demo::plan('fairlead-13');
    $permanent = Demo::plan('fairlead-13', [], ['boot' => 'permanent-order']);
    expect(implode(' ', $menu->step('boot.start')->instructions ?? []))->toContain('tap `F10`')->toContain('usb-a, right side')
        ->and($menu->step('put-back.boot-order'))->toBeNull()
        ->and($permanent->step('boot.start')?->title)->toBe('Start the stick')
        ->and(implode(' ', $permanent->step('boot.start')->instructions ?? []))->not->toContain('F10')
        ->and($permanent->step('put-back.boot-order'))->not->toBeNull()
        ->and(array_column($permanent->step('firmware.set')->rows ?? [], 'becomes'))->toContain('stick first');
});

it('gives the way of this model with its record, else a ranked list for the kind', function () {
    $own = machineWith([], [], Kind::Handheld, [], null, ['firmware' => ['ways_in' => ['menu' => ['how' => 'hold', 'key' => 'volume up', 'press' => 'power', 'seconds' => 4, 'confirmed' => 2]]]]);
    expect(WayIn::menu($own)->forThisModel)->toBeTrue()
        ->and(WayIn::menu($own)->source)->toContain('Worked 2 times')
        ->and(WayIn::menu($own)->instructions('the list')[0])->toBe('Fully off. Hold `volume up`, press `power` once, keep holding about 4 s until the list stands, then let go.');
    $unknown = new Machine('x', Kind::Laptop, FactSheet::empty());
    expect(WayIn::setup($unknown)->forThisModel)->toBeFalse()
        ->and(WayIn::setup($unknown)->instructions('the setup'))->toHaveCount(4)
        ->and(WayIn::setup($unknown)->instructions('the setup')[0])->toBe('Power on and tap `F2` until the setup stands.')
        ->and(WayIn::setup($unknown)->instructions('the setup')[1])->toStartWith('Nothing? Power fully off');
});

it('gives the stick its own connector and leaves the charger its socket', function () {
    $ports = [new Port('c1', 'usb-c', '1', 10000, true), new Port('c2', 'usb-c', '2', 5000), new Port('a1', 'usb-a', '3', 480), new Port('a2', 'usb-a', '4', 5000)];
    $machine = machineWith([], [], Kind::Laptop, $ports);
    expect(FirmwarePlanner::portFor($machine, 'usb-a')?->id)->toBe('a2')
        ->and(FirmwarePlanner::portFor($machine, 'usb-c')?->id)->toBe('c2')
        ->and(FirmwarePlanner::portFor($machine, null)?->id)->toBe('a2')
        ->and(FirmwarePlanner::portFor(machineWith([]), 'usb-a'))->toBeNull();
});

it('records the settings before it changes any, and warns of the chip', function () {
    $plan = Demo::plan('fairlead-13');
    expect($plan->step('firmware.set')?->before)->toBe(['firmware.recorded'])
        ->and(implode(' ', $plan->step('firmware.set')->cautions ?? []))->toContain('clear the security chip')
        ->and($plan->step('firmware.set')?->title)->toBe('Set 4 settings')
        ->and($plan->step('firmware.snapshot')?->before)->toBe(['old-system.shut-down']);
});
