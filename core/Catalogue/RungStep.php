<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Quantity\Estimate;

/** One stone of a way to set a machine right. */
final readonly class RungStep
{
    /**
     * @param  list<int|float>  $minutes  least, likely, most
     * @param  list<string>  $do
     * @param  list<string>  $cautions
     */
    public function __construct(
        public string $title,
        public string $presence,
        public array $minutes,
        public array $do,
        public ?int $restarts = null,
        public array $cautions = [],
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('minutes', 'do');

        return new self(
            $fields->string('title'),
            $fields->oneOf('presence', ['hands', 'stay-near', 'walk-away']),
            $fields->numbers('minutes'),
            $fields->strings('do'),
            $fields->optionalInt('restarts'),
            $fields->strings('cautions'),
        );
    }

    public function estimate(): Estimate
    {
        return Estimate::fromMinutes($this->minutes);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
