<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What is written down as evidence, and so how it is read and compared (rule K3). */
enum EvidenceKind: string
{
    case Text = 'text';
    /** Who it was, by name or role: "the owner", "bench lead". */
    case Person = 'person';
    case Choice = 'choice';
    /** A whole number. */
    case Count = 'count';
    /** The number of a build: it names one and counts nothing, though a later one is higher. */
    case Build = 'build';
    case Bytes = 'bytes';
    case Percent = 'percent';
    /** Things of several types: "6 × short, 2 × long". */
    case Tally = 'tally';
    /** Things that were listed before, ticked one by one. */
    case Ticks = 'ticks';
    /** The last characters of a serial, which no page shows. */
    case Serial = 'serial';
    /** A size as some tool shows it: "476.9 GiB", "512 GB". */
    case Size = 'size';
    /** A day: 2026-12-24. */
    case Date = 'date';
    /** A memory rate: "6000 MT/s"; a clock, "3000 MHz", is half of it. */
    case Rate = 'rate';

    public function isNumber(): bool
    {
        return in_array($this, [self::Count, self::Build, self::Bytes, self::Percent], true);
    }

    /** What a field of this kind takes, for its label; empty where any words will do. */
    public function wants(): string
    {
        return match ($this) {
            self::Count => 'a whole number',
            self::Build => 'the number of the build',
            self::Bytes => 'bytes, a whole number',
            self::Percent => 'percent, a whole number',
            self::Tally => 'how many of which, such as "6 × short, 2 × long"',
            self::Serial => 'the last four characters',
            self::Size => 'a size with its unit, such as "476.9 GiB"',
            self::Date => 'a day, such as 2026-12-24',
            self::Rate => 'with its unit, such as "6000 MT/s" or "3000 MHz"',
            self::Person => 'a name or a role',
            self::Text, self::Choice, self::Ticks => '',
        };
    }
}
