<?php

namespace App\Http\Controllers;

use App\Actions\ChangeBrief;
use App\Bridge\JobBridge;
use App\Http\Requests\ReadingRequest;
use App\Models\Job;
use App\Models\LearnedFact;
use App\View\ReturnTo;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Facts\FactRegistry;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** What a machine says of itself comes into a job; a person settles what contradicts. */
final class ReadingController
{
    /** Bytes of a pasted text that are given back when it could not be read. */
    private const KEPT = 65_536;

    public function store(Job $job, ReadingRequest $request, JobBridge $bridge, ChangeBrief $change): RedirectResponse
    {
        $read = $request->read();
        if ($read->readings === [] && $read->problems === []) {
            throw ValidationException::withMessages([
                'output' => 'Choose a bundle or files, or paste what a tool printed.',
            ]);
        }
        [, $new] = $read->into($bridge->brief($job)['machine']);
        if ($new !== []) {
            $change->handle(
                $job,
                $request->user(),
                static fn (array $brief): array => [...$brief, 'machine' => $read->into($brief['machine'])[0]],
                'read: '.mb_substr(implode(', ', $new), 0, 300),
                (int) $request->input('seen', 0),
                'output',
            );
        }

        $back = redirect("/jobs/{$job->id}".ReturnTo::stone($request, '/intake'), 303);
        $typed = (string) $request->input('output');

        // What could not be read stays where it was typed; a whole bundle's text would be too much for a session.
        if ($read->readings === [] && strlen($typed) <= self::KEPT) {
            $back->withInput(['output' => $typed]);
        }

        return $back->with('read', [
            'new' => $new,
            'problems' => array_slice($read->problems, 0, 60),
            'files' => count($read->readings),
        ]);
    }

    /** A person says which of two contradicting values is right. */
    public function settle(Job $job, Request $request, ChangeBrief $change): RedirectResponse
    {
        $given = $request->validate([
            'fact' => ['required', 'string', 'max:60', 'regex:/^[a-z][a-z0-9_.-]*$/'],
            'value' => 'required|string|max:200',
        ]);
        $change->handle(
            $job,
            $request->user(),
            fn (array $brief): array => [
                ...$brief,
                'machine' => [
                    ...$brief['machine'],
                    'settled' => [...$brief['machine']['settled'] ?? [], $given['fact'] => $given['value']],
                    'facts_from' => (string) $request->user()?->title,
                ],
            ],
            "settled: {$given['fact']}",
            (int) $request->input('seen', 0),
        );

        return redirect("/jobs/{$job->id}/intake", 303)->with('did', 'settled');
    }

    /** Keeps a fact of this machine for its model, for the lead to look at. */
    public function learn(Job $job, Request $request): RedirectResponse
    {
        $given = $request->validate(['fact' => 'required|string|max:80']);
        $plan = $job->currentPlan()->typed();
        $stored = $plan->fact($given['fact']);
        $fact = $stored === null ? null : Fact::read($stored);
        if (
            $plan->job->model === null ||
            $fact === null ||
            ! $fact->isKnown() ||
            ! is_scalar($fact->value) ||
            ! FactRegistry::isOfModel($fact->name)
        ) {
            throw ValidationException::withMessages([
                'facts' => 'Only what is known of the model can be kept for it, not what belongs to this one machine '
                    .'or its owner.',
            ]);
        }
        LearnedFact::query()->firstOrCreate(
            [
                'model' => $plan->job->model,
                'fact' => $fact->name,
                'value' => mb_substr((string) $fact->value, 0, 200),
            ],
            ['job_id' => $job->id, 'user_id' => $request->user()->id, 'origin' => mb_substr($fact->origin, 0, 200)],
        );

        return redirect("/jobs/{$job->id}/intake", 303)->with('did', 'learned');
    }
}
