<?php

namespace App\Models;

use Cobblestone\Media\Build\StickPlan;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One build of a stick: its plan, how far it is, how it ended.
 *
 * @property int $id
 * @property string $slug
 * @property int|null $shelf_file_id
 * @property int|null $user_id
 * @property int|null $job_id whose stick it becomes
 * @property string|null $made_on kind of computer that made it; it is only proven here then
 * @property string $state
 * @property array<string, mixed> $plan
 * @property string|null $drivers folder of drivers that goes along
 * @property string $stage
 * @property int $done_bytes
 * @property int $stage_bytes
 * @property Carbon|null $stage_began_at
 * @property bool $cancel
 * @property string|null $fault
 * @property array<string, mixed>|null $result
 * @property Carbon|null $began_at
 * @property Carbon|null $ended_at
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property-read User|null $user
 * @property-read ShelfFile|null $image
 * @property-read Job|null $job
 */
final class StickBuild extends Record
{
    protected $table = 'stick_builds';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'plan' => 'array',
            'result' => 'array',
            'cancel' => 'boolean',
            'stage_began_at' => 'datetime',
            'began_at' => 'datetime',
            'ended_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<ShelfFile, $this> */
    public function image(): BelongsTo
    {
        return $this->belongsTo(ShelfFile::class, 'shelf_file_id');
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** What it makes; told without looking at each of its files. */
    public function title(): string
    {
        $title = $this->plan['title'] ?? '';

        return is_string($title) ? $title : '';
    }

    /** The checksums of every file that was read back, one a line; null until all were. */
    public function sums(): ?string
    {
        $sums = $this->result['sha256sums'] ?? null;

        return is_string($sums) ? $sums : null;
    }

    public function stickPlan(): StickPlan
    {
        return StickPlan::fromArray($this->plan);
    }

    public function isUnderWay(): bool
    {
        return in_array($this->state, ['queued', 'running'], true);
    }

    /** Bytes per second of the present part; null while too little is known. */
    public function rate(): ?float
    {
        $seconds =
            $this->stage_began_at === null ? 0 : $this->stage_began_at->diffInMilliseconds($this->updated_at) / 1000;

        return $seconds >= 0.5 && $this->done_bytes > 0 ? $this->done_bytes / $seconds : null;
    }

    /** Seconds left of the present part. */
    public function left(): ?int
    {
        $rate = $this->rate();

        return $rate === null || $this->stage_bytes === 0
            ? null
            : (int) ceil(max(0, $this->stage_bytes - $this->done_bytes) / $rate);
    }

    /** Ends a build that nobody works on any more; the stick stays unfinished, as its mark says. */
    public function brokeOff(): void
    {
        $fault =
            'It broke off without a word: the program that built was ended, or this computer was switched off. The '
                .'stick is unfinished; build it again.';
        // Only one of those who notice writes it down.
        if (
            self::query()
                ->whereKey($this->id)
                ->where('state', 'running')
                ->update(['state' => 'failed', 'fault' => $fault, 'ended_at' => now()]) === 1
        ) {
            StickEvent::note(
                $this->slug,
                'failed',
                ['kinds' => ['gone'], 'message' => $fault, 'build' => $this->id],
                $this->user_id,
            );
        }
    }
}
