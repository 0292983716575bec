<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** When the support of something ends (rule A14). */
final readonly class SupportEnd
{
    /**
     * @param  string|null  $ends  YYYY-MM-DD; null where no end is on record
     * @param  int|null  $days  from today; null where no end is on record, or no days are counted
     */
    public function __construct(
        public string $name,
        public ?string $ends,
        public ?int $days,
        public string $sentence,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->optionalString('ends'),
            $fields->optionalInt('days'),
            $fields->string('sentence'),
        );
    }

    /** @return array{name: string, ends: string|null, days: int|null, sentence: string} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'ends' => $this->ends, 'days' => $this->days, 'sentence' => $this->sentence];
    }
}
