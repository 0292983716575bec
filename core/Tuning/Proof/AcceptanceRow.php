<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\Finding;
use Cobblestone\Runbook\FindingVerdict;

/** One row of the acceptance: what was expected, what was seen, and how they stand to each other (rules T1, K3). */
final readonly class AcceptanceRow
{
    public const EQUAL = 'equal';

    public const WITHIN = 'within';

    public const DIFFERS = 'differs';

    public const OPEN = 'open';

    /** @param  Finding|null  $finding  null where nobody has read it */
    public function __construct(
        public Evidence $evidence,
        public ?Observation $observation,
        public ?Finding $finding,
    ) {
    }

    public function verdict(): string
    {
        return match ($this->finding?->verdict) {
            FindingVerdict::Equal, FindingVerdict::Noted => self::EQUAL,
            FindingVerdict::Within => self::WITHIN,
            FindingVerdict::Differs => self::DIFFERS,
            FindingVerdict::NotRead, null => self::OPEN,
        };
    }

    public function isSettled(): bool
    {
        return in_array($this->verdict(), [self::EQUAL, self::WITHIN], true);
    }

    /** In words: "16.0 GiB or 17.2 GB", "works or it has none". */
    public function expected(): string
    {
        $words = array_map(
            fn (string $one): string => EvidenceJudge::said($this->evidence, $one),
            explode('|', $this->evidence->expected->value ?? ''),
        );

        return implode(' or ', $words);
    }

    /** How far it may be off, in words. */
    public function tolerance(): string
    {
        $expected = $this->evidence->expected;

        return match (true) {
            $expected === null => '',
            $expected->atLeast => 'at least',
            $expected->tolerance > 0 => sprintf('± %g %%', 100 * $expected->tolerance),
            str_contains($expected->value, '|') => 'one of them',
            default => 'exact',
        };
    }

    /** What was seen, in words; empty where nobody has looked. */
    public function observed(): string
    {
        $seen = $this->observation;

        return match (true) {
            $seen === null || $this->finding === null => '',
            $seen->words !== '' => $seen->words,
            default => EvidenceJudge::said($this->evidence, $seen->value),
        };
    }

    /** The tool, or the person, whose word it is; empty where nobody has looked. */
    public function toldBy(): string
    {
        return $this->finding === null ? '' : $this->observation->origin ?? '';
    }

    /** What was seen, where neither the value as it stands nor the difference says it to a person: bytes. */
    public function observedBeside(): string
    {
        $said = $this->observed();

        return $said === ($this->observation->value ?? '') || str_contains($this->finding->words ?? '', $said)
            ? ''
            : $said;
    }

    /** By how much it differs, and what to do then; empty where it does not. */
    public function remedy(): string
    {
        return $this->verdict() === self::DIFFERS
            ? trim(ucfirst($this->finding->words ?? '').'. '.$this->evidence->remedy)
            : '';
    }

    /**
     * @return array{row: string, label: string, expected: string, expected_words: string, tolerance: string,
     *     observed: string|null, observed_words: string, verdict: string, source: string, read_by: string,
     *     remedy: string}
     */
    public function toArray(): array
    {
        return [
            'row' => $this->evidence->id,
            'label' => $this->evidence->label,
            'expected' => $this->evidence->expected->value ?? '',
            'expected_words' => $this->expected(),
            'tolerance' => $this->tolerance(),
            'observed' => $this->finding === null ? null : $this->observation?->value,
            'observed_words' => $this->observed(),
            'verdict' => $this->verdict(),
            'source' => $this->evidence->expected->source ?? Expected::PLAN,
            'read_by' => $this->toldBy(),
            'remedy' => $this->remedy(),
        ];
    }
}
