<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Quantity\Estimate;

/** The first start of a system. */
final readonly class FirstBootProfile
{
    /**
     * @param  list<int|float>  $minutes  least, likely, most
     * @param  list<FirstBootRow>  $rows
     * @param  LocalAccount|null  $localAccount  null where the system has no other or always offers one
     */
    public function __construct(
        public array $minutes,
        public array $rows,
        public NameRule $computerName = new NameRule(),
        public ?LocalAccount $localAccount = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('minutes', 'rows');

        return new self(
            $fields->numbers('minutes'),
            $fields->each('rows', FirstBootRow::read(...)),
            $fields->optional('computer_name', NameRule::read(...)) ?? new NameRule(),
            $fields->optional('local_account', LocalAccount::read(...)),
        );
    }

    public function estimate(): Estimate
    {
        return Estimate::fromMinutes($this->minutes);
    }

    public function asks(string $id): bool
    {
        foreach ($this->rows as $row) {
            if ($row->id === $id) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
