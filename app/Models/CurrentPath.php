<?php

declare(strict_types=1);

namespace App\Models;

use App\Database\Kept;
use Cobblestone\Runbook\Plan;

/**
 * The path of a job as it holds now, whole; its revisions keep how it came about.
 *
 * @property int $job_id
 * @property int $revision
 * @property array<string, mixed> $plan
 */
final class CurrentPath extends Record
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'current_paths';

    protected $primaryKey = 'job_id';

    protected $guarded = [];

    /** @var array<string, mixed>|null a path is 70 KB: it is taken apart once */
    private ?array $read = null;

    private ?Plan $typed = null;

    /**
     * The path of a job, by the mark of its row where what it says may be at hand already: a page is looked at far
     * more often than the path changes. The mark is the transaction that wrote the row, which no other ever is.
     */
    public static function ofJob(int $job): self
    {
        $query = self::query();
        if (Kept::isThere()) {
            $query->select(['job_id', 'revision'])->selectRaw('xmin::text as mark');
        }

        return $query->findOrFail($job);
    }

    /** @return array<string, mixed> */
    public function getPlanAttribute(): array
    {
        return $this->read ??= (array) json_decode($this->json(), true, flags: JSON_THROW_ON_ERROR);
    }

    /** The same as a value, read once. */
    public function typed(): Plan
    {
        $read = fn (): Plan => Plan::fromArray($this->plan);
        $mark = $this->getRawOriginal('mark');

        $name = "path {$this->job_id} {$this->revision} {$mark}";

        return $this->typed ??= is_string($mark) ? Kept::of($name, $read) : $read();
    }

    /** Another path takes its place. */
    public function hold(int $revision, string $json): void
    {
        $this->read = null;
        $this->typed = null;
        $this->forceFill(['revision' => $revision, 'plan' => $json])->save();
        unset($this->original['mark']);
    }

    /** As it is stored, with its order and its empty blocks. */
    public function json(): string
    {
        $plan = $this->getRawOriginal('plan') ?? self::query()->whereKey($this->job_id)->toBase()->value('plan');

        return (string) $plan;
    }
}
