<?php

use Cobblestone\Catalogue\AppSet;
use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\EncryptionWords;
use Cobblestone\Catalogue\HealthTable;
use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Maker;
use Cobblestone\Catalogue\RouteTable;
use Cobblestone\Catalogue\Signer;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Catalogue\Symptom;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Document\FieldFault;
use Cobblestone\Machine\Model\MachineModel;
use Tests\Support\Demo;
use Tests\Support\SchemaSamples;

const TYPES = [
    'apps' => AppSet::class,
    'drivers' => DriverPackage::class,
    'encryption' => EncryptionWords::class,
    'health' => HealthTable::class,
    'hosts' => HostProfile::class,
    'images' => Image::class,
    'issues' => Symptom::class,
    'machines' => MachineModel::class,
    'makers' => Maker::class,
    'routes' => RouteTable::class,
    'signers' => Signer::class,
    'sticks' => Stick::class,
    'systems' => SystemProfile::class,
];

/** Conditions test one thing each: which field says it is free, so the sample keeps the first that is read. */
const ONE_OF = ['is', 'not', 'in', 'at_least', 'below', 'known'];

/** What an image of the shelf has to say, and one that only a brief describes need not. */
const LOOSER = ['images' => ['system', 'version', 'as_of', 'source', 'files.largest']];

/** @param  array<array-key, mixed>  $document */
function without(array $document, string $path): array
{
    $place = &$document;
    $names = explode('.', $path);
    $last = array_pop($names);
    foreach ($names as $name) {
        $place = &$place[$name];
    }
    unset($place[$last]);

    return $document;
}

/** @param  array<array-key, mixed>  $document */
function spoiled(array $document, string $path): array
{
    $place = &$document;
    foreach (explode('.', $path) as $name) {
        $place = &$place[$name];
    }
    $place = is_array($place) ? ['no such value'] : 'no such value';

    return $document;
}

function oneCondition(mixed $value): mixed
{
    if (! is_array($value)) {
        return $value;
    }
    if (isset($value['fact']) && array_intersect_key($value, array_flip(ONE_OF)) !== []) {
        return array_intersect_key($value, ['fact' => 1, 'is' => 1, 'else' => 1]);
    }

    return array_map(oneCondition(...), $value);
}

function sorted(mixed $value): mixed
{
    if (is_array($value)) {
        $value = array_map(sorted(...), $value);
        array_is_list($value) || ksort($value);
    }

    return is_int($value) ? (float) $value : $value;
}

function sampleOf(string $kind): array
{
    return oneCondition(SchemaSamples::ofFile(Demo::root()."/catalogue/schema/{$kind}.schema.json")->full());
}

it('keeps every field that the schema has', function (string $kind, string $type) {
    $document = sampleOf($kind);
    expect(sorted($type::fromArray($document)->toArray()))->toBe(sorted($document));
})->with(fn () => array_map(fn (string $kind): array => [$kind, TYPES[$kind]], array_keys(TYPES)));

it('wants what the schema requires, allows the rest to be missing, and refuses what it does not list', function (
    string $kind,
    string $type,
) {
    $document = sampleOf($kind);
    $fields = SchemaSamples::ofFile(Demo::root()."/catalogue/schema/{$kind}.schema.json")->fields();
    $checked = 0;
    foreach ($fields as $path => $field) {
        if (array_intersect(explode('.', $path), ONE_OF) !== [] || data($document, $path) === null) {
            continue;
        }
        $checked++;
        $less = fn () => $type::fromArray(without($document, $path));
        if ($field['required'] && ! in_array($path, LOOSER[$kind] ?? [], true)) {
            expect($less)->toThrow(FieldFault::class, $path);
        } else {
            expect($less()->toArray())->toBeArray();
        }
        if ($field['enum']) {
            expect(fn () => $type::fromArray(spoiled($document, $path)))->toThrow(FieldFault::class, $path);
        }
    }
    expect($checked)->toBeGreaterThan(4);
})->with(fn () => array_map(fn (string $kind): array => [$kind, TYPES[$kind]], array_keys(TYPES)));

/** @param  array<array-key, mixed>  $document */
function data(array $document, string $path): mixed
{
    foreach (explode('.', $path) as $name) {
        $document = is_array($document) ? $document[$name] ?? null : null;
    }

    return $document;
}

it('reads and writes every entry of the demo world', function (string $kind, string $type) {
    foreach (Demo::catalogue()->all($kind) as $document) {
        $again = $type::fromArray($type::fromArray($document)->toArray());
        expect($again)->toEqual($type::fromArray($document));
    }
    expect(Demo::catalogue()->all($kind))->not->toBe([]);
})->with(fn () => array_map(fn (string $kind): array => [$kind, TYPES[$kind]], array_keys(TYPES)));
