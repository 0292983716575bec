<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Tuning\AcceptanceRows;

/** Rows of what is set to fit machine and owner: the picture's rate, the display's scale, the power limit (T1, T2). */
final class TunedRows
{
    public const PICTURE = 'picture_hz';

    public const SCALE = 'display_scale';

    public const LIMIT = 'power_limit';

    /** @return list<Evidence> */
    public static function of(Promises $of): array
    {
        return array_values(array_filter([self::picture($of), self::scale($of), self::limit($of)]));
    }

    private static function picture(Promises $of): ?Evidence
    {
        return $of->pictureHz === null ? null : AcceptanceRows::row(
            self::PICTURE,
            'Picture rate, Hz',
            EvidenceKind::Count,
            $of->pictureHz,
            'Choose it in the display settings. Not offered there: another cable, another socket of the card.',
        );
    }

    private static function scale(Promises $of): ?Evidence
    {
        return $of->scale === null ? null : new Evidence(
            self::SCALE,
            'Scale of the display, %',
            EvidenceKind::Count,
            hint: sprintf('%d pixels an inch', round($of->scale->screen->density())),
            expected: new Expected((string) $of->scale->percent),
            // A matter of taste: no lead is called for it.
            overruledBy: ['technician', 'lead'],
            remedy: "{$of->scale->words()} Set it; what the owner likes better is accepted with that reason.",
            mayBeOpen: true,
        );
    }

    private static function limit(Promises $of): ?Evidence
    {
        return $of->everydayW === null ? null : AcceptanceRows::row(
            self::LIMIT,
            'Power limit for every day, W',
            EvidenceKind::Count,
            new Expected((string) $of->everydayW),
            'Set the limit that was agreed on; the Battery page says what it gives.',
        );
    }
}
