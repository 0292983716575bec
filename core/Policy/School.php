<?php

declare(strict_types=1);

namespace Cobblestone\Policy;

/** One question on which good technicians disagree, and the answers a bench or a job may give it. */
final readonly class School
{
    /** @param  non-empty-array<string, string>  $options  option => what it means in a sentence; first the default */
    public function __construct(
        public string $name,
        public string $title,
        public string $rule,
        public array $options,
    ) {
    }

    public function usual(): string
    {
        return array_key_first($this->options);
    }
}
