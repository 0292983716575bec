<?php

use Cobblestone\Job\MachineFaults;
use Tests\Support\Demo;
use Tests\Support\Entries;

it('finds what a schema cannot see in a machine\'s file', function (array $firmware, array $rest, array $faults) {
    expect(MachineFaults::of(Entries::model(['firmware' => $firmware, ...$rest])))->toBe($faults);
})->with([
    'nothing' => [[], [], []],
    'a default that is none of the values' => [
        ['settings' => [['id' => 'a', 'values' => ['on', 'off'], 'default' => 'perhaps']]],
        [],
        ['firmware.settings.0.default: "perhaps" is none of the values on, off.'],
    ],
    'an unknown setting' => [
        ['settings' => [['id' => 'a', 'values' => ['on'], 'default' => 'on', 'requires' => ['b' => 'on']]]],
        [],
        ['firmware.settings.0.requires: this model has no setting "b".'],
    ],
    'an unknown value' => [
        [
            'settings' => [
                ['id' => 'a', 'values' => ['on'], 'default' => 'on', 'requires' => ['b' => 'x']],
                ['id' => 'b', 'values' => ['on'], 'default' => 'on'],
            ],
        ],
        [],
        ['firmware.settings.0.requires.b: "x" is none of its values on.'],
    ],
    'a loop' => [
        [
            'settings' => [
                ['id' => 'a', 'values' => ['on'], 'default' => 'on', 'requires' => ['b' => 'on']],
                ['id' => 'b', 'values' => ['on'], 'default' => 'on', 'requires' => ['a' => 'on']],
            ],
        ],
        [],
        [
            'firmware.settings.0.requires: settings require each other in a loop: a → b → a.',
            'firmware.settings.1.requires: settings require each other in a loop: b → a → b.',
        ],
    ],
    'twice' => [
        [
            'settings' => [
                ['id' => 'a', 'values' => ['on'], 'default' => 'on'],
                ['id' => 'a', 'values' => ['on'], 'default' => 'on'],
            ],
        ],
        [],
        ['firmware.settings: "a" stands there twice.'],
    ],
    'over itself' => [
        ['releases' => [['version' => '2', 'from' => '2']]],
        [],
        ['firmware.releases.0.from: 2 cannot be written over 2, which is not older.'],
    ],
    'nothing leads there' => [
        ['releases' => [['version' => '1'], ['version' => '5', 'from' => '4']]],
        [],
        ['firmware.releases.1.from: no release leads to 4 or newer, so nothing leads to 5.'],
    ],
    'a release twice' => [
        ['releases' => [['version' => '1'], ['version' => '1']]],
        [],
        ['firmware.releases: 1 stands there twice.'],
    ],
    'a quirk of no kind' => [
        ['quirks' => [['wants' => 'tea', 'predicted' => 'silent', 'seen' => 'burnt', 'times' => 1]]],
        [],
        [
            'firmware.quirks.0.seen: "burnt" is none of '
                .implode(', ', array_column(Cobblestone\Boot\Model\Outcome::cases(), 'value')).'.',
            'firmware.quirks.0.wants: "tea" is none of setup, installer, next-part, system, recovery.',
        ],
    ],
    'let go before held' => [
        [],
        ['recovery' => ['sequence' => [['do' => 'x', 'release' => 'key']]]],
        ['recovery.sequence.0.release: "key" is let go before anything took hold of it.'],
    ],
    'held, then let go' => [
        [],
        ['recovery' => ['sequence' => [['do' => 'x', 'hold' => 'key'], ['do' => 'y', 'release' => 'key']]]],
        [],
    ],
    'no such port' => [
        [],
        ['ports' => [['id' => 'a']], 'recovery' => ['port_id' => 'b']],
        ['recovery.port_id: there is no port "b".'],
    ],
]);

it('finds no fault in the demo machines', function () {
    foreach (Demo::catalogue()->machines() as $machine) {
        expect(MachineFaults::of($machine))->toBe([]);
    }
});

it('sees a medium that starts only the old way against a system that does not', function () {
    $image = [
        'name' => 'old.img',
        'bytes' => 3_000_000_000,
        'kind' => 'raw',
        'loader' => ['signed' => false, 'uefi' => false, 'legacy' => true],
    ];
    $plan = Demo::plan('fairlead-13', ['image' => $image]);
    $question = array_values(array_filter(
        $plan->questions,
        fn ($question): bool => $question->fact === 'choice.boot_mode',
    ))[0];
    expect(array_keys($question->options))->toBe(['uefi', 'legacy'])->and($question->holds())->toBeTrue()
        ->and(implode(' ', array_map(fn ($gate): string => $gate->title, $plan->step('firmware.set')?->gates ?? [])))
        ->toContain('Start mode is needed in two ways');
});

it('asks nothing of Secure Boot where the firmware has none, and switches USB start on for the stick '
    .'only', function () {
        $brief = [
            'machine' => [
                'model' => 'brackwater-capstan-t1',
                'facts' => [
                    'owner.keep' => 'nothing',
                    'drive.encryption' => 'none',
                    'firmware.usb_start' => 'off',
                    'target.serial' => 'QF-77',
                    'target.bytes' => 256_060_514_304,
                ],
            ],
            'system' => 'orrin-desktop-3',
            'image' => 'orrin-desktop-3',
        ];
        $plan = Demo::plan('new-capstan', $brief);
        expect(array_column($plan->step('firmware.set')?->rows ?? [], 'becomes', 'where'))
            ->toBe(['Boot page › Start from USB' => 'on'])
            ->and($plan->step('put-back.usb-start'))->not->toBeNull()
            ->and(
                array_values(array_filter(
                    $plan->decisions,
                    fn ($one): bool => $one->id === 'firmware.secure-boot',
                ))[0]->chosen,
            )
            ->toBe('does not apply')
            ->and(array_column(
                array_filter($plan->assessment->all()['rehearsal'], fn (array $start): bool => ! $start['succeeds']),
                'sentence',
            ))
            ->toBe([]);
    });
