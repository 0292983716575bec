<?php

declare(strict_types=1);

namespace Cobblestone\Handover;

use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;

/** What was written down, as the owner reads it. */
final class EvidenceWords
{
    public static function of(Evidence $wanted, string $value): string
    {
        $digits = str_replace([' ', '_', "\u{a0}", '%'], '', $value);
        $number = ctype_digit($digits) && strlen($digits) <= 18 ? (int) $digits : null;
        $spoken = match (true) {
            $number !== null && in_array($wanted->kind, [EvidenceKind::Bytes, EvidenceKind::Size], true) => Bytes::of(
                $number,
            )->decimal(),
            $number !== null && $wanted->kind === EvidenceKind::Percent => "{$number} %",
            $number !== null && $wanted->kind === EvidenceKind::Build => (string) $number,
            $number !== null && $wanted->kind === EvidenceKind::Count => number_format($number, 0, '.', ' '),
            $wanted->kind === EvidenceKind::Choice => $wanted->options[$value] ?? $value,
            default => $value,
        };

        return "{$wanted->label}: {$spoken}";
    }
}
