<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * How long one stone of a job took (rule I5).
 *
 * @property int $id
 * @property int $job_id
 * @property string $model identifier of the catalogue
 * @property string $system its name
 * @property string $step
 * @property string $stick that it read from; empty where it read from none
 * @property string $title of the stone, as the system calls its phase
 * @property int $seconds
 * @property Carbon $created_at
 */
final class StepTime extends Record
{
    public const UPDATED_AT = null;

    protected $table = 'step_times';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['created_at' => 'datetime'];
    }
}
