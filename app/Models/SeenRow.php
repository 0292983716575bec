<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What somebody wrote down of one row of a finished machine; the newest of a row counts (rules T1, K3).
 *
 * @property int $id
 * @property int $job_id
 * @property int $user_id
 * @property string $row
 * @property string $value
 * @property string|null $reason why it may be so although it differs, or stay open; by the lead alone
 * @property Carbon $created_at
 * @property-read User $user
 */
final class SeenRow extends Record
{
    public const UPDATED_AT = null;

    /** What stands for a reading that was not made. */
    public const LEFT = 'not read';

    protected $table = 'seen_rows';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['created_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function isLeftOpen(): bool
    {
        return $this->value === self::LEFT;
    }

    /** @return array<string, self> row => the newest */
    public static function ofJob(int $job): array
    {
        /** @var list<self> $all */
        $all = self::query()->with('user')->where('job_id', $job)->orderBy('id')->get()->all();
        $rows = [];
        foreach ($all as $one) {
            $rows[$one->row] = $one;
        }

        return $rows;
    }
}
