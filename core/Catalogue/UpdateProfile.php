<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Quantity\Estimate;

/** How long a system updates itself after its first start. */
final readonly class UpdateProfile
{
    /**
     * @param  list<int|float>  $minutes  least, likely, most; where nobody knows how large they are
     * @param  int|null  $bytes  about what the first updates of a fresh install load
     */
    public function __construct(public array $minutes, public ?int $restarts = null, public ?int $bytes = null)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('minutes');

        return new self($fields->numbers('minutes'), $fields->optionalInt('restarts'), $fields->optionalInt('bytes'));
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
