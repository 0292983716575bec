<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Quantity\Estimate;

/** One phase of an installation, as this system runs it. */
final readonly class InstallPhase
{
    /**
     * @param  list<int|float>  $minutes  least, likely, most
     * @param  list<string>  $do
     * @param  list<string>  $usual
     * @param  bool  $startsAgain  whether the installer is started from the stick once more after its restart
     * @param  int|float|null  $unpacksMbS  bytes of the image that it takes in, in MB/s at most; null for a phase whose
     *     time does not follow from the image
     */
    public function __construct(
        public string $name,
        public array $minutes,
        public bool $restart,
        public array $do = [],
        public array $usual = [],
        public ?string $nextTest = null,
        public int|float|null $unpacksMbS = null,
        public bool $startsAgain = false,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('minutes');

        return new self(
            $fields->string('name'),
            $fields->numbers('minutes'),
            $fields->bool('restart'),
            $fields->strings('do'),
            $fields->strings('usual'),
            $fields->optionalString('next_test'),
            $fields->optionalNumber('unpacks_mb_s'),
            $fields->optionalBool('starts_again') ?? false,
        );
    }

    public function estimate(): Estimate
    {
        return Estimate::fromMinutes($this->minutes);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this, ['restart']);
    }
}
