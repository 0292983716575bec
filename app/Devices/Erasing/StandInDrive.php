<?php

declare(strict_types=1);

namespace App\Devices\Erasing;

use App\Devices\Build\BuildFailure;
use App\Devices\Build\BuildProgress;
use Cobblestone\Hardware\Erasure\ErasableDrive;
use Cobblestone\Hardware\Erasure\ErasureWay;
use Cobblestone\Quantity\Bytes;

/**
 * A drive that ships with the application: it remembers which parts of it hold something, and holds no byte of it.
 * The faults of its profile are those of real drives: a command that is refused, one that ends on its way, a part that
 * no command reaches, a part that cannot be read, a drive that vanishes.
 */
final readonly class StandInDrive implements EraseDevice
{
    /** Bytes of a step after which somebody may cancel. */
    private const STEP = 4_000_000_000;

    /** @param  array<string, mixed>  $profile  model, serial, bytes, flash, sanitize, encrypts, failing, faults */
    public function __construct(private array $profile, private string $file)
    {
    }

    public function drive(): ErasableDrive
    {
        if (($this->state()['gone'] ?? false) === true) {
            throw BuildFailure::of('gone', 'The drive is not there any more.');
        }

        return new ErasableDrive(
            (string) $this->profile['model'],
            is_string($this->profile['serial'] ?? null) ? $this->profile['serial'] : null,
            Bytes::of((int) $this->profile['bytes']),
            (bool) ($this->profile['flash'] ?? false),
            (bool) ($this->profile['sanitize'] ?? false),
            (bool) ($this->profile['encrypts'] ?? false),
            (bool) ($this->profile['failing'] ?? false),
        );
    }

    public function erase(ErasureWay $way, BuildProgress $progress): void
    {
        $size = $this->drive()->size->count;
        if ($this->fault('refused') === $way->value) {
            throw BuildFailure::of('protected', 'The drive refuses the command: its firmware has frozen it. Take its '
                .'power away for a moment, and try once more.');
        }
        $progress->stage(ucfirst($way->title()), $size);
        $end = $this->fault('ends_at');
        for ($at = 0; $at < $size; $at = $next) {
            // What the drive does by itself cannot be called back; only an overwrite ends where somebody cancels.
            $way === ErasureWay::Overwrite && $progress->mustGoOn();
            $next = min($size, $at + self::STEP);
            if (is_int($end) && $next > $end) {
                $this->remember(['erased_to' => $end, 'key' => $this->key()]);
                throw BuildFailure::of('write', 'The drive ended the command on its way, with an error of its own.');
            }
            $this->remember($way === ErasureWay::Crypto
                ? ['key' => $this->key() + ($at === 0 ? 1 : 0)]
                : ['erased_to' => $next, 'key' => $this->key()]);
            $progress->at($next);
        }
    }

    public function at(int $offset, int $length): ?string
    {
        if (self::isIn($offset, $this->fault('unreadable'))) {
            return null;
        }
        $holds = array_filter(
            (array) ($this->profile['holds'] ?? []),
            static fn (mixed $part): bool => self::isIn($offset, $part),
        ) !== [];
        $erased = $offset < (int) ($this->state()['erased_to'] ?? 0) && ! self::isIn($offset, $this->fault('kept'));
        if (! $holds || $erased) {
            return str_repeat("\0", $length);
        }

        // Another key shows other bytes of the same cells.
        $key = self::isIn($offset, $this->fault('kept')) ? 0 : $this->key();
        $bytes = '';
        for ($i = 0; strlen($bytes) < $length; $i++) {
            $bytes .= hash('sha256', "{$this->file} {$key} {$offset} {$i}", true);
        }

        return substr($bytes, 0, $length);
    }

    private static function isIn(int $offset, mixed $part): bool
    {
        return is_array($part) && isset($part[0], $part[1]) && $offset >= $part[0] && $offset < $part[0] + $part[1];
    }

    private function key(): int
    {
        return (int) ($this->state()['key'] ?? 0);
    }

    private function fault(string $name): mixed
    {
        return is_array($this->profile['faults'] ?? null) ? $this->profile['faults'][$name] ?? null : null;
    }

    /** @return array<string, mixed> */
    private function state(): array
    {
        $state = json_decode((string) @file_get_contents($this->file), true);

        return is_array($state) ? $state : [];
    }

    /** @param  array<string, mixed>  $state */
    private function remember(array $state): void
    {
        file_put_contents($this->file, json_encode([...$this->state(), ...$state]), LOCK_EX);
    }
}
