<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** A guard that was released at a stone so that its work could go on, and has to be put back (rules J4, M11). */
final readonly class ReleasedGuard
{
    /**
     * @param  string  $id  short, unlike the others of the job
     * @param  string  $what  as it stands once it is put back
     * @param  string  $step  stone at which it was released
     */
    public function __construct(public string $id, public string $what, public string $why, public string $step)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->string('what'),
            $fields->string('why'),
            $fields->string('step'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
