<?php

use Cobblestone\Brief\CardBlock;
use Cobblestone\Drivers\CardChange;
use Cobblestone\Drivers\CardDriver;
use Cobblestone\Drivers\OldCard;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Tests\Support\Demo;

/** What becomes of the old driver on a machine with one card, for a new one of this identifier. */
function changed(string $old, ?string $new, array $schools = [], ?string $said = null): CardChange
{
    $machine = new Machine('x', Kind::Desktop, FactSheet::empty(), devices: [new Device('Old', $old, 'graphics')]);
    $system = Demo::catalogue()->system('tansy-desktop-7');
    $card = new CardBlock('New', $said ?? 'Old', id: $new);

    return CardChange::decide(
        OldCard::of($card, $machine, $system, Demo::catalogue()->drivers()),
        CardDriver::match($card, $machine, $system, Demo::catalogue()->drivers(), Policy::of($schools)),
        Policy::of($schools),
    );
}

it('decides what becomes of the driver of the old card, and says why', function (
    array $cards,
    bool $removes,
    string $chosen,
    string $reason,
    array $refused,
    array $facts,
) {
    $change = changed(...$cards);
    $decision = $change->decision;
    expect([$change->removes, $decision->chosen, $decision->reasons, $decision->refused, $decision->facts])
        ->toBe([$removes, $chosen, [$reason], $refused, $facts])
        ->and([$decision->id, $decision->title, $decision->rule])
        ->toBe(['drivers.old-card', 'What becomes of the old driver', 'D6']);
})->with([
    'the same card again' => [
        ['pci:46e1:7700', 'pci:46e1:7700'], false, 'there is nothing to remove',
        'Both cards have the same identifier: what drives the one drives the other.', [],
        ['Old: pci:46e1:7700', 'New: pci:46e1:7700'],
    ],
    'two makers' => [
        ['pci:46e1:7700', 'pci:4f51:5500'], true, 'the old driver family is removed first',
        "Two makers, 46e1 and 4f51: left-overs of one are in the other's way.",
        ['the new driver goes over the old one' => ['It is for a card of the same maker only.']],
        ['Old: pci:46e1:7700', 'New: pci:4f51:5500'],
    ],
    'one maker, over' => [
        ['pci:46e1:7700', 'pci:46e1:9900', ['card_family' => 'over']], false, 'the new driver goes over the old one',
        "Both cards are of one maker, 46e1; the bench's school decides.",
        [
            'the old driver family is removed first' => [
                'It costs a start in safe mode, and gains nothing where both are of one maker.',
            ],
        ],
        ['Old: pci:46e1:7700', 'New: pci:46e1:9900'],
    ],
    'one maker, first out' => [
        ['pci:46e1:7700', 'pci:46e1:9900', ['card_family' => 'remove']], true,
        'the old driver family is removed first', "Both cards are of one maker, 46e1; the bench's school decides.",
        ['the new driver goes over the old one' => ['The bench removes first, whatever the maker.']],
        ['Old: pci:46e1:7700', 'New: pci:46e1:9900'],
    ],
    'a new card nobody knows the numbers of' => [
        ['pci:46e1:7700', null], true, 'the old driver family is removed first',
        'The identifier of New is not known: whether both are of one maker is not known, and removing first is right '
            .'in either case.',
        [], ['Old: pci:46e1:7700'],
    ],
    'an old card that is not in the list' => [
        ['pci:46e1:7700', 'pci:46e1:9900', [], 'Ostler'], true, 'the old driver family is removed first',
        'The device list does not tell which card Ostler is: whether both are of one maker is not known, and removing '
            .'first is right in either case.',
        [], ['New: pci:46e1:9900'],
    ],
]);
