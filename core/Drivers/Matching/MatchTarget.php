<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Matching;

use Cobblestone\Catalogue\DriverPackage;

/** For what packages are looked for: machine and system as far as they decide (rule D3). */
final readonly class MatchTarget
{
    /**
     * @param  string|null  $architecture  null where nobody knows it: then it decides nothing
     * @param  int|null  $build  of the system; null where nobody knows it
     * @param  bool  $readsSetupFiles  whether the system installs from setup-information files at all
     * @param  bool  $enforced  whether it takes only what is signed
     * @param  string  $channel  that the bench prefers
     */
    public function __construct(
        public string $system,
        public ?string $architecture = null,
        public ?int $build = null,
        public ?string $model = null,
        public ?string $revision = null,
        public bool $readsSetupFiles = true,
        public bool $enforced = false,
        public string $channel = DriverPackage::STABLE,
    ) {
    }

    /** What rules a package's claim out; null where nothing does. */
    public function refuses(PackageOffer $offer, OfferedClaim $claim): ?RefusedBecause
    {
        return match (true) {
            $this->differs($this->architecture, $claim->architecture) => RefusedBecause::Architecture,
            ! $this->isOfItsBuilds($offer, $claim) => RefusedBecause::Build,
            $offer->models !== [] && ! in_array($this->model, $offer->models, true) => RefusedBecause::Model,
            $offer->revisions !== []
                && ! in_array($this->revision, $offer->revisions, true) => RefusedBecause::Revision,
            $this->enforced && ! $offer->signed => RefusedBecause::Signature,
            default => null,
        };
    }

    private function isOfItsBuilds(PackageOffer $offer, OfferedClaim $claim): bool
    {
        return ($offer->systems === null || in_array($this->system, $offer->systems, true))
            && ($offer->setupFile === null || $this->readsSetupFiles)
            && ($this->build === null
                || (($claim->fromBuild === null || $claim->fromBuild <= $this->build)
                    && ($offer->toBuild === null || $this->build <= $offer->toBuild)));
    }

    private function differs(?string $one, ?string $other): bool
    {
        return $one !== null && $other !== null && $one !== $other;
    }
}
