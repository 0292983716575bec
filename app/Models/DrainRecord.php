<?php

declare(strict_types=1);

namespace App\Models;

use Cobblestone\Tuning\Power\Drain;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What the machine of a job took out of its battery at one power limit (rule T2).
 *
 * @property int $id
 * @property int $job_id
 * @property int $user_id
 * @property float $limit_w
 * @property float $watt_hours
 * @property float $minutes
 * @property Carbon $created_at
 * @property-read User $user
 * @property-read Job $job
 */
final class DrainRecord extends Record
{
    protected $table = 'battery_drains';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['limit_w' => 'float', 'watt_hours' => 'float', 'minutes' => 'float'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /**
     * Those of this job's machine, of earlier jobs too where its serial is known; oldest first.
     *
     * @return list<self>
     */
    public static function ofMachine(Job $job): array
    {
        /** @var list<self> $found */
        $found = self::query()->with('user')
            ->whereIn('job_id', Job::query()->select('id')->where('id', $job->id)
                ->when($job->machine_serial !== null, fn ($query) => $query->orWhere(
                    'machine_serial',
                    $job->machine_serial,
                )))
            ->orderBy('id')->limit(60)->get()->all();

        return $found;
    }

    public function drain(): Drain
    {
        return Drain::of($this->limit_w, $this->watt_hours, $this->minutes);
    }
}
