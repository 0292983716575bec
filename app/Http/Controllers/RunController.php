<?php

namespace App\Http\Controllers;

use App\Actions\WalkDetour;
use App\Actions\WalkStep;
use App\Bridge\BellBridge;
use App\Bridge\FirmwareBridge;
use App\Bridge\Incidents;
use App\Bridge\JobBridge;
use App\Bridge\JobStick;
use App\Bridge\SeenMachine;
use App\Drawing\PressDrawing;
use App\Http\Asked;
use App\Models\Job;
use App\Models\OpeningPhoto;
use App\View\BecauseColumn;
use App\View\DetourCard;
use App\View\RunBeside;
use App\View\RunPage;
use App\View\StartLine;
use App\View\StickStone;
use App\View\WrittenEvidence;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Step;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class RunController
{
    public function __construct(private readonly SeenMachine $machine)
    {
    }

    public function show(
        Job $job,
        Request $request,
        JobBridge $bridge,
        BellBridge $bell,
        FirmwareBridge $firmware,
        JobStick $stick,
    ): View {
        $progress = $bridge->progress($job);
        $step = self::stone($progress, $request);
        $closed = $progress->state($step)->isClosed();
        $sequence = $step->opensWith === null || $closed ? null : $firmware->sequence($job, $step->opensWith);

        return view('run.show', [
            'job' => $job,
            'step' => $step,
            'table' => ! $closed && $step->bringsAbout(PathFact::PROVEN) ? $this->machine->table($job, $step) : null,
            'photos' => OpeningPhoto::of($step->opensMachine() ? $progress->plan->job->model : null),
            'because' => BecauseColumn::of($progress->plan, $step),
            'page' => new RunPage(
                $job,
                $progress,
                $step,
                $request->user()?->mayWork() === true,
                (int) now()->timestamp,
                new RunBeside(
                    StartLine::of($job, $progress->plan, $step),
                    array_values(array_filter($bell->items(), fn (array $item): bool => $item['job'] !== $job->id)),
                    $closed ? [] : $bridge->symptomsFor($progress->plan, $step->id),
                    self::detour($job, $progress, $step, $bridge),
                ),
            ),
            'progress' => $progress,
            'written' => WrittenEvidence::at($step, $progress),
            'stickStone' => $closed ? null : StickStone::of($job, $step, $stick),
            'presses' => $sequence === null ? null : PressDrawing::of($sequence),
        ]);
    }

    private static function stone(Progress $progress, Request $request): Step
    {
        $steps = $progress->plan->steps;
        $asked = $request->has('stone') ? Asked::text($request, 'stone') : null;
        $step = match (true) {
            $asked !== null => $progress->plan->step($asked) ?? abort(404, 'This path has no such stone any more.'),
            default => $progress->current() ?? $steps[count($steps) - 1],
        };

        return $step;
    }

    private static function detour(Job $job, Progress $progress, Step $step, JobBridge $bridge): ?DetourCard
    {
        $detour = $progress->trouble($step) === null ? null : $bridge->detour($job, $step->id);

        return $detour === null ? null : new DetourCard(
            $detour,
            (new Incidents)->helped($detour->symptom->id),
            (int) now()->timestamp,
        );
    }

    public function act(
        int $number,
        string $step,
        string $action,
        Request $request,
    ): RedirectResponse {
        // Each is put together of a dozen others: only the one that is wanted.
        $way = app(in_array($action, WalkDetour::ACTIONS, true) ? WalkDetour::class : WalkStep::class);
        $way->handle($number, $request->user(), $step, $action, $request->all(), (int) $request->input('seen', 0));
        $stays = [...WalkDetour::ACTIONS, 'start', 'problem', 'retry', 'note', 'confirm', 'waive', 'take-back'];
        $at = in_array($action, $stays, true) ? "?stone={$step}" : '';

        return redirect("/jobs/{$number}/run{$at}", 303)->with('did', $action);
    }
}
