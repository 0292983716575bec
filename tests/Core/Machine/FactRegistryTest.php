<?php

use App\House\FactTable;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Inventory\InventoryReader;
use Cobblestone\Inventory\MokutilReader;
use Cobblestone\Inventory\Reading;
use Cobblestone\Inventory\SystemNoteReader;
use Cobblestone\Machine\Facts\FactDefinition;
use Cobblestone\Machine\Facts\FactOwner;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Machine\Facts\FactType;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Question;
use Tests\Support\Demo;

it('says every fact once, and finds it by name', function () {
    $all = FactRegistry::all();
    expect(count($all))->toBeGreaterThan(100)->and(FactRegistry::names())->toBe(array_keys($all))
        ->and(FactRegistry::find('memory_bytes')?->type)->toBe(FactType::Size)
        ->and(FactRegistry::find('owner.keep')?->owner)->toBe(FactOwner::Owner)
        ->and(FactRegistry::find('tea'))->toBeNull();
    $source = implode('', array_map(file_get_contents(...), glob(Demo::root().'/core/Machine/Facts/*.php') ?: []));
    preg_match_all("/FactDefinition\\(\\s*'([a-z0-9_.]+)'/", $source, $written);
    expect(count($written[1]))->toBe(count($all))->and(array_unique($written[1]))->toBe($written[1]);
});

it('lets a model learn only what is the model\'s', function () {
    expect(FactRegistry::learned())->toBe([
        'architecture' => 'architecture',
        'clock_mhz' => 'clock_mhz',
        'cores' => 'cores',
        'memory_bytes' => 'memory_bytes',
        'security_chip.version' => 'security_chip_version',
    ]);
    foreach (array_keys(FactRegistry::learned()) as $name) {
        expect(FactRegistry::find($name)?->owner)->toBe(FactOwner::Model);
    }
});

it('says a fact as a person does', function (string $name, string $spoken) {
    expect(FactRegistry::spoken($name))->toBe($spoken);
})->with([
    ['firmware.secure_boot', 'Secure Boot'],
    ['loader.signature', 'whether this machine trusts the loader\'s signature'],
    ['firmware.kind', 'whether it has UEFI firmware'],
    ['present.system', 'system that is on it now'],
    ['firmware.own_word', 'own word'],
]);

it('takes the words it knows, and that nobody knows', function (string $name, string $word, bool $taken) {
    expect(FactRegistry::find($name)?->takes($word))->toBe($taken);
})->with([
    ['owner.keep', 'some', true],
    ['owner.keep', 'all', false],
    ['owner.keep', 'unknown', true],
    ['drive.encryption', 'chip', true],
    ['encryption.binding', 'tea', false], ['board.name', 'anything', true],
]);

it('knows what a start asks of a fact, the usual first', function () {
    expect(FactRegistry::values()['firmware.boot_mode'])->toBe(['uefi', 'both', 'legacy'])
        ->and(FactRegistry::values()['legacy.code'])->toBe(['starts', 'stops', 'returns', 'hangs'])
        ->and(FactRegistry::values())->not->toHaveKey('board.name')
        ->and(FactRegistry::find('firmware.usb_start')?->isFirmware())->toBeTrue()
        ->and(FactRegistry::find('cores')?->isFirmware())->toBeFalse()
        ->and(class_exists(BootState::class))->toBeTrue();
});

it('asks for a fact in one text, with what only the job knows put in', function () {
    $asked = FactQuestion::about('network.driver', 'what follows', 'D5', 45, [Act::Erase]);
    expect($asked->options)->toBe(FactRegistry::offers('network.driver'))->not->toBe([])
        ->and(FactQuestion::text('network.driver', ['system' => '{adapters}', 'adapters' => 'the card']))
        ->toBe('Does {adapters} bring a driver for the card?')
        ->and(FactQuestion::about('card.supply_w', 'd', 'H5', 62)->text)
        ->toBe('How many watts does the power supply give? It stands on its label, such as "650".')
        ->and($asked->worded('Else?')->offering(['a' => 'b']))
        ->toEqual(new Question('network.driver', 'Else?', ['a' => 'b'], 'what follows', 'D5', 45, [Act::Erase]));
});

it('asks only for what the registry has a question for', function () {
    FactQuestion::about('board.serial', 'd', 'A1', 1);
})->throws(LogicException::class, 'Nobody is asked for board.serial');

it('offers nothing that the fact would not take', function () {
    $asked = array_filter(FactRegistry::all(), static fn (FactDefinition $one): bool => $one->asking !== null);
    expect(count($asked))->toBeGreaterThan(20);
    foreach ($asked as $one) {
        foreach (array_keys($one->offers()) as $word) {
            expect($one->takes((string) $word))->toBeTrue("{$one->name} = {$word}");
        }
        expect($one->asking?->text())->toMatch('/[?.]$/');
    }
});

it('names for every tool exactly what its output can say', function () {
    $said = [];
    foreach (glob(Demo::root().'/tests/fixtures/inventory/*') ?: [] as $file) {
        $reading = InventoryReader::read((string) file_get_contents($file), basename($file), null);
        foreach (array_keys($reading->facts) as $fact) {
            $said[$reading->tool][$fact] = $fact;
        }
        expect(Reading::fromArray($reading->toArray()))->toEqual($reading);
    }
    $note = SystemNoteReader::HEAD." 1\narchitecture: x86_64\nefi folder: present\n"
        ."memory usable: 16104644 kB\nsystem: Orrin Desktop 3\nbuild: 312\nlink: pci:46e1:7700 width 16\n"
        .'battery: design 52000 full 47840 mWh, charge 63 %';
    $said['collector'] = array_combine($keys = array_keys(InventoryReader::read($note, 'x', null)->facts), $keys);
    foreach (["This system doesn't support Secure Boot", 'EFI variables are not supported on this system'] as $text) {
        foreach (array_keys(MokutilReader::read($text)->facts) as $fact) {
            $said['mokutil'][$fact] = $fact;
        }
    }
    $lists = [];
    foreach (FactRegistry::all() as $one) {
        foreach ($one->givenBy as $tool) {
            $lists[$tool][$one->name] = $one->name;
        }
    }
    foreach ($said as $tool => $facts) {
        expect(array_values(array_diff($facts, $lists[$tool] ?? [])))->toBe([], $tool);
    }
    $rare = [];
    foreach ($lists as $tool => $facts) {
        $rare[$tool] = array_values(array_diff($facts, $said[$tool] ?? []));
    }
    expect(array_filter($rare))->toBe([]);
});

it('leaves out of a reading what its tool cannot tell, and says so', function () {
    $reading = Reading::fromArray([
        'tool' => 'dmidecode', 'facts' => ['cores' => 8, 'owner.keep' => 'nothing', 'tea' => 'yes'],
    ]);
    expect($reading->facts)->toBe(['cores' => 8])->and($reading->notes)->toBe([
        'dmidecode cannot tell "owner.keep"; left out.', 'dmidecode cannot tell "tea"; left out.',
    ])->and(Reading::fromArray($reading->toArray()))->toEqual($reading);
});

it('is what the guide says of it, fact by fact', function () {
    $page = (string) file_get_contents(Demo::root().'/docs/guide/facts.md');
    expect(explode("\n", FactTable::markdown()))->toBe(explode("\n", $page), 'php artisan cobblestone:house writes it');
});
