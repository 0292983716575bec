<?php

namespace App\Drawing;

use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Port;

/** The side of a machine as one faces it, with its sockets in their places and the wanted one marked (rules F7, J5). */
final class PortDrawing
{
    public const WIDTH = 420;

    public const HEIGHT = 150;

    /** Width and height of a side, by kind of machine, in the drawing's units. */
    private const SIDES = [
        'desktop' => ['front' => [120, 118], 'rear' => [120, 118]],
        'laptop' => ['left' => [330, 30], 'right' => [330, 30], 'rear' => [330, 34]],
        'handheld' => ['top' => [330, 42], 'bottom' => [330, 42], 'left' => [120, 44], 'right' => [120, 44]],
        'sealed' => ['rear' => [250, 74], 'left' => [330, 30], 'right' => [330, 30]],
    ];

    /** What lies at the two ends of a side, as one faces it. */
    private const ENDS = [
        'front' => ['left', 'right'],
        'rear' => ['its right side', 'its left side'],
        'left' => ['rear', 'front'],
        'right' => ['front', 'rear'],
        'top' => ['left', 'right'],
        'bottom' => ['left', 'right'],
    ];

    /**
     * @param  list<array{x: float, y: float, w: float, h: float, words: string, wanted: bool,
     *     connector: string}>  $sockets
     * @param  array{string, string}  $ends  what lies at its left and right end
     */
    private function __construct(
        public readonly string $side,
        public readonly string $outline,
        public readonly array $sockets,
        public readonly array $ends,
    ) {
    }

    /** What the drawing shows, for who cannot see it. */
    public function words(): string
    {
        return ucfirst($this->side).' of the machine: '.implode('; ', array_map(
            static fn (array $socket): string => $socket['words'].($socket['wanted'] ? ', this one' : ''),
            $this->sockets,
        ));
    }

    /** How round a socket's corners are. */
    public function corner(string $connector): float
    {
        return $connector === 'usb-c' ? 4.5 : 1.5;
    }

    /**
     * A line around the socket that is meant.
     *
     * @param  array{x: float, y: float, w: float, h: float, words: string, wanted: bool, connector: string}  $socket
     */
    public function ring(array $socket): string
    {
        return StoneShape::pebble(
            $socket['x'] - 13,
            $socket['y'] - 13,
            $socket['w'] + 26,
            $socket['h'] + 26,
            $socket['words'],
        );
    }

    /** Base line of what lies at the ends. */
    public function base(): int
    {
        return self::HEIGHT - 6;
    }

    public function right(): int
    {
        return self::WIDTH - 14;
    }

    /**
     * @param  list<Port>  $ports
     * @return self|null null where nobody wrote down which side the socket is on
     */
    public static function of(Kind $kind, array $ports, string $wanted): ?self
    {
        $side = '';
        foreach ($ports as $port) {
            $side = $port->id === $wanted ? $port->side : $side;
        }
        if ($side === '') {
            return null;
        }
        [$w, $h] = self::SIDES[$kind->value][$side] ?? [260, 50];
        [$x, $y] = [(self::WIDTH - $w) / 2, (self::HEIGHT - 24 - $h) / 2 + 4];
        $sockets = [];
        foreach ($ports as $one) {
            if ($one->side !== $side) {
                continue;
            }
            [$sw, $sh] = $one->connector === 'usb-c' ? [22, 9] : [28, 12];
            $place = $one->along ?? 0.5;
            // A tower's sockets stand one above the other; everything else has them side by side.
            $upright = $kind === Kind::Desktop;
            $sockets[] = [
                'x' => $upright ? $x + $w / 2 - $sw / 2 : $x + $w * $place - $sw / 2,
                'y' => $upright ? $y + $h * $place - $sh / 2 : $y + $h / 2 - $sh / 2,
                'w' => (float) $sw,
                'h' => (float) $sh,
                'words' => "{$one->connector}, {$one->where}",
                'wanted' => $one->id === $wanted,
                'connector' => $one->connector,
            ];
        }

        return new self(
            $side,
            StoneShape::slab($x, $y, $w, $h, "{$kind->value}-{$side}"),
            $sockets,
            self::ENDS[$side] ?? ['', ''],
        );
    }
}
