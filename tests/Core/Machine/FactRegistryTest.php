<?php

use Cobblestone\Boot\Model\BootState;
use Cobblestone\Machine\Facts\FactOwner;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Machine\Facts\FactType;
use Tests\Support\Demo;

it('says every fact once, and finds it by name', function () {
    $all = FactRegistry::all();
    expect(count($all))->toBeGreaterThan(100)->and(FactRegistry::names())->toBe(array_keys($all))
        ->and(FactRegistry::find('memory_bytes')?->type)->toBe(FactType::Count)
        ->and(FactRegistry::find('owner.keep')?->owner)->toBe(FactOwner::Owner)->and(FactRegistry::find('tea'))->toBeNull();
    $source = implode('', array_map(file_get_contents(...), glob(Demo::root().'/core/Machine/Facts/*.php') ?: []));
    preg_match_all("/FactDefinition\\(\\s*'([a-z0-9_.]+)'/", $source, $written);
    expect(count($written[1]))->toBe(count($all))->and(array_unique($written[1]))->toBe($written[1]);
});

it('lets a model learn only what is the model\'s', function () {
    expect(FactRegistry::learned())->toBe([
        'architecture' => 'architecture', 'clock_mhz' => 'clock_mhz', 'cores' => 'cores', 'memory_bytes' => 'memory_bytes',
        'security_chip.version' => 'security_chip_version',
    ]);
    foreach (array_keys(FactRegistry::learned()) as $name) {
        expect(FactRegistry::find($name)?->owner)->toBe(FactOwner::Model);
    }
});

it('says a fact as a person does', function (string $name, string $spoken) {
    expect(FactRegistry::spoken($name))->toBe($spoken);
})->with([
    ['firmware.secure_boot', 'secure boot'], ['loader.signature', 'whether this machine trusts the loader\'s signature'],
    ['firmware.kind', 'whether it has UEFI firmware'], ['present.system', 'present system'], ['firmware.own_word', 'own word'],
]);

it('takes the words it knows, and that nobody knows', function (string $name, string $word, bool $taken) {
    expect(FactRegistry::find($name)?->takes($word))->toBe($taken);
})->with([
    ['owner.keep', 'some', true], ['owner.keep', 'all', false], ['owner.keep', 'unknown', true], ['drive.encryption', 'chip', true],
    ['encryption.binding', 'tea', false], ['board.name', 'anything', true],
]);

it('knows what a start asks of a fact, the usual first', function () {
    expect(FactRegistry::values()['firmware.boot_mode'])->toBe(['uefi', 'both', 'legacy'])
        ->and(FactRegistry::values()['legacy.code'])->toBe(['starts', 'stops'])->and(FactRegistry::values())->not->toHaveKey('board.name')
        ->and(FactRegistry::find('firmware.usb_start')?->isFirmware())->toBeTrue()->and(FactRegistry::find('cores')?->isFirmware())->toBeFalse()
        ->and(class_exists(BootState::class))->toBeTrue();
});
