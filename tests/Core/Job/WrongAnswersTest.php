<?php

use Cobblestone\Brief\MachineBlock;
use Cobblestone\Firmware\FirmwarePlanner;
use Cobblestone\Firmware\UpdatePath;
use Cobblestone\Inventory\SystemNoteReader;
use Cobblestone\Job\KnownFacts;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\WalkThrough;
use Tests\Support\Demo;

$decided = fn (Plan $plan, string $id): string => array_column(array_map(fn ($one) => [$one->id, $one->chosen.' | '.implode(' ', $one->reasons)], $plan->decisions), 1, 0)[$id] ?? '';
$laid = fn (Plan $plan): array => array_column(WalkThrough::of($plan), 'laid', 'id');

it('says that the system brings the network driver only where it does, and asks before the wipe', function () use ($decided, $laid) {
    $unknown = Demo::plan('unknown-laptop', ['machine' => ['facts' => ['owner.keep' => 'nothing', 'target.serial' => 'U-1', 'target.bytes' => '256060514304', 'drive.encryption' => 'none']]]);
    expect($unknown->question('network.driver'))->not->toBeNull()->and($laid($unknown)['target.erase'])->toBeFalse()
        ->and(json_encode($unknown->toArray()))->not->toContain('brings a driver for network adapters')->not->toContain('brings its driver');
    $beside = Demo::plan('unknown-laptop', ['machine' => ['facts' => ['owner.keep' => 'nothing', 'target.serial' => 'U-1', 'target.bytes' => '256060514304', 'drive.encryption' => 'none', 'network.driver' => 'beside']]]);
    expect($laid($beside)['target.erase'])->toBeTrue()->and($decided($beside, 'drivers.online'))->toStartWith('by another adapter or a phone');
    expect($decided(Demo::plan('fairlead-13'), 'drivers.online'))->toStartWith('Quarrel W2 wireless on the stick');
});

it('decides the order of drivers as the path walks it', function (array $policy) {
    $plan = Demo::plan('fairlead-13', [], $policy);
    $walked = array_values(array_map(fn ($step) => $step->title, array_filter($plan->steps, fn ($step) => array_filter($step->after, fn ($fact) => str_starts_with($fact, 'driver.')) !== [])));
    $order = array_values(array_filter($plan->decisions, fn ($one) => $one->id === 'drivers.order'))[0];
    expect($order->chosen)->toBe(implode(', then ', $walked));
})->with([[[]], [['driver_order' => 'network-first']], [['driver_order' => 'graphics-first']], [['driver_order' => 'free']]]);

it('takes a restore image only for the model it is made for', function (string $model, string $image, bool $stops) use ($laid) {
    $plan = Demo::plan('cable-restore', ['machine' => ['model' => $model], 'image' => $image]);
    expect($plan->verdict()->value)->toBe($stops ? 'stop' : 'go')->and($laid($plan)['install.restore'])->toBe(! $stops);
})->with([
    ['tamber-halden-block', 'halden-one-28-block', false], ['tamber-halden-block', 'halden-one-28-slate-top', true],
    ['tamber-halden-slate-top', 'halden-one-28-slate-top', false], ['tamber-halden-slate-top', 'halden-one-28-block', true],
]);

it('asks for every revision of a board before firmware is written', function () use ($laid) {
    $plan = Demo::plan('firmware-update', ['machine' => ['model' => 'brackwater-capstan-t3', 'facts' => ['firmware.version' => 'F9', 'drive.encryption' => 'none']], 'update' => ['reason' => 'a new processor', 'to' => 'F12']]);
    expect(array_keys($plan->question('board.revision')->options ?? []))->toBe([1, 2])->and($laid($plan)['firmware.write-f12'])->toBeFalse();
});

