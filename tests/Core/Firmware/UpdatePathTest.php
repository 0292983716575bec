<?php

use Cobblestone\Firmware\HandheldNeeds;
use Cobblestone\Firmware\MemoryNeed;
use Cobblestone\Firmware\MemoryProfile;
use Cobblestone\Firmware\UpdatePath;
use Cobblestone\Job\MachineFaults;
use Cobblestone\Machine\Fact as MachineFact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Machine\Source;
use Cobblestone\Quantity\Bytes;
use Tests\Support\Demo;
use Tests\Support\Entries;

$capstan = fn (): array => Demo::catalogue()->machine('brackwater-capstan-t3')->firmware->releases;

it('goes the shortest way through required stops to the lowest that gives what is needed', function (string $from, ?string $to, ?string $gives, ?string $processor, ?string $revision, array $stops, ?string $fault) use ($capstan) {
    $path = UpdatePath::find($capstan(), $from, $to, $gives, $processor, $revision);
    expect(array_map(fn ($stop) => $stop->version, $path->stops))->toBe($stops);
    $fault === null ? expect($path->fault)->toBeNull() : expect($path->fault)->toContain($fault);
})->with([
    'through a stop' => ['F5', null, 'newer processors', 'Ostler R5', '2', ['F9', 'F12'], null],
    'from the stop on' => ['F9', null, 'newer processors', 'Ostler R5', '2', ['F12'], null],
    'the newest' => ['F9', null, null, 'Ostler R5', '2', ['F12', 'F14'], null],
    'an older processor stops it' => ['F9', null, 'memory above 6000', 'Ostler R4', '2', [], 'No release for this board brings "memory above 6000"'],
    'a stop that would not run it' => ['F5', null, 'newer processors', 'Ostler R6', '2', [], 'No way leads from firmware F5 to F12'],
    'asked for by version, not for it' => ['F12', 'F14', null, 'Ostler R4', '2', [], 'F14 cannot be written here: it does not run the processor that is fitted (Ostler R4).'],
    'another revision' => ['F9', 'F12', null, 'Ostler R5', '1', [], 'F12 cannot be written here: it is for revision 2 of the board, this is revision 1.'],
    'withdrawn' => ['F9', 'F10', null, null, null, [], 'F10 cannot be written here: the maker has withdrawn it.'],
    'there already' => ['F14', null, 'newer processors', null, null, [], 'Firmware F14 is there already; F12 would bring nothing.'],
    'nothing of the kind' => ['F9', null, 'tea', null, null, [], 'No release for this board brings "tea".'],
]);

it('says what it left out and why', function () use ($capstan) {
    $path = UpdatePath::find($capstan(), 'F5', null, 'newer processors', 'Ostler R5', '2');
    expect($path->leftOut)->toBe([['version' => 'F10', 'because' => 'the maker has withdrawn it.']])->and($path->target)->toBe('F12')
        ->and(UpdatePath::find([], 'F5', null, null)->fault)->toContain('holds no release');
});

it('counts minutes as steps × (write + restart) + entering again', function () use ($capstan) {
    $path = UpdatePath::find($capstan(), 'F9', null, null, 'Ostler R5', '2');
    expect($path->writing()->inMinutes())->toBe(11.0)
        ->and($path->total(0)->inMinutes())->toBe(5.0 + 2.0 + 6.0 + 4.0)
        ->and($path->total(6)->inMinutes())->toBe(17.0 + 2.0 + 3.0);
});

it('plans an update by board, processor and a way back', function () {
    $brief = ['machine' => ['model' => 'brackwater-capstan-t3', 'facts' => ['firmware.version' => 'F5', 'drive.encryption' => 'none', 'power.load_w' => 120, 'ups.usable_wh' => 90]], 'update' => ['reason' => 'A newer processor comes in.', 'gives' => 'newer processors']];
    $plan = Demo::plan('firmware-update', $brief);
    expect(array_column($plan->toArray()['questions'], 'fact'))->toContain('board.revision');
    $brief['machine']['facts']['board.revision'] = '2';
    $plan = Demo::plan('firmware-update', $brief);
    $ids = array_map(fn ($step): string => $step->id, $plan->steps);
    expect($plan->blockers)->toBe([])->and($ids)->toContain('firmware.way-back', 'firmware.write-f9', 'firmware.write-f12')->and(array_search('firmware.way-back', $ids, true))->toBeLessThan(array_search('firmware.write-f9', $ids, true))
        ->and($plan->step('firmware.way-back')?->evidence)->toBe([])->and(implode(' ', $plan->step('firmware.way-back')?->instructions ?? []))->toContain('small button')
        ->and(array_column($plan->step('firmware.re-enter')?->rows ?? [], 'where'))->toBe(['Boot page › Start method', 'Security page › Signed start', 'Security page › Trust other signers', 'Security page › Security chip', 'Drives page › Drive controller', 'Tuning page › Memory speed'])
        ->and(array_values(array_filter($plan->decisions, fn ($decision): bool => $decision->id === 'firmware.update'))[0]->reasons[2])->toBe('2 × (write + restart) + 6 settings entered again: about 19 min in all.');
    $brief['machine']['facts']['board.revision'] = '1';
    expect(Demo::plan('firmware-update', $brief)->blockers[0]->reason)->toContain('No release for this board brings');
    $unknown = Demo::plan('firmware-update', ['machine' => ['model' => 'norrel-fairlead-15-g', 'facts' => ['drive.encryption' => 'none', 'firmware.version' => '1.0']], 'update' => ['reason' => 'x']]);
    expect($unknown->step('firmware.way-back')?->evidence[0]->id)->toBe('no_way_back_signed');
});

