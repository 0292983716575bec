<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bridge\SeenMachine;
use App\Models\Job;
use App\Models\SeenRow;
use App\Models\User;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceFault;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Proof\AcceptanceRow;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Keeps what a person writes down of a finished machine, row by row, and what the lead accepts of it (rule K3). */
final class WriteDownRows
{
    public function __construct(private readonly LogBook $log, private readonly SeenMachine $machine)
    {
    }

    /**
     * @param  array<string, mixed>  $values  by row, as typed; what is empty was not looked at
     * @param  array<string, mixed>  $reasons  by row: why a difference is accepted
     * @param  int  $seen  id of the newest log entry the person had before them
     *
     * @throws ChangedMeanwhile|ContentsRemoved
     */
    public function handle(Job $job, User $user, array $values, array $reasons, int $seen): void
    {
        $this->kept($job, $user, $seen, function (Step $step) use ($values, $reasons, $user, $job): array {
            $said = self::said($step, $values);
            $faults = [];
            foreach ($said as $row => [$evidence, $value]) {
                $fault = EvidenceFault::fault($evidence, $value);
                $fault === null || $faults[$row] = $fault;
            }
            $faults === [] || throw ValidationException::withMessages($faults);
            $rows = array_map(static fn (array $one): array => [$one[1], null], $said);

            return $user->isLead() ? [...$rows, ...$this->accepted($job, $step, $rows, $reasons)] : $rows;
        });
    }

    /**
     * What nobody has read stays open, signed by the lead with one reason.
     *
     * @throws ChangedMeanwhile|ContentsRemoved
     */
    public function leave(Job $job, User $user, string $reason, int $seen): void
    {
        if (trim($reason) === '') {
            throw ValidationException::withMessages(['reason' => 'Say why they stay open; it is printed with them.']);
        }
        $this->kept($job, $user, $seen, fn (Step $step): array => array_fill_keys(
            array_map(
                static fn (AcceptanceRow $row): string => $row->evidence->id,
                $this->machine->table($job, $step)->with(AcceptanceRow::OPEN),
            ),
            [SeenRow::LEFT, mb_substr(trim($reason), 0, 400)],
        ));
    }

    /**
     * @param  callable(Step): array<string, array{string, string|null}>  $rows  by row: value and reason
     *
     * @throws ChangedMeanwhile|ContentsRemoved
     */
    private function kept(Job $job, User $user, int $seen, callable $rows): void
    {
        DB::transaction(function () use ($job, $user, $seen, $rows): void {
            $job = Job::locked($job->id);
            ContentsRemoved::check($job);
            ChangedMeanwhile::check($job, $seen);
            $step = $job->currentPlan()->typed()->bringing(PathFact::PROVEN) ?? abort(404);
            $written = $rows($step);
            if ($written === []) {
                throw ValidationException::withMessages(['rows' => 'Nothing was written down.']);
            }
            foreach ($written as $row => [$value, $reason]) {
                SeenRow::query()->create([
                    'job_id' => $job->id,
                    'user_id' => $user->id,
                    'row' => $row,
                    'value' => $value,
                    'reason' => $reason,
                    'created_at' => now(),
                ]);
            }
            $signed = count(array_filter($written, static fn (array $one): bool => $one[1] !== null));
            $this->log->write($job, $user, EntryKind::RowsSeen, $step->id, [
                'text' => count($written).' '.(count($written) === 1 ? 'row' : 'rows').
                    ($signed === 0 ? '' : ", {$signed} of them accepted as they are"),
            ]);
        });
    }

    /**
     * @param  array<string, mixed>  $values
     * @return array<string, array{Evidence, string}>
     */
    private static function said(Step $step, array $values): array
    {
        $said = [];
        foreach ($step->evidence as $evidence) {
            $value = $values[$evidence->id] ?? '';
            $value = $evidence->kind === EvidenceKind::Ticks && is_array($value)
                ? implode(', ', array_filter($value, is_string(...)))
                : (is_scalar($value) ? trim((string) $value) : '');
            if ($value !== '') {
                $said[$evidence->id] = [$evidence, $value];
            }
        }

        return $said;
    }

    /**
     * @param  array<string, array{string, null}>  $rows  what was written down just now
     * @param  array<string, mixed>  $reasons
     * @return array<string, array{string, string}>
     */
    private function accepted(Job $job, Step $step, array $rows, array $reasons): array
    {
        $seen = $this->machine->of($job, $step);
        $accepted = [];
        foreach ($step->evidence as $evidence) {
            $reason = $reasons[$evidence->id] ?? '';
            $value = $rows[$evidence->id][0] ?? $seen[$evidence->id]->value ?? SeenRow::LEFT;
            if (is_string($reason) && trim($reason) !== '') {
                $accepted[$evidence->id] = [$value, mb_substr(trim($reason), 0, 400)];
            }
        }

        return $accepted;
    }
}
