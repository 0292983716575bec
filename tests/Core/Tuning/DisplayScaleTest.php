<?php

use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\PowerLimits;
use Cobblestone\Machine\Model\Screen;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\LookedAt;
use Cobblestone\Tuning\DisplayScale;
use Cobblestone\Tuning\Proof\Promises;
use Cobblestone\Tuning\Proof\TunedRows;
use Tests\Support\Demo;

it('draws letters as large as elsewhere, in quarters', function (array $screen, Kind $kind, int $percent, bool $held) {
    $scale = DisplayScale::of(new Screen(...$screen), $kind);
    expect([$scale->percent, $scale->held])->toBe([$percent, $held]);
})->with([
    'laptop, 170 pixels an inch' => [[13.3, 1920, 1200], Kind::Laptop, 150, false],
    'laptop, 188' => [[15.6, 2560, 1440], Kind::Laptop, 175, false],
    'laptop, 101' => [[15.6, 1366, 768], Kind::Laptop, 100, false],
    'laptop, 149 on 800 lines' => [[10.1, 1280, 800], Kind::Laptop, 125, false],
    'handheld, 216: 150 % would leave 533 lines' => [[7, 1280, 800], Kind::Handheld, 125, true],
    'handheld, 283' => [[8, 1920, 1200], Kind::Handheld, 200, false],
    'handheld held upright' => [[7, 800, 1280], Kind::Handheld, 125, true],
    'a screen of a desktop' => [[27, 3840, 2160], Kind::Desktop, 175, false],
    'never smaller than as it is' => [[55, 1920, 1080], Kind::Sealed, 100, false],
    'never more than three times' => [[5, 3840, 2160], Kind::Handheld, 300, false],
    'no room at all' => [[3, 640, 480], Kind::Handheld, 100, true],
]);

it('says what the screen then holds', function () {
    expect(DisplayScale::of(new Screen(13.3, 1920, 1200), Kind::Laptop)->words())
        ->toBe('170 pixels an inch: at 150 % the screen holds as much as 1280 × 800.')
        ->and(DisplayScale::of(new Screen(7, 1280, 800), Kind::Handheld)->words())
        ->toBe('216 pixels an inch: at 125 % the screen holds as much as 1024 × 640; larger, a dialogue would not '
            .'fit.');
});

it('holds limits between the least and the ceiling', function (float $limit, bool $holds) {
    expect((new PowerLimits(5, 15.5))->holds($limit))->toBe($holds);
})->with([[4.9, false], [5.0, true], [10.0, true], [15.5, true], [15.6, false]]);

it('has a row only for what is promised', function () {
    $machine = new Machine('a laptop', Kind::Laptop, FactSheet::empty());
    $rows = fn (mixed ...$with): array => TunedRows::of(new Promises($machine, ...$with));
    expect($rows())->toBe([]);
    [$picture, $scale, $limit] = $rows(
        pictureHz: new Expected('144', 0.02, atLeast: true),
        scale: DisplayScale::of(new Screen(13.3, 1920, 1200), Kind::Laptop),
        everydayW: 11,
    );
    expect([$picture->id, $picture->expected->value, $picture->expected->atLeast, $picture->mayBeOpen])
        ->toBe(['picture_hz', '144', true, true])
        ->and([$scale->id, $scale->expected->value, $scale->overruledBy])
        ->toBe(['display_scale', '150', ['technician', 'lead']])
        ->and($scale->remedy)->toStartWith('170 pixels an inch')->and($scale->hint)->toBe('170 pixels an inch')
        ->and([$limit->id, $limit->expected->value, $limit->overruledBy])->toBe(['power_limit', '11', ['lead']]);
});

it('promises the scale where a system is brought, and the rate where a card is', function () {
    $rows = fn (string $brief, array $changes = []): array => array_column(
        array_map(
            static fn ($one): array => [$one->id, $one->expected?->value.$one->expected?->from],
            Demo::plan($brief, $changes)->step('proof.readings')->evidence ?? [],
        ),
        1,
        0,
    );
    expect($rows('fairlead-13'))->toHaveKey('display_scale', '150')->not->toHaveKey('picture_hz')
        ->and($rows('repair'))->not->toHaveKey('display_scale')
        ->and($rows('capstan-t3'))->not->toHaveKey('display_scale')
        ->and($rows('card-swap'))->toHaveKey('picture_hz', '144')
        ->and($rows('card-swap', ['machine' => ['facts' => ['screen.rate_hz' => 'unknown']]]))
        ->toHaveKey('picture_hz', 'drivers.prove-card:picture_rate')
        ->and($rows('pocket-lantern'))->not->toHaveKey('power_limit')
        ->and($rows('pocket-lantern', ['machine' => ['facts' => ['power.everyday_w' => 11]]]))
        ->toHaveKey('power_limit', '11');
});

it('wants somebody to look, and lets only the lead accept what is not so', function () {
    $looked = LookedAt::as('It is on', 'Switch it on.');
    expect([$looked->id, $looked->label, $looked->expected->value, $looked->overruledBy, $looked->remedy])
        ->toBe(['as_before', 'It is on', 'yes', ['lead'], 'Switch it on.']);
    foreach (['firmware-update', 'pocket-lantern', 'card-swap', 'capstan-t3', 'drive-swap'] as $brief) {
        foreach (Demo::plan($brief)->steps as $step) {
            if (str_starts_with($step->id, 'put-back.')) {
                expect($step->evidence)->not->toBe([], "{$brief} {$step->id}");
            }
        }
    }
});
