<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceJudge;

/** The rows of a finished machine, judged; what was typed goes before what was read, as a person looked again. */
final readonly class AcceptanceTable
{
    /** @param  list<AcceptanceRow>  $rows */
    private function __construct(public array $rows)
    {
    }

    /**
     * @param  list<Evidence>  $rows
     * @param  array<string, Observation>  $seen  by row
     */
    public static function of(array $rows, array $seen): self
    {
        return new self(array_map(static function (Evidence $row) use ($seen): AcceptanceRow {
            $one = $seen[$row->id] ?? null;

            return new AcceptanceRow($row, $one, $one === null ? null : EvidenceJudge::judge($row, $one->value, []));
        }, $rows));
    }

    /** @return list<AcceptanceRow> */
    public function with(string ...$verdicts): array
    {
        return array_values(array_filter(
            $this->rows,
            static fn (AcceptanceRow $row): bool => in_array($row->verdict(), $verdicts, true),
        ));
    }

    public function isSettled(): bool
    {
        return $this->with(AcceptanceRow::DIFFERS, AcceptanceRow::OPEN) === [];
    }

    /** @return array<string, int> verdict => how many */
    public function counts(): array
    {
        $counts = array_fill_keys(
            [AcceptanceRow::EQUAL, AcceptanceRow::WITHIN, AcceptanceRow::DIFFERS, AcceptanceRow::OPEN],
            0,
        );
        foreach ($this->rows as $row) {
            $counts[$row->verdict()]++;
        }

        return $counts;
    }
}
