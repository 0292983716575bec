<?php

namespace App\Http\Controllers;

use App\Actions\SettingsSeen;
use App\Actions\TakeSnapshot;
use App\Bridge\FirmwareBridge;
use App\Bridge\JobBridge;
use App\Devices\PhotoFolder;
use App\Http\Asked;
use App\Models\FirmwareSnapshot;
use App\Models\Job;
use App\View\SettingsPage;
use App\View\UpdatePage;
use Cobblestone\Firmware\Snapshot;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/**
 * Settings of a machine: what is set, what has to become of it, how to get there, what the firmware's releases offer.
 */
final class FirmwareController
{
    public function show(Job $job, Request $request, JobBridge $bridge, FirmwareBridge $firmware): View
    {
        $progress = $bridge->progress($job);
        $snapshots = FirmwareSnapshot::query()
            ->with('user')
            ->where('job_id', $job->id)
            ->get()
            ->sortByDesc('id')
            ->values();

        $machine = $firmware->machine($job);
        $plan = $progress->plan;
        $update = $firmware->update($plan, $machine);

        return view('jobs.settings', [
            'job' => $job,
            'progress' => $progress,
            'mayWork' => $job->isOpen() && $request->user()?->mayWork() === true,
            'page' => new SettingsPage(
                $plan,
                $machine,
                $firmware->settings($machine),
                $snapshots,
                $firmware->compared(
                    $snapshots,
                    (int) $request->query('from', '0'),
                    (int) $request->query('to', '0'),
                ),
                $firmware->memory($machine),
                $update === null ? null : new UpdatePage(
                    $update['releases'],
                    $update['now'],
                    $update['path'],
                    $machine,
                    $plan->job->kind->rules()->updatesFirmware(),
                ),
            ),
        ]);
    }

    public function store(Job $job, Request $request, FirmwareBridge $firmware, TakeSnapshot $take): RedirectResponse
    {
        $given = self::given($request);
        $photo = self::sentPhoto($request);
        $pasted = self::pasted($given);
        $settings = $firmware->settings($firmware->machine($job));
        $ids = array_map(static fn ($setting): string => $setting->id, $settings);
        $snapshot =
            $pasted !== ''
                ? Snapshot::fromText($pasted, $settings)
                : Snapshot::of(
                    array_intersect_key(array_map(strval(...), $given['settings'] ?? []), array_flip($ids)),
                    $settings,
                );
        if ($snapshot->values === [] && $photo === null) {
            throw ValidationException::withMessages([
                $pasted !== '' ? 'pasted' : 'settings' => $snapshot->notes === []
                        ? 'Choose at least one setting, paste lines, or add a photo.'
                        : implode(' ', array_slice($snapshot->notes, 0, 5)),
            ]);
        }
        $kept = $take->handle(
            $job,
            $request->user(),
            $pasted === ''
                ? new SettingsSeen($snapshot, $settings, 'form', null, $photo)
                : new SettingsSeen($snapshot, $settings, 'paste', $pasted, $photo),
            (int) $request->input('seen', 0),
        );

        return redirect("/jobs/{$job->id}/settings", 303)
            ->with('did', 'snapshot')
            ->with('snapshot', $kept->id);
    }

    private static function sentPhoto(Request $request): ?UploadedFile
    {
        $photo = Asked::file($request, 'photo');
        if ($photo !== null) {
            PhotoFolder::mustBePicture($photo);
        }

        return $photo;
    }

    /** @return array<string, mixed> */
    private static function given(Request $request): array
    {
        return $request->validate(
            [
                'settings' => 'nullable|array|max:60',
                'settings.*' => 'nullable|string|max:80',
                'pasted' => 'nullable|string',
                'photo' => 'nullable|file|max:'.PhotoFolder::KILOBYTES,
            ],
            PhotoFolder::MESSAGES,
        );
    }

    /** @param  array<string, mixed>  $given */
    private static function pasted(array $given): string
    {
        $pasted = trim((string) ($given['pasted'] ?? ''));
        if (strlen($pasted) > Snapshot::LIMIT) {
            throw ValidationException::withMessages([
                'pasted' => sprintf(
                    'The pasted text has %d KB, far more than a setup has words.',
                    intdiv(strlen($pasted), 1024),
                ),
            ]);
        }

        return $pasted;
    }

    public function photo(Job $job, FirmwareSnapshot $snapshot): BinaryFileResponse
    {
        abort_unless($snapshot->job_id === $job->id, 404, 'There is no such photo.');

        return PhotoFolder::show($snapshot->photo);
    }
}
