<?php

declare(strict_types=1);

namespace App\Models;

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

    /** @return array<string, mixed> */
    public function getPlanAttribute(string $json): array
    {
        return $this->read ??= (array) json_decode($json, true, flags: JSON_THROW_ON_ERROR);
    }

    /** The same as a value, read once. */
    public function typed(): Plan
    {
        return $this->typed ??= Plan::fromArray($this->plan);
    }

    /** Another path takes its place. */
    public function hold(int $revision, string $json): void
    {
        $this->read = null;
        $this->typed = null;
        $this->forceFill(['revision' => $revision, 'plan' => $json])->save();
    }

    /** As it is stored, with its order and its empty blocks. */
    public function json(): string
    {
        return (string) $this->getRawOriginal('plan');
    }
}
