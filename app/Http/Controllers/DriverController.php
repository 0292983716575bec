<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CountDevices;
use App\Actions\LayDrivers;
use App\Bridge\FirmwareBridge;
use App\Devices\NameLists;
use App\Http\Requests\ReadingRequest;
use App\Models\DeviceLook;
use App\Models\Job;
use App\View\DriversPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use RuntimeException;

/** The drivers of a job: what hangs ready for which device, and what each look at the devices shows. */
final class DriverController
{
    public function show(Job $job, Request $request, FirmwareBridge $bridge, LayDrivers $lay): View
    {
        $looks = DeviceLook::query()->with('user')->where('job_id', $job->id)->get()->sortBy('id')->values();

        return view('jobs.drivers', [
            'job' => $job,
            'canLay' => $lay->canLay($job),
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
    public function lay(Job $job, LayDrivers $lay): RedirectResponse
    {
        try {
            $laid = $lay->handle($job);
        } catch (RuntimeException $e) {
            throw ValidationException::withMessages(['lay' => $e->getMessage()]);
        }

        $laid['folder'] = LayDrivers::folderOf($job);

        return redirect("/jobs/{$job->id}/drivers", 303)->with('laid', $laid);
    }

    public function store(Job $job, ReadingRequest $request, CountDevices $count): RedirectResponse
    {
        $read = $request->read();
        $count->handle($job, $request->user(), $read->readings, (int) $request->input('seen', 0));

        return redirect("/jobs/{$job->id}/drivers#audit", 303)->with('left_out', array_slice($read->problems, 0, 60));
    }
}
