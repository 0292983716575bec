<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Brief\CardBlock;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Question;
use Cobblestone\Text\Lowered;

/**
 * Whether supply and leads carry a card, each by itself; what nobody has said is asked, never taken for none (rule
 * H5).
 */
final readonly class CardPower
{
    /** What the rest of a machine draws where nobody has said (default, W). */
    private const REST_W = 75;

    /** What the supply is judged by. */
    private const ASKED = ['watts', 'supply_w', 'processor_w'];

    /** What must not be done before it is known. */
    private const SHUTS = [Act::ChangeOldSystem, Act::OpenMachine, Act::FitPart];

    public static function judge(Machine $machine, CardBlock $card): Contribution
    {
        $known = [];
        foreach (
            [
                'watts' => $card->watts,
                'supply_w' => $card->supplyW,
                'processor_w' => $card->processorW,
            ] as $what => $said
        ) {
            $value = $said ?? $machine->fact("card.{$what}")->value;
            $known[$what] = is_numeric($value) && $value > 0 ? (float) $value : null;
        }
        $rest = (float) ($card->restW ?? self::REST_W);

        return self::supply($card, $known, $rest)->and(
            self::leads($card, $known['watts'], self::given($machine, $card)),
        );
    }

    /**
     * @param  array<string, float|null>  $known
     */
    private static function supply(CardBlock $card, array $known, float $rest): Contribution
    {
        $questions = [];
        foreach (self::ASKED as $what) {
            if ($known[$what] === null) {
                $questions[] = FactQuestion::about(
                    "card.{$what}",
                    'whether the power supply carries the card',
                    'H5',
                    62,
                    self::SHUTS,
                );
            }
        }
        if ($known['watts'] === null || $known['processor_w'] === null || $known['supply_w'] === null) {
            return self::unknownSupply($questions);
        }
        $need = CardSupply::required($known['watts'], $known['processor_w'], $rest);
        $words = "({$known['watts']} + {$known['processor_w']} + {$rest}) W × 1.25 = {$need} W; the supply "
            ."gives {$known['supply_w']} W.";
        $short = $need > $known['supply_w'];

        return new Contribution(
            decisions: [
                self::decision($short, $words),
            ],
            blockers: $short
                ? [
                    Blocker::stop(
                        'card-supply',
                        "The power supply is too small for {$card->new}: {$words}",
                        'H5',
                        Door::choice('card.supply_w', "Fit a supply of {$need} W or more, or take another card."),
                        [
                            "card {$known['watts']} W",
                            "processor {$known['processor_w']} W",
                            "rest {$rest} W",
                            "supply {$known['supply_w']} W",
                        ],
                    ),
                ]
                : [],
        );
    }

    /**
     * @param  list<Question>  $questions
     */
    private static function unknownSupply(array $questions): Contribution
    {
        return new Contribution(
            decisions: [
                new Decision(
                    'hardware.supply',
                    'Power supply for the card',
                    'not known yet',
                    ['Card, processor and supply are not all known in watts.'],
                    [],
                    [],
                    'H5',
                ),
            ],
            questions: $questions,
        );
    }

    private static function decision(bool $short, string $words): Decision
    {
        return new Decision(
            'hardware.supply',
            'Power supply for the card',
            $short ? 'not enough' : 'enough',
            [$words],
            [],
            [],
            'H5',
        );
    }

    /**
     * @param  list<string>|null  $leads  null where nobody has said
     */
    private static function leads(CardBlock $card, ?float $watts, ?array $leads): Contribution
    {
        if ($leads === null) {
            return self::unknownLeads();
        }
        $carry = CardSupply::leads($leads);
        $named = $leads === [] ? 'no lead' : implode(' and ', $leads);
        if ($watts === null) {
            return self::missingLeads($carry, $named, $leads);
        }
        $words = "Slot and {$named} carry {$carry} W, it draws {$watts} W.";

        return new Contribution(
            decisions: [
                new Decision(
                    'hardware.leads',
                    'Power leads for the card',
                    $carry < $watts ? 'not enough' : 'enough',
                    [$words],
                    [],
                    $leads,
                    'H5',
                ),
            ],
            blockers: $carry < $watts
                ? [
                    Blocker::stop(
                        'card-leads',
                        "The power leads are not enough for {$card->new}: ".
                            Lowered::of($words).
                            ' Use separate leads of the supply.',
                        'H5',
                        Door::choice('card.leads', 'Say which leads the supply has, or take another card.'),
                        ["leads: {$named}", "card {$watts} W"],
                    ),
                ]
                : [],
        );
    }

    private static function unknownLeads(): Contribution
    {
        return new Contribution(
            decisions: [
                new Decision(
                    'hardware.leads',
                    'Power leads for the card',
                    'not known yet',
                    ['Nobody has said which leads the supply has for it.'],
                    [],
                    [],
                    'H5',
                ),
            ],
            questions: [
                FactQuestion::about('card.leads', 'whether the leads carry the card', 'H5', 61, self::SHUTS),
            ],
        );
    }

    /**
     * @param  list<string>  $leads
     */
    private static function missingLeads(int $carry, string $named, array $leads): Contribution
    {
        return new Contribution(
            decisions: [
                new Decision(
                    'hardware.leads',
                    'Power leads for the card',
                    "carry {$carry} W",
                    ["The slot and {$named}; what the card draws is not known."],
                    [],
                    $leads,
                    'H5',
                ),
            ],
        );
    }

    /** @return list<string>|null leads that the supply has for the card; null where nobody has said */
    public static function given(Machine $machine, CardBlock $card): ?array
    {
        if ($card->leads !== null) {
            return $card->leads;
        }
        $told = $machine->fact('card.leads')->value;
        if (! is_string($told) || trim($told) === '') {
            return null;
        }

        return $told === 'none' ? [] : array_values(array_filter(array_map(trim(...), explode(',', $told))));
    }
}
