<?php

declare(strict_types=1);

namespace App\View;

use App\Models\StickBuild;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;

/** How far a build is, or how it ended, in words. */
final readonly class BuildCard
{
    /** @param  float|null  $share  of the present part, 0 to 1; null while nobody knows how much it is */
    public function __construct(
        private StickBuild $build,
        private ?float $share,
        private StickCondition $condition,
        private bool $mayWork,
    ) {
    }

    public function isUnderWay(): bool
    {
        return $this->build->isUnderWay();
    }

    public function isDone(): bool
    {
        return $this->build->state === 'done';
    }

    public function canBeCancelled(): bool
    {
        return $this->mayWork && $this->isUnderWay();
    }

    public function isCancelling(): bool
    {
        return $this->build->cancel;
    }

    public function cancelWord(): string
    {
        return $this->build->cancel ? 'Stopping …' : 'Cancel';
    }

    public function title(): string
    {
        return match ($this->build->state) {
            'queued' => 'Waits for its turn',
            'done' => $this->build->made_on === null
                ? 'Good: every byte was read back and is as it should be'
                : 'Good: made elsewhere, and every byte of it is as it should be',
            'cancelled' => 'Cancelled',
            'failed' => 'It failed',
            default => $this->build->stage,
        };
    }

    /** Class of the panel: how it stands there. */
    public function mood(): string
    {
        return match ($this->build->state) {
            'done' => 'holds-panel',
            'failed' => 'stop-panel',
            default => '',
        };
    }

    public function stage(): string
    {
        return $this->build->stage;
    }

    public function thousandths(): ?int
    {
        return $this->share === null ? null : (int) round(1000 * $this->share);
    }

    /** "1.2 GB of 3.4 GB · 18.0 MB/s · 2 min left", as far as it is known. */
    public function figures(): string
    {
        $done = Bytes::of($this->build->done_bytes)->decimal();
        $rate = $this->build->rate();
        $left = $this->build->left();

        return implode(' · ', array_filter([
            match (true) {
                $this->build->stage_bytes > 0 => "{$done} of ".Bytes::of($this->build->stage_bytes)->decimal(),
                $this->build->done_bytes > 0 => $done,
                default => '',
            },
            $rate === null ? '' : number_format($rate / 1e6, 1).' MB/s',
            $left === null ? '' : ShelfWords::left($left),
        ]));
    }

    /** @return array<string, string> what was done => how much and how long; of a build that is done */
    public function findings(): array
    {
        $result = $this->build->result ?? [];
        $attempts = array_map(
            static fn (array $one): string => "{$one['message']} {$one['next']}",
            $result['attempts'] ?? [],
        );
        $what = $this->build->stickPlan()->mode === WriteMode::Raw ? 'image' : 'files';

        return array_filter([
            'Written' => $this->build->made_on === null
                ? Bytes::of($result['bytes'])->decimal().' in '.ShelfWords::clock($result['write_seconds'])
                : 'on another computer',
            'Read back' => "{$result['files']} {$what} in ".ShelfWords::clock($result['verify_seconds'])
                .', past the cache, by SHA-256',
            'On the way' => implode(' ', $attempts),
            'Laid' => implode(', ', $result['laid'] ?? []),
            ...$result['waits'] ?? [],
        ]);
    }

    /** The job that it was built for. */
    public function job(): string
    {
        return $this->build->job->title ?? '';
    }

    public function begunBy(): string
    {
        return $this->build->user->title ?? 'the command line';
    }

    /** What went wrong; empty where nothing did. */
    public function fault(): string
    {
        return $this->build->state === 'failed' ? (string) $this->build->fault : '';
    }

    public function stickIs(): string
    {
        return $this->condition->title();
    }
}
