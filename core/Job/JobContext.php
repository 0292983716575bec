<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Brief\JobKind;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;

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
        $policy = Policy::of([...$bench->schools(), ...$brief->policy]);
        $goal = JobKind::tryFrom($brief->goal) ?? throw BriefFault::at('goal', 'choose one of '.implode(', ', array_column(JobKind::cases(), 'value')).'.');
        [$machine, $notes] = MachineBuilder::build($brief, $catalogue);
        $system = match (true) {
            is_string($brief->system) => $catalogue->system($brief->system),
            is_array($brief->system) => SystemDefaults::system($brief->system),
            $goal->wantsSystem() => throw BriefFault::at('system', "for \"{$goal->title()}\" the system has to be named."),
            default => null,
        };
        $image = match (true) {
            is_string($brief->image) => $catalogue->image($brief->image),
            is_array($brief->image) => self::described($brief->image, $machine, $goal),
            $goal->wantsImage() => throw BriefFault::at('image', "for \"{$goal->title()}\" an image has to be chosen."),
            default => null,
        };

        return new self($brief, $goal, $machine, $catalogue, $policy, $system, $image, $notes);
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

    /** Today, as the brief states it; null where it does not, and then no days are counted. */
    public function today(): ?string
    {
        return $this->brief->readAt === null ? null : substr($this->brief->readAt, 0, 10);
    }

    /** @param  array<string, mixed>  $given */
    private static function described(array $given, Machine $machine, JobKind $goal): Image
    {
        $kind = $goal === JobKind::CableRestore ? 'device-restore' : $machine->fact('image.kind')->value;
        if (! isset($given['kind']) && is_string($kind)) {
            $given['kind'] = $kind;
        }

        return SystemDefaults::image($given);
    }
}
