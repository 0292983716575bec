<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Devices\Emulated\DriveFile;
use App\Devices\Emulated\EmulatedHardware;
use App\Models\ProvingStart;
use Cobblestone\Boot\Emulated\DriveBus;
use Illuminate\Support\Facades\File;
use RuntimeException;

/** The drive that a start works on: a blank one like the job's, or as an earlier start has left it. */
final readonly class EmulatedDriveOf
{
    private function __construct(private ProvingStart $start, private string $folder, private ?DriveFile $drive)
    {
    }

    /** @throws RuntimeException where the drive of the earlier start is not there any more */
    public static function start(ProvingStart $start, string $folder): self
    {
        $path = "{$folder}/drive.qcow2";
        if ($start->drive_of !== null) {
            $earlier = ProvingStart::query()->find($start->drive_of)?->drive();
            if ($earlier === null || ! @copy($earlier, $path)) {
                throw new RuntimeException(
                    'The drive of the start before is not kept any more. Start the stick again.',
                );
            }

            return new self($start, $folder, new DriveFile($path));
        }

        return new self(
            $start,
            $folder,
            $start->drive_bytes === null ? null : DriveFile::blank($path, $start->drive_bytes),
        );
    }

    public function hardware(): EmulatedHardware
    {
        return new EmulatedHardware(
            $this->start->memory_mib,
            $this->drive?->path,
            DriveBus::tryFrom((string) $this->start->drive_bus) ?? DriveBus::Sata,
        );
    }

    /** Whether what starts from the medium may work on a drive. */
    public function isWorkedOn(): bool
    {
        return $this->drive !== null && $this->start->drive_of === null;
    }

    /** @return array<string, mixed> what stands on it now; the drive itself is kept for the next power-on */
    public function kept(): array
    {
        if ($this->drive === null) {
            return [];
        }
        $found = DriveFile::found($this->drive->asRaw("{$this->folder}/drive.raw"));
        File::ensureDirectoryExists(dirname($this->start->drive()));
        File::copy($this->drive->path, $this->start->drive());
        $this->forgetOthers();

        return ['drive_found' => json_encode($found, JSON_THROW_ON_ERROR)];
    }

    /** Of one job only the newest drive is kept, and the one that it goes on from. */
    private function forgetOthers(): void
    {
        foreach (ProvingStart::query()->where('job_id', $this->start->job_id)->get() as $other) {
            if (! in_array($other->id, [$this->start->id, $this->start->drive_of], true)) {
                File::delete($other->drive());
            }
        }
    }
}
