<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ContentsRemoved;
use App\Actions\LogBook;
use App\Devices\BlackAreas;
use App\Devices\PhotoFolder;
use App\Http\Asked;
use App\Models\Job;
use App\Models\JobPhoto;
use Cobblestone\Runbook\EntryKind;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Photos of a job: taken at a stone, blackened before they are kept, printed only where the owner agreed (L2). */
final class JobPhotoController
{
    public function index(Job $job, Request $request): View
    {
        $steps = $job->currentPlan()->typed()->steps;

        return view('jobs.photos', [
            'job' => $job,
            'photos' => JobPhoto::ofJob($job->id),
            'titles' => array_column($steps, 'title', 'id'),
            'stone' => Asked::text($request, 'stone'),
            'mayWork' => $request->user()?->mayWork() === true && $job->isOpen(),
        ]);
    }

    public function store(Job $job, Request $request, LogBook $log): RedirectResponse
    {
        $given = $request->validate([
            'photo' => 'required|file|max:'.PhotoFolder::KILOBYTES,
            'words' => 'required|string|max:120',
            'step' => 'required|string|max:120',
            'black' => 'nullable|string|max:8000',
            'on_sheet' => 'nullable|in:yes',
        ], [
            ...PhotoFolder::MESSAGES,
            'photo.required' => 'Choose a photo, or take one.',
            'words.required' => 'Say what is seen on it.',
        ]);
        $black = BlackAreas::read((string) ($given['black'] ?? ''))
            ?? throw ValidationException::withMessages([
                'photo' => 'What was to be blackened did not arrive. Nothing was kept; choose the photo once more.',
            ]);
        self::mayBeTaken($job, (string) $given['step']);
        $photo = Asked::file($request, 'photo') ?? abort(422);
        PhotoFolder::mustBePicture($photo);
        $name = PhotoFolder::keep($photo, 'The stone stands without it.', $black);
        DB::transaction(static function () use ($job, $request, $log, $given, $black, $name): void {
            $held = Job::locked($job->id);
            JobPhoto::query()->create([
                'job_id' => $held->id,
                'user_id' => $request->user()?->id,
                'step' => $given['step'],
                'photo' => $name,
                'words' => trim($given['words']),
                'blackened' => count($black->areas),
                'on_sheet' => ($given['on_sheet'] ?? '') === 'yes',
                'created_at' => now(),
            ]);
            $log->write($held, $request->user(), EntryKind::PhotoTaken, $given['step'], [
                'text' => trim($given['words']),
            ]);
        });

        return redirect("/jobs/{$job->id}/photos", 303);
    }

    /** @throws ValidationException|ContentsRemoved */
    private static function mayBeTaken(Job $job, string $step): void
    {
        ContentsRemoved::check($job);
        abort_unless($job->isOpen(), 403, 'This job is closed: what was seen on it stays as it is.');
        if ($job->currentPlan()->typed()->step($step) === null) {
            throw ValidationException::withMessages([
                'step' => 'This path has no such stone any more: choose another.',
            ]);
        }
        if (JobPhoto::query()->where('job_id', $job->id)->count() >= JobPhoto::MOST) {
            throw ValidationException::withMessages([
                'photo' => 'This job has '.JobPhoto::MOST.' photos already: take one away first.',
            ]);
        }
    }

    public function show(Job $job, JobPhoto $photo): BinaryFileResponse
    {
        abort_unless($photo->job_id === $job->id, 404, 'There is no such photo.');

        return PhotoFolder::show($photo->photo);
    }

    public function remove(Job $job, JobPhoto $photo, Request $request, LogBook $log): RedirectResponse
    {
        abort_unless($photo->job_id === $job->id, 404, 'There is no such photo.');
        abort_unless($job->isOpen(), 403, 'This job is closed: what was seen on it stays as it is.');
        DB::transaction(static function () use ($job, $photo, $request, $log): void {
            $held = Job::locked($job->id);
            $photo->delete();
            $log->write($held, $request->user(), EntryKind::PhotoTaken, $photo->step, [
                'text' => "taken away: {$photo->words}",
            ]);
        });
        @unlink(config('cobblestone.photos')."/{$photo->photo}");

        return redirect("/jobs/{$job->id}/photos", 303);
    }
}
