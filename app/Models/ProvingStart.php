<?php

declare(strict_types=1);

namespace App\Models;

use Cobblestone\Boot\Emulated\EmulatedFirmware;
use Cobblestone\Boot\Emulated\StartSeen;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One start of a stick or an image in an emulated machine.
 *
 * @property int $id
 * @property int|null $shelf_file_id image that was started
 * @property string|null $slug stick that was started
 * @property string $title what the medium is called
 * @property string $firmware see EmulatedFirmware
 * @property string|null $machine model whose firmware was taken
 * @property string|null $machine_title
 * @property int|null $job_id job whose machine was taken, as it is set then
 * @property string|null $step at which stone of it
 * @property int|null $number which power-on of that stone
 * @property list<string>|null $trusts signers that machine trusts
 * @property int $memory_mib that the emulated machine has
 * @property int|null $machine_memory bytes that the machine itself has
 * @property int|null $drive_bytes of a drive like the job's; null: none
 * @property string|null $drive_bus see DriveBus
 * @property array{scheme: string, parts: list<array<string, mixed>>}|null $drive_found what stands on it then
 * @property int|null $drive_of start whose drive is gone on with, without the medium; null: the medium, and a blank one
 * @property string $state waiting, running, done, failed or stopped
 * @property string $predicted word of the prediction by the same keys
 * @property string|null $outcome see StartSeen; null while it is not over
 * @property string|null $sha256 of the medium, whole, before it was started
 * @property float $seconds
 * @property int $resets
 * @property string $printed
 * @property int $pictures how many were taken; 0 for none
 * @property string|null $fault
 * @property int $user_id
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property-read User $user
 */
final class ProvingStart extends Record
{
    use WorkBeside;

    protected $table = 'proving_starts';

    protected $guarded = [];

    /** Seconds after which silence of a worker that holds no lease means that it died. */
    private const SILENT = 40;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['trusts' => 'array', 'drive_found' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return Collection<int, self> the newest first */
    public static function of(?int $file, ?string $slug): Collection
    {
        return self::query()
            ->with('user')
            ->where($file === null ? 'slug' : 'shelf_file_id', $file ?? $slug)
            ->get()
            ->sortByDesc('id')
            ->take(40)
            ->values();
    }

    /**
     * What was started as the machine of a job.
     *
     * @return Collection<int, self> the newest first
     */
    public static function ofJob(int $job): Collection
    {
        return self::query()->where('job_id', $job)->get()->sortByDesc('id')->take(60)->values();
    }

    public function kind(): EmulatedFirmware
    {
        return EmulatedFirmware::from($this->firmware);
    }

    public function seen(): ?StartSeen
    {
        return $this->outcome === null ? null : StartSeen::from($this->outcome);
    }

    protected function leaseName(): string
    {
        return "start-{$this->id}";
    }

    public function picture(): string
    {
        return config('cobblestone.state')."/starts/{$this->id}.png";
    }

    /** File of its drive, as it was left. */
    public function drive(): string
    {
        return config('cobblestone.state')."/starts/{$this->id}.qcow2";
    }

    /** Whether something that can be started was put on its drive. */
    public function hasSystem(): bool
    {
        foreach ($this->drive_found['parts'] ?? [] as $part) {
            if (($part['loaders'] ?? []) !== []) {
                return true;
            }
        }

        return false;
    }

    public function begin(): bool
    {
        return $this->onlyWhile('waiting', ['state' => 'running']);
    }

    /**
     * Says how far it is.
     *
     * @param  array<string, mixed>  $values
     * @return bool false where somebody stopped it meanwhile
     */
    public function tell(array $values): bool
    {
        return $this->onlyWhile('running', $values);
    }
}
