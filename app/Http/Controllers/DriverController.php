<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CountDevices;
use App\Bridge\FirmwareBridge;
use App\Devices\DriverFolders;
use App\Devices\NameLists;
use App\Http\Requests\ReadingRequest;
use App\Jobs\LayDrivers;
use App\Jobs\UnpackDrivers;
use App\Models\DeviceLook;
use App\Models\DriverLaying;
use App\Models\Job;
use App\View\DriversPage;
use App\View\LayingLine;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** The drivers of a job: what hangs ready for which device, and what each look at the devices shows. */
final class DriverController
{
    public function show(Job $job, Request $request, FirmwareBridge $bridge, LayDrivers $lay): View
    {
        $looks = DeviceLook::query()->with('user')->where('job_id', $job->id)->get()->sortBy('id')->values();

        return view('jobs.drivers', [
            'job' => $job,
            'canLay' => $lay->canLay($job),
            'laying' => LayingLine::of(DriverLaying::query()->find($job->id), DriverFolders::ofJob($job->id)),
            'mayWork' => $job->isOpen() && $request->user()?->mayWork() === true,
            'page' => new DriversPage(
                $job->currentPlan()->typed(),
                $bridge->machine($job),
                $looks,
                NameLists::read(),
            ),
        ]);
    }

    /** The packages for the stick, unpacked into a folder that its build can take along. */
    public function lay(Job $job, Request $request, LayDrivers $lay): RedirectResponse
    {
        if (! $lay->canLay($job)) {
            throw ValidationException::withMessages(['lay' => 'None of them is on this shelf as an archive.']);
        }
        if (DriverLaying::query()->find($job->id)?->isUnderWay() !== true) {
            DriverLaying::ask($job, $request->user());
            UnpackDrivers::dispatch($job->id);
        }

        return redirect("/jobs/{$job->id}/drivers#lay", 303);
    }

    public function stop(Job $job): RedirectResponse
    {
        DriverLaying::query()->find($job->id)?->stop();

        return redirect("/jobs/{$job->id}/drivers#lay", 303);
    }

    public function store(Job $job, ReadingRequest $request, CountDevices $count): RedirectResponse
    {
        $read = $request->read();
        $count->handle($job, $request->user(), $read->readings, (int) $request->input('seen', 0));

        return redirect("/jobs/{$job->id}/drivers#audit", 303)->with('left_out', array_slice($read->problems, 0, 60));
    }
}
