<?php

namespace App\Actions;

use App\Devices\PhotoFolder;
use App\Models\FirmwareSnapshot;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Firmware\Setting;
use Cobblestone\Firmware\Snapshot;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Text\Counted;
use Illuminate\Support\Facades\DB;

/** Keeps a snapshot of the settings and computes the path from what was really set (rules F2, F3). */
final class TakeSnapshot
{
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
                'photo' => $seen->photo === null
                    ? null
                    : PhotoFolder::keep($seen->photo, 'The settings can be recorded without it.'),
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
}
