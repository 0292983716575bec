<?php

declare(strict_types=1);

namespace App\Models;

use Cobblestone\Document\Fields;
use Cobblestone\Tuning\Frames\FrameRun;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Frames that were counted on the machine of a job (rule T3).
 *
 * @property int $id
 * @property int $job_id
 * @property int $user_id
 * @property string $moment before or after
 * @property array<string, mixed> $run
 * @property Carbon $created_at
 * @property-read User $user
 */
final class FrameRecord extends Record
{
    protected $table = 'frame_runs';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['run' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function counted(): FrameRun
    {
        return FrameRun::read(Fields::of($this->run));
    }
}
