<?php

declare(strict_types=1);

use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\FindingVerdict;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

/** Facts of the demo's card swap with some changed. */
function swapFacts(array $changed = []): array
{
    return ['machine' => ['model' => 'brackwater-capstan-t3', 'facts' => array_filter([
        'drive.encryption' => 'none',
        'card.length_mm' => 285,
        'card.slots_wide' => 2.5,
        'card.lanes' => 16,
        'card.generation' => 5,
        'screen.rate_hz' => 144,
        ...$changed,
    ])]];
}

/** @return list<string> ids of a path's stones, in order */
function stonesOf(Plan $plan): array
{
    return array_map(static fn (Step $step): string => $step->id, $plan->steps);
}

function whatBecomesOfTheOld(Plan $plan): string
{
    foreach ($plan->decisions as $decision) {
        if ($decision->id === 'drivers.old-card') {
            return "{$decision->chosen}: ".implode(' ', $decision->reasons);
        }
    }

    return '';
}

/** @return array<string, FindingVerdict> by id of the evidence */
function judgedCard(Plan $plan, array $said): array
{
    $verdicts = [];
    foreach ($plan->step('drivers.prove-card')->evidence ?? [] as $wanted) {
        if (isset($said[$wanted->id])) {
            $verdicts[$wanted->id] = EvidenceJudge::judge($wanted, $said[$wanted->id], [])->verdict;
        }
    }

    return $verdicts;
}

it('removes the family of a card of another maker in safe mode, and proves the new one', function () {
    $plan = Demo::plan('card-swap');
    expect(stonesOf($plan))->toContain(
        'drivers.fetch', 'network.offline', 'boot.safe-mode', 'drivers.remove-old', 'hardware.swap-card', 'boot.first',
        'hardware.close', 'drivers.install-new', 'drivers.prove-card', 'put-back.network',
    )
        ->and(whatBecomesOfTheOld($plan))
        ->toBe('the old driver family is removed first: Two makers, 46e1 and 4f51: left-overs of one are in the '
            ."other's way.")
        ->and($plan->step('drivers.remove-old')->rows)
        ->toBe([['family' => 'Fennick G7 graphics', 'on the shelf' => '560.2', 'drives' => 'pci:46e1:7700']])
        ->and(implode(' ', $plan->step('boot.safe-mode')->instructions))
        ->toBe('Settings, Recovery, "Next start: plain"; then restart.');
});

it('lets the school decide where both are of one maker', function (string $school, bool $removes) {
    $plan = Demo::plan(
        'card-swap',
        ['card' => ['id' => 'pci:46e1:7800', 'new' => 'Fennick G8'], ...swapFacts()],
        policy: ['card_family' => $school],
    );
    expect(in_array('drivers.remove-old', stonesOf($plan), true))->toBe($removes)
        ->and(in_array('boot.safe-mode', stonesOf($plan), true))->toBe($removes)
        ->and(in_array('hardware.shut-down', stonesOf($plan), true))->toBe(! $removes)
        ->and(in_array('put-back.network', stonesOf($plan), true))->toBeTrue()
        ->and(whatBecomesOfTheOld($plan))
        ->toContain($removes ? 'is removed first' : 'goes over the old one')
        ->toContain("Both cards are of one maker, 46e1; the bench's school decides.");
})->with([['over', false], ['remove', true]]);

it('removes nothing where both cards are the same, whatever the school', function () {
    $plan = Demo::plan(
        'card-swap',
        ['card' => ['id' => 'pci:46e1:7700', 'new' => 'Fennick G7'], ...swapFacts()],
        policy: ['card_family' => 'remove'],
    );
    expect(stonesOf($plan))->not->toContain('drivers.remove-old')->toContain('drivers.prove-card')
        ->and(whatBecomesOfTheOld($plan))
        ->toStartWith('there is nothing to remove: Both cards have the same identifier');
});

it('removes first where it is not known whether both are of one maker', function (array $card, string $why) {
    $plan = Demo::plan('card-swap', ['card' => $card, ...swapFacts()]);
    expect(stonesOf($plan))->toContain('drivers.remove-old')
        ->and(whatBecomesOfTheOld($plan))->toContain($why);
})->with([
    'the new one' => [['new' => 'A card', 'id' => null], 'The identifier of A card is not known'],
    'the old one' => [['old' => 'Quarrel P1'], 'The device list does not tell which card Quarrel P1 is'],
]);

it('finds the old card by name, identifier, or because there is one', function (?string $said, string $name) {
    $plan = Demo::plan('card-swap', ['card' => ['old' => $said], ...swapFacts()]);
    expect(implode(' ', $plan->step('hardware.swap-card')->instructions))->toContain("take {$name} out");
})->with([
    'by name' => ['fennick g7', 'Fennick G7 graphics'],
    'by identifier' => ['PCI\\VEN_46E1&DEV_7700', 'Fennick G7 graphics'],
    'the only one' => [null, 'Fennick G7 graphics'],
    'another' => ['Quarrel P1', 'Quarrel P1'],
]);

