<?php

namespace App\Drawing;

use Cobblestone\Document\Fields;
use Cobblestone\Quantity\Bytes;

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

    /** @var list<array<string, mixed>> */
    public array $bands = [];

    /** @var list<array<string, mixed>> */
    public array $labels = [];

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

    /**
     * A partition of a plan's or record's layout as a band of the drawing.
     *
     * @param  mixed  $partition  as the layout was stored
     * @param  int  $sector  bytes of one
     * @return Part
     */
    public static function part(mixed $partition, int $sector, string $role, bool $lost = false): array
    {
        $fields = Fields::of($partition);
        $first = $fields->optionalInt('first_sector');

        return [
            'name' => $fields->string('name'),
            'from' => ($first ?? 0) * $sector,
            'bytes' => $fields->int('bytes'),
            'role' => $role,
            'lost' => $lost,
            'first_sector' => $first,
            'sectors' => $fields->optionalInt('sectors'),
            'type' => $fields->optionalString('type'),
            'file_system' => $fields->optionalString('file_system'),
        ];
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

    public function depth(int $at): float
    {
        return self::TOP + self::HEIGHT * (min($at, $this->total) / $this->total) ** self::EXPONENT;
    }

    public static function left(): int
    {
        return self::LEFT;
    }

    public static function core(): int
    {
        return self::CORE;
    }

    /** @param  array<string, mixed>  $part */
    private function band(array $part, bool $left): void
    {
        [$y0, $y1] = [$this->depth($part['from']), $this->depth($part['from'] + $part['bytes'])];
        $scatter = new Scatter($part['name'].$part['from']);
        [$e0, $e1, $e2] = [$scatter->between(-3, 3), $scatter->between(-3, 3), $scatter->between(-3, 3)];
        $middle = self::LEFT + self::CORE / 2;
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
            'lost' => $part['lost'],
            'y' => ($y0 + $y1) / 2,
            'thick' => $y1 - $y0,
            'left' => $left,
        ];
        $this->labels[] = [
            'name' => $part['name'],
            'size' => Bytes::of($part['bytes'])->binary(),
            'exact' => Bytes::of($part['bytes'])->exact().' · '.Bytes::of($part['bytes'])->decimal(),
            'lost' => $part['lost'],
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
