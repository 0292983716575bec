<?php

declare(strict_types=1);

namespace Cobblestone\Quantity;

use DateTimeImmutable;
use DateTimeZone;

/** A point in time in a stated time zone, for deadlines that a calendar counts; it never asks a clock. */
final readonly class Moment
{
    private const FORM = '/^\d{4}-\d\d-\d\d(T\d\d:\d\d(:\d\d)?(Z|[+-]\d\d:\d\d)?)?$/';

    private function __construct(private DateTimeImmutable $at)
    {
    }

    /**
     * @param  string  $text  ISO 8601: a day, or day and time; without an offset it is local time of the zone
     * @param  string  $zone  a zone of the IANA database, such as the bench's
     *
     * @throws InvalidQuantity
     */
    public static function of(string $text, string $zone = 'UTC'): self
    {
        if (
            preg_match(self::FORM, $text) !== 1 ||
            ! checkdate((int) substr($text, 5, 2), (int) substr($text, 8, 2), (int) substr($text, 0, 4))
        ) {
            throw InvalidQuantity::notAMoment($text);
        }
        $zoneOf = new DateTimeZone($zone);

        return new self((new DateTimeImmutable($text, $zoneOf))->setTimezone($zoneOf));
    }

    /** @param  int  $seconds  since 1970-01-01T00:00Z */
    public static function ofUnix(int $seconds, string $zone = 'UTC'): self
    {
        return new self((new DateTimeImmutable("@{$seconds}"))->setTimezone(new DateTimeZone($zone)));
    }

    /** The same time of day, that many calendar days later; a change of clocks in between does not move it. */
    public function plusDays(int $days): self
    {
        return new self($this->at->modify(sprintf('%+d days', $days)) ?: $this->at);
    }

    /** Calendar days from this day to the other's; negative once it has passed. */
    public function daysUntil(self $other): int
    {
        $from = new DateTimeImmutable($this->at->format('Y-m-d'), new DateTimeZone('UTC'));
        $to = new DateTimeImmutable($other->at->format('Y-m-d'), new DateTimeZone('UTC'));

        return (int) $from->diff($to)->format('%r%a');
    }

    public function isBefore(self $other): bool
    {
        return $this->at < $other->at;
    }

    public function unix(): int
    {
        return $this->at->getTimestamp();
    }

    /** "2026-12-04T15:40+01:00" */
    public function iso(): string
    {
        return $this->at->format('Y-m-d\TH:iP');
    }

    /** "2026-12-04" */
    public function day(): string
    {
        return $this->at->format('Y-m-d');
    }

    /** "4 Dec 2026, 15:40" */
    public function spoken(): string
    {
        return $this->at->format('j M Y, H:i');
    }
}
