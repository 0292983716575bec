<?php

namespace App\Http\Controllers;

use App\Actions\WalkStep;
use App\Bridge\BellBridge;
use App\Bridge\FirmwareBridge;
use App\Bridge\JobBridge;
use App\Http\Asked;
use App\Models\BootObservation;
use App\Models\Job;
use App\View\AheadStone;
use App\View\CoreSample;
use App\View\RunGate;
use App\View\ShelfFor;
use App\View\WrittenDown;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;
use Cobblestone\Runbook\WorksOn;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class RunController
{
    public function show(
        Job $job,
        Request $request,
        JobBridge $bridge,
        BellBridge $bell,
        FirmwareBridge $firmware,
    ): View {
        $progress = $bridge->progress($job);
        $steps = $progress->plan->steps;
        $asked = $request->has('stone') ? Asked::text($request, 'stone') : null;
        $step = match (true) {
            $asked !== null => $progress->plan->step($asked) ?? abort(404, 'This path has no such stone any more.'),
            default => $progress->current() ?? $steps[count($steps) - 1],
        };
        $index = (int) array_search($step, $steps, true);

        return view('run.show', [
            'job' => $job,
            'progress' => $progress,
            'step' => $step,
            'shut' => RunGate::of($progress, $step),
            'ahead' => self::ahead($progress, $step),
            'written' => WrittenDown::at($step, $progress),
            'starts' => self::starts($job, $progress, $step),
            'state' => $progress->state($step),
            'current' => $progress->current(),
            'before' => $steps[$index - 1] ?? null,
            'next' => array_values(
                array_filter(
                    array_slice($steps, $index + 1),
                    fn ($next): bool => ! $progress->state($next)->isClosed(),
                ),
            ),
            'after' => $steps[$index + 1] ?? null,
            'number' => $index + 1,
            'takeBack' => $progress->takeBackable((int) now()->timestamp),
            'others' => array_values(
                array_filter($bell->items(), fn (array $item): bool => $item['job'] !== $job->id),
            ),
            'symptoms' => self::wantsSymptoms($progress, $step)
                ? $bridge->symptomsFor($progress->plan, $step->id)
                : [],
            'shelf' => ShelfFor::step($progress->plan, $step->id),
            'sequence' => $step->opensWith === null || $progress->state($step)->isClosed()
                    ? null
                    : $firmware->sequence($job, $step->opensWith),
            'core' => self::core($progress->plan->layouts, $step->worksOn),
            'now' => (int) now()->timestamp,
        ]);
    }

    /** What shuts a stone further on, while this one is free: somebody can see to it meanwhile. */
    private static function ahead(Progress $progress, Step $step): ?AheadStone
    {
        $shut = $progress->firstShut();

        return $shut === null || $shut === $step || $progress->isShutHere($step)
            ? null
            : AheadStone::of($progress, $shut);
    }

    /**
     * The power-ons of this stone as they are predicted, and what somebody has said of them; ways into the setup left
     * out.
     *
     * @return list<array<string, mixed>>
     */
    private static function starts(Job $job, Progress $progress, Step $step): array
    {
        $starts = array_filter(
            $progress->plan->assessment['rehearsal'] ?? [],
            static fn (array $start): bool => $start['step'] === $step->id && $start['wants'] !== Wants::Setup->value,
        );
        if ($starts === []) {
            return [];
        }
        $seen = BootObservation::query()
            ->where('job_id', $job->id)
            ->where('step', $step->id)
            ->where('looked', true)
            ->orderBy('id')
            ->get()
            ->keyBy('number');

        return array_values(
            array_map(
                static fn (array $start): array => [
                    ...$start,
                    'looked' => $seen->has($start['number']),
                    'seen' => $seen->get($start['number'])?->seen,
                ],
                $starts,
            ),
        );
    }

    /** Only a stone that is under way or in trouble raises the question what is normal. */
    private static function wantsSymptoms(Progress $progress, Step $step): bool
    {
        return ! $progress->state($step)->isClosed() &&
            ($progress->startedAt($step) !== null || $progress->trouble($step) !== null);
    }

    /**
     * The core of the device that the step is about, if it is about one.
     *
     * @param  array<string, mixed>  $layouts
     * @return array<string, mixed>|null
     */
    private static function core(array $layouts, ?WorksOn $device): ?array
    {
        return $device === null
            ? null
            : CoreSample::of([$device->value => $layouts[$device->value]])[0] ?? null;
    }

    public function act(Job $job, string $step, string $action, Request $request, WalkStep $walk): RedirectResponse
    {
        $walk->handle($job, $request->user(), $step, $action, $request->all(), (int) $request->input('seen', 0));
        $stay = in_array($action, ['start', 'problem', 'retry', 'note', 'confirm', 'waive', 'take-back'], true);

        return redirect("/jobs/{$job->id}/run".($stay ? "?stone={$step}" : ''), 303)->with('did', $action);
    }
}
