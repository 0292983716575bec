<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

/** A value that a setting must have, and whose doing that is (rule F3). */
final readonly class Need
{
    /**
     * @param  bool  $stays  whether the change is meant to stay
     * @param  bool  $weakens  whether it lowers protection and so opens a put-back entry
     * @param  list<string>  $accepts  further values that would do as well
     * @param  string  $whose  system, medium, policy or model: who needs it
     */
    public function __construct(
        public string $setting,
        public string $value,
        public string $because,
        public string $rule,
        public bool $stays = true,
        public bool $weakens = false,
        public array $accepts = [],
        public string $whose = 'system',
    ) {
    }

    /** @return list<string> every value that would do, the wanted one first */
    public function values(): array
    {
        return array_values(array_unique([$this->value, ...$this->accepts]));
    }

    /** The same need with another of the values that would do. */
    public function as(string $value): self
    {
        return new self(
            $this->setting,
            $value,
            $this->because,
            $this->rule,
            $this->stays,
            $this->weakens,
            $this->accepts,
            $this->whose,
        );
    }
}