it('works out what to enter for a memory rate', function (int $rate, bool $counts, array $ways) {
    expect(array_map(fn (MemoryProfile $way): array => [$way->reference, $way->multiplier, $way->clock], MemoryProfile::ways($rate, $counts)))->toBe($ways);
})->with([
    '3200' => [3200, false, [['100 MHz', 16, 1600.0], ['133⅓ MHz', 12, 1600.0]]],
    '3600' => [3600, false, [['100 MHz', 18, 1800.0]]],
    '2666, cut off on its label' => [2666, false, [['133⅓ MHz', 10, 1333.33]]],
    '2133, cut off on its label' => [2133, false, [['133⅓ MHz', 8, 1066.67]]],
    '3200, the multiplier counts transfers' => [3200, true, [['100 MHz', 32, 1600.0], ['133⅓ MHz', 24, 1600.0]]],
    '3700, by transfers' => [3700, true, [['100 MHz', 37, 1850.0]]],
    '3700, by clock' => [3700, false, []],
    'nothing' => [0, false, []],
]);

it('counts a rate forward', function () {
    expect(MemoryProfile::rate(100, 16, false))->toBe(3200.0)->and(MemoryProfile::rate(133, 10, false))->toBe(2666.7)->and(MemoryProfile::rate(133, 24, true))->toBe(3200.0)
        ->and(MemoryProfile::ways(2666, false)[0]->sentence())->toBe('Reference 133⅓ MHz × 10 = 2666 million transfers a second; a tool may show 1333.33 MHz, which is the clock and half of it.')
        ->and(MemoryProfile::ways(3200, true)[0]->sentence())->toContain('the multiplier counts transfers');
});

it('asks for the memory profile only where board and every module can', function (array $modules, array $facts, ?string $value) {
    $sheet = FactSheet::empty();
    foreach ($facts as $name => $fact) {
        $sheet = $sheet->with(MachineFact::of($name, $fact, Source::Person, 'x'));
    }
    $machine = new Machine('Test', Kind::Desktop, $sheet, model: Demo::catalogue()->machine('brackwater-capstan-t3'), modules: array_map(fn (array $one): MemoryModule => new MemoryModule('A', $one[0] === null ? null : Bytes::gibi(16), ratedTransfers: $one[0], setTransfers: $one[1]), $modules));
    $needs = MemoryNeed::of($machine);
    expect($needs === [] ? null : $needs[0]->value)->toBe($value);
})->with([
    'slower than it can' => [[[3200, 2400], [3200, 2400]], [], 'rated'], 'one is slower by nature' => [[[3200, 2400], [2400, 2400]], [], null], 'already' => [[[3200, 3200]], [], null],
    'no rate known' => [[[null, null]], [], null], 'none' => [[], [], null], 'errors were found' => [[[3200, 2400]], ['memory.trusted' => 'no'], null], 'set to is not known' => [[[3200, null]], [], 'rated'],
]);

it('shares memory with the graphics of a handheld by what the system keeps', function (int $gibibytes, ?string $graphics) {
    $machine = new Machine('Test', Kind::Handheld, FactSheet::empty()->with(MachineFact::of('memory_bytes', $gibibytes << 30, Source::Person, 'x')), model: Demo::catalogue()->machine('wickley-pocket-lantern'));
    $needs = array_column(array_map(fn ($need): array => [$need->setting, $need->value], HandheldNeeds::of($machine, Demo::catalogue()->system('corvane-play-2'))), 1, 0);
    expect($needs['graphics_memory'] ?? null)->toBe($graphics)->and($needs['power_mode'])->toBe('balanced');
})->with([[16, '4 GB'], [24, '4 GB'], [32, '8 GB'], [12, null], [8, null]]);

it('leaves other kinds of machine alone', function () {
    $machine = new Machine('Test', Kind::Laptop, FactSheet::empty(), model: Demo::catalogue()->machine('wickley-pocket-lantern'));
    expect(HandheldNeeds::of($machine, Demo::catalogue()->system('corvane-play-2')))->toBe([]);
});

