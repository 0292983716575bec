<?php

declare(strict_types=1);

namespace App\View;

use App\Drawing\StoneShape;
use Cobblestone\Firmware\UpdatePath;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\Release;
use Cobblestone\Text\Counted;

/** The releases of a board's firmware, and the way through them. */
final readonly class UpdatePage
{
    /**
     * @param  list<Release>  $releases
     * @param  string|null  $now  the version on the board; null where nobody has read it
     * @param  bool  $asked  whether the job is about the firmware
     */
    public function __construct(
        public array $releases,
        public ?string $now,
        public ?UpdatePath $path,
        private Machine $machine,
        public bool $asked,
    ) {
    }

    /** Why there is no way, or nothing to do; null where there is one. */
    public function fault(): ?string
    {
        return $this->path?->fault;
    }

    /** Whether that is trouble, and not that the board is there already. */
    public function isWrong(): bool
    {
        return version_compare((string) $this->now, (string) $this->path?->target, '<');
    }

    /** @return list<array{name: string, shape: string, words: string}> the board and every stop as stones */
    public function stones(): array
    {
        $stops = $this->path->stops ?? [];
        $last = count($stops) - 1;
        $stones = [[
            'name' => (string) $this->now,
            'shape' => StoneShape::pebble(3, 6, 90, 46, "now{$this->now}"),
            'words' => 'on the board',
        ]];
        foreach ($stops as $index => $stop) {
            $stones[] = [
                'name' => $stop->version,
                'shape' => StoneShape::slab(3, 10, 90, 38, $stop->version),
                'words' => "{$stop->minutes[1]}′ + ".($stop->restartMinutes ?? UpdatePath::RESTART).'′'.
                    ($index === $last ? '' : ', required stop'),
            ];
        }

        return $stones;
    }

    public function total(): string
    {
        return 'About '.(string) $this->path?->total($this->settings())->label().' in all:';
    }

    public function work(): string
    {
        return count($this->path->stops ?? []).' × (write + restart), then '.Counted::of($this->settings(), 'setting')
            .' entered again. Stay near while it writes.';
    }

    /**
     * @return list<array{release: Release, over: string, brings: string, runs: string, revision: string, class: string,
     *     standing: string}>
     */
    public function rows(): array
    {
        return array_map(fn (Release $release): array => [
            'release' => $release,
            'over' => $release->from === null ? 'any' : "{$release->from} or newer",
            'brings' => implode(', ', $release->gives) ?: '–',
            'runs' => implode(', ', $release->processors) ?: 'all',
            'revision' => implode(', ', $release->revisions) ?: 'all',
            ...$this->standing($release->version),
        ], $this->releases);
    }

    public function wayBack(): string
    {
        $way = $this->machine->model?->firmware?->recoveryWay;

        return $way === null
            ? 'No way back after a cut-short write is known: its absence is signed before anything is written.'
            : "The way back after a cut-short write: {$way}.";
    }

    /** @return array{class: string, standing: string} */
    private function standing(string $version): array
    {
        $stops = array_map(static fn (Release $stop): string => $stop->version, $this->path->stops ?? []);
        $stop = array_search($version, $stops, true);
        $out = array_column($this->path->leftOut ?? [], 'because', 'version')[$version] ?? null;

        return match (true) {
            $stop !== false => ['class' => 'hands', 'standing' => 'stop '.($stop + 1)],
            $out !== null => ['class' => 'bad', 'standing' => "out: {$out}"],
            default => ['class' => '', 'standing' => $version === $this->now ? 'now' : ''],
        };
    }

    private function settings(): int
    {
        return count($this->machine->settings());
    }
}
