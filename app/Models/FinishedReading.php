<?php

declare(strict_types=1);

namespace App\Models;

use Cobblestone\Document\Fields;
use Cobblestone\Inventory\Reading;
use Cobblestone\Inventory\ReadingSet;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What tools said of the finished machine of a job; never changed afterwards (rule T1).
 *
 * @property int $id
 * @property int $job_id
 * @property int $user_id
 * @property string $source where it came from
 * @property list<array<string, mixed>> $readings
 * @property Carbon $created_at
 * @property-read User $user
 */
final class FinishedReading extends Record
{
    public const UPDATED_AT = null;

    /** Readings that one job keeps; a finished machine is read a few times. */
    public const MOST = 30;

    protected $table = 'finished_readings';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['readings' => 'array', 'created_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return list<self> of a job, oldest first */
    public static function ofJob(int $job): array
    {
        /** @var list<self> $found */
        $found = self::query()->with('user')->where('job_id', $job)->orderBy('id')->get()->all();

        return $found;
    }

    /**
     * Of each tool the newest, from all of them.
     *
     * @param  list<self>  $all  oldest first
     * @return list<Reading>
     */
    public static function newest(array $all): array
    {
        $read = [];
        foreach ($all as $one) {
            array_push($read, ...Fields::of(['readings' => $one->readings])->each('readings', Reading::read(...)));
        }

        return ReadingSet::merge([], $read)->readings;
    }
}
