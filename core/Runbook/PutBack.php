<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Something weakened or changed for the job, and who puts it back (rule J4). */
final readonly class PutBack
{
    /**
     * @param  string  $closedBy  id of the step that puts it back or signs that it stays
     * @param  bool  $stays  whether it stays changed on purpose
     */
    public function __construct(
        public string $id,
        public string $what,
        public string $why,
        public string $closedBy,
        public bool $stays = false,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'what' => $this->what,
            'why' => $this->why,
            'closed_by' => $this->closedBy,
            'stays' => $this->stays,
        ];
    }

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        return self::read(Fields::of($data));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->string('what'),
            $fields->string('why'),
            $fields->string('closed_by'),
            $fields->bool('stays'),
        );
    }
}
