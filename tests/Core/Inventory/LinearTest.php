<?php

use Cobblestone\Inventory\InventoryReader;
use Cobblestone\Inventory\UnreadableInventory;
use Tests\Support\Worked;

it('ends soon on a long text of one sign, whatever it pretends to be', function (string $head) {
    foreach (['a', ' ', '{', "\t", ':', "a\n"] as $sign) {
        $text = $head.str_repeat($sign, intdiv(3_900_000, strlen($sign)));
        $worked = Worked::calmly(function () use ($text): void {
            try {
                InventoryReader::read($text, 'x', null);
            } catch (UnreadableInventory) {
            }
        });
        // Ten times what it takes on a slow bench computer; the search to the end of every pattern took minutes for
        // forty such files.
        expect($worked)->toBeLessThan(15.0);
    }
})->with([
    '',
    "# dmidecode 3.4\n",
    'Bus 001 Device 002: ID 1d6b:0002 ',
    'SecureBoot ',
    "Slot:\t",
    '{"blockdevices": [',
]);

it('does not search a text to its end for what a tool says at its start', function () {
    $text = str_repeat('a', 4_000_000);
    expect(Worked::calmly(fn () => expect(InventoryReader::recognise($text))->toBeNull()))->toBeLessThan(1.0);
});
