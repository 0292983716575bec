<?php

namespace App\Http\Controllers;

use App\Actions\PlanStick;
use App\Bridge\StickRegister;
use App\Jobs\StickBuildJob;
use App\Models\ShelfFile;
use App\Models\StickBuild;
use App\Models\StickState;
use App\View\StickCore;
use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\Script\GuardedScript;
use Cobblestone\Media\Build\StickCondition;
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
                'stick' => 'required|string|max:80',
                'way' => 'required|string|max:40',
                'drivers' => 'nullable|string|max:80',
                'serial' => 'nullable|string|max:20',
            ],
            ['stick.required' => 'Choose a stick.', 'way.required' => 'Choose a way.'],
        );
        $stick =
            $register->find($given['stick']) ??
            throw ValidationException::withMessages(['stick' => 'The register has no such stick.']);
        $planner->mayGo($stick);
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
        $plan = $planner->handle($file, $stick->id, $given['way'], $given['drivers'] ?? null, true);
        try {
            // The build and its place in the queue stand together or not at all.
            $build = DB::transaction(function () use ($stick, $file, $request, $plan, $given): StickBuild {
                $build = StickBuild::query()->create([
                    'slug' => $stick->id,
                    'shelf_file_id' => $file->id,
                    'user_id' => $request->user()?->id,
                    'plan' => $plan->toArray(),
                    'drivers' => $given['drivers'] ?? null,
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
        if (config('queue.default') !== 'database') {
            StickBuildJob::dispatch($build->id);
        }

        return redirect("/sticks/{$stick->id}/builds/{$build->id}", 303);
    }

    /** The plan without building it here, for another computer. */
    public function plan(ShelfFile $file, Request $request, PlanStick $planner): Response
    {
        $given = $request->validate([
            'stick' => 'required|string|max:80',
            'way' => 'required|string|max:40',
            'drivers' => 'nullable|string|max:80',
            'what' => 'required|in:plan.json,make-stick.sh,table.sfdisk',
        ]);

        return self::document(
            $planner->handle($file, $given['stick'], $given['way'], $given['drivers'] ?? null, false),
            $given['what'],
        );
    }

    public function show(string $slug, StickBuild $build, StickRegister $register): View
    {
        abort_unless($build->slug === $slug, 404);

        return view('sticks.build', self::facts($slug, $build, $register));
    }

    /** The part of the page that changes while it runs. */
    public function progress(string $slug, StickBuild $build, StickRegister $register): View
    {
        abort_unless($build->slug === $slug, 404);

        return view('sticks.progress', self::facts($slug, $build, $register));
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
                $build->result['sha256sums'] ??
                    abort(404, 'The sums are known only when every file has been read back.'),
                $what,
                'text/plain',
            );
        }

        return self::document($build->stickPlan(), $what);
    }

    private static function document(StickPlan $plan, string $what): Response
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
            'make-stick.sh' => self::download(GuardedScript::of($plan), $what, 'text/x-shellscript'),
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

    /** @return array<string, mixed> */
    private static function facts(string $slug, StickBuild $build, StickRegister $register): array
    {
        $plan = $build->plan;
        $stick = $register->find($slug);
        $writing = in_array($build->stage, ['Copy the files', 'Write the image'], true);
        $share = $build->stage_bytes > 0 ? min(1.0, $build->done_bytes / $build->stage_bytes) : null;
        $target = $plan['layout']['partitions'][0] ?? null;
        $start = ($target['first_sector'] ?? 0) * $plan['sector_bytes'];
        $payload = $build->stickPlan()->bytes() ?? 0;
        $filled = match (true) {
            $build->state === 'done' || ($build->isUnderWay() && str_starts_with($build->stage, 'Read')) => $plan[
                'device_bytes'
            ],
            $writing && $share !== null => $start + (int) ($share * $payload),
            default => $build->isUnderWay() ? 0 : $start,
        };
        $right =
            $plan['layout'] === null
                ? StickCore::raw($plan, $build->image->report['table'] ?? null)
                : StickCore::planned($plan['layout']);

        return [
            'slug' => $slug,
            'stick' => $stick,
            'build' => $build,
            'thousandths' => $share === null ? null : (int) round(1000 * $share),
            'rate' => $build->rate() === null ? '' : number_format($build->rate() / 1e6, 1).' MB/s',
            'condition' => StickState::of($slug)->condition,
            'unfinished' => StickCondition::Unfinished,
            'exports' => self::exports($build),
            'core' => StickCore::of(
                'Stick · '.($stick->name ?? $slug),
                $plan['label'] === null ? 'Written raw, with the table of the image.' : "Label {$plan['label']}.",
                $plan['device_bytes'],
                $plan['sector_bytes'],
                [
                    [
                        'name' => $stick->contents ?? 'whatever was on it',
                        'from' => 0,
                        'bytes' => $plan['device_bytes'],
                        'lost' => true,
                        'role' => 'old',
                        'first_sector' => null,
                        'sectors' => null,
                    ],
                ],
                $right,
                ['before', 'after'],
                $plan['layout']['scheme'] ?? 'as in the image',
                $filled,
            ),
        ];
    }

    /** @return array<string, string> file => what it is; those that this build has */
    private static function exports(StickBuild $build): array
    {
        return array_filter([
            'make-stick.sh' => 'Script',
            'table.sfdisk' => $build->plan['layout'] === null ? '' : 'Partition table',
            'plan.json' => 'Plan',
            'SHA256SUMS' => isset($build->result['sha256sums']) ? 'Checksums' : '',
        ]);
    }
}
