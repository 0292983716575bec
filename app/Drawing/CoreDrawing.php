<?php

namespace App\Drawing;

use Cobblestone\Quantity\Bytes;
use Illuminate\Support\Str;

/**
 * A drive or stick as one core cut open: left half now, right half after, on one depth scale that keeps small parts
 * visible.
 *
 * @phpstan-type Part array{
 *   name: string, from: int, bytes: int, role: string, lost?: bool,
 *   first_sector?: int|null, sectors?: int|null, type?: string|null, file_system?: string|null
 * }
 */
final class CoreDrawing
{
    public const WIDTH = 360;

    private const HEIGHT = 300;

    private const TOP = 30;

    private const LEFT = 130;

    private const CORE = 100;

    /** Depth grows with this power of the place on the device. */
    public const EXPONENT = 0.32;

    /** Role => its texture in words. */
    public const ROLES = [
        'efi' => 'dots: start files',
        'reserved' => 'plain: reserved',
        'system' => 'waves: system',
        'recovery' => 'slant: recovery',
        'data' => 'crosses: data',
        'installer' => 'waves: installer',
        'old' => 'dashes: what is there now',
        'free' => 'empty: unused',
    ];

    /** @var list<array{path: string, role: string, lost: bool, y: float, thick: float, left: bool}> */
    public array $bands = [];

    /** @var list<array{name: string, size: string, exact: string, lost: bool, left: bool, at: float, y: float}> */
    private array $labels = [];

    private function __construct(private readonly int $total)
    {
    }

    /**
     * @param  int  $total  bytes of the device
     * @param  list<Part>|null  $now  null while nobody has read it
     * @param  list<Part>  $after
     */
    public static function of(int $total, ?array $now, array $after): self
    {
        $drawing = new self(max(1, $total));
        foreach ($now ?? [] as $part) {
            $drawing->band($part, true);
        }
        if ($now === null || $now === []) {
            $drawing->band(
                [
                    'name' => $now === null ? 'not read yet' : 'blank',
                    'from' => 0,
                    'bytes' => $total,
                    'lost' => false,
                    'role' => 'free',
                ],
                true,
            );
        }
        foreach ($after as $part) {
            $drawing->band([...$part, 'lost' => false], false);
        }
        $drawing->spread(true);
        $drawing->spread(false);

        return $drawing;
    }

    public function height(): int
    {
        return self::HEIGHT + self::TOP + 16;
    }

    /** The textures that this drawing uses, in words. */
    public function legend(): string
    {
        $used = array_intersect_key(self::ROLES, array_flip(array_column($this->bands, 'role')));

        return $used === [] ? '' : ucfirst(implode('; ', $used)).'.';
    }

    /** Place of a side's name. */
    public function side(bool $left): float
    {
        return $this->middle() + ($left ? -8 : 8);
    }

    /** A row of teeth across the left half: what is there is lost. */
    public function teeth(float $y): string
    {
        return sprintf('M%d %.1f', self::LEFT + 4, $y).str_repeat('l5 4l5 -4', 4);
    }

    /** Outline of the right half from that byte on, with a wavy edge: not written yet. */
    public function yet(int $from): string
    {
        $width = self::CORE;

        return sprintf(
            'M%.1f %.1fq%.1f -4 %.1f 0t%.1f 0V%.1fH%.1fZ',
            $this->middle(),
            $this->depth($from),
            $width / 8,
            $width / 4,
            $width / 4 + 3,
            $this->depth($this->total),
            $this->middle(),
        );
    }

