<?php

declare(strict_types=1);

namespace App\View;

use App\Drawing\PathDrawing;
use App\Models\CurrentPath;
use App\Models\Job;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Step;
use Illuminate\Support\HtmlString;

/**
 * The path of a job as the list of its stones. It is drawn once for as long as path and log stand still; which stone is
 * looked at is marked in what was drawn.
 */
final readonly class PathList
{
    public static function of(Job $job, CurrentPath $path, Progress $progress, Step $chosen): HtmlString
    {
        $drawn = $path->kept("stones {$job->last_entry}", static fn (): string => view('parts.path', [
            'job' => $job,
            'progress' => $progress,
            'items' => PathDrawing::items($progress),
        ])->render());
        $link = '<a href="/jobs/'.$job->id.'?stone='.e($chosen->id).'"';

        return new HtmlString((string) preg_replace(
            '~<li class="stone ([^"]*)">\n'.preg_quote($link, '~').'~',
            '<li class="stone $1 chosen">'."\n".$link.' aria-current="step"',
            $drawn,
            1,
        ));
    }
}
