<?php

use Cobblestone\Inventory\InventoryReader;
use Cobblestone\Inventory\Reading;
use Tests\Support\Demo;

function fixtureText(string $name): string
{
    return (string) file_get_contents(Demo::root()."/tests/fixtures/inventory/{$name}");
}

function readFixture(string $name): Reading
{
    return InventoryReader::read(fixtureText($name), $name, '2026-11-24T16:00Z');
}