    /**
     * Labels beside the core, each with the line that leads to its band.
     *
     * @return list<array{name: string, short: string, exact: string, size: string, class: string, end: string,
     *     x: int, y: string, below: string, lead: string}>
     */
    public function labels(): array
    {
        return array_map(static function (array $label): array {
            $edge = $label['left'] ? self::LEFT - 3 : self::LEFT + self::CORE + 3;
            $x = $label['left'] ? self::LEFT - 12 : self::LEFT + self::CORE + 12;
            $end = $label['left'] ? 'end' : '';

            return [
                'name' => $label['name'],
                'short' => Str::limit($label['name'], 17, '…'),
                'exact' => $label['exact'],
                'size' => $label['size'],
                'class' => trim($end.($label['lost'] ? ' lost' : '')),
                'end' => $end,
                'x' => $x,
                'y' => sprintf('%.1f', $label['y']),
                'below' => sprintf('%.1f', $label['y'] + 12),
                'lead' => sprintf(
                    'M%d %.1fL%d %.1f',
                    $edge,
                    $label['at'],
                    $x + ($label['left'] ? 3 : -3),
                    $label['y'] - 3,
                ),
            ];
        }, $this->labels);
    }

    /** The two ends of the core. */
    public function rim(): string
    {
        [$from, $to] = [self::LEFT - 3, self::LEFT + self::CORE + 3];

        return sprintf(
            'M%d %.1fH%dM%d %.1fH%d',
            $from,
            $this->depth(0),
            $to,
            $from,
            $this->depth($this->total),
            $to,
        );
    }

    /** The line along which it is cut open. */
    public function cut(): string
    {
        return sprintf('M%.1f %.1fV%.1f', $this->middle(), $this->depth(0) - 8, $this->depth($this->total) + 8);
    }

    private function middle(): float
    {
        return self::LEFT + self::CORE / 2;
    }

    private function depth(int $at): float
    {
        return self::TOP + self::HEIGHT * (min($at, $this->total) / $this->total) ** self::EXPONENT;
    }

    /** @param  Part  $part */
    private function band(array $part, bool $left): void
    {
        [$y0, $y1] = [$this->depth($part['from']), $this->depth($part['from'] + $part['bytes'])];
        $scatter = new Scatter($part['name'].$part['from']);
        [$e0, $e1, $e2] = [$scatter->between(-3, 3), $scatter->between(-3, 3), $scatter->between(-3, 3)];
        $middle = $this->middle();
        $edge = $left ? self::LEFT : self::LEFT + self::CORE;
        $path = sprintf(
            'M%.1f %.1fL%.1f %.1fQ%.1f %.1f %.1f %.1fL%.1f %.1fZ',
            $middle,
            $y0,
            $edge + $e0,
            $y0,
            $edge + $e2,
            ($y0 + $y1) / 2,
            $edge + $e1,
            $y1,
            $middle,
            $y1,
        );
        $this->bands[] = [
            'path' => $path,
            'role' => $part['role'],
            'lost' => $part['lost'] ?? false,
            'y' => ($y0 + $y1) / 2,
            'thick' => $y1 - $y0,
            'left' => $left,
        ];
        $this->labels[] = [
            'name' => $part['name'],
            'size' => Bytes::of($part['bytes'])->binary(),
            'exact' => Bytes::of($part['bytes'])->exact().' · '.Bytes::of($part['bytes'])->decimal(),
            'lost' => $part['lost'] ?? false,
            'left' => $left,
            'at' => ($y0 + $y1) / 2,
            'y' => ($y0 + $y1) / 2,
        ];
    }

    /** Labels of one side take at least 30 units each and stay inside the drawing; a line leads to the band. */
    private function spread(bool $left): void
    {
        $mine = array_keys(array_filter($this->labels, static fn (array $label): bool => $label['left'] === $left));
        $last = self::TOP - 26.0;
        foreach ($mine as $key) {
            $last = max($this->labels[$key]['y'], $last + 30);
            $this->labels[$key]['y'] = $last;
        }
        $limit = self::TOP + self::HEIGHT - 4.0;
        foreach (array_reverse($mine) as $key) {
            $this->labels[$key]['y'] = min($this->labels[$key]['y'], $limit);
            $limit = $this->labels[$key]['y'] - 30;
        }
    }
}
