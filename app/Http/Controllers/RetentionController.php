<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\EditedMeanwhile;
use App\Models\BenchEvent;
use App\Models\Job;
use App\Models\User;
use App\Retention\Due;
use App\Retention\OwnersData;
use App\Retention\RemoveContents;
use App\Retention\RetentionDays;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;

/** How long contents are kept, what is due, and what an owner asks for. */
final class RetentionController
{
    /** Jobs of a kind that are named; the others are counted. */
    private const LISTED = 30;

    public function index(): View
    {
        $kinds = array_diff(array_keys(RetentionDays::KINDS), ['keys']);
        $due = array_combine($kinds, array_map(Due::jobs(...), $kinds));

        return view('retention.index', [
            'days' => RetentionDays::present(),
            'due' => $due,
            'listed' => self::LISTED,
            'more' => array_map(static fn ($jobs): int => max(0, $jobs->count() - self::LISTED), $due),
            'events' => BenchEvent::query()
                ->with('user')
                ->whereIn('kind', ['contents-removed', 'data-exported', 'retention-changed'])
                ->latest('id')
                ->limit(30)
                ->get(),
        ]);
    }

    public function update(Request $request): RedirectResponse
    {
        $given = $request->validate(
            array_fill_keys(array_keys(RetentionDays::KINDS), 'required|integer|min:1|max:7300'),
            ['*' => 'Whole days are wanted.'],
        );
        DB::transaction(function () use ($request, $given): void {
            DB::statement('select pg_advisory_xact_lock(hashtext(?))', ['retention']);
            $before = RetentionDays::present();
            EditedMeanwhile::check(
                $request->input('as_seen'),
                $before->version(),
                'How long contents are kept',
                '/retention',
                array_map(static fn (int $days): string => "{$days} days", $before->days),
            );
            try {
                $after = RetentionDays::put(array_map(intval(...), $given));
            } catch (InvalidArgumentException $e) {
                throw ValidationException::withMessages(['retention' => $e->getMessage()]);
            }
            if ($after->days !== $before->days) {
                BenchEvent::note(
                    'retention-changed',
                    null,
                    ['before' => $before->days, 'after' => $after->days],
                    $request->user()?->id,
                );
            }
        });

        return redirect('/retention', 303)->with('did', 'saved');
    }

    /** What is due of one kind, as the page showed it: a job that became due meanwhile waits for the next look. */
    public function delete(Request $request, RemoveContents $remove): RedirectResponse
    {
        $given = $request->validate(
            [
                'kind' => 'required|in:photos,owner,jobs',
                'up_to' => 'required|integer|min:1',
            ],
            ['up_to.*' => 'Look at the list once more.'],
        );
        $removed = 0;
        foreach (Due::jobs($given['kind'])->where('id', '<=', (int) $given['up_to']) as $job) {
            $remove->handle($job, $given['kind'], self::user($request), 'its time was over');
            $removed++;
        }

        return redirect('/retention', 303)->with('removed', $removed);
    }

    /** At the owner's request, before its time. */
    public function forget(Job $job, Request $request, RemoveContents $remove): RedirectResponse
    {
        $given = $request->validate(
            ['because' => 'required|string|max:300', 'number' => 'required|string'],
            ['because.*' => 'Say who asked, for the record.', 'number.*' => 'Type the number of the job.'],
        );
        if ((int) $given['number'] !== $job->id) {
            throw ValidationException::withMessages([
                'number' => 'That is not the number of this job. Nothing was removed.',
            ]);
        }
        if ($job->isOpen()) {
            throw ValidationException::withMessages(['number' => 'The machine is still here: hand it over first.']);
        }
        $remove->handle($job, 'owner', self::user($request), $given['because']);

        return redirect("/jobs/{$job->id}", 303);
    }

    public function export(Job $job, Request $request): Response
    {
        BenchEvent::note('data-exported', sprintf('job %04d', $job->id), [], $request->user()?->id);

        return response(
            (string) json_encode(
                OwnersData::of($job),
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE,
            ),
            200,
            [
                'Content-Type' => 'application/json; charset=utf-8',
                'Content-Disposition' => "attachment; filename=job-{$job->id}.json",
            ],
        );
    }

    private static function user(Request $request): ?User
    {
        $user = $request->user();

        return $user instanceof User ? $user : null;
    }
}
