<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What was written down at a stone: read, compared, and kept with what was found and what was accepted (rule K3). */
final class WrittenDown
{
    /**
     * @param  array<string, mixed>  $evidence  by evidence id
     * @param  array<string, mixed>  $accepted  why a difference is accepted, by evidence id: a text by this person,
     *     or what another one has signed
     * @param  string  $role  of the person
     * @param  array<string, array<string, string>>  $earlier  step => evidence => value
     * @return array<string, mixed> what the log keeps of it
     *
     * @throws Refused
     */
    public static function at(Step $step, array $evidence, array $accepted, string $role, array $earlier): array
    {
        $given = self::given($step, $evidence);
        $findings = self::findings($step, $given, $earlier);
        $overruled = self::overruled($findings, $accepted, $role);
        $compared = array_filter($findings, static fn (Finding $one): bool => $one->verdict !== FindingVerdict::Noted);

        return [
            // A serial is compared and not kept.
            'evidence' => array_map(
                static fn (Finding $one): string => $one->wanted->kind === EvidenceKind::Serial
                    ? $one->observed
                    : $given[$one->wanted->id],
                $findings,
            ),
            ...$compared === []
                ? []
                : ['findings' => array_map(static fn (Finding $one): array => $one->toArray(), $compared)],
            ...$overruled === [] ? [] : ['overruled' => $overruled],
        ];
    }

    /**
     * @param  array<string, mixed>  $evidence
     * @return array<string, string>
     *
     * @throws Refused
     */
    private static function given(Step $step, array $evidence): array
    {
        $given = [];
        foreach ($step->evidence as $wanted) {
            $value = $evidence[$wanted->id] ?? '';
            if ($wanted->kind === EvidenceKind::Ticks) {
                $value = is_array($value) ? implode(', ', array_filter($value, is_string(...))) : $value;
                $given[$wanted->id] =
                    is_scalar($value) && trim((string) $value) !== '' ? trim((string) $value) : 'nothing';

                continue;
            }
            $value = is_scalar($value) ? trim((string) $value) : '';
            $fault = EvidenceFault::fault($wanted, $value);
            if ($fault !== null) {
                throw Refused::evidence($wanted->id, $fault);
            }
            $given[$wanted->id] = $value;
        }

        return $given;
    }

    /**
     * @param  array<string, string>  $given
     * @param  array<string, array<string, string>>  $earlier
     * @return array<string, Finding>
     */
    private static function findings(Step $step, array $given, array $earlier): array
    {
        $earlier = [...$earlier, $step->id => $given];
        $findings = [];
        foreach ($step->evidence as $wanted) {
            $findings[$wanted->id] = EvidenceJudge::judge($wanted, $given[$wanted->id], $earlier);
        }

        return $findings;
    }

    /**
     * @param  array<string, Finding>  $findings
     * @param  array<string, mixed>  $accepted
     * @return array<string, string> evidence => the reason
     *
     * @throws Refused
     */
    private static function overruled(array $findings, array $accepted, string $role): array
    {
        $overruled = $open = [];
        foreach ($findings as $id => $finding) {
            if (! $finding->verdict->holds()) {
                continue;
            }
            $said = $accepted[$id] ?? null;
            [$reason, $whose] = match (true) {
                $said instanceof Signed => ["{$said->reason} ({$said->by})", $said->role],
                is_scalar($said) => [trim((string) $said), $role],
                default => ['', $role],
            };
            if ($reason !== '' && in_array($whose, $finding->wanted->overruledBy, true)) {
                $overruled[$id] = mb_substr($reason, 0, EvidenceJudge::TEXT_LIMIT);
            } else {
                $open[] = $finding;
            }
        }
        if ($open !== []) {
            throw Refused::differs($open);
        }

        return $overruled;
    }
}
