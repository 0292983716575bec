<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bridge\JobBridge;
use App\Http\Asked;
use App\Http\Calendar;
use App\Http\Csv;
use App\Models\Job;
use App\Models\LogRecord;
use App\View\LogLine;
use Cobblestone\Handover\HandoverDates;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;

/** The record of a job and of the bench as files to take away (rule L1). */
final class RecordController
{
    private const HEAD = ['at', 'job', 'title', 'by', 'role', 'what', 'details'];

    /** Entries that one file holds: a month of a busy bench has a tenth of it. */
    private const MOST = 50_000;

    public function csv(Job $job): Response
    {
        $titles = array_column($job->currentPlan()->typed()->steps, 'title', 'id');

        return Csv::of("job-{$job->id}-log.csv", self::HEAD, array_map(
            static fn (LogRecord $one): array => self::row($one, $job->title, $titles),
            self::entries($job),
        ));
    }

    public function json(Job $job): JsonResponse
    {
        return new JsonResponse(array_map(static fn (LogRecord $one): array => [
            'id' => $one->id,
            'at' => $one->created_at->toIso8601String(),
            'by' => $one->user->title,
            'role' => $one->role,
            'kind' => $one->kind,
            'step' => $one->step,
            'revision' => $one->revision,
            'data' => $one->data,
        ], self::entries($job)), 200, [
            'Content-Disposition' => "attachment; filename=\"job-{$job->id}-log.json\"",
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    public function dates(Job $job, JobBridge $bridge): Response
    {
        $dates = HandoverDates::of($bridge->progress($job), (string) config('cobblestone.timezone'));
        abort_if($dates === [], 404, 'This job has no day to keep in mind.');

        return Calendar::of("job-{$job->id}.ics", "job-{$job->id}", $dates);
    }

    /** A month of the logbook; this one where none is asked for. */
    public function month(Request $request): Response
    {
        $zone = (string) config('cobblestone.timezone');
        $asked = Asked::text($request, 'month');
        abort_if($asked !== '' && preg_match('/^20\d\d-(0[1-9]|1[0-2])$/', $asked) !== 1, 404, 'A month is written as '
            .'2026-11.');
        $first = $asked === '' ? now($zone)->startOfMonth() : Carbon::parse("{$asked}-01", $zone);
        /** @var list<LogRecord> $entries */
        $entries = LogRecord::query()->with(['user', 'job:id,title'])
            ->where('created_at', '>=', $first)
            ->where('created_at', '<', $first->copy()->addMonth())
            ->orderBy('id')->limit(self::MOST)->get()->all();

        return Csv::of('logbook-'.$first->format('Y-m').'.csv', self::HEAD, array_map(
            static fn (LogRecord $one): array => self::row($one, $one->job->title, []),
            $entries,
        ));
    }

    /** @return list<LogRecord> oldest first */
    private static function entries(Job $job): array
    {
        /** @var list<LogRecord> $entries */
        $entries = LogRecord::query()->with('user')->where('job_id', $job->id)->orderBy('id')->limit(self::MOST)
            ->get()->all();

        return $entries;
    }

    /**
     * @param  array<string, string>  $titles  step => title
     * @return list<string|int>
     */
    private static function row(LogRecord $one, string $title, array $titles): array
    {
        return [
            $one->created_at->toIso8601String(),
            $one->job_id,
            $title,
            $one->user->title,
            $one->role,
            LogLine::text($one, $titles),
            implode('; ', LogLine::details($one)),
        ];
    }
}
