<?php

use Cobblestone\Machine\Battery;
use Cobblestone\Machine\Fact as MachineFact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;
use Tests\Support\Entries;

/**
 * @param  list<array<string, mixed>>  $settings
 * @param  array<string, string>  $known
 */
function machineWith(
    array $settings,
    array $known = [],
    Kind $kind = Kind::Laptop,
    array $ports = [],
    ?Battery $battery = null,
    array $model = [],
): Machine {
    $facts = FactSheet::empty();
    foreach ($settings as $setting) {
        $facts = $facts->with(MachineFact::of(
            "firmware.{$setting['id']}",
            $setting['default'],
            Source::Catalogue,
            'catalogue',
        ));
    }
    foreach ($known as $name => $value) {
        $facts = $facts->with(MachineFact::of("firmware.{$name}", $value, Source::Person, 'seen'));
    }

    return new Machine(
        'Test',
        $kind,
        $facts,
        [],
        $ports,
        [],
        $battery,
        Entries::model($model + ['firmware' => ['settings' => $settings]]),
    );
}

function setting(string $id, string $default, array $requires = []): array
{
    return [
        'id' => $id,
        'title' => ucfirst($id),
        'place' => 'Page',
        'values' => ['on', 'off'],
        'default' => $default,
        'requires' => $requires,
    ];
}
