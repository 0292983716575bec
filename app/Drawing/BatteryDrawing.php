<?php

declare(strict_types=1);

namespace App\Drawing;

use Cobblestone\Tuning\Power\BatteryLife;
use Cobblestone\Tuning\Power\Drain;

/** Hours over power limits as one falling line; what was drained lies on it as grains. */
final readonly class BatteryDrawing
{
    public const WIDTH = 560;

    public const HEIGHT = 220;

    private const LEFT = 52;

    private const RIGHT = 540;

    private const TOP = 14;

    private const FLOOR = 180;

    private const POINTS = 48;

    /**
     * @param  list<array{y: float, beside: float, label: string}>  $rungs  hours
     * @param  list<array{x: float, label: string}>  $feet  watts
     * @param  list<array{x: float, y: float, label: string}>  $grains
     * @param  array{x: float, y: float, label: string}|null  $wanted
     */
    private function __construct(
        public string $line,
        public array $rungs,
        public array $feet,
        public array $grains,
        public ?array $wanted,
    ) {
    }

    /** @param  list<Drain>  $drains */
    public static function of(BatteryLife $life, float $from, float $to, array $drains, ?float $wanted): self
    {
        foreach ($drains as $drain) {
            [$from, $to] = [min($from, $drain->limitW), max($to, $drain->limitW)];
        }
        $to = max($to, $from + 1.0);
        $top = 1.05 * max($life->hours($from), ...array_map(
            static fn (Drain $one): float => $life->usableWh() / $one->watts(),
            $drains,
        ), ...[0.1]);
        $x = static fn (float $limit): float => round(
            self::LEFT + (self::RIGHT - self::LEFT) * ($limit - $from) / ($to - $from),
            1,
        );
        $y = static fn (float $hours): float => round(self::FLOOR - (self::FLOOR - self::TOP) * $hours / $top, 1);
        $points = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $limit = $from + ($to - $from) * $i / self::POINTS;
            $points[] = $x($limit).' '.$y($life->hours($limit));
        }
        $at = $wanted === null ? null : $life->limitFor($wanted);

        return new self(
            'M'.implode('L', $points),
            self::rungs($top, $y),
            array_map(static fn (int $i): array => [
                'x' => $x($from + ($to - $from) * $i / 4),
                'label' => round($from + ($to - $from) * $i / 4, 1).' W',
            ], range(0, 4)),
            array_map(static fn (Drain $one): array => [
                'x' => $x($one->limitW), 'y' => $y($life->usableWh() / $one->watts()),
                'label' => sprintf('%.1f W at a limit of %.1f W', $one->watts(), $one->limitW),
            ], $drains),
            $at === null || $at < $from || $at > $to ? null
                : ['x' => $x($at), 'y' => $y($life->hours($at)), 'label' => sprintf('%.1f W', $at)],
        );
    }

    /**
     * @param  callable(float): float  $y
     * @return list<array{y: float, beside: float, label: string}>
     */
    private static function rungs(float $top, callable $y): array
    {
        $step = match (true) {
            $top > 12 => 4.0,
            $top > 6 => 2.0,
            $top > 2 => 1.0,
            default => 0.5,
        };
        while ($top / $step > 8) {
            $step *= 2;
        }
        $rungs = [];
        for ($hours = 0.0; $hours <= $top; $hours += $step) {
            $rungs[] = ['y' => $y($hours), 'beside' => $y($hours) + 4, 'label' => "{$hours} h"];
        }

        return $rungs;
    }
}
