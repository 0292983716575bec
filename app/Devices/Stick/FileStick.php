<?php

namespace App\Devices\Stick;

use App\Devices\Build\BuildFailure;
use App\Devices\Command;
use Cobblestone\Media\Build\StickTarget;

/** A plain file taken for a stick: it has a size, and no serial. */
class FileStick implements StickDevice
{
    public function __construct(protected readonly string $file, private readonly int $sector = 512)
    {
    }

    /** A new file of that many bytes, or the one that is there. */
    public static function ofSize(string $file, int $bytes, int $sector = 512): self
    {
        if (! is_file($file)) {
            $handle = @fopen($file, 'xb');
            if ($handle === false || ! ftruncate($handle, max(0, $bytes))) {
                throw BuildFailure::of(
                    'room',
                    basename($file).' cannot be made here. Check the folder and the room on the drive.',
                );
            }
            fclose($handle);
        }

        return new self($file, $sector);
    }

    public function target(): StickTarget
    {
        clearstatcache(true, $this->file);
        $this->mustBeThere();

        return new StickTarget((int) filesize($this->file), $this->sector);
    }

    public function path(): string
    {
        return $this->file;
    }

    public function mustBeWritable(): void
    {
        $this->mustBeThere();
        if (! is_writable($this->file)) {
            throw BuildFailure::of('protected', basename($this->file).' cannot be written.');
        }
    }

    public function formatted(): void
    {
    }

    public function wrote(int $bytes): void
    {
        $this->mustBeThere();
    }

    public function isPaced(): bool
    {
        return false;
    }

    public function settle(): void
    {
        $this->mustBeThere();
        Command::run(
            [
                'dd',
                'if=/dev/null',
                "of={$this->file}",
                'oflag=nocache',
                'conv=notrunc,fdatasync',
                'count=0',
                'status=none',
            ],
            null,
        );
    }

    protected function mustBeThere(): void
    {
        if (! is_file($this->file)) {
            throw BuildFailure::of('gone', 'The stick is not there any more.');
        }
    }
}
