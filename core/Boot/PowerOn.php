<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Boot\Emulated\EmulatedAs;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Model\Prediction;
use Cobblestone\Boot\Model\Stone;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/**
 * One power-on of a path as it is rehearsed: what is wanted, what is predicted, and whether that holds the step back.
 */
final readonly class PowerOn
{
    /**
     * @param  string  $step  id of the step it belongs to
     * @param  int  $number  which power-on of that step, from 1
     * @param  list<Outcome>  $possible  every end that unknown facts allow, the likeliest first
     * @param  string|null  $settledBy  the fact whose value decides between them
     * @param  list<OtherEnd>  $otherwise  ends if something assumed is not so
     * @param  EmulatedAs|null  $as  null where nothing emulated is like it, or what is set is not known
     */
    private function __construct(
        public string $step,
        public string $title,
        public int $number,
        public Wants $wants,
        public string $by,
        public Prediction $prediction,
        public array $possible,
        public ?string $settledBy,
        public array $otherwise,
        public ?EmulatedAs $as = null,
    ) {
    }

    /** With the emulated machine that comes nearest to the machine as it is set then. */
    public function emulatedAs(?EmulatedAs $as): self
    {
        return new self(
            $this->step,
            $this->title,
            $this->number,
            $this->wants,
            $this->by,
            $this->prediction,
            $this->possible,
            $this->settledBy,
            $this->otherwise,
            $as,
        );
    }

    /** @param  list<Quirk>  $quirks  of this model */
    public static function of(
        Step $step,
        int $number,
        Wants $wants,
        string $by,
        Possibilities $possible,
        array $quirks,
    ): self {
        $prediction = self::looped($possible->likeliest(), $wants);
        foreach ($quirks as $quirk) {
            if ($quirk->fits($wants, $prediction->outcome)) {
                $prediction = $prediction->grounded(Ground::SeenHere, $quirk->seen, $quirk->times);
                break;
            }
        }

        return new self(
            $step->id,
            $step->title,
            $number,
            $wants,
            $by,
            $prediction,
            $prediction->ground === Ground::SeenHere ? [$prediction->outcome] : $possible->outcomes(),
            $possible->settledBy(),
            array_map(
                static fn (array $other): OtherEnd => new OtherEnd(
                    $other['fact'],
                    (string) $other['value'],
                    $other['prediction']->outcome,
                ),
                $possible->otherwise,
            ),
        );
    }

    /** A key leads into the setup whatever is set, so nothing has to be worked out. */
    public static function intoSetup(Step $step, int $number): self
    {
        return new self(
            $step->id,
            $step->title,
            $number,
            Wants::Setup,
            BootEvent::BY_KEY,
            new Prediction(
                Outcome::StopsInSetup,
                null,
                [
                    new Stone('power', true, 'The machine gets power.'),
                    new Stone('choice', true, 'The key for the setup is pressed in time.'),
                ],
                Ground::Standard,
            ),
            [Outcome::StopsInSetup],
            null,
            [],
        );
    }

    /** How a power-on ends that ends as it was wanted. */
    public static function wanted(Wants $wants): Outcome
    {
        return match ($wants) {
            Wants::Setup => Outcome::StopsInSetup,
            Wants::Installer => Outcome::InstallerStarts,
            Wants::NextPart, Wants::System => Outcome::WantedSystemStarts,
            Wants::Recovery => Outcome::RecoveryStarts,
        };
    }

    public function succeeds(): bool
    {
        return self::wanted($this->wants) === $this->prediction->outcome;
    }

    /** Whether every end it can have is a failure, and a standard says so. */
    public function blocks(): bool
    {
        foreach ($this->possible as $outcome) {
            if (self::wanted($this->wants) === $outcome) {
                return false;
            }
        }

        return ! $this->succeeds() && $this->prediction->ground->blocks();
    }

    public function advice(): Advice
    {
        return Advice::for($this->prediction);
    }

    /** One sentence for the gate and the list. */
    public function sentence(): string
    {
        return $this->succeeds()
            ? ucfirst($this->prediction->outcome->title()).'.'
            : ucfirst($this->prediction->outcome->title()).". {$this->prediction->cause()}";
    }

    /** What its path keeps of it. */
    public function found(): StartFound
    {
        [$advice, $prediction] = [$this->advice(), $this->prediction];

        return new StartFound(
            $this->step,
            $this->title,
            $this->number,
            $this->wants,
            $this->by,
            $prediction->outcome,
            $prediction->device,
            $prediction->stones,
            $prediction->ground,
            $prediction->times,
            $prediction->rests,
            $prediction->passed,
            $this->succeeds(),
            $this->blocks(),
            $this->sentence(),
            $prediction->cause(),
            $prediction->outcome->seen(),
            $this->succeeds() ? '' : $advice->fix,
            $this->succeeds() ? null : $advice->who,
            $this->possible,
            $this->settledBy,
            $this->otherwise,
            $this->as,
        );
    }

    /**
     * The installer where the next part was wanted is the loop of rule B: a restart too many, and the same first
     * screen.
     */
    private static function looped(Prediction $prediction, Wants $wants): Prediction
    {
        if ($wants !== Wants::NextPart || $prediction->outcome !== Outcome::InstallerStarts) {
            return $prediction;
        }
        $stones = [
            ...$prediction->stones,
            new Stone(
                'system',
                false,
                'The stick is still in and comes first: the installer starts from the beginning.',
            ),
        ];

        return new Prediction(
            Outcome::InstallLoop,
            $prediction->device,
            $stones,
            Ground::Standard,
            $prediction->rests,
            $prediction->passed,
        );
    }
}
