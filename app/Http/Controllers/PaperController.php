<?php

namespace App\Http\Controllers;

use App\Actions\NameShop;
use App\Bridge\JobBridge;
use App\Models\Job;
use App\Models\JobPhoto;
use Cobblestone\Handover\HandoverSheet;
use Cobblestone\Handover\Receipt;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** What leaves the screen: printed sheets, and brief and plan as files. */
final class PaperController
{
    public function handover(Job $job, JobBridge $bridge): View
    {
        $job->load('entries.user');

        $progress = $bridge->progress($job);
        $zone = (string) config('cobblestone.timezone');

        $entries = $job->log();

        return view('paper.handover', [
            'job' => $job,
            'zone' => $zone,
            'shop' => NameShop::present(),
            'photos' => JobPhoto::ofJob($job->id, true),
            'sheet' => HandoverSheet::of($progress, $entries, $zone, (int) now()->timestamp),
        ]);
    }

    /** For whoever brings a machine, and again when it goes: what was left here, and what went back. */
    public function receipt(Job $job, JobBridge $bridge): View
    {
        $progress = $bridge->progress($job);
        $receipt = Receipt::of($progress);

        return $receipt === null
            ? view('paper.no-receipt', ['job' => $job, 'takesIn' => $progress->plan->step(Receipt::IN) !== null])
            : view('paper.receipt', [
                'job' => $job,
                'zone' => (string) config('cobblestone.timezone'),
                'receipt' => $receipt,
                'shop' => NameShop::present(),
            ]);
    }

    public function path(Job $job, JobBridge $bridge): View
    {
        return view('paper.path', ['job' => $job, 'progress' => $bridge->progress($job)]);
    }

    public function brief(Job $job): Response
    {
        return response($job->brief, 200, [
            'Content-Type' => 'application/yaml; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"job-{$job->id}.yaml\"",
        ]);
    }

    public function plan(Job $job): Response
    {
        // Decoded as objects, so that an empty one stays an object.
        $plan = json_decode($job->currentPlan()->json());
        $json = json_encode(
            $plan,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        );

        return response($json."\n", 200, [
            'Content-Type' => 'application/json; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"job-{$job->id}-plan.json\"",
        ]);
    }
}
