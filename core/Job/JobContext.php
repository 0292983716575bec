<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Boot\Keys\KnownSigners;
use Cobblestone\Boot\Keys\TrustedSigners;
use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Signer;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Machine;
use Cobblestone\Media\MediaPlan;
use Cobblestone\Media\WantedStick;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\Kind\KindOfJob;

/** Everything a path is worked out from: the brief, the machine built from it, the catalogue, the policy, the day. */
final readonly class JobContext
{
    /** @param  list<string>  $notes  what was not understood while reading */
    private function __construct(
        public Brief $brief,
        public JobKind $goal,
        public Machine $machine,
        public Catalogue $catalogue,
        public Policy $policy,
        public ?SystemProfile $system,
        public ?Image $image,
        public array $notes,
    ) {
    }

    /**
     * @throws BriefFault
     * @throws \Cobblestone\Catalogue\UnknownEntry
     */
    public static function of(Brief $brief, Catalogue $catalogue, Policy $bench): self
    {
        $catalogue = $brief->emptyCatalogue ? $catalogue->knowledge() : $catalogue;
        $policy = Policy::of([...$bench->chosen(), ...$brief->policy]);
        $goal = $brief->goal;
        [$machine, $notes] = MachineBuilder::build($brief, $catalogue);
        $system = match (true) {
            is_string($brief->system) => $catalogue->system($brief->system),
            $brief->system !== null => $brief->system,
            $goal->rules()->wantsSystem() => throw BriefFault::at(
                'system',
                "for \"{$goal->title()}\" the system has to be named.",
            ),
            default => null,
        };
        $image = match (true) {
            is_string($brief->image) => $catalogue->image($brief->image),
            $brief->image !== null => self::described($brief->image, $machine, $goal),
            $goal->rules()->wantsImage() => throw BriefFault::at(
                'image',
                "for \"{$goal->title()}\" an image has to be chosen.",
            ),
            default => null,
        };

        $system = $system?->broughtBy($image);

        return new self($brief, $goal, $machine, $catalogue, $policy, $system, $image, $notes);
    }

    /** What the stick has to carry; whoever makes it goes by this. */
    public function wanted(MediaPlan $media): WantedStick
    {
        [$edition, $host] = [$this->brief->edition, $this->brief->host];

        return WantedStick::for($media, $this->image(), $this->system?->name, $edition, $host);
    }

    /** The system that is on the machine now; null where nobody said which, or the catalogue has none. */
    public function present(): ?SystemProfile
    {
        $name = $this->machine->fact('present.system')->text();
        foreach ($this->catalogue->systems() as $system) {
            if ($system->id === $name || $system->name === $name) {
                return $system;
            }
        }

        return $this->kind()->mendsPresent() ? $this->system : null;
    }

    /**
     * The kind of computer that makes the stick; null where this bench does.
     *
     * @throws \Cobblestone\Catalogue\UnknownEntry
     */
    public function host(): ?HostProfile
    {
        $host = $this->brief->host;

        return $host === null ? null : HostProfile::among($this->catalogue->hosts(), $host);
    }

    /** The commands of the system that is on the machine now; null where the catalogue knows none. */
    public function presentHost(): ?HostProfile
    {
        $present = $this->present();
        foreach ($this->catalogue->hosts() as $host) {
            if ($present !== null && $host->system === $present->id) {
                return $host;
            }
        }

        return null;
    }

    /** What is the same for every job of this kind. */
    public function kind(): KindOfJob
    {
        return $this->goal->rules();
    }

    /** @throws BriefFault where a path that cannot do without one has no system */
    public function system(): SystemProfile
    {
        return $this->system ?? throw BriefFault::at('system', 'the system has to be named.');
    }

    /** @throws BriefFault */
    public function image(): Image
    {
        return $this->image ?? throw BriefFault::at('image', 'an image has to be chosen.');
    }

    /** Whose loaders this machine starts while Secure Boot is in force. */
    public function trustedSigners(): TrustedSigners
    {
        return (new KnownSigners($this->catalogue->signers()))->trusted($this->machine->model->firmware->trusts ?? []);
    }

    /** The catalogue's entry of the signer of the image; null where it names none that is known. */
    public function imageSigner(): ?Signer
    {
        return $this->catalogue->signers()[$this->image?->signer() ?? ''] ?? null;
    }

    /** Today, as the brief states it; null where it does not, and then no days are counted. */
    public function today(): ?string
    {
        return $this->brief->readAt === null ? null : substr($this->brief->readAt, 0, 10);
    }

    /** What a described image is taken for, unless the brief says it: an answer, or what the kind of job works with. */
    private static function described(Image $image, Machine $machine, JobKind $kind): Image
    {
        $taken = $kind->rules()->imageKind() ?? $machine->fact('image.kind')->value;
        if (! $image->kindAssumed || ! is_string($taken)) {
            return $image;
        }
        if (! in_array($taken, Image::KINDS, true)) {
            throw BriefFault::at('machine.facts.image.kind', 'choose one of '.implode(', ', Image::KINDS).'.');
        }

        return $image->ofKind($taken);
    }
}
