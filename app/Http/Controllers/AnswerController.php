<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\AnswerFault;
use App\Bridge\JobAnswers;
use App\Catalogue\CatalogueStore;
use App\Models\Job;
use App\View\AnswersPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** What a system asks at its first start and what this job answers, as a list and as a file. */
final class AnswerController
{
    public function show(Job $job, CatalogueStore $store): View
    {
        $plan = $job->currentPlan()->typed();
        try {
            [$file, $fault] = [JobAnswers::of($plan, $store), ''];
        } catch (AnswerFault $e) {
            [$file, $fault] = [null, $e->getMessage()];
        }

        return view('jobs.answers', ['job' => $job, 'page' => new AnswersPage($plan, $file, $fault)]);
    }

    public function file(Job $job, CatalogueStore $store): Response
    {
        try {
            $file = JobAnswers::of($job->currentPlan()->typed(), $store);
        } catch (AnswerFault $e) {
            abort(409, $e->getMessage());
        }
        if ($file === null) {
            abort(404);
        }

        return response($file->text, 200, [
            'Content-Type' => 'application/octet-stream',
            'Content-Disposition' => 'attachment; filename="'.basename($file->path).'"',
        ]);
    }
}
