<?php

use Cobblestone\Brief\CardBlock;
use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Drivers\CardDriver;
use Cobblestone\Drivers\DriverOrder;
use Cobblestone\Drivers\DriverSet;
use Cobblestone\Drivers\DriverSteps;
use Cobblestone\Drivers\Matching\DeviceMatch;
use Cobblestone\Drivers\NetworkWay;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Fact as MachineFact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\EvidenceKind;
use Tests\Support\Demo;
use Tests\Support\Entries;

/** @param  array<string, mixed>  $more */
function shelved(string $id, string $date, array $more = []): DriverPackage
{
    return Entries::package([
        'id' => $id,
        'name' => "Card {$id}",
        'family' => 'graphics',
        'claims' => ['PCI:46E1:7700'],
        'systems' => ['tansy-desktop-7'],
        'version' => '1',
        'date' => $date,
        'bytes' => 1000,
        'sha256' => 'ab',
        ...$more,
    ]);
}

/** @param  list<DriverPackage>  $shelf */
function cardDriver(CardBlock $card, ?string $system, array $shelf): CardDriver
{
    return CardDriver::match(
        $card,
        new Machine('Tower', Kind::Desktop, FactSheet::empty(), model: Entries::model(['id' => 'tower'])),
        $system === null ? null : Demo::catalogue()->system($system),
        $shelf,
        Policy::of(),
    );
}

it('takes the package that claims the card or bears its name, the locked one before the newest', function (
    array $card,
    ?string $system,
    array $shelf,
    ?string $id,
) {
    expect(cardDriver(CardBlock::fromArray(['new' => 'some card', ...$card]), $system, $shelf)->package?->id)
        ->toBe($id);
})->with(function () {
    $old = shelved('old', '2026-01-01');
    $new = shelved('new', '2026-06-01');
    $locked = shelved('locked', '2025-01-01', ['models' => ['tower']]);
    $foreign = shelved('foreign', '2026-09-01', ['models' => ['another']]);
    $twin = shelved('zz-twin', '2026-06-01');

    return [
        'by identifier, in any case' => [['id' => 'Pci:46e1:7700'], 'tansy-desktop-7', [$old], 'old'],
        'by name, in any case' => [['new' => 'CARD OLD'], 'tansy-desktop-7', [$old], 'old'],
        'by neither' => [['id' => 'pci:46e1:7701'], 'tansy-desktop-7', [$old, $new], null],
        'no identifier at all' => [[], 'tansy-desktop-7', [$old, $new], null],
        'one in a wrong form' => [['id' => 'pci:46e1'], 'tansy-desktop-7', [$old, $new], null],
        'by name, the newest that claims the same' => [['new' => 'card old'], 'tansy-desktop-7', [$old, $new], 'new'],
        'the newest' => [['id' => 'pci:46e1:7700'], 'tansy-desktop-7', [$old, $new], 'new'],
        'the newest, whatever the order' => [['id' => 'pci:46e1:7700'], 'tansy-desktop-7', [$new, $old], 'new'],
        'the one locked to the model first' => [
            ['id' => 'pci:46e1:7700'],
            'tansy-desktop-7',
            [$new, $locked, $old],
            'locked',
        ],
        'none that is locked to another' => [['id' => 'pci:46e1:7700'], 'tansy-desktop-7', [$foreign, $old], 'old'],
        'of the same day by its name' => [['id' => 'pci:46e1:7700'], 'tansy-desktop-7', [$twin, $new], 'new'],
        'for another system' => [['id' => 'pci:46e1:7700'], 'skerry-rolling', [$old], null],
        'for no system' => [['id' => 'pci:46e1:7700'], null, [$old], null],
    ];
});

it('fetches what the shelf holds with size and checksum, and else asks for both', function () {
    $held = cardDriver(new CardBlock('Card old'), 'tansy-desktop-7', [shelved('old', '2026-01-01')]);
    $none = cardDriver(new CardBlock('Gannet X'), 'tansy-desktop-7', []);
    expect($held->title())
        ->toBe('Card old 1')
        ->and($none->title())
        ->toBe('the driver of Gannet X')
        ->and($held->fetch()->instructions)
        ->toBe(['Take Card old 1 from the shelf: 1.0 kB.', '`sha256sum` must print `ab`.', 'Put it on a stick.'])
        ->and($held->fetch()->evidence[0]->expected?->value)
        ->toBe('equal')
        ->and(array_keys($held->fetch()->evidence[0]->options))
        ->toBe(['equal', 'differs'])
        ->and($held->fetch()->because[0]->source)
        ->toBe('shelf, 2026-01-01')
        ->and($none->fetch()->evidence[0]->kind)
        ->toBe(EvidenceKind::Text)
        ->and($none->fetch()->instructions[0])
        ->toContain('The shelf holds no package for Gannet X')
        ->and($none->fetch()->because[0]->source)
        ->toBe('')
        ->and($none->fetch()->needs)
        ->toBe(['hands', 'network']);
});

