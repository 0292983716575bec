<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\Copy;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The firmware of a model: its ways in, settings, releases and what was seen of it (rules F1–F5). */
final readonly class FirmwareModel
{
    public const KINDS = ['uefi', 'bios', 'sealed'];

    /**
     * @param  list<string>  $trusts  signers it trusts beside those that every machine does
     * @param  list<FirmwareSetting>  $settings
     * @param  list<Release>  $releases
     * @param  list<ObservedStart>  $quirks
     */
    public function __construct(
        public string $kind,
        public WaysIn $waysIn = new WaysIn(),
        public array $trusts = [],
        public array $settings = [],
        public array $releases = [],
        public ?string $recoveryWay = null,
        public bool $multiplierCountsTransfers = false,
        public array $quirks = [],
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->oneOf('kind', self::KINDS),
            $fields->optional('ways_in', WaysIn::read(...)) ?? new WaysIn(),
            $fields->strings('trusts'),
            $fields->each('settings', FirmwareSetting::read(...)),
            $fields->each('releases', Release::read(...)),
            $fields->optionalString('recovery_way'),
            $fields->optionalBool('multiplier_counts_transfers') ?? false,
            $fields->each('quirks', ObservedStart::read(...)),
        );
    }

    public function setting(string $id): ?FirmwareSetting
    {
        foreach ($this->settings as $setting) {
            if ($setting->id === $id) {
                return $setting;
            }
        }

        return null;
    }

    /**
     * The same firmware with what the bench has learned of it, newest first.
     *
     * @param  list<ObservedStart>  $quirks
     */
    public function learned(WaysIn $waysIn, array $quirks): self
    {
        return Copy::of($this, get_object_vars($this), [
            'waysIn' => $waysIn,
            'quirks' => [...$quirks, ...$this->quirks],
        ]);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
