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

    /** The path of a job whose mark was read with something else; its row is read only where what it says is wanted. */
    public static function marked(int $job, int $revision, string $mark): self
    {
        return (new self)->newFromBuilder(['job_id' => $job, 'revision' => $revision, 'mark' => $mark]);
    }

    /** @return array<string, mixed> */
    public function getPlanAttribute(): array
    {
        return $this->read ??= (array) json_decode($this->json(), true, flags: JSON_THROW_ON_ERROR);
    }

    /** The same as a value, read once. */
    public function typed(): Plan
    {
        return $this->typed ??= $this->kept('path', fn (): Plan => Plan::fromArray($this->plan));
    }

    /**
     * What comes of this path and of nothing else, kept beside it while it holds.
     *
     * @template T of object|string
     *
     * @param  string  $what  what it is, and whatever else it was made from
     * @param  callable(): T  $make
     * @return T
     */
    public function kept(string $what, callable $make): object|string
    {
        $mark = $this->getRawOriginal('mark');

        return is_string($mark) ? Kept::of("{$what} {$this->job_id} {$this->revision} {$mark}", $make) : $make();
    }

    /** Another path takes its place. */
    public function hold(int $revision, string $json): void
    {
        $this->read = null;
        $this->typed = null;
        $this->forceFill(['revision' => $revision, 'plan' => $json])->save();
        unset($this->attributes['mark'], $this->original['mark']);
    }

    /** As it is stored, with its order and its empty blocks. */
    public function json(): string
    {
        $plan = $this->getRawOriginal('plan') ?? self::query()->whereKey($this->job_id)->toBase()->value('plan');

        return (string) $plan;
    }
}
