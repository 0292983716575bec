<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * The packages of a job on their way into a folder for the stick (rules D5, M8).
 *
 * @property int $job_id
 * @property int $user_id who asked for it
 * @property string $state waiting, running, done, failed or stopped
 * @property string $package which one is being unpacked
 * @property int $bytes of all of them, unpacked
 * @property int $done_bytes
 * @property array{files: int, bytes: int, missing: list<string>}|null $result
 * @property string|null $fault
 * @property Carbon $created_at
 * @property Carbon $updated_at
 */
final class DriverLaying extends Record
{
    use WorkBeside;

    public $incrementing = false;

    protected $table = 'driver_layings';

    protected $primaryKey = 'job_id';

    protected $guarded = [];

    /** Seconds after which silence of a worker that holds no lease means that it died. */
    private const SILENT = 30;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['result' => 'array'];
    }

    /** It stands in the queue, from the beginning, whatever was before. */
    public static function ask(Job $job, User $user): self
    {
        return self::query()->updateOrCreate(['job_id' => $job->id], [
            'user_id' => $user->id, 'state' => 'waiting', 'package' => '', 'bytes' => 0, 'done_bytes' => 0,
            'result' => null, 'fault' => null, 'updated_at' => now(),
        ]);
    }

    protected function leaseName(): string
    {
        return "lay-{$this->job_id}";
    }

    /** Says how far it is; false where somebody stopped it meanwhile. */
    public function tell(string $package, int $done, int $all): bool
    {
        return $this->onlyWhile('running', [
            'package' => mb_substr($package, 0, 120), 'done_bytes' => $done, 'bytes' => $all,
        ]);
    }

    public function begin(): bool
    {
        return $this->onlyWhile('waiting', ['state' => 'running'])
            || $this->onlyWhile('running', ['done_bytes' => 0]);
    }

    /** @param  array{files: int, bytes: int, missing: list<string>}  $result */
    public function done(array $result): void
    {
        $this->onlyWhile('running', ['state' => 'done', 'result' => json_encode($result, JSON_THROW_ON_ERROR)]);
    }

    public function failed(string $fault): void
    {
        $this->onlyWhile('running', ['state' => 'failed', 'fault' => mb_substr($fault, 0, 500)]);
    }
}
