<?php

declare(strict_types=1);

namespace Cobblestone\Bench;

use Cobblestone\Document\Fields;

/** What needs hands now, most urgent first (rule S: a bell and one strip on every page). */
final class Bell
{
    /** A wait that ends within so many seconds is worth walking back for. */
    public const SOON = 300;

    /**
     * @param  list<array{id: int, slot: int|null, title: string, summary: array<string, mixed>}>  $jobs
     * @return list<array{job: int, slot: int|null, title: string, step: string, action: string, due: int,
     *     overdue: bool}> due: seconds from now, negative when past
     */
    public static function ring(array $jobs, int $now): array
    {
        $items = [];
        foreach ($jobs as $job) {
            array_push($items, ...self::ofJob($job, Fields::of($job['summary']), $now));
        }
        usort(
            $items,
            static fn (array $a, array $b): int => [$b['overdue'], $a['due'], $a['slot'] ?? 100, $a['job']] <=> [
                $a['overdue'],
                $b['due'],
                $b['slot'] ?? 100,
                $b['job'],
            ],
        );

        return $items;
    }

    /**
     * @param  array{id: int, slot: int|null, title: string, summary: array<string, mixed>}  $job
     * @return list<array{job: int, slot: int|null, title: string, step: string, action: string, due: int,
     *     overdue: bool}>
     */
    private static function ofJob(array $job, Fields $summary, int $now): array
    {
        $items = [];
        foreach ($summary->blocks('reminders') as $reminder) {
            if ($reminder->int('at') <= $now) {
                $items[] = self::item($job, '', $reminder->string('what'), 0, false);

                break;
            }
        }
        // What waits for somebody else frees hands and slot.
        if ($summary->has('waiting') || $summary->optionalBool('complete') !== false) {
            return $items;
        }
        foreach ($summary->blocks('away') as $wait) {
            array_push($items, ...self::away($job, $wait, $now));
        }
        $current = $summary->optionalBool('begun') === true ? $summary->optionalBlock('current') : null;

        return $current === null ? $items : [...$items, ...self::current($job, $current, $now)];
    }

    /**
     * @param  array{id: int, slot: int|null, title: string, summary: array<string, mixed>}  $job
     * @return list<array{job: int, slot: int|null, title: string, step: string, action: string, due: int,
     *     overdue: bool}>
     */
    private static function away(array $job, Fields $wait, int $now): array
    {
        $due = $wait->int('started_at') + $wait->int('likely') - $now;
        if ($due > self::SOON) {
            return [];
        }
        $overdue = $now > $wait->int('started_at') + $wait->int('high');
        $title = $wait->string('title');
        $action = match (true) {
            $overdue => "{$title} takes longer than it should",
            $due > 0 => "{$title} ends",
            default => "{$title} should be done: look",
        };

        return [self::item($job, $wait->string('id'), $action, $due, $overdue)];
    }

    /**
     * @param  array{id: int, slot: int|null, title: string, summary: array<string, mixed>}  $job
     * @return list<array{job: int, slot: int|null, title: string, step: string, action: string, due: int,
     *     overdue: bool}>
     */
    private static function current(array $job, Fields $current, int $now): array
    {
        $started = $current->optionalInt('started_at');
        $overdue = $started !== null && $now > $started + $current->int('high');
        [$id, $title, $state] = [$current->string('id'), $current->string('title'), $current->string('state')];
        $shut = $current->blocks('shut')[0] ?? null;
        if ($state === 'trouble') {
            return [self::item($job, $id, "{$title}: problem open", 0, true)];
        }
        if ($shut !== null) {
            return [self::item($job, $id, "{$title}: {$shut->string('word')}, {$shut->string('reason')}", 0, false)];
        }
        if ($state !== 'ready' && ! $overdue) {
            return [];
        }
        $action = $overdue ? "{$title} takes longer than it should" : "{$title}: {$current->string('do')}";

        return [self::item($job, $id, $action, 0, $overdue)];
    }

    /**
     * @param  array{id: int, slot: int|null, title: string, summary: array<string, mixed>}  $job
     * @return array{job: int, slot: int|null, title: string, step: string, action: string, due: int, overdue: bool}
     */
    private static function item(array $job, string $step, string $action, int $due, bool $overdue): array
    {
        return [
            'job' => $job['id'],
            'slot' => $job['slot'],
            'title' => $job['title'],
            'step' => $step,
            'action' => $action,
            'due' => $due,
            'overdue' => $overdue,
        ];
    }
}
