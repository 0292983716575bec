<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A photo that was taken at a stone of a job, drawn anew and blackened where somebody said so (rule L2).
 *
 * @property int $id
 * @property int $job_id
 * @property int $user_id
 * @property string $step
 * @property string $photo name of the file under var/photos
 * @property string $words what is seen on it
 * @property int $blackened how many areas are blackened
 * @property bool $on_sheet whether the owner agreed that it is printed
 * @property Carbon $created_at
 * @property-read User $user
 */
final class JobPhoto extends Record
{
    public const UPDATED_AT = null;

    public const MOST = 60;

    protected $table = 'job_photos';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['created_at' => 'datetime', 'on_sheet' => 'boolean'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return list<self> of a job, in the order in which they were taken */
    public static function ofJob(int $job, bool $onSheet = false): array
    {
        /** @var list<self> $found */
        $found = self::query()->with('user')->where('job_id', $job)
            ->when($onSheet, fn ($query) => $query->where('on_sheet', true))
            ->orderBy('id')->limit(self::MOST)->get()->all();

        return $found;
    }
}