it('says how the new system gets online, and asks where nobody knows', function (
    array $adapters,
    array $without,
    ?string $answer,
    array $offline,
    string $chosen,
    bool $asked,
) {
    $sheet =
        $answer === null
            ? FactSheet::empty()
            : FactSheet::empty()->with(MachineFact::of('network.driver', $answer, Source::Person, 'tried live'));
    $machine = new Machine(
        'Cobalt Mole',
        Kind::Laptop,
        $sheet,
        devices: [...$adapters, new Device('sound', 'pci:0001:0001', 'audio')],
    );
    $way = NetworkWay::of($machine, Demo::catalogue()->system('tansy-desktop-7'), $offline, $without);
    expect($way->decision->chosen)
        ->toBe($chosen)
        ->and($way->questions === [])
        ->toBe(! $asked);
    if ($asked) {
        expect($way->questions[0]->shuts)
            ->toBe([Act::Erase])
            ->and(array_keys($way->questions[0]->options))
            ->toBe(['brings', 'beside', 'stick'])
            ->and($way->because)
            ->toBe('');
    } else {
        expect($way->because)->not->toBe('');
    }
})->with(function () {
    [$w, $x] = [new Device('wireless', 'pci:0002:0001', 'network'), new Device('cable', 'pci:0002:0002', 'network')];
    $audio = new Device('sound', 'pci:0001:0001', 'audio');

    return [
        'on the stick' => [[$w], [], null, [shelved('net', '2026-01-01')], 'Card net on the stick', false],
        'brought' => [[$w], [], null, [], 'nothing extra on the stick', false],
        'brought, though the sound is not' => [[$w], [$audio], null, [], 'nothing extra on the stick', false],
        'one of two' => [[$w, $x], [$w], null, [], 'nothing extra on the stick', false],
        'none of two' => [[$w, $x], [$w, $x], null, [], 'not known yet', true],
        'not read' => [[], [], null, [], 'not known yet', true],
        'an answer that is none' => [[], [], 'perhaps', [], 'not known yet', true],
        'said to be brought' => [[], [], 'brings', [], 'nothing extra on the stick', false],
        'another adapter' => [[$w], [$w], 'beside', [], 'by another adapter or a phone', false],
        'by hand' => [[$w], [$w], 'stick', [], 'by a driver put onto the stick by hand', false],
    ];
});

it('looks over at the end for exactly the devices that nothing is known for', function (
    array $unresolved,
    bool $unknown,
    string $expected,
    string $remedy,
    string $because,
) {
    $some = new Device('c', 'pci:0001:0003', 'audio');
    $audit = DriverSteps::for(new DriverSet(
        [], [], $unresolved, $unknown ? [] : [new DeviceMatch($some, true, null, null, [])],
        new Machine('x', Kind::Laptop, FactSheet::empty(), devices: $unknown ? [] : [$some]),
        Demo::catalogue()->system('skerry-rolling'),
    ))->steps[0];
    expect($audit->id)
        ->toBe('drivers.audit')
        ->and($audit->evidence[0]->expected?->value)
        ->toBe($expected)
        ->and($audit->evidence[0]->remedy)
        ->toBe($remedy)
        ->and($audit->because[0]->text)
        ->toBe($because);
})->with([
    [
        [],
        false,
        '0',
        'Look for its package by identifier; its row says which device.',
        'Every device of this machine has a package or is served by the system.',
    ],
    [
        [new Device('a', 'pci:0001:0001', 'audio'), new Device('b', 'pci:0001:0002', 'input')],
        false,
        '2',
        'The shelf has none for 2 of them.',
        '2 devices have no package on the shelf.',
    ],
    [
        [],
        true,
        '0',
        'Look for its package by identifier; its row says which device.',
        'What is inside is only known once a system runs.',
    ],
]);

it('restarts once after what waits, and begins a circle of needs with its first', function () {
    $of = fn (string $id, string $restart, array $needs = []) => shelved($id, '2026-01-01', [
        'restart' => $restart,
        'needs' => $needs,
    ]);
    expect(DriverOrder::restarts([$of('a', 'after'), $of('b', 'at-once'), $of('c', 'none')]))
        ->toBe(['b' => true])
        ->and(DriverOrder::restarts([$of('a', 'after'), $of('c', 'none')]))
        ->toBe(['c' => true])
        ->and(
            array_map(
                fn ($one) => $one->id,
                DriverOrder::by('free', [$of('b', 'none', ['a']), $of('a', 'none', ['b'])]),
            ),
        )
        ->toBe(['a', 'b']);
});
