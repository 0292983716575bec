<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Machine\Battery;
use Cobblestone\Tuning\Power\BatteryLife;
use Cobblestone\Tuning\Power\Draw;
use InvalidArgumentException;

/** What is asked of a battery, as it was typed: empty where nothing was, and then from what is known of it. */
final readonly class BatteryQuestion
{
    public const NAMES = ['wh', 'health', 'charge', 'reserve', 'base', 'hours'];

    private const RESERVE = '5';

    private const MOST = 1000;

    private function __construct(
        public string $wh,
        public string $health,
        public string $charge,
        public string $reserve,
        public string $base,
        public string $hours,
    ) {
    }

    /** @param  array<string, string>  $said  as it was typed, by NAMES; what is missing was not asked */
    public static function of(array $said, ?Battery $battery): self
    {
        $typed = static fn (string $name, string $else): string => mb_substr(trim($said[$name] ?? $else), 0, 12);
        $plain = static fn (float $figure): string => (string) round($figure, 1);

        return new self(
            $typed('wh', $battery === null ? '' : $plain($battery->design->milliwattHours / 1000)),
            $typed('health', $battery === null ? '100' : $plain(100 * $battery->health)),
            $typed('charge', '100'),
            $typed('reserve', self::RESERVE),
            $typed('base', ''),
            $typed('hours', ''),
        );
    }

    /** @throws InvalidArgumentException with what is wrong, in words */
    public function life(Draw $draw): BatteryLife
    {
        return BatteryLife::of(
            $draw,
            self::figure($this->wh, 'Watt-hours'),
            self::figure($this->health, 'What is left of it') / 100,
            self::figure($this->charge, 'The charge limit') / 100,
            self::figure($this->reserve, 'Where it goes to sleep') / 100,
        );
    }

    /** @throws InvalidArgumentException */
    public function drawn(): ?Draw
    {
        return $this->base === '' ? null : Draw::given(self::figure($this->base, 'What it draws anyway'));
    }

    /** @throws InvalidArgumentException */
    public function wanted(): ?float
    {
        $hours = $this->hours === '' ? null : self::figure($this->hours, 'The hours wanted');

        return $hours !== null && $hours <= 0.0
            ? throw new InvalidArgumentException('The hours wanted are above 0.') : $hours;
    }

    private static function figure(string $said, string $what): float
    {
        $said = str_replace(',', '.', $said);

        return is_numeric($said) && abs((float) $said) <= self::MOST ? (float) $said
            : throw new InvalidArgumentException("{$what}: a number is wanted, ".self::MOST.' at most.');
    }
}
