<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Brief\CardBlock;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\CardSlot;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;

/** Whether a card goes in where it is meant to, and what link card and slot can have (rules H2, H5, D6). */
final readonly class CardFit
{
    public const LENGTH = 'card.length_mm';

    public const WIDTH = 'card.slots_wide';

    public const LANES = 'card.lanes';

    public const GENERATION = 'card.generation';

    /** What must not be done before it is known to fit. */
    private const SHUTS = [Act::ChangeOldSystem, Act::OpenMachine, Act::FitPart];

    public function __construct(private Machine $machine, private CardBlock $card, private ?CardSlot $slot)
    {
    }

    /** Where nobody has described the slot of a machine that has one, it is measured at the machine. */
    public function contribution(): Contribution
    {
        if ($this->slot === null) {
            return new Contribution(blockers: $this->machine->kind->isPortable() ? [$this->noSlot()] : []);
        }
        $questions = [];
        foreach ([self::LENGTH, self::WIDTH] as $fact) {
            if ($this->number($fact) === null) {
                $questions[] = FactQuestion::about($fact, 'whether the new card goes in', 'H5', 59, self::SHUTS);
            }
        }
        $against = $this->against($this->slot);

        return new Contribution(
            decisions: $questions === [] ? [$this->decision($this->slot, $against)] : [],
            questions: $questions,
            blockers: $against === [] ? [] : [
                Blocker::stop(
                    'card-does-not-fit',
                    "{$this->card->new} does not go in: ".implode('; ', $against).'.',
                    'H5',
                    Door::choice('card.new', 'Take another card, or correct what was measured.'),
                    $this->facts(),
                ),
            ],
        );
    }

    /** A portable machine has its graphics on the board, unless somebody knows better of it. */
    private function noSlot(): Blocker
    {
        return Blocker::stop(
            'card-no-slot',
            "{$this->machine->title} is a portable machine, and nobody has described a slot for a card in it: its "
                .'graphics is on the board as a rule.',
            'H2',
            Door::waiver(),
            $this->machine->model === null ? [] : [$this->machine->model->dated()],
        )->waivableBy('lead');
    }

    /** @return list<string> what is measured with the card in hand, and what was compared before */
    public function lines(): array
    {
        $slot = $this->slot;
        $place = $slot->where ?? 'its slot';

        return $slot === null
            ? ["Measure before anything is screwed: length and width of {$this->card->new} against the case."]
            : ["Into {$place}: room for {$slot->lengthMm} mm and {$slot->slotsWide} slots."];
    }

    /** Lanes that card and slot have in common; null where one of them is not known. */
    public function lanes(): ?int
    {
        return $this->least(self::LANES, $this->slot?->lanes);
    }

    /** The generation that both speak; null where one of them is not known. */
    public function generation(): ?int
    {
        return $this->least(self::GENERATION, $this->slot?->generation);
    }

    private function least(string $fact, ?int $ofSlot): ?int
    {
        $ofCard = $this->number($fact);

        return $ofCard === null || $ofSlot === null ? null : min((int) $ofCard, $ofSlot);
    }

    /** @return list<string> */
    private function against(CardSlot $slot): array
    {
        [$length, $width] = [$this->number(self::LENGTH), $this->number(self::WIDTH)];

        return [
            ...$length !== null && $length > $slot->lengthMm
                ? ["it is {$length} mm long, there is room for {$slot->lengthMm} mm"]
                : [],
            ...$width !== null && $width > $slot->slotsWide
                ? ["it is {$width} slots wide, there is room for {$slot->slotsWide}"]
                : [],
        ];
    }

    /** @param  list<string>  $against */
    private function decision(CardSlot $slot, array $against): Decision
    {
        [$length, $width] = [$this->number(self::LENGTH), $this->number(self::WIDTH)];

        return new Decision(
            'hardware.card-fits',
            'Room for the card',
            $against === [] ? 'it fits' : 'it does not fit',
            [
                "Card {$length} mm and {$width} slots; room for {$slot->lengthMm} mm and {$slot->slotsWide} slots.",
            ],
            [],
            $this->facts(),
            'H5',
        );
    }

    /** @return list<string> */
    private function facts(): array
    {
        $facts = [];
        foreach ([self::LENGTH, self::WIDTH] as $fact) {
            $value = $this->machine->fact($fact);
            if (! $value->isUnknown()) {
                $facts[] = "{$fact} = {$value->spoken()}";
            }
        }

        return [...$facts, ...$this->machine->model === null ? [] : [$this->machine->model->dated()]];
    }

    private function number(string $fact): int|float|null
    {
        $value = $this->machine->fact($fact)->value;

        return is_numeric($value) && $value > 0 ? $value + 0 : null;
    }
}
