<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\NoteTuning;
use App\Models\FrameRecord;
use App\Models\Job;
use App\View\FramesPage;
use Cobblestone\Tuning\Frames\FrameLog;
use Cobblestone\Tuning\Frames\FrameLogFault;
use Cobblestone\Tuning\Frames\FrameRun;
use Cobblestone\Tuning\Frames\FrameSettings;
use Generator;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;

/** Frames that were counted on the machine of a job, before and after something was changed (rule T3). */
final class FrameController
{
    private const LONGEST_LINE = 65_536;

    public function show(Job $job, Request $request): View
    {
        return view('jobs.frames', [
            'job' => $job,
            'page' => FramesPage::of($job, $request->user()?->mayWork() === true),
        ]);
    }

    /** The same as a file, with every input. */
    public function json(Job $job): Response
    {
        $report = FramesPage::of($job, false)->report() ?? abort(404, 'Nothing was counted on this job.');
        $flags = JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

        return response(json_encode($report, $flags)."\n", 200, [
            'Content-Type' => 'application/json; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"job-{$job->id}-frames.json\"",
        ]);
    }

    public function store(Job $job, Request $request, NoteTuning $note): RedirectResponse
    {
        abort_unless($job->isOpen(), 403, 'This job is closed: what was counted on it stays as it is.');
        $given = $request->validate([
            'moment' => 'required|in:before,after',
            'picture' => 'nullable|string|max:120',
            'power' => 'nullable|string|max:60',
            'files' => 'required|array|min:1|max:12',
            'files.*' => 'file|max:60000',
        ], [
            'files.required' => 'Choose at least one log of frame times.',
            'files.*.max' => 'A log may have 60 MB at most: take a shorter run.',
            'moment.required' => 'Say whether it is from before or after.',
        ]);
        $files = array_values(array_filter(
            (array) $request->file('files'),
            static fn (mixed $file): bool => $file instanceof UploadedFile,
        ));
        $run = self::counted($files, new FrameSettings(
            self::word($given['picture'] ?? null),
            self::word($given['power'] ?? null),
        ));
        $note->handle(
            $job,
            $request->user(),
            sprintf('frames %s: %.1f a second, the slowest hundredth %.1f', $given['moment'], $run->rate, $run->low),
            static fn () => FrameRecord::query()->create([
                'job_id' => $job->id, 'user_id' => $request->user()?->id, 'moment' => $given['moment'],
                'run' => $run->toArray(),
            ]),
        );

        return redirect("/jobs/{$job->id}/frames", 303);
    }

    /**
     * @param  list<UploadedFile>  $files
     *
     * @throws ValidationException with what a log lacks
     */
    private static function counted(array $files, FrameSettings $settings): FrameRun
    {
        [$logs, $rows] = [[], 0];
        foreach ($files as $file) {
            // A name is somebody else's: it is shown, and nothing is ever opened by it.
            $name = mb_substr(mb_scrub($file->getClientOriginalName()), 0, 80);
            try {
                $log = FrameLog::read($name, self::lines($file));
            } catch (FrameLogFault $e) {
                throw ValidationException::withMessages(['files' => "{$name}: {$e->getMessage()}"]);
            }
            $rows += count($log->seconds);
            if ($rows > FrameLog::MOST_ROWS) {
                throw ValidationException::withMessages(['files' => 'Together they have more than '
                    .FrameLog::MOST_ROWS.' frames: take fewer of them, or shorter runs.']);
            }
            $logs[] = $log;
        }

        return $logs === []
            ? throw ValidationException::withMessages(['files' => 'Choose at least one log of frame times.'])
            : FrameRun::of($logs, $settings);
    }

    /** @return Generator<int, string> */
    private static function lines(UploadedFile $file): Generator
    {
        $handle = fopen($file->getPathname(), 'rb');
        while ($handle !== false && ($line = fgets($handle, self::LONGEST_LINE)) !== false) {
            yield mb_scrub($line);
        }
        $handle === false || fclose($handle);
    }

    private static function word(?string $said): ?string
    {
        return $said === null || trim($said) === '' ? null : trim($said);
    }
}
