<?php

declare(strict_types=1);

namespace Cobblestone\Quantity;

/** Bytes per second, at least one (rule M9). */
final readonly class DataRate
{
    private function __construct(public int $bytesPerSecond)
    {
    }

    /** @throws InvalidQuantity below one byte per second */
    public static function of(int $bytesPerSecond): self
    {
        return $bytesPerSecond < 1
            ? throw InvalidQuantity::tooSmall('A data rate', '1 B/s', $bytesPerSecond)
            : new self($bytesPerSecond);
    }

    /** MB/s as data sheets and tools print it: powers of 1000. */
    public static function megabytes(float $megabytesPerSecond): self
    {
        return self::of((int) round($megabytesPerSecond * 1_000_000));
    }

    /** Seconds to move this many bytes, rounded up. */
    public function timeFor(Bytes $bytes): Duration
    {
        return Duration::seconds(intdiv($bytes->count + $this->bytesPerSecond - 1, $this->bytesPerSecond));
    }

    public function isSlowerThan(self $other): bool
    {
        return $this->bytesPerSecond < $other->bytesPerSecond;
    }

    public function label(): string
    {
        return rtrim(rtrim(number_format($this->bytesPerSecond / 1_000_000, 1, '.', ''), '0'), '.').' MB/s';
    }
}
