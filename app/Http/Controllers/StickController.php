<?php

namespace App\Http\Controllers;

use App\Actions\EditedMeanwhile;
use App\Bridge\KeptStick;
use App\Bridge\StickRegister;
use App\Bridge\WayBridge;
use App\Devices\Build\BuildFailure;
use App\Devices\Build\SizeCheck;
use App\Devices\Build\Unwatched;
use App\Devices\Stick\StickLock;
use App\Devices\StickLabel;
use App\Drawing\SpeedDrawing;
use App\Http\Asked;
use App\Models\ShelfFile;
use App\Models\StickBuild;
use App\Models\StickEvent;
use App\Models\StickState;
use App\View\CoreFigure;
use App\View\StickCore;
use App\View\StickLine;
use App\View\StickPage;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\StickCondition;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** The bench's sticks: what is on each, what it was measured at, what happened to it. */
final class StickController
{
    public function index(Request $request, StickRegister $register): View
    {
        $query = mb_strtolower(mb_substr(trim(Asked::text($request, 'q')), 0, 100));
        $states = StickState::query()->get()->keyBy('slug');
        $builds = [];
        /** @var StickBuild $build */
        foreach (StickBuild::query()->whereIn('state', ['queued', 'running'])->get() as $build) {
            $builds[$build->slug] = $build;
        }
        $rows = [];
        foreach ($register->now() as $slug => $stick) {
            $state = $states[$slug] ?? StickState::unrecorded($slug);
            $line = new StickLine($stick, $state, $register->condition($state), $builds[$slug] ?? null);
            if ($query === '' || $line->answers($query)) {
                $rows[] = $line;
            }
        }

        return view('sticks.index', ['rows' => $rows, 'query' => $query]);
    }

    public function show(string $slug, Request $request, StickRegister $register): View
    {
        $stick = $register->find($slug) ?? abort(404, 'The register has no such stick.');
        $state = $register->look($slug);
        $device = $register->device($slug);
        $history = WayBridge::history($slug);

        return view('sticks.show', [
            'slug' => $slug,
            'stick' => $stick,
            'mayWork' => $request->user()?->mayWork() === true,
            'kept' => KeptStick::of($slug),
            'page' => new StickPage(
                $stick,
                $state->content ?? [],
                $register->condition($state),
                ! is_file($device->path()) || $register->isGone($slug),
                StickBuild::query()->where('slug', $slug)->latest('id')->first(),
                $history,
                self::events($slug),
            ),
            'core' => self::core($stick, $state, $device->path()),
            'speed' => SpeedDrawing::of($history),
            'version' => StickEvent::version($slug),
            'images' => self::makeable(),
        ]);
    }

    private static function core(Stick $stick, StickState $state, string $path): CoreFigure
    {
        return StickCore::of(
            [
                'title' => "Stick · {$stick->name}",
                'note' => 'Left what is on record, right what the stick itself says now.',
            ],
            [
                'bytes' => $stick->size()->count,
                'sector' => $stick->sectorBytes,
                'scheme' => StickCore::scheme($path),
            ],
            $state->content['parts'] ?? null,
            StickCore::read($path),
            ['on record', 'read now'],
        );
    }

    public function check(string $slug, Request $request, StickRegister $register): RedirectResponse
    {
        try {
            $lock = StickLock::take($slug);
            $verdict = SizeCheck::quick($register->device($slug), new Unwatched());
            fclose($lock);
        } catch (BuildFailure $e) {
            throw ValidationException::withMessages(['check' => $e->getMessage()]);
        }
        StickEvent::note(
            $slug,
            'checked',
            ['honest' => $verdict['honest'], 'message' => $verdict['sentence']],
            $request->user()?->id,
        );
        if (! $verdict['honest']) {
            $this->retireBecause($slug, $verdict['sentence'], $request);
        }

        return redirect("/sticks/{$slug}", 303)->with('said', $verdict['sentence']);
    }

