<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Frames;

/** Frames before and after something was changed: whether they can be compared, and what that says (rule T3). */
final readonly class FrameComparison
{
    /** @param  list<string>  $why  they cannot be compared; empty where they can */
    private function __construct(public FrameRun $before, public FrameRun $after, public array $why)
    {
    }

    public static function of(FrameRun $before, FrameRun $after): self
    {
        $few = [];
        foreach (['first' => $before, 'second' => $after] as $which => $run) {
            if ($run->spread === null) {
                $few[] = "The {$which} is shorter than ".FrameRun::ENOUGH.' runs or '.FrameRun::ENOUGH.' s: how far it '
                    .'spreads is not known.';
            }
        }

        return new self($before, $after, [...$after->settings->against($before->settings), ...$few]);
    }

    public function isComparable(): bool
    {
        return $this->why === [];
    }

    /** @return array{0: float, 1: float, 2: float}|null least, likely, most, in parts of the first rate */
    public function change(): ?array
    {
        [$was, $is] = [$this->before->spread, $this->after->spread];
        $half = $is === null || $was === null ? null : $is->halfOfDifference($was);
        if (! $this->isComparable() || $is === null || $was === null || $half === null) {
            return null;
        }
        $by = $is->mean - $was->mean;

        return [($by - $half) / $was->mean, $by / $was->mean, ($by + $half) / $was->mean];
    }

    public function sentence(): string
    {
        $change = $this->change();
        if ($change === null) {
            return 'Not comparable. '.implode(' ', $this->why);
        }
        $percent = static fn (float $part): string => sprintf('%+.1f %%', 100 * $part);

        return $change[0] <= 0.0 && $change[2] >= 0.0
            ? "No difference that these runs show: {$percent($change[0])} to {$percent($change[2])}."
            : sprintf('%s by %.1f %%', $change[1] > 0 ? 'Faster' : 'Slower', 100 * abs($change[1]))
                .": between {$percent($change[0])} and {$percent($change[2])}.";
    }
}