it('picks the lowest release that gives what is needed and runs what is and what will be fitted', function (?string $gives, ?string $next, ?string $target, string $because) {
    $releases = Demo::catalogue()->machine('brackwater-capstan-t3')->firmware->releases;
    $path = UpdatePath::find($releases, 'F9', null, $gives, 'Ostler R5', '2', $next);
    expect($path->fault === null ? $path->target : null)->toBe($target)->and($path->fault ?? $path->because)->toContain($because);
})->with([
    ['newer processors', null, 'F12', 'the lowest that gives what is needed'], [null, 'Ostler R6', 'F12', 'runs the processor that comes in (Ostler R6)'],
    ['memory above 6000', 'Ostler R6', 'F14', 'and gives what is needed'], ['newer processors', 'Ostler R4', 'F12', 'Ostler R4'],
    ['memory above 6000', 'Ostler R4', null, 'runs the processor that comes in (Ostler R4) and brings'], [null, 'Ostler R9', null, 'No release for this board runs'],
]);

it('keeps the data of a sealed machine that is revived, and asks for its lock first', function () use ($laid) {
    $plan = Demo::plan('cable-restore', ['machine' => ['facts' => ['owner.keep' => 'some']]]);
    expect($plan->step('protect.back-up'))->toBeNull()->and($plan->step('install.revive'))->not->toBeNull()
        ->and($plan->question('owner.lock'))->not->toBeNull()->and($laid($plan)['install.revive'])->toBeFalse();
    $known = Demo::plan('cable-restore', ['machine' => ['facts' => ['owner.keep' => 'some', 'owner.lock' => 'none']]]);
    expect($laid($known)['install.revive'])->toBeTrue();
});

it('asks what of a card nobody has said, and judges supply and leads apart', function () use ($decided, $laid) {
    $asked = Demo::plan('card-swap', ['card' => ['new' => 'X', 'watts' => null, 'supply_w' => null, 'processor_w' => null, 'leads' => null]]);
    expect(array_map(fn ($one) => $one->fact, [...$asked->questions, ...$asked->later]))->toContain('card.watts', 'card.supply_w', 'card.processor_w', 'card.leads')
        ->and($laid($asked)['hardware.swap-card'])->toBeFalse();
    $noLeads = Demo::plan('card-swap', ['card' => ['leads' => null]]);
    expect($noLeads->verdict()->value)->toBe('hold')->and($decided($noLeads, 'hardware.supply'))->toStartWith('enough');
    $none = Demo::plan('card-swap', ['card' => ['leads' => []]]);
    expect($none->blockers[0]->reason)->toContain('slot and no lead carry 75 W, it draws 220 W')->and($decided($none, 'hardware.supply'))->toStartWith('enough');
    expect($laid(Demo::plan('card-swap', ['card' => ['leads' => null], 'machine' => ['facts' => ['drive.encryption' => 'none', 'card.leads' => '8-pin, 8-pin']]]))['hardware.swap-card'])->toBeTrue();
});

it('matches the driver of a card from the shelf, with size and checksum', function () {
    $fetch = fn (array $card) => implode(' ', Demo::plan('card-swap', ['card' => $card])->step('drivers.fetch')->instructions ?? []);
    expect($fetch(['new' => 'Fennick G7 graphics']))->toContain('Fennick G7 graphics 560.2 from the shelf: 812.6 MB')->toContain('43b7613278d1133e')
        ->and($fetch(['new' => 'a card', 'id' => 'pci:46e1:7700']))->toContain('560.2')
        ->and($fetch(['new' => 'Ostler G9 graphics card']))->toContain('The shelf holds no package for Ostler G9 graphics card');
});

it('decides at the desk by the charge that was read and by a hub at hand', function (array $facts, string $chosen) use ($decided) {
    $brief = Demo::brief('pocket-lantern')['machine']['facts'] ?? [];
    expect($decided(Demo::plan('pocket-lantern', ['machine' => ['facts' => [...$brief, ...$facts]]]), 'power.source'))->toStartWith($chosen);
})->with([[[], 'battery, from 43 % charge'], [['battery.percent' => 80], 'go: 80 % read, 43 % needed'], [['battery.percent' => 42], 'charge to 43 % first: 42 % read'], [['hub.at_hand' => 'yes'], 'hub with a power input'], [['hub.at_hand' => 'yes', 'charger.watts' => 15], 'battery, from 43 %']]);

