<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Brief\CardBlock;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Hardware\CardFit;
use Cobblestone\Hardware\OpenedCase;
use Cobblestone\Hardware\Opening;
use Cobblestone\Hardware\Screws;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;
use Cobblestone\Text\Lowered;

/** The stones with the case open: cards exchanged, first picture, case closed (rules D6, H1, H3, H4, H5). */
final readonly class CardFitSteps
{
    /** A card is called faulty only after these, in this order (rule H4). */
    private const NO_PICTURE = 'Cable and socket on the card, seat, leads, another slot, then the firmware\'s version. '
        .'Only then the card.';

    /** @param  list<string>|null  $leads  for the card, null where nobody has said */
    public function __construct(
        private Machine $machine,
        private CardBlock $card,
        private string $old,
        private CardFit $fit,
        private ?array $leads,
    ) {
    }

    /**
     * @param  list<string>  $waits  facts that must hold before the case is opened
     * @return list<Step>
     */
    public function steps(array $waits): array
    {
        return [$this->swap($waits), $this->firstPicture(), $this->close()];
    }

    /** @param  list<string>  $waits */
    private function swap(array $waits): Step
    {
        $opening = new Opening($this->machine->model);

        return new Step(
            'hardware.swap-card',
            Stage::Hardware,
            'Swap the card',
            Presence::Hands,
            Estimate::minutes(8, 15, 40),
            $this->exchanged($opening),
            before: [...$waits, PathFact::SHUT_DOWN, PathFact::MACHINE_IDENTIFIED],
            after: [PathFact::PART_FITTED],
            needs: ['hands', 'screwdriver'],
            done: DoneWords::of("The graphics card was exchanged for {$this->card->new}"),
            acts: [Act::OpenMachine, Act::FitPart],
            because: [
                new Reason('Supply, leads and room are judged each by itself.', 'H5'),
                ...$opening->because(),
            ],
            cautions: OpenedCase::cautions($this->machine->kind),
            evidence: [Screws::out($opening)],
            rows: $opening->rows(),
            boots: [BootEvent::change(['machine.cards' => 'changed'])],
        );
    }

    /** @return list<string> */
    private function exchanged(Opening $opening): array
    {
        return [
            ...$opening->lines(),
            "Press the slot's catch, take {$this->old} out by its edge, into an anti-static bag.",
            ...$this->fit->lines(),
            "{$this->card->new} in until the catch clicks, screwed at the bracket.",
            $this->fed(),
            'Picture cable on the card, not on the board.',
        ];
    }

    private function firstPicture(): Step
    {
        $way = WayIn::setup($this->machine);

        return new Step(
            'boot.first',
            Stage::Boot,
            'First picture from the card',
            Presence::Hands,
            Estimate::minutes(1, 3, 10),
            [
                $this->machine->kind->isPortable()
                    ? 'Lay the cover on without screws; battery lead and charger in.'
                    : 'Leave the side off; mains in.',
                ...$way->instructions('the setup'),
                'Look whether the setup names the card, then leave it without saving: the system starts.',
            ],
            before: [PathFact::PART_FITTED],
            after: [PathFact::PART_SEEN],
            needs: ['hands', 'slot'],
            acts: [Act::FitPart],
            because: [new Reason('A card is seen before the case is closed.', 'H3', $way->source)],
            evidence: [self::picture()],
            waiting: new Waiting(
                ['low resolution', 'flicker until its driver is in'],
                'Black after the logo: '.Lowered::of(self::NO_PICTURE),
                1,
            ),
            boots: [BootEvent::start(Wants::Setup, BootEvent::BY_KEY), BootEvent::start(Wants::System)],
            opensWith: Wants::Setup,
        );
    }

    private function close(): Step
    {
        return new Step(
            'hardware.close',
            Stage::Hardware,
            'Close the case',
            Presence::Hands,
            Estimate::minutes(2, 4, 10),
            ['Shut down, close, screws in by type as they came out.'],
            before: [PathFact::PART_SEEN],
            after: [PathFact::CASE_CLOSED],
            needs: ['hands', 'screwdriver'],
            acts: [Act::CloseMachine],
            because: [new Reason('The card gave a picture, so it may be closed.', 'H3')],
            evidence: [Screws::in('hardware.swap-card')],
        );
    }

    private static function picture(): Evidence
    {
        return new Evidence(
            'first_picture',
            'Where the picture comes from',
            EvidenceKind::Choice,
            ['card' => 'from the card', 'board' => 'from the board only', 'none' => 'from nowhere'],
            expected: new Expected('card'),
            overruledBy: ['lead'],
            remedy: self::NO_PICTURE,
        );
    }

    private function fed(): string
    {
        return match (true) {
            $this->leads === [] => 'It is fed by its slot alone.',
            $this->leads === null, count($this->leads) > 1 => 'Each power socket of the card its own lead of the '
                .'supply.',
            default => "The {$this->leads[0]} lead of the supply into the card's power socket.",
        };
    }
}
