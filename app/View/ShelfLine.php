<?php

declare(strict_types=1);

namespace App\View;

use App\Models\ShelfFile;
use Cobblestone\Quantity\Bytes;

/** An image file in the list of the shelf. */
final readonly class ShelfLine
{
    private function __construct(
        public int $id,
        public string $title,
        public string $name,
        public bool $here,
        public string $kind,
        public bool $damaged,
        public string $exact,
        public string $size,
        public string $starts,
        public ProofLine $proof,
    ) {
    }

    public static function of(ShelfFile $file): self
    {
        $report = $file->inspected();

        return new self(
            $file->id,
            $file->title(),
            $file->title() === $file->name ? '' : $file->name,
            $file->here,
            match (true) {
                $report !== null => ShelfWords::kind($report),
                $file->here => 'being looked into …',
                default => 'not looked into',
            },
            $report?->isDamaged() === true,
            Bytes::of($file->bytes)->exact(),
            Bytes::of($file->bytes)->decimal(),
            $report === null ? '' : ShelfWords::starts($report),
            ProofLine::of($file),
        );
    }
}
