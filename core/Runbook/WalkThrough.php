<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/**
 * A path walked from its first stone to its last with the evidence it expects: which stones can be laid, and why the
 * others cannot.
 */
final class WalkThrough
{
    /** Written down where a path expects no certain value. */
    private const WORDS = 'as the path says';

    /**
     * @param  list<string>  $except  ids of stones that are left out
     * @return list<array{id: string, one_way: bool, laid: bool, refused: string|null}>
     */
    public static function of(Plan $plan, array $except = []): array
    {
        $entries = $walked = [];
        foreach ($plan->steps as $step) {
            $refused = null;
            $laid = false;
            if (! in_array($step->id, $except, true)) {
                try {
                    $entries = self::lay($plan, $entries, $step);
                    $laid = true;
                } catch (Refused $e) {
                    $refused = $e->getMessage();
                }
            }
            $walked[] = ['id' => $step->id, 'one_way' => $step->isOneWay(), 'laid' => $laid, 'refused' => $refused];
        }

        return $walked;
    }

    /**
     * What the log says of a path walked so.
     *
     * @param  list<string>  $except
     * @param  list<LogEntry>  $before  what was said before
     * @return list<LogEntry>
     */
    public static function entries(Plan $plan, array $except = [], array $before = []): array
    {
        $entries = $before;
        foreach ($plan->steps as $step) {
            try {
                $entries = in_array($step->id, $except, true) ? $entries : self::lay($plan, $entries, $step);
            } catch (Refused) {
                // What cannot be laid is not in the log.
            }
        }

        return $entries;
    }

    /**
     * @param  list<LogEntry>  $entries
     * @return list<LogEntry>
     *
     * @throws Refused
     */
    private static function lay(Plan $plan, array $entries, Step $step): array
    {
        $said = static fn (EntryKind $kind, array $data): LogEntry => new LogEntry(
            count($entries) + 1,
            $kind,
            $step->id,
            count($entries),
            'technician',
            $data,
        );
        if ($step->confirmation !== null) {
            $data = (new Walk(Progress::of($plan, $entries)))->confirm(
                $step,
                self::serial($step->confirmation->serial),
                (string) array_key_first(Confirmation::READ_FROM),
            );
            $entries[] = $said(EntryKind::Confirmed, $data);
        }
        $progress = Progress::of($plan, $entries);
        $entries[] = $said(
            EntryKind::Done,
            (new Walk($progress))->done($step, self::evidence($step, $progress->evidence())),
        );

        return $entries;
    }

    /**
     * The evidence the path expects of a stone.
     *
     * @param  array<string, array<string, string>>  $earlier  step => evidence => value
     * @return array<string, string>
     */
    public static function evidence(Step $step, array $earlier): array
    {
        $given = [];
        foreach ($step->evidence as $wanted) {
            $expected = $wanted->expected?->resolved([...$earlier, $step->id => $given]);
            $given[$wanted->id] =
                $expected === null || $expected->value === ''
                    ? self::usual($wanted)
                    : match ($wanted->kind) {
                        EvidenceKind::Choice => explode('|', $expected->value)[0],
                        EvidenceKind::Serial => self::serial($expected->value),
                        default => $expected->value,
                    };
        }

        return $given;
    }

    private static function usual(Evidence $wanted): string
    {
        return match ($wanted->kind) {
            EvidenceKind::Choice => (string) array_key_first($wanted->options),
            EvidenceKind::Percent => '100',
            EvidenceKind::Count, EvidenceKind::Build, EvidenceKind::Bytes => (string) max(
                1,
                $wanted->least ?? 1,
                $wanted->between[0] ?? 1,
            ),
            EvidenceKind::Tally => '4 × short',
            EvidenceKind::Ticks => 'nothing',
            EvidenceKind::Size => '1 GB',
            EvidenceKind::Rate => '3200 MT/s',
            EvidenceKind::Person => 'the owner',
            EvidenceKind::Date => '2026-12-24',
            EvidenceKind::Text, EvidenceKind::Serial => self::WORDS,
        };
    }

    private static function serial(?string $serial): string
    {
        return $serial === null ? '' : substr($serial, -Confirmation::TYPED);
    }
}