it('shuts the swap where the card is too long or too wide for its place', function (array $facts, string $why) {
    $plan = Demo::plan('card-swap', swapFacts($facts));
    expect($plan->verdict()->value)->toBe('stop')
        ->and($plan->blockers[0]->id)->toBe('card-does-not-fit')
        ->and($plan->blockers[0]->reason)->toBe("Ostler G9 graphics card does not go in: {$why}.");
})->with([
    'longer' => [['card.length_mm' => 310.5], 'it is 310.5 mm long, there is room for 310 mm'],
    'wider' => [['card.slots_wide' => 3], 'it is 3 slots wide, there is room for 2.5'],
    'both' => [
        ['card.length_mm' => 340, 'card.slots_wide' => 3.5],
        'it is 340 mm long, there is room for 310 mm; it is 3.5 slots wide, there is room for 2.5',
    ],
]);

it('takes a card that fits to the millimetre, and asks where nobody has measured', function () {
    $exact = Demo::plan('card-swap', swapFacts(['card.length_mm' => 310, 'card.slots_wide' => 2.5]));
    expect($exact->blockers)->toBe([]);
    $asked = Demo::plan('card-swap', ['machine' => ['facts' => ['drive.encryption' => 'none']]]);
    expect(array_map(static fn ($question) => $question->fact, [...$asked->questions, ...$asked->later]))
        ->toContain('card.length_mm', 'card.slots_wide')
        ->and($asked->verdict()->value)->toBe('hold');
});

it('measures at the machine, and asks for nothing, where the slot is not described', function () {
    $plan = Demo::plan('card-swap', ['machine' => ['model' => null, 'kind' => 'desktop', 'facts' => []]]);
    expect(array_map(static fn ($question) => $question->fact, [...$plan->questions, ...$plan->later]))
        ->not->toContain('card.length_mm')
        ->and($plan->blockers)->toBe([])
        ->and(implode(' ', $plan->step('hardware.swap-card')->instructions ?? []))
        ->toContain('Measure before anything is screwed');
});

it('takes a portable machine to have no slot, until its guide describes one or the lead knows better', function () {
    $plan = Demo::plan('card-swap', ['machine' => ['model' => 'norrel-fairlead-15-g', 'facts' => []]]);
    expect(array_map(static fn ($blocker) => [$blocker->id, $blocker->waivableBy], $plan->blockers))
        ->toBe([['card-no-slot', ['lead']]])
        ->and($plan->blockers[0]->reason)->toStartWith('Norrel Fairlead 15 G is a portable machine');
});

it('expects the link that card and slot have in common, the driver of the package and the rate of the screen',
    function () {
        $plan = Demo::plan('card-swap');
        $right = [
            'card_identifier' => 'yes', 'driver_version' => '32.1', 'driver_date' => '2026-11-12',
            'link_lanes' => '16', 'link_generation' => '4', 'picture_rate' => '144',
        ];
        expect(array_unique(judgedCard($plan, $right), SORT_REGULAR))->toHaveCount(1)
            ->and(judgedCard($plan, $right)['link_lanes'])->toBe(FindingVerdict::Equal);
        $wrong = [
            'card_identifier' => 'other', 'driver_version' => '31.5', 'driver_date' => '2026-10-20',
            'link_lanes' => '8', 'link_generation' => '3', 'picture_rate' => '60',
        ];
        foreach (judgedCard($plan, $wrong) as $id => $verdict) {
            expect($verdict)->toBe(FindingVerdict::Differs, $id);
        }
        expect(judgedCard($plan, ['picture_rate' => '165'])['picture_rate'])->toBe(FindingVerdict::Within);
        $unknown = Demo::plan('card-swap', [
            'card' => ['new' => 'A card', 'id' => null],
            ...swapFacts(['card.lanes' => null, 'screen.rate_hz' => null]),
        ]);
        expect(judgedCard($unknown, ['link_lanes' => '8', 'picture_rate' => '60', 'card_identifier' => '46e1:1']))
            ->each->toBe(FindingVerdict::Noted);
    });

it('has the recovery key in hand before safe mode, and only where one can be asked for', function () {
    $keyed = static fn (array $facts): array => [
        in_array('protect.recovery-key', stonesOf(Demo::plan('card-swap', swapFacts($facts))), true),
        str_contains(
            implode(' ', Demo::plan('card-swap', swapFacts($facts))->step('boot.safe-mode')->instructions),
            'recovery key',
        ),
    ];
    expect($keyed([]))->toBe([false, false])
        ->and($keyed(['drive.encryption' => 'chip', 'encryption.binding' => 'measured', 'encryption.key' => 'yes']))
        ->toBe([true, true])
        // A changed card is nothing to a drive that is bound to keys alone; a start in safe mode may be.
        ->and($keyed(['drive.encryption' => 'chip', 'encryption.binding' => 'keys', 'encryption.key' => 'yes']))
        ->toBe([true, true]);
    $plan = Demo::plan('card-swap', swapFacts([
        'drive.encryption' => 'chip', 'encryption.binding' => 'measured', 'encryption.key' => 'yes',
    ]));
    expect($plan->decisions[0]->facts)->toContain('planned: a card or dock is added or removed')
        ->and(implode(' ', $plan->decisions[0]->facts))->not->toContain('Secure Boot');
});

it('fetches and installs nothing for a card that the system drives by itself', function () {
    $plan = Demo::plan('card-swap', [
        'system' => 'skerry-rolling', 'card' => ['new' => 'Quarrel W3', 'id' => 'pci:51a2:0303', 'old' => 'Fennick G7'],
        ...swapFacts(),
    ]);
    expect(stonesOf($plan))
        ->not->toContain('drivers.fetch')
        ->not->toContain('drivers.install-new')
        ->toContain('drivers.prove-card')
        ->toContain('put-back.network');
});
