<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Quantity\Energy;
use Cobblestone\Quantity\Power;

/** What a portable's cell holds and what the machine draws while it works from a stick (rule F8). */
final readonly class Battery
{
    /** Part of a charge that may be used before the machine puts itself off (default). */
    public const USABLE = 0.9;

    /** @param  float  $usable  part of a charge that may be used before the machine puts itself off */
    public function __construct(
        public Energy $design,
        public ?Power $draw,
        public float $health = 1.0,
        public float $usable = self::USABLE,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $document): self
    {
        return self::read(Fields::of($document));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $draw = $fields->optionalNumber('draw_w');

        return new self(
            Energy::wattHours((float) $fields->number('design_wh')),
            $draw === null ? null : Power::watts((float) $draw),
            (float) ($fields->optionalNumber('health') ?? 1.0),
            (float) ($fields->optionalNumber('usable') ?? self::USABLE),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        $draw = $this->draw === null ? [] : ['draw_w' => $this->draw->milliwatts / 1000];

        return [
            'design_wh' => $this->design->milliwattHours / 1000,
            ...$draw,
            'health' => $this->health,
            'usable' => $this->usable,
        ];
    }

    /** What a full charge holds today. */
    public function present(): Energy
    {
        return $this->design->times($this->health);
    }
}
