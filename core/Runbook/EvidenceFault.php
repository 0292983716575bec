<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Quantity\RateSeen;
use Cobblestone\Quantity\SizeSeen;

/** Why something written down cannot be taken at all: missing, no number, no such option (rule K3). */
final class EvidenceFault
{
    /** A name or a role has no more words than that, and no more signs (default). */
    private const NAME_WORDS = 6;

    private const NAME_SIGNS = 80;

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
            $wanted->kind === EvidenceKind::Person
                && ! self::isPerson($value) => "{$wanted->label}: {$wanted->kind->wants()} is wanted, such as \"the "
                    ."owner\"; \"{$short}\" is none.",
            $wanted->kind->isNumber()
                && ! $wanted->isPlausible((int) EvidenceJudge::number($value)) => "{$wanted->label}: {$short} cannot "
                    ."be; {$wanted->range()} is plausible. Look once more, and at the unit.",
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

    /** A name is a few words; a sentence, or what is written where nothing was to be said, is nobody. */
    public static function isPerson(string $value): bool
    {
        $words = preg_split('/\s+/u', trim($value), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $nobody = [
            'nothing', 'none', 'nobody', 'ok', 'okay', 'yes', 'no', 'done', 'seen', 'as seen', 'n/a', 'see above',
        ];

        return $words !== [] && count($words) <= self::NAME_WORDS && mb_strlen($value) <= self::NAME_SIGNS
            && preg_match('/\p{L}/u', $value) === 1
            && preg_match('/[,;:!?"<>{}\[\]\r\n]|\.\s*$/u', $value) === 0
            && ! in_array(mb_strtolower(trim($value)), $nobody, true);
    }

    private static function isDay(string $value): bool
    {
        return preg_match('/^(\d{4})-(\d\d)-(\d\d)$/', $value, $m) === 1 &&
            checkdate((int) $m[2], (int) $m[3], (int) $m[1]);
    }
}
