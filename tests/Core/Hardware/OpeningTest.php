<?php

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Hardware\Opening;
use Cobblestone\Hardware\Screws;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Machine\Model\OpeningGuide;
use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\FindingVerdict;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;
use Tests\Support\Demo;

/** @param  array<string, mixed>  $opening */
function openedModel(array $opening): MachineModel
{
    return MachineModel::fromArray([
        'id' => 'gannet', 'maker' => 'Heron', 'name' => 'Gannet', 'kind' => 'laptop', 'as_of' => '2026-11-01',
        'source' => 'this test', 'opening' => $opening,
    ]);
}

/** @param  array<string, mixed>  $facts */
function swapPlan(array $facts, string $brief = 'drive-swap'): Plan
{
    $known = Demo::brief($brief)['machine']['facts'];
    foreach ($facts as $fact => $value) {
        unset($known[$fact]);
        $known += $value === null ? [] : [$fact => $value];
    }

    return Demo::plan($brief, ['machine' => ['facts' => $known]]);
}

const SCREWS = [
    ['letter' => 'A', 'head' => 'cross 1', 'length_mm' => 5, 'count' => 6, 'where' => 'cover'],
    ['letter' => 'B', 'head' => 'star 5', 'length_mm' => 2.5, 'count' => 1, 'where' => 'drive'],
];

it('says of a described model what lets go in which order, what tears, and which screws go where', function () {
    $opening = new Opening(openedModel([
        'screws' => SCREWS, 'clips' => ['front', 'sides'], 'hidden' => ['a lead'], 'battery' => 'rear edge',
        'drive' => ['form' => 'm2-2230', 'interface' => 'sata', 'keying' => 'B', 'height_mm' => 2.4, 'where' => 'left'],
    ]));
    expect($opening->lines())->toBe([
        'Clips, in this order: front; sides.', 'Battery lead off before anything else: rear edge.', 'Hidden: a lead.',
    ])->and($opening->rows())->toBe([
        ['tray' => 'A', 'screws' => '6 × cross 1, 5 mm', 'where' => 'cover'],
        ['tray' => 'B', 'screws' => '1 × star 5, 2.5 mm', 'where' => 'drive'],
    ])->and($opening->tally())->toBe('6 × A, 1 × B')
        ->and($opening->baySaid())->toBe('M.2, 22 × 30 mm, SATA, key B, at most 2.4 mm high, left')
        ->and($opening->because()[0]->source)->toBe('catalogue, Gannet, as of 2026-11-01');
});

it('says nothing of a model that nobody has opened', function (?MachineModel $model) {
    $opening = new Opening($model);
    expect([$opening->lines(), $opening->rows(), $opening->tally(), $opening->baySaid(), $opening->bay()])
        ->toBe([[], [], '', null, null])
        ->and(Screws::out($opening)->expected)->toBeNull()
        ->and(Screws::out($opening)->label)->toBe('Screws taken out, by type');
})->with(['no model' => [null], 'an empty guide' => [openedModel([])]]);

it('says of a place only what is known of it', function () {
    $opening = new Opening(openedModel(['drive' => ['form' => '2.5-inch', 'interface' => 'sata']]));
    expect($opening->baySaid())->toBe('2.5 inch, SATA')->and($opening->because())->toHaveCount(1);
});

it('refuses one letter for two kinds of screws', function () {
    $twice = [SCREWS[0], [...SCREWS[1], 'letter' => 'A']];
    expect(fn () => OpeningGuide::read(Fields::of(['screws' => $twice], 'opening')))
        ->toThrow(FieldFault::class, 'opening.screws: each group of screws needs a letter of its own.');
});

it('compares the screws that come out with the entry, and lets one be missing with a reason', function (
    string $given,
    FindingVerdict $verdict,
) {
    $model = openedModel(['screws' => SCREWS]);
    $wanted = Screws::out(new Opening($model));
    expect($wanted->expected?->source)->toBe(Expected::CATALOGUE)
        ->and($wanted->overruledBy)->toBe(['technician', 'lead'])
        ->and(EvidenceJudge::judge($wanted, $given, [])->verdict)->toBe($verdict);
})->with([
    ['6 × A, 1 × B', FindingVerdict::Equal],
    ['1 b, 6 a', FindingVerdict::Equal],
    ['5 × A, 1 × B', FindingVerdict::Differs],
    ['7 × A', FindingVerdict::Differs],
]);

