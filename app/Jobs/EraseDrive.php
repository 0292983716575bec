<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Devices\Build\BuildFailure;
use App\Devices\Erasing\DriveRack;
use App\Devices\Erasing\EraseDevice;
use App\Devices\Lease;
use App\Models\Erasure;
use Cobblestone\Hardware\Erasure\Certificate;
use Cobblestone\Hardware\Erasure\ErasureProof;
use Cobblestone\Hardware\Erasure\SamplePlaces;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Erases a drive in the background, reads it back, and writes a certificate only for what was proven (rule L5). */
final class EraseDrive implements ShouldQueue
{
    use Queueable;

    public int $timeout = 0;

    public int $tries = 0;

    public function __construct(private readonly int $of)
    {
        $this->onQueue('builds');
    }

    public function handle(): void
    {
        $lease = Lease::take("erase-{$this->of}");
        $erasure = Erasure::query()->find($this->of);
        if ($lease === null || $erasure === null || $erasure->state !== 'queued') {
            return;
        }
        $erasure->update(['state' => 'running', 'began_at' => now()]);
        try {
            $device = DriveRack::find($erasure->drive) ?? throw BuildFailure::of('gone', 'The drive is not there.');
            $erasure->update($this->erased($erasure, $device));
        } catch (BuildFailure $e) {
            $erasure->update([
                'state' => $e->kind === 'cancelled' ? 'cancelled' : 'failed',
                'ended_at' => now(),
                'fault' => match ($e->kind) {
                    'cancelled' => 'Cancelled: part of the drive is overwritten, and it is not erased.',
                    // What was read back says it already.
                    'mismatch' => $e->getMessage(),
                    default => "{$e->getMessage()} The drive is not erased.",
                },
            ]);
        } finally {
            fclose($lease);
        }
    }

    /**
     * @return array<string, mixed> what becomes of the record
     *
     * @throws BuildFailure
     */
    private function erased(Erasure $erasure, EraseDevice $device): array
    {
        $drive = $device->drive();
        if ($drive->title() !== $erasure->title) {
            throw BuildFailure::of('identity', 'Another drive is there than the one that was confirmed.');
        }
        // The same places before and after: only so can be said that what stood there is gone.
        $places = SamplePlaces::of($drive->size, $erasure->id);
        $before = self::read($device, $places);
        $device->erase($erasure->way(), new ErasureProgress($erasure));
        $proof = ErasureProof::of($erasure->way(), $before, self::read($device, $places));
        if (! $proof->isErased()) {
            throw BuildFailure::of('mismatch', rtrim($proof->sentence()));
        }
        $now = now();

        return [
            'state' => 'done',
            'ended_at' => $now,
            'certificate' => Certificate::read(
                $drive,
                $proof,
                (string) $erasure->began_at?->toIso8601String(),
                $now->toIso8601String(),
                $erasure->user->title,
            )->toArray(),
        ];
    }

    /**
     * @param  list<int>  $places
     * @return array<int, string|null>
     */
    private static function read(EraseDevice $device, array $places): array
    {
        $read = [];
        foreach ($places as $place) {
            $read[$place] = $device->at($place, SamplePlaces::LENGTH);
        }

        return $read;
    }
}
