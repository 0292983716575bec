<?php

declare(strict_types=1);

namespace App\View;

use App\Drawing\CoreDrawing;
use Cobblestone\Quantity\Bytes;

/**
 * A device as one core cut open, with the table that says the same.
 *
 * @phpstan-import-type Part from CoreDrawing
 */
final readonly class CoreFigure
{
    public CoreDrawing $drawing;

    /**
     * @param  list<Part>|null  $left  null while nobody has read it
     * @param  list<Part>  $right
     * @param  list<Part>|null  $drawn  the right side as it is drawn, where that is more than its parts
     * @param  array{0: string, 1: string}  $sides  what left and right are
     * @param  int|null  $filled  bytes from the start that are done, while it is built
     */
    public function __construct(
        public string $title,
        public string $note,
        private int $bytes,
        private int $sector,
        private string $scheme,
        private ?array $left,
        private array $right,
        ?array $drawn = null,
        public array $sides = ['now', 'after'],
        private ?int $filled = null,
    ) {
        $this->drawing = CoreDrawing::of($bytes, $left, $drawn ?? $right);
    }

    public function exact(): string
    {
        return Bytes::of($this->bytes)->exact();
    }

    /** "256.1 GB, shown as 238.5 GiB" */
    public function size(): string
    {
        return Bytes::of($this->bytes)->decimal().', shown as '.Bytes::of($this->bytes)->binary();
    }

    /** Outline of what is not written yet; null where all is, or nothing is under way. */
    public function yet(): ?string
    {
        return $this->filled === null || $this->filled >= $this->bytes ? null : $this->drawing->yet($this->filled);
    }

    /**
     * @return list<array{side: string, name: string, system: string, first: string, sectors: string, bytes: string}>
     */
    public function rows(): array
    {
        $rows = [];
        foreach ([$this->left ?? [], $this->right] as $side => $parts) {
            foreach ($parts as $part) {
                $rows[] = [
                    'side' => $this->sides[$side],
                    'name' => $part['name'],
                    'system' => $side === 1 ? (string) ($part['file_system'] ?? '') : '',
                    'first' => (string) ($part['first_sector'] ?? '–'),
                    'sectors' => (string) ($part['sectors'] ?? '–'),
                    'bytes' => self::grouped($part['bytes']),
                ];
            }
        }

        return $rows;
    }

    /** "GPT, sectors of 512 bytes, 500 118 192 in all." */
    public function table(): string
    {
        return strtoupper($this->scheme).", sectors of {$this->sector} bytes, ".
            self::grouped(intdiv($this->bytes, $this->sector)).' in all.';
    }

    private static function grouped(int $number): string
    {
        return number_format($number, 0, '.', ' ');
    }
}
