<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Something the owner depends on, and how it stands with the wanted system (rule A14). */
final readonly class Dependence
{
    public const BROKEN = 'does not work';

    public const NOT_ON_RECORD = 'not on record';

    /**
     * @param  string  $standing  BROKEN or NOT_ON_RECORD
     * @param  string  $why  and what to do instead
     */
    public function __construct(public string $what, public string $standing, public string $why)
    {
    }

    public function isBroken(): bool
    {
        return $this->standing === self::BROKEN;
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('what'),
            $fields->oneOf('standing', [self::BROKEN, self::NOT_ON_RECORD]),
            $fields->string('why'),
        );
    }

    /** @return array{what: string, standing: string, why: string} */
    public function toArray(): array
    {
        return ['what' => $this->what, 'standing' => $this->standing, 'why' => $this->why];
    }
}
