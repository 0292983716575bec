<?php

declare(strict_types=1);

namespace App\Models;

use Cobblestone\Document\Fields;
use Cobblestone\Drivers\Audit\DeviceReading;
use Cobblestone\Machine\Device;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One look at the devices of a machine; never changed afterwards (rule D7).
 *
 * @property int $id
 * @property int $job_id
 * @property string $source where the list came from
 * @property list<array<string, mixed>> $devices
 * @property Carbon $created_at
 * @property-read User $user
 */
final class DeviceLook extends Record
{
    public const UPDATED_AT = null;

    protected $table = 'device_looks';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['devices' => 'array', 'created_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function reading(): DeviceReading
    {
        return new DeviceReading(
            $this->source,
            Fields::of(['devices' => $this->devices])->each('devices', Device::read(...)),
        );
    }
}