it('finds what a schema cannot see in a machine\'s file', function (array $firmware, array $rest, array $faults) {
    expect(MachineFaults::of(Entries::model(['firmware' => $firmware, ...$rest])))->toBe($faults);
})->with([
    'nothing' => [[], [], []],
    'a default that is none of the values' => [['settings' => [['id' => 'a', 'values' => ['on', 'off'], 'default' => 'perhaps']]], [], ['firmware.settings.0.default: "perhaps" is none of the values on, off.']],
    'an unknown setting' => [['settings' => [['id' => 'a', 'values' => ['on'], 'default' => 'on', 'requires' => ['b' => 'on']]]], [], ['firmware.settings.0.requires: this model has no setting "b".']],
    'an unknown value' => [['settings' => [['id' => 'a', 'values' => ['on'], 'default' => 'on', 'requires' => ['b' => 'x']], ['id' => 'b', 'values' => ['on'], 'default' => 'on']]], [], ['firmware.settings.0.requires.b: "x" is none of its values on.']],
    'a loop' => [['settings' => [['id' => 'a', 'values' => ['on'], 'default' => 'on', 'requires' => ['b' => 'on']], ['id' => 'b', 'values' => ['on'], 'default' => 'on', 'requires' => ['a' => 'on']]]], [], ['firmware.settings.0.requires: settings require each other in a loop: a → b → a.', 'firmware.settings.1.requires: settings require each other in a loop: b → a → b.']],
    'twice' => [['settings' => [['id' => 'a', 'values' => ['on'], 'default' => 'on'], ['id' => 'a', 'values' => ['on'], 'default' => 'on']]], [], ['firmware.settings: "a" stands there twice.']],
    'over itself' => [['releases' => [['version' => '2', 'from' => '2']]], [], ['firmware.releases.0.from: 2 cannot be written over 2, which is not older.']],
    'nothing leads there' => [['releases' => [['version' => '1'], ['version' => '5', 'from' => '4']]], [], ['firmware.releases.1.from: no release leads to 4 or newer, so nothing leads to 5.']],
    'a release twice' => [['releases' => [['version' => '1'], ['version' => '1']]], [], ['firmware.releases: 1 stands there twice.']],
    'a quirk of no kind' => [['quirks' => [['wants' => 'tea', 'predicted' => 'silent', 'seen' => 'burnt', 'times' => 1]]], [], ['firmware.quirks.0.seen: "burnt" is none of '.implode(', ', array_column(Cobblestone\Boot\Model\Outcome::cases(), 'value')).'.', 'firmware.quirks.0.wants: "tea" is none of setup, installer, next-part, system, recovery.']],
    'let go before held' => [[], ['recovery' => ['sequence' => [['do' => 'x', 'release' => 'key']]]], ['recovery.sequence.0.release: "key" is let go before anything took hold of it.']],
    'held, then let go' => [[], ['recovery' => ['sequence' => [['do' => 'x', 'hold' => 'key'], ['do' => 'y', 'release' => 'key']]]], []],
    'no such port' => [[], ['ports' => [['id' => 'a']], 'recovery' => ['port_id' => 'b']], ['recovery.port_id: there is no port "b".']],
]);

it('finds no fault in the demo machines', function () {
    foreach (Demo::catalogue()->machines() as $machine) {
        expect(MachineFaults::of($machine))->toBe([]);
    }
});

it('sees a medium that starts only the old way against a system that does not', function () {
    $image = ['name' => 'old.img', 'bytes' => 3_000_000_000, 'kind' => 'raw', 'loader' => ['signed' => false, 'uefi' => false, 'legacy' => true]];
    $plan = Demo::plan('fairlead-13', ['image' => $image]);
    $question = array_values(array_filter($plan->questions, fn ($question): bool => $question->fact === 'choice.boot_mode'))[0];
    expect(array_keys($question->options))->toBe(['uefi', 'legacy'])->and($question->holds())->toBeTrue()
        ->and(implode(' ', array_map(fn ($gate): string => $gate->title, $plan->step('firmware.set')?->gates ?? [])))->toContain('Start mode is needed in two ways');
});

it('asks nothing of Secure Boot where the firmware has none, and switches USB start on for the stick only', function () {
    $brief = ['machine' => ['model' => 'brackwater-capstan-t1', 'facts' => ['owner.keep' => 'nothing', 'drive.encryption' => 'none', 'firmware.usb_start' => 'off', 'target.serial' => 'QF-77', 'target.bytes' => 256_060_514_304]], 'system' => 'orrin-desktop-3', 'image' => 'orrin-desktop-3'];
    $plan = Demo::plan('new-capstan', $brief);
    expect(array_column($plan->step('firmware.set')?->rows ?? [], 'becomes', 'where'))->toBe(['Boot page › Start from USB' => 'on'])
        ->and($plan->step('put-back.usb-start'))->not->toBeNull()
        ->and(array_values(array_filter($plan->decisions, fn ($one): bool => $one->id === 'firmware.secure-boot'))[0]->chosen)->toBe('does not apply')
        ->and(array_column(array_filter($plan->assessment['rehearsal'], fn (array $start): bool => ! $start['succeeds']), 'sentence'))->toBe([]);
});
