<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Brief\CardBlock;
use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Identifier\HardwareIdentifier;
use Cobblestone\Machine\Identifier\IdentifierReader;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/**
 * The driver of a card that comes in: matched from the shelf by identifier or name, else fetched by hand (rules D3,
 * D6).
 */
final readonly class CardDriver
{
    /**
     * @param  bool  $isBrought  whether the system has a driver for the card by itself
     * @param  string|null  $identifier  of the card in its normal form; null where nobody knows it
     * @param  list<DriverPackage>  $needs  packages of the shelf that its own wants first
     */
    private function __construct(
        public ?DriverPackage $package,
        public string $card,
        public bool $isBrought = false,
        public ?string $identifier = null,
        public array $needs = [],
    ) {
    }

    /**
     * By its identifier, as every device; by its name where nobody knows its identifier.
     *
     * @param  list<DriverPackage>  $shelf
     */
    public static function match(
        CardBlock $card,
        Machine $machine,
        ?SystemProfile $system,
        array $shelf,
        Policy $policy,
    ): self {
        $said = self::identifiers($card->id ?? '');
        if ($system === null) {
            return new self(null, $card->new, identifier: $said[0] ?? null);
        }
        $named = array_filter(
            $shelf,
            static fn (DriverPackage $package): bool => mb_strtolower($package->name) === mb_strtolower($card->new),
        );
        $matcher = DriverMatcher::for($machine, $system, $shelf, $policy);
        foreach ([$said, ...array_map(static fn (DriverPackage $one): array => $one->claims, $named)] as $known) {
            $as = self::identifiers(implode(' ', $known));
            if ($as === []) {
                continue;
            }
            $match = $matcher->match([new Device($card->new, $as[0], 'graphics', identifiers: $as)])[0];
            // A package of the card's name may claim others too: only what was said, or one claim alone, is the card.
            $is = count($as) === 1 ? $as[0] : null;
            if ($match->package !== null || $match->brings) {
                $package = $match->package === null ? null : $matcher->package($match->package);

                return new self(
                    $package,
                    $card->new,
                    $package === null,
                    $said[0] ?? $is,
                    $package === null ? [] : self::needs($package, $shelf),
                );
            }
        }

        return new self(null, $card->new, identifier: $said[0] ?? null);
    }

    /**
     * What has to be there before a package, the first first.
     *
     * @param  list<DriverPackage>  $shelf
     * @return list<DriverPackage>
     */
    private static function needs(DriverPackage $package, array $shelf): array
    {
        $needs = [];
        foreach (array_column($shelf, null, 'id') as $id => $other) {
            if (in_array($id, $package->needs, true)) {
                $rest = array_values(array_filter($shelf, static fn (DriverPackage $one): bool => $one !== $package));
                array_push($needs, ...self::needs($other, $rest), ...[$other]);
            }
        }

        return array_values(array_unique($needs, SORT_REGULAR));
    }

    /** @return list<string> normal forms of every identifier that the text holds */
    private static function identifiers(string $text): array
    {
        return array_map(static fn (HardwareIdentifier $of): string => $of->text(), IdentifierReader::all($text));
    }

    /** @return string|null whose chip it is; null where its identifier is not known */
    public function vendor(): ?string
    {
        return $this->identifier === null ? null : OldCard::makerOf($this->identifier);
    }

    /** "Ostler V5 graphics 31.5", or "the driver of ..." where the shelf holds none. */
    public function title(): string
    {
        return $this->package === null
            ? "the driver of {$this->card}"
            : "{$this->package->name} {$this->package->version}";
    }

    /** Null where the system has its driver by itself. */
    public function fetch(): ?Step
    {
        if ($this->isBrought) {
            return null;
        }
        $package = $this->package;

        return new Step(
            'drivers.fetch',
            Stage::FetchDrivers,
            'Fetch the new driver',
            Presence::Hands,
            Estimate::minutes(3, 6, 20),
            $package === null ? $this->byHand() : $this->fromShelf($package),
            before: [PathFact::GATHERED],
            after: [PathFact::DRIVERS_FETCHED],
            needs: ['hands', 'network'],
            because: self::because($package),
            evidence: [
                $package === null
                    ? new Evidence('fetched', 'File, size and checksum', EvidenceKind::Text)
                    : self::checksum(),
            ],
        );
    }

    /** @return list<string> */
    private function byHand(): array
    {
        return [
            "The shelf holds no package for {$this->card} and this system: fetch it from the part maker by the card's "
                .'exact name.',
            'Put it on a stick, and write down its file, size and checksum.',
        ];
    }

    /** @return list<string> */
    private function fromShelf(DriverPackage $package): array
    {
        return [
            "Take {$package->title()} from the shelf: {$package->size()->decimal()}.",
            "`sha256sum` must print `{$package->sha256}`.",
            ...array_map(
                static fn (DriverPackage $needed): string => "It wants {$needed->title()} first: take it too. "
                    ."`sha256sum` must print `{$needed->sha256}`.",
                $this->needs,
            ),
            'Put it on a stick.',
        ];
    }

    /**
     * @return list<Reason>
     */
    private static function because(?DriverPackage $package): array
    {
        return [
            new Reason(
                'It is installed before the network is back.',
                'D6',
                $package === null ? '' : "shelf, {$package->date}",
            ),
        ];
    }

    private static function checksum(): Evidence
    {
        return new Evidence(
            'checksum',
            'The checksum',
            EvidenceKind::Choice,
            ['equal' => 'is equal', 'differs' => 'differs'],
            expected: new Expected('equal', source: Expected::CATALOGUE),
            remedy: 'Fetch it again.',
        );
    }
}
