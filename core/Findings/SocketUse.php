<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What is plugged into a socket at one stage of a job (rule J5). */
final readonly class SocketUse
{
    public function __construct(
        public string $port,
        public string $what,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('port'),
            $fields->string('what'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
