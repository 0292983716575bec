<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Memory;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What may still be at fault, and how likely it is (rule A4). */
final readonly class Suspect
{
    /** @param  float  $share  from 0 to 1 */
    public function __construct(public string $title, public float $share)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->string('title'), (float) $fields->number('share'));
    }

    /** @return array{title: string, share: float} */
    public function toArray(): array
    {
        return ['title' => $this->title, 'share' => $this->share];
    }
}
