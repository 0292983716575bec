<?php

namespace App\Devices\Build;

use App\Devices\Command;
use App\Devices\Stick\StickDevice;
use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\FailureRule;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\HostSpace;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\TableBytes;
use RuntimeException;

/** Makes a stick after its plan and proves it; what is not proven is never called good (rules M3–M6, M11). */
final class StickBuilder
{
    /** Files from this size on stream from the image to the stick; smaller ones are unpacked together first. */
    public const STREAM_FROM = HostSpace::STREAM_FROM;

    public function __construct(
        private readonly StickPlan $plan,
        private readonly StickDevice $stick,
        private readonly SourceFiles $source,
        private readonly BuildProgress $progress,
    ) {
    }

    /**
     * @param  array<string, int>  $failed  kind => failures on this stick since it last was good
     *
     * @throws BuildFailure
     */
    public function build(array $failed = []): BuildResult
    {
        $attempts = [];
        while (true) {
            $touched = $attempts !== [];
            try {
                $this->mustBeTheOne();
                $touched = true;
                $wrote = $this->write();
                $proof = (new StickProof($this->plan, $this->stick, $this->source, $this->progress))->prove();

                return self::result($proof, $wrote, $attempts);
            } catch (BuildFailure $e) {
                $rule = FailureRule::after($e->kind, $failed[$e->kind] ?? 0);
                $failed[$e->kind] = ($failed[$e->kind] ?? 0) + 1;
                $attempts[] = ['kind' => $e->kind, 'message' => $e->getMessage(), 'next' => $rule['next']];
                if (! in_array($e->kind, ['cancelled', 'identity'], true) && $rule['retry']) {
                    $this->beforeRetry($e->kind);

                    continue;
                }
                $final = BuildFailure::of(
                    $e->kind,
                    trim(
                        $e->getMessage().
                            ($e->kind === 'cancelled' || $e->kind === 'identity' ? '' : " {$rule['next']}"),
                    ),
                );
                $final->touched = $touched;
                throw $final;
            }
        }
    }

    /**
     * @param  list<array{kind: string, message: string, next: string}>  $attempts
     */
    private static function result(StickProof $proof, float $wrote, array $attempts): BuildResult
    {
        return new BuildResult(
            $proof->sums,
            $proof->label,
            $wrote,
            $proof->seconds,
            $proof->bytes,
            $attempts,
            $proof->fingerprint,
        );
    }

    /** Read again right before the first write: device paths prove nothing (rule M10). */
    private function mustBeTheOne(): void
    {
        $differences = $this->stick->target()->differencesFrom($this->plan);
        if ($differences !== []) {
            throw BuildFailure::of(
                'identity',
                'This is not the stick the plan was made for. '.
                    implode(' ', $differences).
                    ' Nothing was written.',
            );
        }
        if ($this->plan->splitter !== null) {
            throw BuildFailure::of(
                'identity',
                "The parts of {$this->plan->splitter->source} are cut by the system's own splitter, which runs only "
                    .'in the exported script. Export the script and prove the stick here afterwards. Nothing was '
                        .'written.',
            );
        }
        $this->source->mustBe($this->plan);
        $scratch = BuildSteps::scratch($this->plan, self::STREAM_FROM);
        $free = (int) disk_free_space(sys_get_temp_dir());
        if ($scratch * 11 > $free * 10) {
            throw BuildFailure::of(
                'room',
                'Unpacking needs '.
                    number_format($scratch / 1e6, 1).
                    ' MB on this computer, '.
                    number_format($free / 1e6, 1).
                    ' MB are free.',
            );
        }
        $this->stick->mustBeWritable();
    }

    /** @return float seconds it took */
    private function write(): float
    {
        $begun = microtime(true);
        $this->wipe();
        try {
            if ($this->plan->mode === WriteMode::Raw) {
                (new RawWriter($this->plan, $this->stick, $this->source, $this->progress))->write();
            } else {
                $this->table();
                $this->fileSystems();
                (new FileCopier($this->plan, $this->stick, $this->source, $this->progress))->copy();
            }
            $this->progress->stage('Flush to the stick', 0);
            $this->stick->settle();
        } catch (BuildFailure $e) {
            throw $e;
        } catch (RuntimeException $e) {
            throw BuildFailure::of('write', $e->getMessage());
        }

        return microtime(true) - $begun;
    }

    private function wipe(): void
    {
        $this->progress->stage('Clear both ends', 2 * BuildSteps::WIPE);
        $handle = @fopen($this->stick->path(), 'r+b');
        if ($handle === false) {
            throw BuildFailure::of('protected', 'The stick cannot be opened for writing.');
        }
        $zeros = str_repeat("\0", min(BuildSteps::WIPE, $this->plan->device));
        foreach ([0, $this->plan->device - strlen($zeros)] as $at) {
            fseek($handle, $at);
            if (@fwrite($handle, $zeros) !== strlen($zeros)) {
                throw BuildFailure::of('room', 'The stick took no bytes: this computer\'s drive is full.');
            }
        }
        fclose($handle);
        $this->stick->wrote(2 * strlen($zeros));
    }

    private function table(): void
    {
        $this->progress->stage('Write the partition table', 0);
        if ($this->plan->layout === null || $this->plan->sector === 512) {
            Command::run(BuildSteps::sfdisk($this->stick->path()), 60, BuildSteps::sfdiskScript($this->plan));

            return;
        }
        // sfdisk takes the size of a sector from a real device only; on a file of 4096 the same table is written byte
        // by byte.
        $handle =
            @fopen($this->stick->path(), 'r+b') ?:
            throw BuildFailure::of('protected', 'The stick cannot be opened for writing.');
        foreach (TableBytes::of($this->plan->layout) as $at => $bytes) {
            fseek($handle, $at);
            if (fwrite($handle, $bytes) !== strlen($bytes)) {
                throw BuildFailure::of('write', 'The partition table could not be written.');
            }
        }
        fclose($handle);
    }

    private function fileSystems(): void
    {
        foreach ($this->plan->layout->partitions ?? [] as $partition) {
            $this->progress->mustGoOn();
            $this->progress->stage("Make the file system of partition {$partition->number}", 0);
            $this->stick->formatted();
            try {
                VolumeMaker::make($partition, $this->plan, $this->stick->path());
            } catch (BuildFailure $e) {
                throw $e;
            } catch (RuntimeException $e) {
                throw BuildFailure::of('format', $e->getMessage());
            }
        }
    }

    /** Rule M11: after a mismatch the source is suspected first. */
    private function beforeRetry(string $kind): void
    {
        if ($kind === 'mismatch' && $this->plan->image->sha256 !== null) {
            $this->progress->stage('Hash the image again', $this->plan->image->bytes);
            if (Pump::hashOf(['cat', '--', $this->source->image])() !== $this->plan->image->sha256) {
                throw BuildFailure::of(
                    'source',
                    'The image itself has changed since it was hashed. Fetch it again and compare its checksum.',
                );
            }
        }
    }
}
