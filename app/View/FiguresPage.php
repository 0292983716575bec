<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\Experience;
use App\Bridge\Figures;
use App\Bridge\LearnedTime;
use App\Drawing\MonthStones;
use Cobblestone\Runbook\TimesSeen;
use stdClass;

/** The figures of the logbook: minutes lost by month, what cost them, what was waived, which sticks failed. */
final readonly class FiguresPage
{
    /** What can be taken away => its heading. */
    public const TABLES = [
        'troubles' => ['month', 'symptom', 'cause', 'machine', 'image', 'stick', 'times', 'minutes'],
        'waived' => ['month', 'what', 'times'],
        'sticks' => ['month', 'stick', 'what', 'times'],
        'durations' => ['model', 'system', 'stone', 'times', 'half up to', 'from, to', 'left out', 'with which stick'],
    ];

    /** Tables that stand on the page as they are taken away => what they are. */
    public const TITLES = [
        'waived' => 'What was waived',
        'sticks' => 'Sticks that failed',
        'durations' => 'How long it takes here',
    ];

    /** What such a table is used for. */
    public const NOTES = [
        'durations' => 'Paths go by these from the first time on; what was worked out counts as much as '
            .TimesSeen::PULL.' times. Where a stone reads from a stick, that stick\'s own times count most.',
    ];

    private const LISTED = 12;

    /**
     * @param  list<stdClass>  $troubles
     * @param  list<stdClass>  $waived
     * @param  list<stdClass>  $sticks
     * @param  list<LearnedTime>  $times
     * @param  array<string, string>  $names  symptom => how it is called
     */
    private function __construct(
        private array $troubles,
        private array $waived,
        private array $sticks,
        private array $times,
        private array $names,
    ) {
    }

    /** @param  array<string, string>  $names  symptom => how it is called */
    public static function now(Figures $figures, Experience $experience, array $names): self
    {
        return new self(
            $figures->troubles(),
            $figures->waivers(),
            $figures->sticks(),
            $experience->learnedTimes(),
            $names,
        );
    }

    public function drawing(): MonthStones
    {
        $minutes = array_fill_keys(Figures::months(), 0);
        foreach ($this->troubles as $row) {
            isset($minutes[$row->month]) && $minutes[$row->month] += (int) $row->minutes;
        }

        return MonthStones::of($minutes);
    }

    public function isEmpty(): bool
    {
        return $this->troubles === [];
    }

    public function sentence(): string
    {
        $many = array_sum(array_map(static fn (stdClass $row): int => (int) $row->many, $this->troubles));
        $minutes = array_sum(array_map(static fn (stdClass $row): int => (int) $row->minutes, $this->troubles));

        return $many === 1
            ? "One problem in twelve months, {$minutes} min until it went on."
            : "{$many} problems in twelve months, {$minutes} min until they went on.";
    }

    /** @return list<array{symptom: string, cause: string, many: int, minutes: int}> the costliest first */
    public function causes(): array
    {
        $causes = [];
        foreach ($this->troubles as $row) {
            $key = $this->name($row)."\0{$row->cause}";
            $causes[$key] ??= ['symptom' => $this->name($row), 'cause' => $this->cause($row), 'many' => 0,
                'minutes' => 0];
            $causes[$key]['many'] += (int) $row->many;
            $causes[$key]['minutes'] += (int) $row->minutes;
        }
        usort($causes, static fn (array $a, array $b): int => [$b['minutes'], $b['many']] <=> [
            $a['minutes'], $a['many'],
        ]);

        return array_slice($causes, 0, self::LISTED);
    }

    /** @return list<array{0: string, 1: string, 2: int, 3: int}> kind of thing, which one, times, minutes */
    public function where(): array
    {
        $where = [];
        foreach (['model' => 'machine', 'image' => 'image', 'stick' => 'stick'] as $of => $said) {
            foreach ($this->troubles as $row) {
                if ($row->{$of} !== '') {
                    $key = "{$said} {$row->{$of}}";
                    $where[$key] ??= [$said, (string) $row->{$of}, 0, 0];
                    $where[$key][2] += (int) $row->many;
                    $where[$key][3] += (int) $row->minutes;
                }
            }
        }
        usort($where, static fn (array $a, array $b): int => [$b[3], $b[2]] <=> [$a[3], $a[2]]);

        return array_slice($where, 0, self::LISTED);
    }

    /** @return list<list<string|int>> rows of a table to take away */
    public function rows(string $table): array
    {
        return match ($table) {
            'waived' => array_map(static fn (stdClass $row): array => [
                (string) $row->month, (string) $row->what, (int) $row->many,
            ], $this->waived),
            'sticks' => array_map(static fn (stdClass $row): array => [
                (string) $row->month, (string) $row->stick, (string) $row->what, (int) $row->many,
            ], $this->sticks),
            'durations' => array_map(static fn (LearnedTime $time): array => [
                $time->machine, $time->system, $time->title, $time->many, $time->middle, $time->range,
                implode(', ', $time->out), $time->withSticks(),
            ], $this->times),
            default => array_map(fn (stdClass $row): array => [
                (string) $row->month, $this->name($row), $this->cause($row), (string) $row->model,
                (string) $row->image, (string) $row->stick, (int) $row->many, (int) $row->minutes,
            ], $this->troubles),
        };
    }

    private function name(stdClass $row): string
    {
        return $this->names[(string) $row->symptom] ?? (string) $row->said;
    }

    private function cause(stdClass $row): string
    {
        return (string) $row->cause === '' ? 'nobody named one' : (string) $row->cause;
    }
}
