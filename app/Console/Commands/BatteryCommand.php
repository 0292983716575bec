<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Cobblestone\Tuning\Power\BatteryLife;
use Cobblestone\Tuning\Power\Drain;
use Cobblestone\Tuning\Power\Draw;
use Illuminate\Console\Command;
use InvalidArgumentException;

/** Hours of battery at several power limits. */
final class BatteryCommand extends Command
{
    use SaidWords;

    protected $signature = 'cobblestone:battery
        {--wh= : watt-hours of the battery as it was new}
        {--health=1 : part of that which is left}
        {--charge-limit=1 : part up to which it is charged}
        {--reserve=0.05 : part at which the system goes to sleep}
        {--base= : watts that are taken whatever the limit is}
        {--load= : part of the limit that is taken}
        {--drained=* : LIMIT_W:WH:MINUTES, as it was seen; base and load are learned from these}
        {--limits=6,10,15,20,25,30 : watts}
        {--hours= : the highest limit for so many hours}
        {--json : print the findings as JSON}';

    protected $description = 'Hours of battery at several power limits';

    public function handle(): int
    {
        try {
            $life = BatteryLife::of(
                $this->draw(),
                $this->number('wh'),
                $this->number('health'),
                $this->number('charge-limit'),
                $this->number('reserve'),
            );
            $limits = array_map(
                fn (string $one): float => self::figure($one, 'limits'),
                explode(',', $this->chosen('limits') ?? ''),
            );
            $wanted = $this->chosen('hours') === null ? null : $this->number('hours');
            if (min($limits) <= 0.0 || ($wanted !== null && $wanted <= 0.0)) {
                throw new InvalidArgumentException('Limits and hours are above 0.');
            }
        } catch (InvalidArgumentException $e) {
            $this->getOutput()->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
        $this->told($life, $limits, $wanted);

        return self::SUCCESS;
    }

    /** @param  list<float>  $limits */
    private function told(BatteryLife $life, array $limits, ?float $wanted): void
    {
        $highest = $wanted === null ? null : $life->limitFor($wanted);
        $hours = array_map(static fn (float $limit): array => [
            'limit_w' => $limit,
            'draw_w' => round($life->draw->at($limit), 2),
            'hours' => round($life->hours($limit), 2),
        ], $limits);
        if ($this->option('json')) {
            $this->output->writeln((string) json_encode([
                'usable_wh' => round($life->usableWh(), 2),
                'base_w' => round($life->draw->baseW, 2),
                'load' => round($life->draw->load, 3),
                'learned_from' => $life->draw->from,
                'limits' => $hours,
                'highest_w' => $highest === null ? null : round($highest, 1),
            ], JSON_PRETTY_PRINT | JSON_PRESERVE_ZERO_FRACTION));

            return;
        }
        $this->line(sprintf('%.1f Wh can be used.', $life->usableWh()));
        foreach ($hours as $row) {
            $this->line(sprintf('%5.1f W  %5.1f h', $row['limit_w'], $row['hours']));
        }
        $wanted === null || $this->line($highest === null
            ? "No limit gives {$wanted} h: what it takes anyway is too much."
            : sprintf('%.1f h at %.1f W at most.', $wanted, $highest));
    }

    /** @throws InvalidArgumentException */
    private function draw(): Draw
    {
        $drains = [];
        foreach ((array) $this->option('drained') as $said) {
            $parts = explode(':', (string) $said);
            if (count($parts) !== 3) {
                throw new InvalidArgumentException('--drained is LIMIT_W:WH:MINUTES.');
            }
            $drains[] = Drain::of(...array_map(fn (string $one): float => self::figure($one, 'drained'), $parts));
        }

        return $drains !== [] ? Draw::learned($drains) : Draw::given(
            $this->number('base'),
            $this->chosen('load') === null ? Draw::USUAL_LOAD : $this->number('load'),
        );
    }

    /** @throws InvalidArgumentException */
    private function number(string $option): float
    {
        return self::figure($this->chosen($option) ?? '', $option);
    }

    /** @throws InvalidArgumentException */
    private static function figure(string $said, string $option): float
    {
        return is_numeric($said) && is_finite((float) $said)
            ? (float) $said
            : throw new InvalidArgumentException("--{$option}=\"{$said}\": a number is wanted.");
    }
}
