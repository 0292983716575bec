<?php

declare(strict_types=1);

namespace App\Bridge;

use Illuminate\Support\Facades\DB;

/** Open jobs that want a stick of a system; what is made for one carries its answers and lays its stones. */
final class JobsOfSystem
{
    private const MOST = 40;

    /**
     * @param  string  $system  its name, as an image's line says it
     * @return array<int, string> job => its title and the name its computer gets, the newest first
     */
    public static function of(string $system): array
    {
        if ($system === '') {
            return [];
        }
        $jobs = DB::table('jobs')
            ->join('current_paths', 'current_paths.job_id', '=', 'jobs.id')
            ->where('jobs.status', 'open')
            ->whereRaw("current_paths.about->>'system' = ?", [$system])
            ->whereRaw("current_paths.about->>'medium' = 'true'")
            ->orderByDesc('jobs.id')
            ->limit(self::MOST)
            ->get(['jobs.id', 'jobs.title', 'jobs.computer_name']);
        $titles = [];
        foreach ($jobs as $job) {
            $titles[(int) $job->id] = $job->title.($job->computer_name === null ? '' : ", {$job->computer_name}");
        }

        return $titles;
    }
}
