<?php

namespace App\Devices\Stick;

use App\Devices\Build\BuildFailure;
use Cobblestone\Media\Build\StickTarget;

/**
 * A stick that ships with the application: a sparse file with a profile beside it that says how it behaves.
 * The profile's faults are those of real sticks: less room than claimed, bad places, a switch for writing,
 * a first format that fails, an end in the middle of writing.
 */
final class StandInStick extends FileStick
{
    /** @param  array<string, mixed>  $profile */
    private function __construct(string $file, private array $profile, private readonly string $profileFile)
    {
        parent::__construct($file, (int) ($profile['sector_bytes'] ?? 512));
    }

    /**
     * Opens the stand-in of that name, making it when it is new.
     *
     * @param  array{serial: string|null, bytes: int, sector_bytes: int, write_mb_s: float|int, faults: array<string,
     *     mixed>}  $profile
     */
    public static function open(string $folder, string $slug, array $profile): self
    {
        is_dir($folder) || @mkdir($folder, 0775, true);
        $stick = new self("{$folder}/{$slug}.img", $profile, "{$folder}/{$slug}.json");
        if (! is_file("{$folder}/{$slug}.img") && ! ($stick->state()['gone'] ?? false)) {
            $handle = @fopen("{$folder}/{$slug}.img", 'xb');
            if ($handle === false || ! ftruncate($handle, max(0, $profile['bytes']))) {
                throw BuildFailure::of(
                    'room',
                    "The stand-in stick {$slug} cannot be made. Check the room on this computer's drive.",
                );
            }
            fclose($handle);
            Owner::asFolder("{$folder}/{$slug}.img");
        }

        return $stick;
    }

    public function target(): StickTarget
    {
        $this->mustBeThere();

        return new StickTarget(
            parent::target()->bytes,
            (int) $this->profile['sector_bytes'],
            $this->profile['serial'],
        );
    }

    public function mustBeWritable(): void
    {
        parent::mustBeWritable();
        if ($this->fault('write_protected')) {
            throw BuildFailure::of('protected', 'The stick refuses to be written: it is write-protected.');
        }
    }

    public function formatted(): void
    {
        $formats = (int) ($this->state()['formats'] ?? 0);
        $this->remember(['formats' => $formats + 1]);
        if ($formats === 0 && $this->fault('first_format_fails')) {
            throw BuildFailure::of('format', 'The file system could not be made: the stick did not take it.');
        }
    }

    public function wrote(int $bytes): void
    {
        parent::wrote($bytes);
        $written = (int) ($this->state()['written'] ?? 0) + $bytes;
        $this->remember(['written' => $written]);
        $limit = $this->fault('dies_after_bytes');
        if (is_int($limit) && $written > $limit && ! ($this->state()['revived'] ?? false)) {
            $this->remember(['gone' => true]);
            throw BuildFailure::of('gone', 'The stick vanished while it was written.');
        }
        if ($this->isPaced()) {
            usleep((int) ($bytes / ((float) $this->profile['write_mb_s'])));
        }
    }

    public function isPaced(): bool
    {
        return (bool) $this->fault('paced');
    }

    public function settle(): void
    {
        $this->mustBeThere();
        $true = $this->fault('true_bytes');
        $handle = fopen($this->file, 'r+b');
        if ($handle === false) {
            return;
        }
        if (is_int($true)) {
            ftruncate($handle, max(0, $true));
            ftruncate($handle, max(0, max($true, $this->profile['bytes'])));
        }
        foreach ((array) $this->fault('bad_blocks') as $at) {
            if (is_int($at)) {
                fseek($handle, $at);
                fwrite($handle, str_repeat("\xBD", 512));
            }
        }
        fclose($handle);
        parent::settle();
    }

    /** Pulled out and plugged in again. */
    public function replug(): void
    {
        $this->remember(['gone' => false, 'revived' => true]);
    }

    protected function mustBeThere(): void
    {
        if ($this->state()['gone'] ?? false) {
            throw BuildFailure::of('gone', 'The stick is not there any more.');
        }
        parent::mustBeThere();
    }

    private function fault(string $name): mixed
    {
        return $this->profile['faults'][$name] ?? null;
    }

    /** @return array<string, mixed> */
    private function state(): array
    {
        return is_file($this->profileFile)
            ? (array) json_decode((string) file_get_contents($this->profileFile), true)
            : [];
    }

    /** @param  array<string, mixed>  $change */
    private function remember(array $change): void
    {
        file_put_contents($this->profileFile, json_encode([...$this->state(), ...$change]), LOCK_EX);
        Owner::asFolder($this->profileFile);
    }
}
