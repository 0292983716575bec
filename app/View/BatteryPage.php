<?php

declare(strict_types=1);

namespace App\View;

use App\Drawing\BatteryDrawing;
use App\Models\DrainRecord;
use App\Models\Job;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Tuning\Power\BatteryLife;
use Cobblestone\Tuning\Power\Drain;
use Cobblestone\Tuning\Power\Draw;
use InvalidArgumentException;

/** Hours of battery of a job's machine: what is known of it, what it was seen to draw, and what follows. */
final readonly class BatteryPage
{
    private const LIMITS = 8;

    /** @param  list<DrainRecord>  $drains */
    private function __construct(
        private Job $job,
        private array $drains,
        public BatteryQuestion $asked,
        public ?BatteryLife $life,
        public ?float $wanted,
        public ?string $fault,
        public ?string $known,
        private Machine $machine,
        public bool $mayWork,
    ) {
    }

    public static function of(Job $job, Machine $machine, BatteryQuestion $asked, bool $mayWork): self
    {
        $drains = DrainRecord::ofMachine($job);
        $battery = $machine->battery;
        $known = $battery === null ? null : $battery->design->label().' as new'
            .($battery->health < 1.0 ? sprintf(', %d %% of that left', round(100 * $battery->health)) : '');
        [$life, $wanted, $fault] = [null, null, null];
        try {
            $draw = $drains === [] ? $asked->drawn() : Draw::learned(array_map(
                static fn (DrainRecord $one): Drain => $one->drain(),
                $drains,
            ));
            $life = $draw === null || $asked->wh === '' ? null : $asked->life($draw);
            $wanted = $asked->wanted();
        } catch (InvalidArgumentException $e) {
            $fault = $e->getMessage();
        }

        $mayWork = $mayWork && $job->isOpen();

        return new self($job, $drains, $asked, $life, $wanted, $fault, $known, $machine, $mayWork);
    }

    public function isLearned(): bool
    {
        return $this->drains !== [];
    }

    /** What is missing before anything can be told; null where nothing is. */
    public function missing(): ?string
    {
        return match (true) {
            $this->life !== null || $this->fault !== null => null,
            $this->asked->wh === '' && $this->machine->kind === Kind::Desktop => 'A desktop runs from the wall. '
                .'Where it has a battery all the same, say its watt-hours as new.',
            $this->asked->wh === '' => 'No battery of this machine is known: say its watt-hours as new.',
            default => 'Nobody has seen yet what it draws: note a drain, at two limits best, or say what it draws '
                .'at no load.',
        };
    }

    /** What the draw rests on. */
    public function ground(): string
    {
        $draw = $this->life?->draw;
        if ($draw === null) {
            return '';
        }
        $count = $draw->from === 1 ? 'one drain' : "{$draw->from} drains";
        $from = match (true) {
            $draw->from === 0 => 'the first as you said, the second as is usual.',
            $draw->isLoadLearned => "learned from {$count}.",
            $this->limitsSeen() < 2 => "learned from {$count}, at one limit only, so the second is the usual one. "
                .'Drain at another limit.',
            default => "learned from {$count}, which do not hang together: the second is the usual one. "
                .'Was the work the same?',
        };

        return sprintf(
            '%.1f W whatever the limit is, and %d %% of the limit: %s',
            $draw->baseW,
            round(100 * $draw->load),
            $from,
        );
    }

    private function limitsSeen(): int
    {
        return count(array_unique(array_map(
            static fn (DrainRecord $one): string => (string) $one->limit_w,
            $this->drains,
        )));
    }

    public function usable(): string
    {
        return $this->life === null ? '' : sprintf('%.1f Wh of it can be used.', $this->life->usableWh());
    }

    /** @return list<array{name: string, label: string, value: string}> */
    public function fields(): array
    {
        $fields = [
            ['name' => 'wh', 'label' => 'As new, Wh', 'value' => $this->asked->wh],
            ['name' => 'health', 'label' => 'Left of that, %', 'value' => $this->asked->health],
            ['name' => 'charge', 'label' => 'Charged to, %', 'value' => $this->asked->charge],
            ['name' => 'reserve', 'label' => 'Asleep at, %', 'value' => $this->asked->reserve],
            ['name' => 'hours', 'label' => 'Hours wanted', 'value' => $this->asked->hours],
        ];

        return $this->isLearned() ? $fields : [
            ...$fields,
            ['name' => 'base', 'label' => 'Drawn anyway, W', 'value' => $this->asked->base],
        ];
    }

    /** @return list<array{limit: string, draw: string, hours: string}> */
    public function rows(): array
    {
        $life = $this->life;

        return $life === null ? [] : array_map(static fn (float $limit): array => [
            'limit' => sprintf('%d W', $limit),
            'draw' => sprintf('%.1f W', $life->draw->at($limit)),
            'hours' => self::hours($life->hours($limit)),
        ], $this->limits($life));
    }

    public function answer(): ?string
    {
        if ($this->life === null || $this->wanted === null) {
            return null;
        }
        $limit = $this->life->limitFor($this->wanted);
        $hours = self::hours($this->wanted);

        $can = $this->machine->model?->powerLimits;

        return match (true) {
            $limit === null => "No limit gives {$hours}: what it draws anyway is too much.",
            $can !== null && $limit < $can->leastW => "No limit of this model gives {$hours}: {$can->leastW} W is the "
                .'least that can be set.',
            $can !== null && $limit > $can->mostW => "{$hours} at any limit: {$can->mostW} W is this model's ceiling.",
            default => sprintf('%s at a limit of %.1f W at most.', $hours, $limit),
        };
    }

    public function everyday(): EverydayLimit
    {
        return new EverydayLimit($this->machine, $this->life, $this->wanted, $this->mayWork);
    }

    /** @return list<array{id: int, limit: string, drained: string, draw: string, by: string, at: string, own: bool}> */
    public function drains(): array
    {
        return array_map(fn (DrainRecord $one): array => [
            'id' => $one->id,
            'limit' => sprintf('%.1f W', $one->limit_w),
            'drained' => sprintf('%.1f Wh in %d min', $one->watt_hours, round($one->minutes)),
            'draw' => sprintf('%.1f W', $one->drain()->watts()),
            'by' => $one->user->title,
            'at' => Words::time($one->created_at),
            'own' => $one->job_id === $this->job->id,
        ], $this->drains);
    }

    public function drawing(): ?BatteryDrawing
    {
        $life = $this->life;
        if ($life === null) {
            return null;
        }
        $limits = $this->limits($life);

        return BatteryDrawing::of($life, $limits[0], $limits[count($limits) - 1], array_map(
            static fn (DrainRecord $one): Drain => $one->drain(),
            $this->drains,
        ), $this->wanted);
    }

    /**
     * Limits that are worth telling: those that the model can be set to, else from a tenth of the battery's watt-hours
     * to about its whole, in even steps of whole watts.
     *
     * @return non-empty-list<float>
     */
    private function limits(BatteryLife $life): array
    {
        $can = $this->machine->model?->powerLimits;
        if ($can !== null) {
            $wide = max(1.0, ceil(($can->mostW - $can->leastW) / (self::LIMITS - 1)));
            $within = array_filter(
                array_map(static fn (int $i): float => $can->leastW + $wide * $i, range(0, self::LIMITS - 2)),
                static fn (float $limit): bool => $limit < $can->mostW,
            );

            return [...array_values($within), (float) $can->mostW];
        }
        $step = max(1.0, round($life->designWh / self::LIMITS));
        $first = max(1.0, round($life->designWh / 10));

        return array_map(static fn (int $i): float => $first + $step * $i, range(0, self::LIMITS - 1));
    }

    private static function hours(float $hours): string
    {
        $minutes = (int) round($hours * 60);

        return intdiv($minutes, 60).' h '.str_pad((string) ($minutes % 60), 2, '0', STR_PAD_LEFT);
    }
}
