<?php

namespace App\Http\Controllers;

use App\Actions\PlanStick;
use App\Actions\StickOrder;
use App\Bridge\StickRegister;
use App\Catalogue\CatalogueStore;
use App\Jobs\StickBuildJob;
use App\Models\ShelfFile;
use App\Models\StickBuild;
use App\View\BuildFacts;
use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\Script\StickScript;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Runbook\Confirmation;
use Illuminate\Contracts\View\View;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Builds of sticks: begun on the ways page, watched here, exported for other computers. */
final class BuildController
{
    public function store(
        ShelfFile $file,
        Request $request,
        StickRegister $register,
        PlanStick $planner,
    ): RedirectResponse {
        $given = $request->validate(
            [
                ...StickOrder::RULES,
                'serial' => 'nullable|string|max:20',
            ],
            ['stick.required' => 'Choose a stick.', 'way.required' => 'Choose a way.'],
        );
        $stick =
            $register->find($given['stick']) ??
            throw ValidationException::withMessages(['stick' => 'The register has no such stick.']);
        $planner->mayGo($stick, isset($given['job']) ? (int) $given['job'] : null);
        $confirmation = new Confirmation(
            $stick->name,
            $stick->size()->count,
            $stick->serial,
            $stick->contents ?? 'whatever is on it',
            'the bench',
            true,
        );
        if (! $confirmation->accepts((string) ($given['serial'] ?? ''))) {
            throw ValidationException::withMessages([
                'serial' => "That is not the end of the serial of {$stick->name}. Read it off the stick itself.",
            ]);
        }
        $build = self::queued($planner, $file, $stick, $given, $request);
        if (config('queue.default') !== 'database') {
            StickBuildJob::dispatch($build->id);
        }

        return redirect("/sticks/{$stick->id}/builds/{$build->id}", 303);
    }

    /** @param  array<string, mixed>  $given */
    private static function queued(
        PlanStick $planner,
        ShelfFile $file,
        Stick $stick,
        array $given,
        Request $request,
    ): StickBuild {
        $plan = $planner->handle($file, StickOrder::of([...$given, 'stick' => $stick->id]), true);
        try {
            // The build and its place in the queue stand together or not at all.
            $build = DB::transaction(function () use ($stick, $file, $request, $plan, $given): StickBuild {
                $build = StickBuild::query()->create([
                    'slug' => $stick->id,
                    'shelf_file_id' => $file->id,
                    'user_id' => $request->user()?->id,
                    'plan' => $plan->toArray(),
                    'drivers' => $given['drivers'] ?? null,
                    'job_id' => $given['job'] ?? null,
                ]);
                if (config('queue.default') === 'database') {
                    StickBuildJob::dispatch($build->id);
                }

                return $build;
            });
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages([
                'stick' => "{$stick->name} is being built already. Wait for it, or cancel it.",
            ]);
        }

        return $build;
    }

    /** The plan without building it here, for another computer. */
    public function plan(ShelfFile $file, Request $request, PlanStick $planner, CatalogueStore $store): Response
    {
        $given = $request->validate([
            ...StickOrder::RULES,
            'what' => 'required|in:plan.json,make-stick.sh,table.sfdisk',
            'host' => 'nullable|string|max:80',
        ]);
        $host = $given['host'] ?? '';
        $profile = $host === '' ? null : $store->catalogue()->hosts()[$host]
            ?? abort(404, 'The catalogue knows no such kind of computer.');
        try {
            return self::document($planner->handle($file, StickOrder::of($given), false), $given['what'], $profile);
        } catch (PlanFault $e) {
            throw ValidationException::withMessages(['way' => $e->getMessage()]);
        }
    }

    public function show(string $slug, StickBuild $build, StickRegister $register): View
    {
        abort_unless($build->slug === $slug, 404);

        return view('sticks.build', BuildFacts::of($slug, $build, $register));
    }

    /** The part of the page that changes while it runs. */
    public function progress(string $slug, StickBuild $build, StickRegister $register): View
    {
        abort_unless($build->slug === $slug, 404);

        return view('sticks.progress', BuildFacts::of($slug, $build, $register));
    }

    public function cancel(string $slug, StickBuild $build): RedirectResponse
    {
        abort_unless($build->slug === $slug, 404);
        $build->update(['cancel' => true]);
        if ($build->state === 'queued') {
            StickBuild::query()
                ->whereKey($build->id)
                ->where('state', 'queued')
                ->update(['state' => 'cancelled', 'ended_at' => now()]);
        }

        return redirect("/sticks/{$slug}/builds/{$build->id}", 303);
    }

    public function export(string $slug, StickBuild $build, string $what): Response
    {
        abort_unless($build->slug === $slug, 404);
        if ($what === 'SHA256SUMS') {
            return self::download(
                $build->sums() ??
                    abort(404, 'The sums are known only when every file has been read back.'),
                $what,
                'text/plain',
            );
        }

        return self::document($build->stickPlan(), $what);
    }

    private static function document(StickPlan $plan, string $what, ?HostProfile $host = null): Response
    {
        return match ($what) {
            'plan.json' => self::download(
                (string) json_encode(
                    $plan->toArray(),
                    JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
                ),
                $what,
                'application/json',
            ),
            'make-stick.sh' => self::download(StickScript::of($plan, $host), $what, 'text/x-shellscript'),
            'table.sfdisk' => self::download(
                $plan->layout === null
                    ? abort(404, 'A stick written raw brings its own table.')
                    : BuildSteps::sfdiskScript($plan),
                $what,
                'text/plain',
            ),
            default => abort(404),
        };
    }

    private static function download(string $text, string $name, string $type): Response
    {
        return response($text, 200, [
            'Content-Type' => "{$type}; charset=utf-8",
            'Content-Disposition' => "attachment; filename={$name}",
        ]);
    }
}
