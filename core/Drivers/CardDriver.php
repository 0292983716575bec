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
    private function __construct(public ?DriverPackage $package, private string $card)
    {
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
        if ($system === null) {
            return new self(null, $card->new);
        }
        $named = array_map(
            static fn (DriverPackage $package): string => implode(' ', $package->claims),
            array_filter(
                $shelf,
                static fn (DriverPackage $package): bool => mb_strtolower($package->name) === mb_strtolower($card->new),
            ),
        );
        $matcher = DriverMatcher::for($machine, $system, $shelf, $policy);
        foreach ([$card->id ?? '', ...$named] as $identifiers) {
            $known = IdentifierReader::all($identifiers);
            if ($known === []) {
                continue;
            }
            $as = array_map(static fn (HardwareIdentifier $of): string => $of->text(), $known);
            $match = $matcher->match([new Device($card->new, $as[0], 'graphics', identifiers: $as)])[0];
            if ($match->package !== null) {
                return new self($matcher->package($match->package), $card->new);
            }
        }

        return new self(null, $card->new);
    }

    /** "Ostler V5 graphics 31.5", or "the driver of ..." where the shelf holds none. */
    public function title(): string
    {
        return $this->package === null
            ? "the driver of {$this->card}"
            : "{$this->package->name} {$this->package->version}";
    }

    public function fetch(): Step
    {
        $package = $this->package;
        $lines =
            $package === null
                ? [
                    "The shelf holds no package for {$this->card} and this system: fetch it from the part maker by "
                        ."the card's exact name.",
                    'Put it on a stick, and write down its file, size and checksum.',
                ]
                : [
                    "Take {$package->name} {$package->version} from the shelf: {$package->size()->decimal()}.",
                    "`sha256sum` must print `{$package->sha256}`.",
                    'Put it on a stick.',
                ];

        return new Step(
            'drivers.fetch',
            Stage::FetchDrivers,
            'Fetch the new driver',
            Presence::Hands,
            Estimate::minutes(3, 6, 20),
            $lines,
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
