<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Keys;

use Cobblestone\Catalogue\Signer;
use Cobblestone\Media\Inspection\Signers;

/** The signers a catalogue knows, by the fingerprint of their certificate (rule F10). */
final readonly class KnownSigners
{
    /** @param  array<string, Signer>  $entries  of the catalogue, by identifier */
    public function __construct(private array $entries)
    {
    }

    /** Every one of them, so that a loader's signer can be named; who trusts whom is the machine's business. */
    public function all(): Signers
    {
        $named = $revoked = [];
        foreach ($this->entries as $id => $entry) {
            $named[$id] = strtolower($entry->fingerprintSha256);
            array_push($revoked, ...array_map(strtolower(...), $entry->revoked));
        }

        return new Signers([], $named === [] ? null : $revoked, 'the catalogue\'s signers', fingerprints: $named);
    }

    /**
     * Those that machines trust as they come, and those that a switch of theirs decides about.
     *
     * @param  list<string>  $ofModel  signers that this model trusts besides
     */
    public function trusted(array $ofModel = []): TrustedSigners
    {
        $byDefault = array_keys(array_filter($this->entries, static fn (Signer $one): bool => $one->trustedByDefault));

        return new TrustedSigners(
            array_values(array_unique([...$byDefault, ...$ofModel])),
            array_filter(array_map(static fn (Signer $one): ?string => $one->switch, $this->entries)),
        );
    }
}
