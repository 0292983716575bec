<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Drivers\CardDriver;
use Cobblestone\Hardware\CardFit;
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
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;

/** The stones after a card went in: its driver, and what proves that it is the one and runs as it can (rule D6). */
final readonly class CardDriverSteps
{
    /** What the owner's screen shows at most, pictures a second. */
    public const RATE = 'screen.rate_hz';

    public const PROVEN = 'drivers.prove-card';

    public const PICTURE = 'picture_rate';

    public function __construct(private CardDriver $driver, private CardFit $fit, private Machine $machine)
    {
    }

    /** @return list<Step> nothing is installed where the system has the driver by itself */
    public function steps(): array
    {
        return $this->driver->isBrought ? [$this->prove()] : [$this->install(), $this->prove()];
    }

    private function install(): Step
    {
        $package = $this->driver->package;
        $restarts = $package === null || $package->restart !== 'none';

        return new Step(
            'drivers.install-new',
            Stage::Drivers,
            'Install the new driver',
            Presence::Hands,
            $package?->estimate() ?? Estimate::minutes(3, 7, 20),
            $this->installing($restarts),
            before: [PathFact::PART_SEEN, PathFact::DRIVERS_FETCHED],
            after: [PathFact::CARD_DRIVEN],
            needs: ['hands'],
            acts: [Act::WriteSystem],
            done: DoneWords::in(SheetPart::Drivers, ucfirst($this->driver->title()).' was installed.'),
            because: [
                new Reason(
                    'The card runs with its own driver, not with the one that any card runs with.',
                    'D6',
                    $package === null ? '' : "shelf, {$package->date}",
                ),
            ],
            waiting: new Waiting(
                ['the screen goes black for seconds and comes back'],
                'Wait a minute, then restart once.',
                $restarts ? 1 : 0,
            ),
            boots: $restarts ? [BootEvent::start(Wants::System)] : [],
        );
    }

    /** @return list<string> */
    private function installing(bool $restarts): array
    {
        $silent = $this->driver->package?->silent;

        return [
            ...array_map(
                static fn (DriverPackage $needed): string => "First {$needed->title()}, unless it is there in this "
                    .'version.',
                $this->driver->needs,
            ),
            "Install {$this->driver->title()} from where it was put."
                .($silent === null ? '' : " Without questions: `{$silent}`."),
            $restarts ? 'Restart.' : 'No restart.',
        ];
    }

    private function prove(): Step
    {
        return new Step(
            self::PROVEN,
            Stage::Drivers,
            'Prove the card',
            Presence::Hands,
            Estimate::minutes(2, 4, 10),
            ['Read the card\'s entry in the device list, its driver, its link under load, and the picture it gives.'],
            before: $this->driver->isBrought ? [PathFact::PART_SEEN] : [PathFact::CARD_DRIVEN],
            after: [PathFact::DRIVERS_COMPLETE],
            needs: ['hands'],
            done: DoneWords::in(SheetPart::Drivers, "{$this->driver->card} runs.", self::PICTURE),
            because: [
                new Reason(
                    'A card that gives a picture may still run with the wrong driver, or on half its link.',
                    'D6',
                ),
            ],
            evidence: [$this->identifier(), ...$this->version(), ...$this->link(), $this->rate()],
        );
    }

    private function identifier(): Evidence
    {
        $known = $this->driver->identifier;

        return $known === null
            ? new Evidence('card_identifier', 'Identifier of the card in the device list', EvidenceKind::Text)
            : new Evidence(
                'card_identifier',
                "The device list shows the card as {$known}",
                EvidenceKind::Choice,
                ['yes' => 'yes', 'other' => 'as another', 'none' => 'not at all'],
                expected: new Expected('yes'),
                overruledBy: ['lead'],
                remedy: 'Shut down, then its seat and its leads. Shown as another, the wrong card is in it.',
            );
    }

    /** @return list<Evidence> */
    private function version(): array
    {
        $package = $this->driver->package;
        if ($package === null) {
            return [new Evidence('driver_version', 'Version and date of its driver', EvidenceKind::Text)];
        }
        $expected = static fn (string $value): Expected => new Expected($value, source: Expected::CATALOGUE);
        $remedy = 'The old driver still serves it, or the system put its own in: install the package once more.';

        return [
            new Evidence(
                'driver_version',
                'Version of its driver',
                EvidenceKind::Text,
                expected: $expected($package->version),
                overruledBy: ['technician', 'lead'],
                remedy: $remedy,
            ),
            new Evidence(
                'driver_date',
                'Date of its driver',
                EvidenceKind::Date,
                expected: $expected($package->date),
                overruledBy: ['technician', 'lead'],
                remedy: $remedy,
            ),
        ];
    }

    /** @return list<Evidence> what card and slot have in common; written down where one of them is not known */
    private function link(): array
    {
        $wanted = ['link_lanes' => ['Lanes of its link', $this->fit->lanes(), [1, 32]],
            'link_generation' => ['Generation of its link', $this->fit->generation(), [1, 9]]];

        return array_map(static fn (string $id, array $of): Evidence => new Evidence(
            $id,
            "{$of[0]}, under load",
            EvidenceKind::Count,
            expected: $of[1] === null ? null : new Expected((string) $of[1], source: Expected::CATALOGUE),
            overruledBy: ['technician', 'lead'],
            remedy: 'A resting card shows less: read it under load. Then its seat, then the slot.',
            between: $of[2],
        ), array_keys($wanted), $wanted);
    }

    private function rate(): Evidence
    {
        $most = $this->machine->fact(self::RATE)->value;

        return new Evidence(
            self::PICTURE,
            'Picture rate, Hz',
            EvidenceKind::Count,
            expected: is_numeric($most) && $most > 0 ? new Expected((string) (int) $most, atLeast: true) : null,
            overruledBy: ['technician', 'lead'],
            remedy: 'Choose it in the display settings. Not offered there: another cable, another socket of the card.',
            between: [20, 1000],
        );
    }
}