it('goes by the charge that the collector read', function () use ($decided) {
    $read = ['tool' => 'collector', 'origin' => 'system.txt', 'facts' => SystemNoteReader::read(
        SystemNoteReader::HEAD." 1\nbattery: charge 80 %",
    )->facts];
    $plan = Demo::plan('pocket-lantern', ['machine' => ['readings' => [$read]]]);
    $said = static fn (Plan $plan): string => implode(', ', $plan->decision('power.source')->facts ?? []);
    expect($decided($plan, 'power.source'))->toStartWith('go: 80 % read')
        ->and($said($plan))->toContain('charge 80 %: cobblestone-collect')
        ->and($said(Demo::plan('pocket-lantern')))->not->toContain('charge ');
});

it('puts a changed power mode back', function () {
    $plan = Demo::plan('pocket-lantern');
    expect(array_column($plan->toArray()['put_back'], 'id'))->toContain('power-mode')
        ->and($plan->step('put-back.power-mode'))->not->toBeNull();
});

it('names a socket that its own page does not say to avoid, and leaves the charger its own', function () {
    $machine = fn (Kind $kind, array $ports) => new Machine('x', $kind, FactSheet::empty(), ports: $ports);
    $tower = $machine(Kind::Desktop, [new Port('f', 'usb-c', 'front', 10000), new Port('r', 'usb-a', 'rear', 5000)]);
    expect(FirmwarePlanner::portFor($tower, 'usb-c')?->id)->toBe('r');
    $laptop = $machine(Kind::Laptop, [new Port('c', 'usb-c', 'left', 10000, true), new Port('a', 'usb-a', 'right', 5000)]);
    expect(FirmwarePlanner::portFor($laptop, 'usb-c')?->id)->toBe('a');
    expect(FirmwarePlanner::portFor($machine(Kind::Handheld, [new Port('c', 'usb-c', 'top', 10000, true)]), 'usb-c')?->id)->toBe('c');
});

it('takes an encrypted volume in a reading for a fact', function () use ($decided) {
    $lsblk = fn (string $fs) => (string) json_encode(['blockdevices' => [['name' => 'a', 'type' => 'disk', 'size' => 256060514304, 'serial' => 'S-1', 'pttype' => 'gpt', 'tran' => 'nvme', 'children' => [['name' => 'a1', 'size' => 107374182400, 'start' => 2048, 'fstype' => $fs]]]]]);
    $plan = fn (string $fs, array $facts) => Demo::plan('firmware-update', ['machine' => ['lsblk' => $lsblk($fs), 'facts' => ['firmware.version' => '1.05', ...$facts]]]);
    expect($decided($plan('crypto_LUKS', []), 'assess.encryption'))->toContain('State: encrypted, protection unknown.')
        ->and($plan('crypto_LUKS', ['drive.encryption' => 'none'])->verdict()->value)->toBe('hold')
        ->and($decided($plan('crypto_LUKS', ['drive.encryption' => 'none']), 'assess.encryption'))->toContain('"not encrypted" cannot be so')
        ->and($plan('crypto_LUKS', [])->question('drive.encryption')->options)->not->toHaveKey('none')
        ->and($plan('ext4', ['drive.encryption' => 'none'])->verdict()->value)->toBe('go');
});

it('takes no size for a need that nobody has measured', function () use ($decided, $laid) {
    $image = ['name' => 'heron.img.gz', 'bytes' => 2_900_000_000, 'kind' => 'raw-compressed'];
    $plan = Cobblestone\Job\JobPlanner::plan(Cobblestone\Brief\Brief::fromArray(['image' => $image, 'system' => ['name' => 'Heron']] + Demo::brief('stick-for-any')), Demo::catalogue(), Cobblestone\Policy\Policy::of());
    expect($decided($plan, 'media.stick'))->toStartWith('once the image is measured')->and($laid($plan)['media.write'])->toBeFalse()
        ->and(json_encode($plan->step('media.write')?->instructions))->not->toContain('2 900 000 000');
});

