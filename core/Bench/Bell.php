<?php

declare(strict_types=1);

namespace Cobblestone\Bench;

/** What needs hands now, most urgent first (rule S: a bell and one strip on every page). */
final class Bell
{
    /** A wait that ends within so many seconds is worth walking back for. */
    public const SOON = 300;

    /**
     * @param  list<array{id: int, slot: int|null, title: string, summary: array<string, mixed>}>  $jobs
     * @return list<array{job: int, slot: int|null, title: string, step: string, action: string, due: int, overdue: bool}> due: seconds from now, negative when past
     */
    public static function ring(array $jobs, int $now): array
    {
        $items = [];
        foreach ($jobs as $job) {
            foreach ($job['summary']['reminders'] ?? [] as $reminder) {
                if ($reminder['at'] <= $now) {
                    $items[] = self::item($job, '', $reminder['what'], 0, false);

                    break;
                }
            }
            // What waits for somebody else frees hands and slot.
            if (($job['summary']['waiting'] ?? null) !== null || $job['summary']['complete']) {
                continue;
            }
            foreach ($job['summary']['away'] as $wait) {
                $due = $wait['started_at'] + $wait['likely'] - $now;
                if ($due <= self::SOON) {
                    $overdue = $now > $wait['started_at'] + $wait['high'];
                    $items[] = self::item($job, $wait['id'], $overdue ? "{$wait['title']} takes longer than it should" : ($due > 0 ? "{$wait['title']} ends" : "{$wait['title']} should be done: look"), $due, $overdue);
                }
            }
            $current = $job['summary']['current'];
            if ($current === null || ! $job['summary']['begun']) {
                continue;
            }
            $overdue = $current['started_at'] !== null && $now > $current['started_at'] + $current['high'];
            if ($current['state'] === 'trouble') {
                $items[] = self::item($job, $current['id'], "{$current['title']}: problem open", 0, true);
            } elseif (is_array($current['shut']) && $current['shut'] !== []) {
                $items[] = self::item($job, $current['id'], "{$current['title']}: {$current['shut'][0]['word']}, {$current['shut'][0]['reason']}", 0, false);
            } elseif ($current['state'] === 'ready' || $overdue) {
                $items[] = self::item($job, $current['id'], $overdue ? "{$current['title']} takes longer than it should" : "{$current['title']}: {$current['do']}", 0, $overdue);
            }
        }
        usort($items, static fn (array $a, array $b): int => [$b['overdue'], $a['due'], $a['slot'] ?? 100, $a['job']] <=> [$a['overdue'], $b['due'], $b['slot'] ?? 100, $b['job']]);

        return $items;
    }

    /**
     * @param  array{id: int, slot: int|null, title: string, summary: array<string, mixed>}  $job
     * @return array{job: int, slot: int|null, title: string, step: string, action: string, due: int, overdue: bool}
     */
    private static function item(array $job, string $step, string $action, int $due, bool $overdue): array
    {
        return ['job' => $job['id'], 'slot' => $job['slot'], 'title' => $job['title'], 'step' => $step, 'action' => $action, 'due' => $due, 'overdue' => $overdue];
    }
}
