<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Tests\Support\Demo;
use Tests\Support\SchemaSamples;

/** What a brief may leave out although its schema asks for it where it is read from a file, or cannot hold at once. */
const EITHER = ['machine.kind', 'image', 'system'];

/** @return array<string, mixed> the fullest brief: a model of the catalogue, system and image described */
function fullestBrief(): array
{
    $document = SchemaSamples::ofFile(Demo::root().'/docs/guide/schema/brief.schema.json')->full();
    unset($document['machine']['kind']);

    return $document;
}

/** @param  array<array-key, mixed>  $document */
function leaf(array $document, string $path): mixed
{
    foreach (explode('.', $path) as $name) {
        $document = is_array($document) ? $document[$name] ?? null : null;
    }

    return $document;
}

it('holds every field that the schema of a brief has', function () {
    $document = fullestBrief();
    $again = Brief::fromArray($document)->toArray();
    $lost = [];
    foreach (
        array_keys(SchemaSamples::ofFile(Demo::root().'/docs/guide/schema/brief.schema.json')->fields()) as $path
    ) {
        $said = leaf($document, $path);
        if ($said !== null && ! is_array($said) && leaf($again, $path) != $said) {
            $lost[] = $path;
        }
    }
    // Anything else of a described system or image has no place in a brief; catalogue says "none" or nothing.
    expect(array_values(array_diff($lost, ['catalogue'])))->toBe([]);
});

it('names the place of what does not fit', function (string $path, mixed $value) {
    $document = fullestBrief();
    $place = &$document;
    foreach (explode('.', $path) as $name) {
        $place = &$place[$name];
    }
    $place = $value;
    expect(fn () => Brief::fromArray($document))->toThrow(BriefFault::class, $path);
})->with([
    ['goal', 'tea'],
    ['machine.readings.0.tool', 'tea'],
    ['machine.readings.0.devices.0.name', 7],
    ['backup.keep', 'all'],
    ['backup.destination.file_system', 'tape'],
    ['licence.kind', 'gift'],
    ['memory.tests.0.outcome', 'fine'],
    ['memory.slots', 'A'],
    ['card.watts', 'much'],
    ['update.to', 7],
    ['seen.0.step', null],
    ['extras.0.what', 3],
    ['machine.facts.x', ['a' => ['b']]],
    ['policy.boot', 1],
    ['image.kind', 'vinyl'],
    ['slot', 'three'],
    ['sticks', 'gull'],
    ['depends.0', 1],
]);

it('reads and writes the briefs of the guide', function (string $name) {
    $brief = Brief::fromArray(Demo::brief($name));
    expect(Brief::fromArray($brief->toArray()))->toEqual($brief);
})->with(Demo::ALL);
