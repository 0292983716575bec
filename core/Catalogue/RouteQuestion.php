<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** How a fact is asked for on the route ladder (rule A3). */
final readonly class RouteQuestion
{
    /**
     * @param  array<string, string>  $options
     */
    public function __construct(public string $text, public array $options)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('options');

        return new self($fields->string('text'), $fields->words('options'));
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
