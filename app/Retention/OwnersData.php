<?php

declare(strict_types=1);

namespace App\Retention;

use App\Bridge\PathStore;
use App\Models\FirmwareSnapshot;
use App\Models\Job;
use App\Models\LogRecord;
use App\Models\PathRevision;
use App\Models\SealedKey;
use Illuminate\Support\Collection;

/** Everything that is kept of one job, to be handed to the owner who asks for it. */
final class OwnersData
{
    /** @return array<string, mixed> */
    public static function of(Job $job): array
    {
        $photo = static fn (?string $name): ?string => $name !== null &&
        is_file($path = config('cobblestone.photos')."/{$name}")
            ? base64_encode((string) file_get_contents($path))
            : null;

        return [
            'job' => $job->id,
            'title' => $job->title,
            'taken_in' => $job->created_at->toIso8601String(),
            'handed_over' => $job->handed_over_at?->toIso8601String(),
            'machine_serial' => $job->machine_serial,
            'brief' => $job->brief,
            'log' => self::log($job),
            'paths' => self::paths($job),
            'settings' => FirmwareSnapshot::query()
                ->where('job_id', $job->id)
                ->get()
                ->sortBy('id')
                ->map(
                    static fn (FirmwareSnapshot $one): array => [
                        'at' => $one->created_at->toIso8601String(),
                        'settings' => $one->settings,
                        'pasted' => $one->pasted,
                        'photo_base64' => $photo($one->photo),
                    ],
                )
                ->values()
                ->all(),
            // That there are keys, and until when; a key itself leaves its seal only on its own page, and every
            // showing is logged.
            'keys' => self::keys($job)
                ->values()
                ->all(),
        ];
    }

    /**
     * @return array<int, array<string, string|null|array<string, mixed>>>
     */
    private static function log(Job $job): array
    {
        return LogRecord::query()
            ->where('job_id', $job->id)
            ->get()
            ->sortBy('id')
            ->map(
                static fn (LogRecord $entry): array => [
                    'at' => $entry->created_at->toIso8601String(),
                    'by' => $entry->role,
                    'what' => $entry->kind,
                    'step' => $entry->step,
                    'written' => $entry->data,
                ],
            )
            ->values()
            ->all();
    }

    /**
     * @return Collection<int, array<string, string|null>>
     */
    private static function keys(Job $job): Collection
    {
        return SealedKey::query()
            ->where('job_id', $job->id)
            ->get()
            ->sortBy('id')
            ->map(
                static fn (SealedKey $key): array => [
                    'kind' => $key->kind,
                    'label' => $key->label,
                    'kept_until' => $key->isKept() ? $key->expires_at->toIso8601String() : null,
                ],
            );
    }

    /** @return list<array{revision: int, because: string, plan: array<string, mixed>}> */
    private static function paths(Job $job): array
    {
        $because = PathRevision::query()->where('job_id', $job->id)->pluck('reason', 'revision');
        $paths = [];
        foreach (PathStore::all($job) as $revision => $plan) {
            $paths[] = ['revision' => $revision, 'because' => (string) $because[$revision], 'plan' => $plan];
        }

        return $paths;
    }
}
