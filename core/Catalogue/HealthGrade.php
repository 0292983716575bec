<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

/** What a drive's own figures say it is good for; the higher, the more urgent (rule A5). */
enum HealthGrade: string
{
    case Good = 'good';
    case Unknown = 'unknown';
    case Watch = 'watch';
    case CableFirst = 'cable-first';
    case Replace = 'replace';

    public function title(): string
    {
        return match ($this) {
            self::Good => 'no sign of failing',
            self::Unknown => 'unknown',
            self::Watch => 'watch',
            self::CableFirst => 'cable first',
            self::Replace => 'replace',
        };
    }

    public function urgency(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