it('asks what the new drive is, where it is known what its place takes', function (
    string $brief,
    array $facts,
    array $asked,
) {
    $plan = swapPlan($facts, $brief);
    $about = array_values(array_filter(
        array_column($plan->questions, 'fact'),
        static fn (string $fact): bool => str_starts_with($fact, 'fitted.'),
    ));
    expect($about)->toBe($asked);
})->with([
    'all told' => ['drive-swap', [], []],
    'nothing told' => [
        'drive-swap', ['fitted.form' => null, 'fitted.interface' => null], ['fitted.form', 'fitted.interface'],
    ],
    'a clean install' => ['fairlead-13', [], []],
]);

it('shuts opening and fitting where the new drive does not go in', function (array $facts, ?string $says) {
    $blocker = array_column(swapPlan($facts)->blockers, null, 'id')['drive-does-not-fit'] ?? null;
    expect($blocker?->reason)->toBe($says);
    if ($blocker !== null) {
        expect(array_column($blocker->unsafe, 'value'))->toBe(['open-machine', 'fit-part', 'hand-over'])
            ->and(implode(' ', $blocker->facts))->toContain('fitted.form = ');
    }
})->with(function () {
    $place = ' The place takes M.2, 22 × 80 mm, NVMe, key M, at most 2.4 mm high, right of the battery.';

    return [
        'it does' => [[], null],
        'exactly as high' => [['fitted.height_mm' => 2.4], null],
        'too high' => [
            ['fitted.height_mm' => 8],
            "The new drive does not go in: with its spreader it is 8 mm high.{$place}",
        ],
        'another interface in the same slot' => [
            ['fitted.interface' => 'sata'],
            "The new drive does not go in: it speaks SATA, the slot NVMe.{$place}",
        ],
        'another form, and another interface' => [
            ['fitted.form' => '2.5-inch', 'fitted.interface' => 'sata'],
            "The new drive does not go in: it is 2.5 inch; it speaks SATA, the slot NVMe.{$place}",
        ],
    ];
});

/** @return list<string> the stones of one plan that begin with a start into the setup by its key */
function visits(Plan $plan): array
{
    $visits = array_filter($plan->steps, static fn (Step $step): bool => $step->opensWith === Wants::Setup);

    return array_values(array_map(static fn (Step $step): string => $step->id, $visits));
}

it('goes into the setup once where a part was fitted, and closes after the last of it', function (
    string $brief,
    string $seen,
) {
    $plan = Demo::plan($brief);
    $order = array_map(static fn (Step $step): string => $step->id, $plan->steps);
    $from = (int) array_search($seen, $order, true);
    expect(visits($plan))->toBe([$seen])
        ->and(array_slice($order, $from, 4))->toBe([$seen, 'firmware.snapshot', 'firmware.set', 'hardware.close'])
        ->and($plan->step('firmware.snapshot')?->instructions[0])->toBe('Stay in the setup: this is the same visit.')
        ->and($plan->step('firmware.snapshot')?->boots)->toBe([])
        ->and($plan->step($seen)?->evidence[0]->expected?->value)->toBe('512110190592');
})->with([['drive-swap', 'hardware.seen'], ['new-capstan', 'hardware.first-power']]);

it('closes right after the look where nothing has to be set', function () {
    $plan = swapPlan([
        'firmware.boot_mode' => 'uefi', 'firmware.older_devices' => 'off', 'firmware.secure_boot' => 'on',
        'firmware.security_chip' => 'on',
    ]);
    $order = array_map(static fn (Step $step): string => $step->id, $plan->steps);
    expect($plan->step('firmware.set'))->toBeNull()
        ->and($order[(int) array_search('hardware.seen', $order, true) + 1])->toBe('hardware.close');
});

it('asks for the rate on the modules where a new build cannot be read yet', function (
    mixed $rate,
    bool $asks,
    bool $sets,
) {
    $plan = swapPlan(['memory.printed_rate' => $rate], 'new-capstan');
    $rows = array_column($plan->step('firmware.set')->rows ?? [], 'becomes', 'where');
    expect(in_array('memory.printed_rate', array_column($plan->questions, 'fact'), true))->toBe($asks)
        ->and(isset($rows['Tuning page › Memory speed']))->toBe($sets);
})->with([
    'nobody has looked' => [null, true, false],
    'printed' => [6000, false, true],
    'nor that' => [199, true, false],
    'the least' => [200, false, true],
    'the most' => [20000, false, true],
]);

it('does not ask for it where a system can be read', function () {
    expect(array_column(Demo::plan('capstan-t3')->questions, 'fact'))->not->toContain('memory.printed_rate');
});
