<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Matching;

use Cobblestone\Machine\Device;
use Cobblestone\Machine\Identifier\AliasList;

/**
 * All packages by what they claim (rule D3). A hundred thousand claims are found through three flat lists: the first
 * claim of an identifier, and for each claim the next one of the same.
 */
final class DriverShelf
{
    /** @var list<OfferedClaim> */
    private array $claims = [];

    /** @var list<int> number of a claim => number of its package */
    private array $owners = [];

    /** @var array<string, int> identifier => its last claim */
    private array $last = [];

    /** @var array<int, int> claim => the one before it with the same identifier */
    private array $before = [];

    /** @var array<string, list<int>> identifier without its revision => claims of one revision of it */
    private array $ofRevision = [];

    /** @param  list<PackageOffer>  $offers */
    public function __construct(private readonly array $offers)
    {
        foreach ($offers as $owner => $offer) {
            foreach ($offer->claims as $claim) {
                $number = count($this->claims);
                $this->claims[] = $claim;
                $this->owners[] = $owner;
                if (isset($this->last[$claim->identifier])) {
                    $this->before[$number] = $this->last[$claim->identifier];
                }
                $this->last[$claim->identifier] = $number;
                $whole = strstr($claim->identifier, '#', true);
                if ($whole !== false) {
                    $this->ofRevision[$whole][] = $number;
                }
            }
        }
    }

    /**
     * @param  list<Device>  $devices
     * @return list<DeviceMatch> in the order of the devices
     */
    public function match(array $devices, MatchTarget $target, AliasList $brought): array
    {
        return array_map(fn (Device $device): DeviceMatch => $this->device($device, $target, $brought), $devices);
    }

    private function device(Device $device, MatchTarget $target, AliasList $brought): DeviceMatch
    {
        $candidates = array_values($this->candidates($device, $target));
        // What may be used before what may not, the better before the worse, and what came closer before the rest.
        usort($candidates, static fn (Candidate $a, Candidate $b): int => match (true) {
            $a->refused === null && $b->refused === null => $a->against($b, $target->channel)[0],
            $a->refused !== null && $b->refused !== null => $b->refused->reached() <=> $a->refused->reached(),
            default => $a->refused === null ? -1 : 1,
        });
        $first = $candidates[0] ?? null;
        $winner = $first?->refused === null ? $first : null;
        $refused = [];
        foreach ($candidates as $candidate) {
            $source = $candidate->offer->source;
            // A package with several setup files is one package: it is told of once, by the best of them.
            if ($source !== $winner?->offer->source && ! isset($refused[$source])) {
                $because = $candidate->refused ?? $winner?->against($candidate, $target->channel)[1];
                $refused[$source] = $because === null ? null : new Refusal($candidate, $because, $winner, $target);
            }
        }
        ksort($refused, SORT_STRING);

        return new DeviceMatch(
            $device,
            self::isBrought($device, $brought),
            $winner?->offer,
            $winner?->claim->identifier,
            array_values(array_filter($refused)),
        );
    }

    /** @return array<int, Candidate> number of a package => the best of its claims on the device */
    private function candidates(Device $device, MatchTarget $target): array
    {
        $places = array_flip($device->forms());
        $best = [];
        $weigh = function (int $number, int $place, ?RefusedBecause $refused) use (&$best): void {
            $owner = $this->owners[$number];
            $candidate = new Candidate($this->offers[$owner], $this->claims[$number], $place, $refused);
            if (! isset($best[$owner]) || $candidate->isBetterThan($best[$owner])) {
                $best[$owner] = $candidate;
            }
        };
        foreach ($places as $text => $place) {
            for ($number = $this->last[$text] ?? null; $number !== null; $number = $this->before[$number] ?? null) {
                $claim = $this->claims[$number];
                $refused = $target->refuses($this->offers[$this->owners[$number]], $claim);
                $weigh($number, $place, $refused ?? self::excludes($claim, $places));
            }
            foreach ($this->ofRevision[$text] ?? [] as $number) {
                if (! isset($places[$this->claims[$number]->identifier])) {
                    $refused = $target->refuses($this->offers[$this->owners[$number]], $this->claims[$number]);
                    $weigh($number, $place, self::further($refused, RefusedBecause::Revision));
                }
            }
        }

        return $best;
    }

    private static function further(?RefusedBecause $refused, RefusedBecause $other): RefusedBecause
    {
        return $refused !== null && $refused->reached() < $other->reached() ? $refused : $other;
    }

    /**
     * A package may say which of the devices that fit it is not for: by their revision, or by who fitted them.
     *
     * @param  array<string, int>  $places
     */
    private static function excludes(OfferedClaim $claim, array $places): ?RefusedBecause
    {
        foreach ($claim->excluded as $identifier) {
            if (isset($places[$identifier])) {
                return str_contains($identifier, '#') ? RefusedBecause::Revision : RefusedBecause::Model;
            }
        }

        return null;
    }

    private static function isBrought(Device $device, AliasList $brought): bool
    {
        foreach ($device->identified() as $identifier) {
            if ($brought->brings($identifier)) {
                return true;
            }
        }

        return false;
    }
}
