<?php

namespace App\Drawing;

use Cobblestone\Quantity\Duration;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\StepState;

/**
 * The path as a list of stones, each its own small drawing, so that the row wraps at any width like a real path.
 */
final class PathDrawing
{
    private const HEIGHT = 46;

    /** Widths for under 1, up to 5, up to 20 and over 20 minutes. */
    private const WIDTHS = [44, 56, 88, 124];

    /**
     * @return list<array<string, mixed>> items of kind stone, gate or ring, in order; which stone is looked at is not
     *     in them, so that the drawing is the same whichever it is
     */
    public static function items(Progress $progress): array
    {
        $items = [];
        $current = $progress->current();
        foreach ($progress->plan->steps as $step) {
            if ($step->gates !== []) {
                $shut = $progress->shutGates($step);
                $waived = array_filter($step->gates, $progress->isWaived(...)) !== [];
                $items[] = [
                    'kind' => 'gate',
                    'open' => $shut === [],
                    // A bar across it, or one that stands up.
                    'bar' => $shut === [] ? 'M5 12L15 3' : 'M5 16H17',
                    'text' => implode(
                        ', ',
                        array_unique(array_map(static fn ($gate): string => $gate->title, $step->gates)),
                    ).($shut !== [] ? ': shut' : ($waived ? ': waived' : ': open')),
                ];
            }
            $items[] = self::stone($progress, $step, $current?->id === $step->id);
            if (($step->waiting->restarts ?? 0) > 0) {
                $items[] = ['kind' => 'ring'];
            }
        }

        return $items;
    }

    /** @return array<string, mixed> */
    private static function stone(Progress $progress, Step $step, bool $current): array
    {
        $state = $progress->state($step);
        $width = self::width($step);
        $done = $progress->doneAt($step);
        $started = $progress->startedAt($step);
        $minutes =
            $done !== null && $started !== null && $done > $started
                ? Duration::seconds($done - $started)->label()
                : null;
        $flat = $step->presence !== Presence::Hands;

        return [
            'kind' => 'stone',
            'id' => $step->id,
            'title' => $step->title,
            'width' => $width + 8,
            'height' => self::HEIGHT + 8,
            'box' => '0 0 '.($width + 8).' '.(self::HEIGHT + 8),
            'middle' => ($width + 8) / 2,
            'class' => implode(' ', array_filter([
                $step->isOneWay() ? 'toothed' : ($flat ? 'slab' : 'pebble'),
                $state->value,
                $current ? 'now' : '',
            ])),
            'shape' => self::shape($step, $width, $flat),
            'halo' => $current ? StoneShape::pebble(0.5, 0.5, $width + 7, self::HEIGHT + 7, $step->id) : null,
            'post' => $step->presence === Presence::StayNear ? 'M'.($width - 6).' 2V26' : '',
            'label' => match ($state) {
                StepState::Waived => '–',
                StepState::Done => self::short($minutes ?? ''),
                default => self::short($step->time->likely->label()),
            },
            'one_way' => $step->isOneWay(),
            'text' => self::label($step, $state, $current, $minutes),
        ];
    }

    private static function label(Step $step, StepState $state, bool $current, ?string $minutes): string
    {
        return implode(
            ', ',
            array_filter([
                $step->presence->title(),
                'about '.$step->time->likely->label(),
                self::spoken($state, $current),
                $minutes === null ? null : "took {$minutes}",
            ]),
        );
    }

    private static function width(Step $step): int
    {
        $minutes = $step->time->likely->inMinutes();

        return self::WIDTHS[
            match (true) {
                $minutes < 1 => 0,
                $minutes <= 5 => 1,
                $minutes <= 20 => 2,
                default => 3,
            }
        ];
    }

    private static function shape(Step $step, int $width, bool $flat): string
    {
        return match (true) {
            $step->isOneWay() => StoneShape::toothed(4, 5, $width, self::HEIGHT - 4),
            $flat => StoneShape::slab(4, 12, $width, self::HEIGHT - 16, $step->id),
            default => StoneShape::pebble(4, 4, $width, self::HEIGHT, $step->id),
        };
    }

    private static function short(string $label): string
    {
        return str_replace([' min', ' s', ' h '], ['′', '″', 'h'], $label);
    }

    private static function spoken(StepState $state, bool $current): string
    {
        return match ($state) {
            StepState::Done => 'laid',
            StepState::Waived => 'fell away with a waiver',
            StepState::Running => 'under way',
            StepState::Trouble => 'in trouble',
            default => $current ? 'now' : 'ahead',
        };
    }
}
