<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What the owner reads of a stone that was laid: its own words, nothing that did not happen (rule K4). */
final readonly class DoneWords
{
    /** @param  list<string>  $proof  ids of evidence that is told with it */
    private function __construct(public SheetPart $part, public string $words, public array $proof)
    {
    }

    public static function of(string $words, string ...$proof): self
    {
        return new self(SheetPart::Done, $words, array_values($proof));
    }

    public static function in(SheetPart $part, string $words, string ...$proof): self
    {
        return new self($part, $words, array_values($proof));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['part' => $this->part->value, 'words' => $this->words, 'proof' => $this->proof];
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
        return new self($fields->enum('part', SheetPart::class), $fields->string('words'), $fields->strings('proof'));
    }
}
