<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** One rung of the ladder of ways, as a path was computed with it. */
final readonly class RungFound
{
    public const STANDINGS = ['recommended', 'possible', 'harsher', 'out'];

    /**
     * @param  string  $standing  recommended, possible, harsher or out
     * @param  list<string>  $why
     * @param  list<string>  $keeps
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $standing,
        public array $why,
        public array $keeps,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->string('title'),
            $fields->oneOf('standing', self::STANDINGS),
            $fields->strings('why'),
            $fields->strings('keeps'),
        );
    }
}
