<?php

namespace App\Http\Controllers;

use App\Actions\ChangedMeanwhile;
use App\Actions\LogBook;
use App\Models\Job;
use Cobblestone\Bench\Reminders;
use Cobblestone\Runbook\EntryKind;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * What is true of a job as a whole: it waits for somebody, goes on, lost its way back, a reminder was seen (rules
 * J10, I6).
 */
final class JobStateController
{
    public function change(Job $job, string $change, Request $request, LogBook $log): RedirectResponse
    {
        [$kind, $data] = match ($change) {
            'wait' => [EntryKind::Waiting, $this->waiting($request)],
            'resume' => [EntryKind::Resumed, []],
            'reminded' => [EntryKind::Reminded, []],
            'rollback-lost' => [EntryKind::RollbackLost, []],
            default => abort(404, 'There is no such change of a job.'),
        };
        DB::transaction(function () use ($job, $request, $log, $kind, $data): void {
            $job = Job::locked($job->id);
            ChangedMeanwhile::check($job, (int) $request->input('seen', 0));
            $log->write($job, $request->user(), $kind, null, $data);
        });

        return redirect("/jobs/{$job->id}", 303)->with('did', $change);
    }

    /** @return array{for: string, text: string, remind: int|null} */
    private function waiting(Request $request): array
    {
        $given = $request->validate(
            [
                'for' => 'required|in:'.implode(',', array_keys(Reminders::WAITING_FOR)),
                'wait_text' => 'nullable|string|max:400',
                'remind' => 'nullable|date_format:Y-m-d',
            ],
            ['for.*' => 'Choose what it waits for.', 'remind.*' => 'A day, such as 2026-11-27, or empty.'],
        );
        $remind = isset($given['remind'])
            ? Carbon::createFromFormat(
                'Y-m-d H:i',
                "{$given['remind']} 09:00",
                (string) config('cobblestone.timezone'),
            )
            : null;

        return [
            'for' => $given['for'],
            'text' => (string) ($given['wait_text'] ?? ''),
            'remind' => $remind instanceof Carbon ? (int) $remind->timestamp : null,
        ];
    }
}
