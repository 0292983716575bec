<?php

use Cobblestone\Brief\CardBlock;
use Cobblestone\Hardware\CardPower;
use Cobblestone\Hardware\CardSupply;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Question;

/**
 * @param  array<string, mixed>  $card
 * @param  array<string, mixed>  $facts
 */
function cardJudged(array $card, array $facts = []): Contribution
{
    $sheet = FactSheet::empty();
    foreach ($facts as $name => $value) {
        $sheet = $sheet->with(Fact::of($name, $value, Source::Person, 'at the desk'));
    }

    return CardPower::judge(
        new Machine('Cobalt Mole', Kind::Desktop, $sheet),
        CardBlock::fromArray(['new' => 'Fennick G7', ...$card]),
    );
}

/** @return array<string, array{string, string}> decision => chosen, reason */
function cardChosen(Contribution $contribution): array
{
    return array_column(
        array_map(
            fn ($one) => ['id' => $one->id, 'is' => [$one->chosen, implode(' ', $one->reasons)]],
            $contribution->decisions,
        ),
        'is',
        'id',
    );
}

it('adds what a supply must have', function (float $card, float $processor, float $rest, int $watts) {
    expect(CardSupply::required($card, $processor, $rest))->toBe($watts);
})->with([[220, 125, 75, 525], [100, 100, 0, 250], [75.1, 0, 0, 94], [0, 0, 0, 0]]);

it('adds what slot and leads carry', function (array $leads, int $watts) {
    expect(CardSupply::leads($leads))->toBe($watts);
})->with([
    [[], 75],
    [['6-pin'], 150],
    [['8-pin'], 225],
    [['8-pin', '8-pin'], 375],
    [['16-pin:450'], 525],
    [['16-pin:1'], 75],
    [['16-pin:60000'], 75],
    [['x16-pin:450'], 75],
    [['16-pin:450x'], 75],
    [['tape'], 75],
]);

it('asks for each figure that nobody has said, and holds what needs it', function (
    array $card,
    array $facts,
    array $asked,
) {
    $judged = cardJudged($card, $facts);
    expect(array_map(fn (Question $one) => $one->fact, $judged->questions))
        ->toBe($asked)
        ->and($judged->blockers)
        ->toBe([]);
    foreach ($judged->questions as $question) {
        expect($question->shuts)->toBe([Act::ChangeOldSystem, Act::OpenMachine, Act::FitPart]);
    }
})->with([
    'nothing said' => [[], [], ['card.watts', 'card.supply_w', 'card.processor_w', 'card.leads']],
    'all in the brief' => [['watts' => 220, 'supply_w' => 750, 'processor_w' => 125, 'leads' => ['8-pin']], [], []],
    'all answered' => [
        [],
        ['card.watts' => '220', 'card.supply_w' => 750, 'card.processor_w' => '125', 'card.leads' => '8-pin'],
        [],
    ],
    'no number is no answer' => [
        ['supply_w' => 0, 'processor_w' => -5],
        [],
        ['card.watts', 'card.supply_w', 'card.processor_w', 'card.leads'],
    ],
    'an empty answer is none' => [
        ['watts' => 220, 'supply_w' => 750, 'processor_w' => 125],
        ['card.leads' => ' '],
        ['card.leads'],
    ],
    'no lead is an answer' => [
        ['watts' => 60, 'supply_w' => 750, 'processor_w' => 125],
        ['card.leads' => 'none'],
        [],
    ],
]);

it('judges the supply by itself, to the watt', function (int $supply, string $chosen, array $blockers) {
    $judged = cardJudged(['watts' => 220, 'supply_w' => $supply, 'processor_w' => 125, 'leads' => ['8-pin']]);
    expect(cardChosen($judged)['hardware.supply'])
        ->toBe([$chosen, "(220 + 125 + 75) W × 1.25 = 525 W; the supply gives {$supply} W."])
        ->and(array_map(fn (Blocker $one) => $one->id, $judged->blockers))
        ->toBe($blockers);
})->with([[525, 'enough', []], [524, 'not enough', ['card-supply']], [1000, 'enough', []]]);

it('counts what the rest of the machine draws', function () {
    expect(
        cardChosen(
            cardJudged([
                'watts' => 220,
                'supply_w' => 525,
                'processor_w' => 125,
                'rest_w' => 76,
                'leads' => ['8-pin'],
            ]),
        )['hardware.supply'][0],
    )
        ->toBe('not enough')
        ->and(
            cardJudged(['watts' => 220, 'supply_w' => 500, 'processor_w' => 125, 'leads' => ['8-pin']])->blockers[0]
                ->reason,
        )
        ->toBe(
            'The power supply is too small for Fennick G7: (220 + 125 + 75) W × 1.25 = 525 W; the supply gives 500 W.',
        );
});

it('judges the leads by themselves, to the watt', function (
    int $watts,
    array $card,
    array $facts,
    string $chosen,
    array $blockers,
) {
    $judged = cardJudged(['watts' => $watts, ...$card], $facts);
    expect(cardChosen($judged)['hardware.leads'][0])
        ->toBe($chosen)
        ->and(array_map(fn (Blocker $one) => $one->reason, $judged->blockers))
        ->toBe($blockers)
        ->and(cardChosen($judged)['hardware.supply'])
        ->toBe(['not known yet', 'Card, processor and supply are not all known in watts.']);
})->with([
    [225, ['leads' => ['8-pin']], [], 'enough', []],
    [
        226,
        ['leads' => ['8-pin']],
        [],
        'not enough',
        [
            'The power leads are not enough for Fennick G7: slot and 8-pin carry 225 W, it draws 226 W. Use separate '
                .'leads of the supply.',
        ],
    ],
    [75, ['leads' => []], [], 'enough', []],
    [
        76,
        [],
        ['card.leads' => 'none'],
        'not enough',
        [
            'The power leads are not enough for Fennick G7: slot and no lead carry 75 W, it draws 76 W. Use separate '
                .'leads of the supply.',
        ],
    ],
    [
        301,
        [],
        ['card.leads' => '8-pin, 6-pin,'],
        'not enough',
        [
            'The power leads are not enough for Fennick G7: slot and 8-pin and 6-pin carry 300 W, it draws 301 W. '
                .'Use separate leads of the supply.',
        ],
    ],
    [300, [], ['card.leads' => '8-pin, 6-pin'], 'enough', []],
]);

it('says what leads carry while nobody knows what the card draws', function () {
    expect(cardChosen(cardJudged(['leads' => ['8-pin']]))['hardware.leads'])
        ->toBe(['carry 225 W', 'The slot and 8-pin; what the card draws is not known.'])
        ->and(cardChosen(cardJudged([]))['hardware.leads'])
        ->toBe(['not known yet', 'Nobody has said which leads the supply has for it.']);
});
