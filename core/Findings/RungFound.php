<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** One rung of the ladder of ways, as a path was computed with it. */
final readonly class RungFound
{
    public const STANDINGS = ['recommended', 'possible', 'harsher', 'out', 'works', 'tried'];

    /**
     * @param  string  $standing  recommended, possible, harsher or out; before another kind of job also works, tried
     * @param  list<string>  $why
     * @param  list<string>  $keeps
     * @param  float|null  $minutes  likely; null where nobody has counted them
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $standing,
        public array $why,
        public array $keeps,
        public ?float $minutes = null,
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
            $fields->has('minutes') ? (float) $fields->optionalNumber('minutes') : null,
        );
    }
}
