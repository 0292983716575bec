<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * An image on its way from its publisher to the shelf (rule M9). One for each image of the catalogue; what has come is
 * kept, and a later run goes on there.
 *
 * @property int $id
 * @property string $slug image of the catalogue
 * @property string $file
 * @property string $state waiting, running, done, failed or stopped
 * @property int $bytes of the whole
 * @property int $done_bytes that have come
 * @property int $run_bytes that came in this run
 * @property float $run_seconds that this run took
 * @property string|null $fault
 * @property int|null $job_id whose stone it lays
 * @property int $user_id
 * @property Carbon $created_at
 * @property Carbon $updated_at
 */
final class ImageFetch extends Record
{
    use WorkBeside;

    protected $table = 'image_fetches';

    protected $guarded = [];

    /** Seconds after which silence of a worker that holds no lease means that it died. */
    private const SILENT = 30;

    protected function leaseName(): string
    {
        return "fetch-{$this->slug}";
    }

    /** What has come so far; goes on there. */
    public function part(): string
    {
        return config('cobblestone.state')."/fetch/{$this->slug}.part";
    }

    public function begin(): bool
    {
        return $this->onlyWhile('waiting', [
            'state' => 'running', 'run_bytes' => 0, 'run_seconds' => 0, 'fault' => null,
        ]);
    }

    /**
     * @param  array<string, mixed>  $values
     * @return bool false where somebody stopped it meanwhile
     */
    public function tell(array $values): bool
    {
        return $this->onlyWhile('running', $values);
    }
}
