<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Firmware\ChangePlan;
use Cobblestone\Firmware\FirmwareNeeds;
use Cobblestone\Firmware\MemoryNeed;
use Cobblestone\Firmware\Need;
use Cobblestone\Firmware\Setting;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Tests\Support\Demo;
use Tests\Support\Entries;

it('needs and knows these settings', function () {
    $found = ['order' => Setting::ORDER];
    foreach ([...Setting::USUAL, ...Setting::BESIDES, 'wake_by_key'] as $id) {
        $usual = Setting::usual($id);
        $found['usual'][$id] = [
            $usual->title,
            $usual->place,
            $usual->values,
            $usual->requires,
            $usual->default,
            $usual->rank(),
            Setting::undescribed($id)->title,
            Setting::undescribed($id)->place,
            Setting::undescribed($id)->values,
        ];
    }
    foreach (Demo::catalogue()->machines() as $id => $model) {
        $found['models'][$id] = array_map(
            fn (Setting $one): array => [
                $one->id,
                $one->title,
                $one->place,
                $one->values,
                $one->requires,
                $one->default,
                $one->rank(),
            ],
            array_map(Setting::of(...), $model->settings()),
        );
    }
    $need = fn (Need $one): array => [
        $one->setting,
        $one->value,
        $one->because,
        $one->rule,
        $one->stays,
        $one->weakens,
        $one->accepts,
        $one->whose,
        $one->values(),
    ];
    $systems = [
        'tansy-desktop-7' => 'tansy-desktop-7-dock',
        'orrin-desktop-3' => 'orrin-desktop-3',
        'corvane-play-2' => 'corvane-play-2',
        'skerry-rolling' => 'skerry-rolling',
    ];
    foreach (
        [
            'brackwater-capstan-t1', 'brackwater-capstan-t3', 'norrel-fairlead-13', 'wickley-pocket-lantern',
            'norrel-reedling-10',
        ] as $model
    ) {
        foreach ($systems as $system => $image) {
            $context = JobContext::of(
                Brief::fromArray([
                    'brief' => 1,
                    'title' => 'x',
                    'machine' => ['model' => $model],
                    'system' => $system,
                    'image' => $image,
                ]),
                Demo::catalogue(),
                Policy::of(),
            );
            $found['needs']["{$system} on {$model}"] = array_map(
                $need,
                FirmwareNeeds::of(
                    $context->machine,
                    $context->system(),
                    $context->image(),
                    [],
                    $system === 'orrin-desktop-3',
                ),
            );
        }
    }
    $modules = fn (int ...$pairs): array => array_map(
        fn (array $pair): MemoryModule => new MemoryModule(
            'A',
            Bytes::gibi(8),
            ratedTransfers: $pair[0],
            setTransfers: $pair[1] === 0 ? null : $pair[1],
        ),
        array_chunk($pairs, 2),
    );
    foreach (
        [
            'slow' => $modules(3200, 2400, 3600, 2400),
            'odd rate' => $modules(3700, 2400),
            'not set' => $modules(3200, 0),
            'as rated' => $modules(3200, 3200),
            'faster than rated' => $modules(3200, 3600),
            'one faster' => $modules(3200, 3200, 3200, 2400),
            'with an empty slot' => [...$modules(3200, 2400), new MemoryModule('B', null)],
        ] as $name => $fitted
    ) {
        foreach ([false, true] as $counts) {
            $model = Demo::catalogue()->machine('brackwater-capstan-t3')->toArray();
            $model['firmware']['multiplier_counts_transfers'] = $counts;
            $found['memory'][$name.($counts ? ', by transfers' : '')] = array_map(
                $need,
                MemoryNeed::of(new Machine(
                    'Test',
                    Kind::Desktop,
                    FactSheet::empty(),
                    model: MachineModel::fromArray($model),
                    modules: $fitted,
                )),
            );
        }
    }
    $bare = new Machine(
        'Test',
        Kind::Desktop,
        FactSheet::empty(),
        model: Entries::model([
            'firmware' => [
                'settings' => [
                    [
                        'id' => 'memory_profile',
                        'title' => 'M',
                        'place' => 'P',
                        'values' => ['standard', 'rated'],
                        'default' => 'standard',
                    ],
                ],
            ],
        ]),
    );
    $waiting = MemoryNeed::waiting(ChangePlan::of($bare, [new Need('memory_profile', 'rated', 'x', 'F4')]));
    $found['waiting'] = [$waiting?->toArray(), MemoryNeed::waiting(ChangePlan::of($bare, []))];
    holdsFirmwareGolden('needs', $found);
});
