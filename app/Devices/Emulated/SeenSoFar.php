<?php

declare(strict_types=1);

namespace App\Devices\Emulated;

use Cobblestone\Boot\Emulated\ConsoleText;

/** What a machine that runs has printed and shown so far, and for how long nothing of it was new. */
final class SeenSoFar
{
    /** Bytes on the serial line after which it is taken for endless. */
    private const MOST_PRINTED = 2_000_000;

    private const PICTURE_EVERY = 1.5;

    /** One picture may be of before the last word, and a blinking cursor makes two; a machine that draws makes more. */
    private const STILL = 3;

    private string $text = '';

    private int $bytes = 0;

    private float $changed;

    private float $pictured = 0.0;

    /** @var array<string, true> sums of the pictures since the last word */
    private array $pictures = [];

    public function __construct(private readonly string $folder)
    {
        $this->changed = microtime(true);
    }

    public function look(MachineMonitor $monitor): void
    {
        clearstatcache(true, "{$this->folder}/serial");
        $bytes = (int) @filesize("{$this->folder}/serial");
        if ($bytes > $this->bytes) {
            $this->bytes = $bytes;
            $this->text = ConsoleText::plain(
                (string) @file_get_contents("{$this->folder}/serial", length: self::MOST_PRINTED + 1),
            );
            $this->changed = microtime(true);
            $this->pictures = [];
        }
        if (microtime(true) - $this->pictured >= self::PICTURE_EVERY) {
            $this->pictured = microtime(true);
            $this->drawn((string) @hash_file('sha256', "{$this->folder}/picture.png"));
            $monitor->picture("{$this->folder}/picture.png");
        }
    }

    private function drawn(string $picture): void
    {
        if ($picture !== '' && ! isset($this->pictures[$picture])) {
            $this->pictures[$picture] = true;
            if ($this->moves()) {
                $this->changed = microtime(true);
            }
        }
    }

    public function text(): string
    {
        return $this->text;
    }

    /** Seconds since anything was printed, or a picture came that was not there before. */
    public function quiet(): float
    {
        return microtime(true) - $this->changed;
    }

    /** Whether the picture went on changing after the last word. */
    public function moves(): bool
    {
        return count($this->pictures) > self::STILL;
    }

    public function isEndless(): bool
    {
        return $this->bytes > self::MOST_PRINTED;
    }
}