    public function retire(string $slug, Request $request, StickRegister $register): RedirectResponse
    {
        $register->find($slug) ?? abort(404);
        $why = $request->validate(
            ['because' => 'required|string|max:300'],
            ['because.required' => 'Say why, for whoever finds it.'],
        )['because'];
        self::mustBeAsSeen($slug, $request);
        $this->retireBecause($slug, $why, $request);

        return redirect("/sticks/{$slug}", 303);
    }

    /** Back into use: the lead's word, on record. */
    public function takeBack(string $slug, Request $request): RedirectResponse
    {
        abort_unless((bool) $request->user()?->isLead(), 403, 'Only a lead may take a retired stick back into use.');
        self::mustBeAsSeen($slug, $request);
        if (! StickLock::isFree($slug)) {
            throw ValidationException::withMessages([
                'take-back' => 'Something is still writing to this stick. Wait until it is done.',
            ]);
        }
        StickState::of($slug)
            ->fill(['condition' => StickCondition::Unfinished, 'content' => null])
            ->save();
        StickEvent::note($slug, 'taken-back', [], $request->user()?->id);

        return redirect("/sticks/{$slug}", 303);
    }

    public function replug(string $slug, StickRegister $register): RedirectResponse
    {
        $register->device($slug)->replug();

        return redirect("/sticks/{$slug}", 303);
    }

    /** Failures on the machine are booked against the stick too (rule M11). */
    public function bootedBadly(string $slug, Request $request, StickRegister $register): RedirectResponse
    {
        $register->find($slug) ?? abort(404);
        $text = $request->validate(['seen' => 'required|string|max:300'], ['seen.required' => 'Say what was seen.'])[
            'seen'
        ];
        StickEvent::note($slug, 'booted-badly', ['message' => $text], $request->user()?->id);

        return redirect("/sticks/{$slug}", 303);
    }

    public function label(string $slug, StickRegister $register): View
    {
        $stick = $register->find($slug) ?? abort(404);
        $state = $register->look($slug);
        abort_if(
            ! in_array($register->condition($state), [StickCondition::Good, StickCondition::Stale], true),
            409,
            'A label says what is proven to be on a stick, and nothing is proven on this one. Build it first.',
        );

        return view('sticks.label', [
            'stick' => $stick,
            'content' => $state->content,
            'code' => StickLabel::code($slug, $state->content ?? []),
        ]);
    }

    /** @return Collection<int, StickEvent> newest first */
    private static function events(string $slug): Collection
    {
        /** @var Collection<int, StickEvent> */
        return StickEvent::query()->where('slug', $slug)->with('user')->latest('id')->limit(60)->get();
    }

    /** @return list<ShelfFile> images that some stick can be made from */
    private static function makeable(): array
    {
        $images = [];
        foreach (ShelfFile::query()->where('here', true)->get()->sortBy('name')->take(60) as $file) {
            $report = $file->inspected();
            if ($report !== null && ($report->canBeRaw() || $report->canBeCopied())) {
                $images[] = $file;
            }
        }

        return $images;
    }

    private static function mustBeAsSeen(string $slug, Request $request): void
    {
        $last = StickEvent::query()->with('user')->where('slug', $slug)->latest('id')->first();
        EditedMeanwhile::check(
            $request->input('as_seen'),
            StickEvent::version($slug),
            "The stick {$slug}",
            "/sticks/{$slug}",
            $last === null ? [] : ['what happened last' => "{$last->kind}, ".($last->user->title ?? 'by itself')],
        );
    }

    private function retireBecause(string $slug, string $why, Request $request): void
    {
        StickState::become($slug, StickCondition::Retired, StickState::of($slug)->content);
        // A person's word wins over a build that is under way: it stops at its next piece.
        StickBuild::query()
            ->where('slug', $slug)
            ->whereIn('state', ['queued', 'running'])
            ->update(['cancel' => true]);
        StickEvent::note($slug, 'retired', ['because' => $why], $request->user()?->id);
    }
}
