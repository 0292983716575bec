<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Quantity\RateSeen;
use Cobblestone\Quantity\SizeSeen;

/** Why something written down cannot be taken at all: missing, no number, no such option (rule K3). */
final class EvidenceFault
{
    /**
     * Why it cannot be taken at all: missing, no number, no such option. Null where it can be compared.
     */
    public static function fault(Evidence $wanted, string $value): ?string
    {
        $short = mb_substr($value, 0, 30);

        return match (true) {
            $value === '' => "Write down: {$wanted->label}.",
            mb_strlen($value) > EvidenceJudge::TEXT_LIMIT => "{$wanted->label}: no more than ".
                EvidenceJudge::TEXT_LIMIT.
                ' characters.',
            EvidenceJudge::isLeftOpen($wanted, $value) => null,
            $wanted->kind->isNumber()
                && EvidenceJudge::number($value) === null => "{$wanted->label}: {$wanted->kind->wants()} is wanted, "
                    ."\"{$short}\" is none.",
            $wanted->kind === EvidenceKind::Percent
                && EvidenceJudge::number($value) > 100 => "{$wanted->label}: percent end "
                ."at 100, {$short} is more.",
            $wanted->least !== null
                && $wanted->kind->isNumber()
                && EvidenceJudge::number($value) < $wanted->least => "{$wanted->label}: at least {$wanted->least} is "
                    .'needed, '
                    ."{$value} is not enough yet.",
            $wanted->kind === EvidenceKind::Choice
                && ! isset($wanted->options[$value]) => "{$wanted->label}: choose one of "
                    .implode(', ', $wanted->options).'.',
            $wanted->kind === EvidenceKind::Tally
                && Tally::parse($value) === null => "{$wanted->label}: {$wanted->kind->wants()}; \"{$short}\" has no "
                    .'count.',
            $wanted->kind === EvidenceKind::Date
                && ! self::isDay($value) => "{$wanted->label}: {$wanted->kind->wants()}; \"{$short}\" is none.",
            $wanted->kind === EvidenceKind::Size
                && SizeSeen::parse($value) === null => "{$wanted->label}: {$wanted->kind->wants()}; \"{$short}\" is "
                    .'none.',
            $wanted->kind === EvidenceKind::Rate
                && RateSeen::parse($value) === null => "{$wanted->label}: a rate {$wanted->kind->wants()}; "
                    ."\"{$short}\" is none.",
            default => null,
        };
    }

    private static function isDay(string $value): bool
    {
        return preg_match('/^(\d{4})-(\d\d)-(\d\d)$/', $value, $m) === 1 &&
            checkdate((int) $m[2], (int) $m[3], (int) $m[1]);
    }
}
