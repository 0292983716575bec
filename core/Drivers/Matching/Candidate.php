<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Matching;

/** The best claim of one package on one device, or the one that came closest. */
final readonly class Candidate
{
    /** @param  int  $place  of the identifier among those of the device, 0 for the narrowest */
    public function __construct(
        public PackageOffer $offer,
        public OfferedClaim $claim,
        public int $place,
        public ?RefusedBecause $refused,
    ) {
    }

    public function isBetterThan(self $other): bool
    {
        return match (true) {
            ($this->refused === null) !== ($other->refused === null) => $this->refused === null,
            $this->refused !== null && $other->refused !== null => $this->refused->reached() >
                $other->refused->reached(),
            default => $this->narrowness() < $other->narrowness(),
        };
    }

    /**
     * Less than zero where this one is to be taken before the other, and what decides it.
     *
     * @return array{int, RefusedBecause}
     */
    public function against(self $other, string $channel): array
    {
        $a = $this->offer;
        $b = $other->offer;
        $steps = [
            [$this->narrowness() <=> $other->narrowness(), RefusedBecause::Specificity],
            [$b->isLocked() <=> $a->isLocked(), RefusedBecause::Model],
            [($b->channel === $channel) <=> ($a->channel === $channel), RefusedBecause::Channel],
            [(string) $b->date <=> (string) $a->date, RefusedBecause::Date],
            [
                $a->line === $b->line ? version_compare((string) $b->version, (string) $a->version) : 0,
                RefusedBecause::Version,
            ],
        ];
        foreach ($steps as [$order, $because]) {
            if ($order !== 0) {
                return [$order, $because];
            }
        }

        // Nothing tells them apart: always the same one all the same.
        return [[$a->source, $a->setupFile] <=> [$b->source, $b->setupFile], RefusedBecause::Version];
    }

    /** @return array{int, bool} */
    private function narrowness(): array
    {
        return [$this->place, $this->claim->compatible];
    }
}
