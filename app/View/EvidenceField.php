<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Proof\AcceptanceRow;
use Cobblestone\Tuning\Proof\AcceptanceTable;

/** A field that asks for evidence: which control it is, and what was typed into it before. */
final readonly class EvidenceField
{
    /** More options than these are a list to choose from. */
    private const CHOICES = 4;

    /** From so many fields on they stand two in a row. */
    private const MANY = 6;

    /**
     * @param  list<string>  $items  what is ticked off
     * @param  string|list<string>  $typed
     */
    private function __construct(
        public Evidence $wanted,
        public array $items,
        public string|array $typed,
        private bool $many,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $typed  evidence => what the form sent last
     * @param  AcceptanceTable|null  $table  what is known of a finished machine already
     * @return list<self> without what is known and as it should be
     */
    public static function of(
        Step $step,
        Progress $progress,
        array $typed,
        ?AcceptanceTable $table = null,
    ): array {
        $rows = $table->rows ?? [];
        $settled = array_map(
            static fn (AcceptanceRow $row): string => $row->isSettled() ? $row->evidence->id : '',
            $rows,
        );
        $asked = array_values(array_filter(
            $step->evidence,
            static fn (Evidence $one): bool => ! in_array($one->id, $settled, true),
        ));
        foreach ($rows as $row) {
            $typed += $row->observation === null ? [] : [$row->evidence->id => $row->observation->value];
        }

        return self::asked($asked, $progress->evidence(), $typed);
    }

    /**
     * Of a stone that stands on no path.
     *
     * @param  array<array-key, mixed>  $typed
     * @return list<self>
     */
    public static function alone(Step $step, array $typed): array
    {
        return self::asked($step->evidence, [], $typed);
    }

    /**
     * @param  list<Evidence>  $asked
     * @param  array<string, array<string, string>>  $written  step => evidence => value
     * @param  array<array-key, mixed>  $typed
     * @return list<self>
     */
    private static function asked(array $asked, array $written, array $typed): array
    {
        $many = count($asked) > self::MANY;

        return array_map(static function (Evidence $wanted) use ($typed, $many, $written): self {
            $value = $typed[$wanted->id] ?? '';
            $ticks = $wanted->kind === EvidenceKind::Ticks;

            return new self(
                $wanted,
                $ticks ? EvidenceJudge::items($wanted->expected?->resolved($written)->value ?? '') : [],
                $ticks
                    ? (is_array($value) ? array_values(array_filter($value, is_string(...))) : EvidenceJudge::items(
                        is_string($value) ? $value : '',
                    ))
                    : (is_string($value) ? $value : ''),
                $many,
            );
        }, $asked);
    }

    /** select, choice, ticks or line. */
    public function control(): string
    {
        return match ($this->wanted->kind) {
            EvidenceKind::Choice => count($this->wanted->options) > self::CHOICES ? 'select' : 'choice',
            EvidenceKind::Ticks => 'ticks',
            default => 'line',
        };
    }

    public function width(): string
    {
        $kind = $this->wanted->kind;

        return $kind->isNumber() || $kind === EvidenceKind::Size || $this->many ? 'col-sm-6' : 'col-12';
    }

    public function isTyped(string $option): bool
    {
        return is_array($this->typed) ? in_array($option, $this->typed, true) : $this->typed === $option;
    }

    /** Attributes of a line to type into. */
    public function attributes(): string
    {
        $kind = $this->wanted->kind;

        return ($kind->isNumber() ? 'inputmode=numeric ' : '').($kind === EvidenceKind::Date ? 'type=date' : '');
    }

    public function isProse(): bool
    {
        return $this->wanted->kind === EvidenceKind::Text;
    }

    /**
     * Whether it differs from what is expected, and this person may say that it is so all the same.
     *
     * @param  list<string>  $differing
     */
    public function mayBeOverruled(array $differing, string $role): bool
    {
        return in_array($this->wanted->id, $differing, true) && in_array($role, $this->wanted->overruledBy, true);
    }
}
