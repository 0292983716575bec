<?php

use App\Models\CurrentPath;
use App\Models\Job;
use Illuminate\Support\Facades\DB;

/** What a page that only shows reads along with a job, as the server with shared memory does. */
function marksOf(Job $job): array
{
    $row = DB::table('jobs')->where('id', $job->id)->selectRaw(
        'xmin::text as mark, (select path.xmin::text from current_paths as path where path.job_id = jobs.id '
            .'and path.revision = jobs.revision) as path_mark',
    )->first();

    return (array) $row;
}

it('gives by its mark the same path as by its row', function () {
    $job = $this->jobFrom('fairlead-13', $this->bench()['lead']);
    $marked = CurrentPath::marked($job->id, $job->revision, marksOf($job)['path_mark']);
    expect($marked->typed()->toArray())->toEqual($job->currentPlan()->typed()->toArray())
        ->and($marked->json())->toBe($job->currentPlan()->json());
});
