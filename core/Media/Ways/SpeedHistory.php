<?php

declare(strict_types=1);

namespace Cobblestone\Media\Ways;

use Cobblestone\Quantity\DataRate;

/**
 * What a stick was measured at, and what may be learned from it (rule M9: a stick's own rate is learned over at least
 * 4 GiB).
 */
final readonly class SpeedHistory
{
    private const ENOUGH = 4_294_967_296;

    /** @param  list<array{bytes: int, write_seconds: float, verify_seconds: float}>  $runs  oldest first */
    public function __construct(public array $runs)
    {
    }

    /** Null until enough has been written. */
    public function write(): ?DataRate
    {
        return $this->learned('write_seconds');
    }

    public function read(): ?DataRate
    {
        return $this->learned('verify_seconds');
    }

    /** MB/s of one run; null for a run too short to say anything. */
    public static function rate(int $bytes, float $seconds): ?float
    {
        return $bytes >= 1_000_000 && $seconds >= 0.05 ? $bytes / $seconds / 1e6 : null;
    }

    private function learned(string $field): ?DataRate
    {
        $bytes = array_sum(array_column($this->runs, 'bytes'));
        $seconds = array_sum(array_column($this->runs, $field));

        return $bytes >= self::ENOUGH && $seconds > 0 ? DataRate::of((int) round($bytes / $seconds)) : null;
    }
}
