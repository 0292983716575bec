<?php

namespace App\Actions;

use App\Devices\Command;
use App\Devices\Picture;
use App\Models\FirmwareSnapshot;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Firmware\Setting;
use Cobblestone\Firmware\Snapshot;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Text\Counted;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use RuntimeException;

/** Keeps a snapshot of the settings and computes the path from what was really set (rules F2, F3). */
final class TakeSnapshot
{
    /** Kinds of picture a photo may be, by what is in the file. */
    private const KINDS = [IMAGETYPE_JPEG => 'jpg', IMAGETYPE_PNG => 'png', IMAGETYPE_WEBP => 'webp'];

    public function __construct(private readonly ChangeBrief $change, private readonly LogBook $log)
    {
    }

    /** @param  int  $before  id of the newest log entry the person had before them */
    public function handle(Job $job, User $user, SettingsSeen $seen, int $before): FirmwareSnapshot
    {
        return DB::transaction(function () use ($job, $user, $seen, $before): FirmwareSnapshot {
            $job = Job::locked($job->id);
            ChangedMeanwhile::check($job, $before);
            $values = $seen->snapshot->values;
            $kept = FirmwareSnapshot::query()->create([
                'job_id' => $job->id,
                'user_id' => $user->id,
                'settings' => $values,
                'origin' => $seen->origin,
                'pasted' => $seen->pasted,
                'photo' => $seen->photo === null ? null : self::store($seen->photo),
                'notes' => [...$seen->snapshot->contradictions($seen->settings), ...$seen->snapshot->notes],
                'created_at' => now(),
            ]);
            $entry = $this->log->write($job, $user, EntryKind::SnapshotTaken, null, [
                'text' => Counted::of(count($values), 'setting').($seen->photo === null ? '' : ', with a photo'),
                'snapshot' => $kept->id,
            ]);
            if ($values !== []) {
                $this->intoBrief($job, $user, $values, $entry->id);
            }

            return $kept;
        });
    }

    /** @param  array<string, string>  $values  setting => value */
    private function intoBrief(Job $job, User $user, array $values, int $entry): void
    {
        $change = static function (array $brief) use ($values, $user): array {
            foreach ($values as $id => $value) {
                $brief['machine']['facts']["firmware.{$id}"] = $value;
            }
            $brief['machine']['facts_from'] = "snapshot by {$user->title}";

            return $brief;
        };
        $this->change->handle($job, $user, $change, 'settings recorded: '.count($values), $entry, 'settings');
    }

    public static function isPicture(UploadedFile $file): bool
    {
        $size = @getimagesize($file->getPathname());

        return $size !== false && isset(self::KINDS[$size[2]]);
    }

    private static function store(UploadedFile $photo): string
    {
        $size = getimagesize($photo->getPathname());
        $name = bin2hex(random_bytes(16)).'.'.self::KINDS[$size === false ? IMAGETYPE_JPEG : $size[2]];
        $folder = (string) config('cobblestone.photos');
        is_dir($folder) || @mkdir($folder, 0750, true);
        if (! is_writable($folder)) {
            throw ValidationException::withMessages([
                'photo' => 'The photo cannot be kept: the bench computer\'s folder for photos is full or may not be '
                    .'written. Tell the lead; the settings can be recorded without it.',
            ]);
        }
        try {
            Picture::redraw($photo->getPathname(), "{$folder}/{$name}");
            chmod("{$folder}/{$name}", 0640);
            // On the disk before the record that names it.
            Command::run(['sync', "{$folder}/{$name}", $folder], 60);
        } catch (RuntimeException $e) {
            @unlink("{$folder}/{$name}");
            throw ValidationException::withMessages([
                'photo' => "The photo was not kept: {$e->getMessage()}. The settings can be recorded without it.",
            ]);
        }

        return $name;
    }
}
