<?php

declare(strict_types=1);

namespace Cobblestone\Media\Ways;

use Cobblestone\Media\WriteMode;
use Cobblestone\Media\WriteTime;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Scheme;

/**
 * One way an image can become a stick: what it starts on, what it takes, what it costs, what it cannot do (rules
 * M3–M9, M16).
 */
final readonly class Way
{
    /**
     * @param  list<string>  $against  why it is not possible; empty when it is
     * @param  Bytes|null  $need  what the stick must have
     * @param  list<string>  $costs
     * @param  list<string>  $cannot
     * @param  bool  $buildable  whether it is built here, or only described
     */
    public function __construct(
        public string $key,
        public string $title,
        public WriteMode $mode,
        public Scheme $scheme,
        public bool $storage,
        public array $against,
        public string $starts,
        public ?Bytes $need,
        public ?WriteTime $write,
        public ?WriteTime $verify,
        public string $pace,
        public array $costs,
        public array $cannot,
        public bool $buildable = true,
    ) {
    }

    public function isPossible(): bool
    {
        return $this->against === [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'key' => $this->key,
            'title' => $this->title,
            'possible' => $this->isPossible(),
            'against' => $this->against,
            'starts' => $this->starts,
            'need_bytes' => $this->need?->count,
            'write_seconds' => $this->write?->time->seconds,
            'verify_seconds' => $this->verify?->time->seconds,
            'pace' => $this->pace,
            'costs' => $this->costs,
            'cannot' => $this->cannot,
            'buildable' => $this->buildable,
        ];
    }
}
