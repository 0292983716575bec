<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CountDevices;
use App\Bridge\FirmwareBridge;
use App\Devices\NameLists;
use App\Http\Requests\ReadingRequest;
use App\Models\DeviceLook;
use App\Models\Job;
use App\View\DriversPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The drivers of a job: what hangs ready for which device, and what each look at the devices shows. */
final class DriverController
{
    public function show(Job $job, Request $request, FirmwareBridge $bridge): View
    {
        $looks = DeviceLook::query()->with('user')->where('job_id', $job->id)->get()->sortBy('id')->values();

        return view('jobs.drivers', [
            'job' => $job,
            'mayWork' => $job->isOpen() && $request->user()?->mayWork() === true,
            'page' => new DriversPage(
                $job->currentPlan()->typed(),
                $bridge->machine($job),
                $looks,
                NameLists::read(),
            ),
        ]);
    }

    public function store(Job $job, ReadingRequest $request, CountDevices $count): RedirectResponse
    {
        $read = $request->read();
        $count->handle($job, $request->user(), $read->readings, (int) $request->input('seen', 0));

        return redirect("/jobs/{$job->id}/drivers#audit", 303)->with('left_out', array_slice($read->problems, 0, 60));
    }
}
