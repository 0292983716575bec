<?php

declare(strict_types=1);

namespace App\Drawing;

use Cobblestone\Assessment\Memory\MemoryBench;
use Cobblestone\Assessment\Memory\MemorySheet;
use Illuminate\Support\Str;

/** The slots of a board in a row, with the modules as the next test wants them. */
final readonly class SlotDrawing
{
    private const WIDTH = 96;

    public const HEIGHT = 150;

    /**
     * @param  list<array{rail: string, tile: string, class: string, middle: int, module: string, size: string,
     *     slot: string}>  $slots  tile: empty outline where nothing stands in it
     * @param  string  $words  what it shows, for who cannot see it
     */
    private function __construct(public array $slots, public string $words)
    {
    }

    public static function of(MemorySheet $sheet): self
    {
        $slots = [];
        $words = [];
        $placed = $sheet->next->placed ?? [];
        foreach ($sheet->bench->slots as $index => $slot) {
            $module = array_search($slot, $placed, true);
            $words[] = "{$slot}: ".($module === false ? 'empty' : $module);
            $slots[] = self::slot($sheet, $index * self::WIDTH + 8, $slot, $module === false ? null : (string) $module);
        }

        return new self($slots, implode('; ', $words));
    }

    public function width(): int
    {
        return count($this->slots) * self::WIDTH + 8;
    }

    /** The widest it is shown, in pixels. */
    public function widest(): int
    {
        return count($this->slots) * 130;
    }

    /**
     * @return array{rail: string, tile: string, class: string, middle: int, module: string, size: string, slot: string}
     */
    private static function slot(MemorySheet $sheet, int $x, string $slot, ?string $module): array
    {
        $wide = self::WIDTH - 22;
        $right = $x + self::WIDTH - 18;
        $fault = $sheet->verdict->fault;
        $bad = $module !== null && ($fault?->module === $module || $fault?->slot === $slot);
        $gib = $module === MemoryBench::SPARE ? $sheet->bench->spare : ($sheet->bench->modules[$module] ?? '?');

        return [
            'rail' => 'M'.($x + 6)." 118h{$wide}v8h-{$wide}z",
            'tile' => $module === null
                ? 'M'.($x + 8)." 108V40M{$right} 108V40"
                : StoneShape::slab($x + 4, 30, self::WIDTH - 18, 84, "memory {$module}"),
            'class' => $module === null ? 'tile-empty' : ($bad ? 'tile bad' : 'tile'),
            'middle' => $x + intdiv(self::WIDTH - 10, 2),
            'module' => $module === null ? '' : Str::limit($module, 7, '…'),
            'size' => $module === null ? 'empty' : "{$gib} GiB",
            'slot' => Str::limit($slot, 13, '…'),
        ];
    }
}
