<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Duration;

/** How long writing or reading back takes, and which part sets the pace (rule M9). */
final readonly class WriteTime
{
    private function __construct(public Duration $time, public DataRate $rate, public string $limit)
    {
    }

    /**
     * @param  non-empty-array<string, DataRate>  $parts  name => rate of every part the bytes go through
     * @param  Duration  $perFile  added for copied files; zero for a raw write
     */
    public static function of(Bytes $bytes, array $parts, Duration $perFile): self
    {
        $limit = array_key_first($parts);
        foreach ($parts as $name => $rate) {
            if ($rate->isSlowerThan($parts[$limit])) {
                $limit = $name;
            }
        }

        return new self($parts[$limit]->timeFor($bytes)->plus($perFile), $parts[$limit], (string) $limit);
    }

    public function describe(Bytes $bytes): string
    {
        return "{$bytes->decimal()} at {$this->rate->label()}: {$this->limit} sets the pace.";
    }
}