it('lists a name under facts that no rule reads', function () {
    expect(implode(' ', Demo::plan('fairlead-13', ['machine' => ['facts' => ['drive.encription' => 'chip']]])->notes))->toContain('"drive.encription" is not understood: no rule reads a fact of this name; did you mean "drive.encryption"?');
    $like = fn (string $name) => implode(' ', KnownFacts::notUnderstood(MachineBlock::fromArray(['facts' => [$name => 'x']]), Demo::catalogue()));
    expect($like('firmware.secure_bot'))->toContain('did you mean "firmware.secure_boot"')->and($like('memory.slotz'))->toContain('did you mean "memory.slots"')
        ->and($like('symptom.wether'))->toContain('is not understood')->and($like('firmware.secure_boot'))->toBe('')->and($like('choice.boot_mode'))->toBe('')
        ->and($like('nothing.like.it'))->toBe('"nothing.like.it" is not understood: no rule reads a fact of this name.');
    foreach (Demo::ALL as $job) {
        expect(KnownFacts::notUnderstood(MachineBlock::fromArray(Demo::brief($job)['machine']), Demo::catalogue()))->toBe([], $job);
    }
});

it('does not ask what an answer implies, and asks what is left in one go', function () {
    $repair = fn (array $facts) => Demo::plan('repair', ['machine' => ['facts' => ['drive.encryption' => 'none', ...$facts]]]);
    $asked = fn (Plan $plan) => array_map(fn ($one) => $one->fact, [...$plan->questions, ...$plan->later]);
    expect($asked($repair(['symptom.starts' => 'normally'])))->not->toContain('symptom.powers_up', 'symptom.picture', 'owner.lock')
        ->and($asked($repair(['symptom.powers_up' => 'no'])))->not->toContain('symptom.picture', 'symptom.starts')
        ->and(count($asked($repair(['symptom.starts' => 'normally']))))->toBeGreaterThan(1);
    $image = fn (string $build, string $edition) => Demo::plan('repair', ['edition' => $edition, 'machine' => ['facts' => ['symptom.starts' => 'normally', 'drive.encryption' => 'none', 'present.build' => $build]]])->assessment['route']['ladder'];
    $why = fn (array $ladder) => implode(' ', array_column($ladder, 'why', 'id')['repair-install-image']);
    expect($why($image('99.9', 'Dock')))->toContain('No image at hand matches')->and($why($image('7.1', 'Dock')))->not->toContain('No image at hand matches');
});

it('weighs both entitlements, and says in the fit what an edition leaves idle', function () use ($decided) {
    $licence = fn (array $facts) => $decided(Demo::plan('fairlead-13', ['licence' => ['kind' => 'retail', 'edition' => 'Dock'], 'machine' => ['facts' => ['drive.encryption' => 'none', ...$facts]]]), 'assess.licence');
    expect($licence(['licence.firmware_edition' => 'Ferry']))->toContain('The key in the firmware fits Ferry, Dock is wanted')
        ->and($licence(['licence.firmware_edition' => 'Dock']))->toContain('nothing has to be typed')->and($licence([]))->not->toContain('firmware');
});

it('holds the activation while nobody has said where the licence comes from', function () use ($laid) {
    $brief = Demo::brief('fairlead-13');
    unset($brief['licence']);
    $plan = Cobblestone\Job\JobPlanner::plan(Cobblestone\Brief\Brief::fromArray($brief), Demo::catalogue(), Cobblestone\Policy\Policy::of());
    expect($plan->question('licence.kind'))->not->toBeNull()->and($laid($plan)['activation.check'])->toBeFalse()->and($laid($plan)['target.erase'])->toBeTrue();
});

