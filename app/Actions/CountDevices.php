<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\DeviceLook;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Drivers\Audit\DeviceReading;
use Cobblestone\Inventory\Reading;
use Cobblestone\Machine\Device;
use Cobblestone\Runbook\EntryKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Keeps a look at the devices of a machine, to be held against the looks before it (rule D7). */
final class CountDevices
{
    /** Looks that one job keeps; a dozen is what a long evening makes. */
    private const MOST = 60;

    public function __construct(private readonly LogBook $log)
    {
    }

    /**
     * @param  list<Reading>  $readings
     * @param  int  $seen  id of the newest log entry the person had before them
     *
     * @throws ValidationException where no device is in it
     */
    public function handle(Job $job, User $user, array $readings, int $seen): DeviceReading
    {
        $devices = array_merge([], ...array_map(static fn (Reading $of): array => $of->devices, $readings));
        if ($devices === []) {
            throw ValidationException::withMessages([
                'output' => 'No device was found in it. Paste the device list with its heading (name, hardware '
                    .'identifiers, status), or what `lspci -vmmnnk` prints; or choose the collector\'s bundle.',
            ]);
        }

        return DB::transaction(function () use ($job, $user, $readings, $devices, $seen): DeviceReading {
            $job = Job::locked($job->id);
            ChangedMeanwhile::check($job, $seen);
            if (DeviceLook::query()->where('job_id', $job->id)->count() >= self::MOST) {
                throw ValidationException::withMessages([
                    'output' => 'This job already keeps '.self::MOST.' looks at its devices; that is enough.',
                ]);
            }
            $look = DeviceLook::query()->create([
                'job_id' => $job->id,
                'user_id' => $user->id,
                'source' => mb_substr(implode(', ', array_unique(array_map(
                    static fn (Reading $of): string => $of->origin,
                    $readings,
                ))), 0, 200),
                'devices' => array_map(static fn (Device $of): array => $of->toArray(), $devices),
                'created_at' => now(),
            ]);
            $reading = $look->reading();
            $this->log->write($job, $user, EntryKind::DevicesSeen, null, [
                'text' => "{$reading->driven()} of {$reading->count()} have a driver",
                'look' => $look->id,
            ]);

            return $reading;
        });
    }
}