it('says where a reading contradicts that a factory image is on the drive', function (array $from, array $to, ?string $said) use ($laid) {
    $reading = (string) Demo::brief('factory-restore')['machine']['lsblk'];
    $plan = Demo::plan('factory-restore', ['machine' => ['lsblk' => str_replace($from, $to, $reading)]]);
    $blocker = array_column(array_map(fn ($one) => [$one->id, $one->reason], $plan->blockers), 1, 0)['factory-not-read'] ?? null;
    expect($laid($plan)['target.restore'])->toBe($said === null)->and($plan->verdict()->value)->toBe($said === null ? 'go' : 'stop');
    $said === null ? expect($blocker)->toBeNull() : expect($blocker)->toContain($said);
})->with([
    'room for one' => [[], [], null],
    '0.6 GB used' => [['13421772800'], ['629145600'], 'Factory, holds 629.1 MB'],
    'just enough' => [['13421772800'], ['3000000000'], null], 'just too little' => [['13421772800'], ['2999999999'], 'Factory, holds'],
    'the starting volume does not count' => [['13421772800', '"fsused": "29360128"'], ['1000', '"fsused": "9000000000"'], 'Factory, holds'],
    'the size where use was not read' => [['"13421772800"'], ['null'], null],
]);

it('lets the reading of a destination count, and says what was said', function (?string $said, string $read, bool $limited) {
    $backup = ['keep' => 'some', 'bytes' => '20 GB', 'largest_bytes' => '5 GB', 'destination' => ['name' => 'Pantry disk', 'serial' => 'PD-1', 'file_system' => $said]];
    $drive = ['name' => 'sdz', 'size' => 2000398934016, 'type' => 'disk', 'rm' => true, 'serial' => 'PD-1', 'model' => 'Pantry disk', 'tran' => 'usb', 'pttype' => 'gpt', 'children' => [['name' => 'sdz1', 'size' => 2000000000000, 'type' => 'part', 'fstype' => $read]]];
    $read = json_decode((string) Demo::brief('fairlead-13')['machine']['lsblk'], true);
    $plan = Demo::plan('fairlead-13', ['backup' => $backup, 'machine' => ['lsblk' => json_encode(['blockdevices' => [...$read['blockdevices'], $drive]])]]);
    expect(in_array('destination-file-limit', array_map(fn ($one) => $one->id, $plan->blockers), true))->toBe($limited);
    $cautions = implode(' ', $plan->step('protect.back-up')->cautions ?? []);
    $said === null || $said === $drive['children'][0]['fstype'] ? expect($cautions)->not->toContain('was said') : expect($cautions)->toContain("Pantry disk was said to be {$said}, the reading shows");
})->with([['fat32', 'ntfs', false], ['ntfs', 'vfat', true], [null, 'vfat', true], ['ntfs', 'ntfs', false]]);

it('asks at take-in for what such a machine can have', function (string $job, bool $portable) {
    $words = json_encode(Demo::plan($job)->step('intake.take-in')?->toArray());
    foreach (['charger', 'cell', 'swollen'] as $word) {
        expect(str_contains($words, $word))->toBe($portable, "{$word} in {$job}");
    }
})->with([['fairlead-13', true], ['pocket-lantern', true], ['capstan-t3', false], ['card-swap', false], ['new-capstan', false]]);

it('knows every fact that a rule reads by name', function () {
    $read = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(Demo::root().'/core', FilesystemIterator::SKIP_DOTS)) as $file) {
        preg_match_all("/(?:->fact|facts->get)\\('([a-z0-9_.]+)'\\)/", (string) file_get_contents((string) $file), $found);
        array_push($read, ...$found[1]);
    }
    expect(count(array_unique($read)))->toBeGreaterThan(40)
        ->and(KnownFacts::notUnderstood(MachineBlock::fromArray(['facts' => array_fill_keys($read, 'x')]), Demo::catalogue()))->toBe([]);
});
