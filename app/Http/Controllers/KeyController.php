<?php

namespace App\Http\Controllers;

use App\Actions\LogBook;
use App\Models\BenchPolicy;
use App\Models\Job;
use App\Models\SealedKey;
use App\Retention\RetentionDays;
use Cobblestone\Runbook\EntryKind;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\IpUtils;

/**
 * Sealed keys, where the policy keeps any: encrypted at rest, shown on request, every showing logged (rules A7, A8).
 */
final class KeyController
{
    public function index(Job $job): View
    {
        return view('jobs.keys', [
            'job' => $job,
            'keys' => SealedKey::query()->with('user')->where('job_id', $job->id)->orderBy('id')->get(),
            'allowed' => self::allowed(),
            'days' => RetentionDays::present()->days['keys'],
        ]);
    }

    public function store(Job $job, Request $request, LogBook $log): RedirectResponse
    {
        abort_unless(
            self::allowed() && $job->isOpen(),
            403,
            'The bench\'s policy keeps no keys: write down where the owner keeps it instead.',
        );
        $given = $request->validate(
            [
                'kind' => 'required|in:'.implode(',', array_keys(SealedKey::KINDS)),
                'label' => 'required|string|max:120',
                'secret' => 'required|string|min:4|max:400',
            ],
            [
                'secret.*' => 'The key is wanted, 4 to 400 characters. It was not kept.',
                'label.*' => 'Say which key it is: its name on the screen, or the edition it fits.',
            ],
        );
        DB::transaction(function () use ($job, $request, $given, $log): void {
            $locked = Job::locked($job->id);
            SealedKey::query()->create([
                'job_id' => $job->id,
                'kind' => $given['kind'],
                'label' => $given['label'],
                'sealed' => $given['secret'],
                'user_id' => $request->user()->id,
                'expires_at' => now()->addDays(RetentionDays::present()->days['keys']),
            ]);
            $log->write($locked, $request->user(), EntryKind::KeySealed, null, [
                'text' => SealedKey::KINDS[$given['kind']].": {$given['label']}",
            ]);
        });

        return redirect("/jobs/{$job->id}/keys", 303)->with('did', 'sealed');
    }

    /** The only place where a key leaves its seal; the page is kept by no cache and no history. */
    public function show(Job $job, SealedKey $key, Request $request, LogBook $log): Response|RedirectResponse
    {
        abort_unless($key->job_id === $job->id, 404);
        abort_unless(
            $request->secure() || IpUtils::checkIp((string) $request->ip(), ['127.0.0.0/8', '::1']),
            403,
            'Keys are shown only on this computer itself or over an encrypted connection.',
        );
        if (! $key->isKept() || $key->getRawOriginal('sealed') === null) {
            return redirect("/jobs/{$job->id}/keys", 303)->withErrors(['key' => 'This key is not kept any more.']);
        }
        if ($key->opened() === null) {
            return redirect("/jobs/{$job->id}/keys", 303)->withErrors([
                'key' => 'This key was sealed with an application key that is not this bench\'s any more: it cannot '
                    .'be opened. Ask the owner for it again, or put the old application key back (bin/restore FROM '
                        .'--key-only).',
            ]);
        }
        DB::transaction(
            fn () => $log->write(Job::locked($job->id), $request->user(), EntryKind::KeyShown, null, [
                'text' => SealedKey::KINDS[$key->kind].": {$key->label}",
            ]),
        );

        return response()
            ->view('jobs.key', ['job' => $job, 'key' => $key])
            ->header('Cache-Control', 'no-store');
    }

    public function delete(Job $job, SealedKey $key, Request $request, LogBook $log): RedirectResponse
    {
        abort_unless($key->job_id === $job->id, 404);
        DB::transaction(function () use ($job, $key, $request, $log): void {
            $locked = Job::locked($job->id);
            $key->forget();
            $log->write($locked, $request->user(), EntryKind::KeyDeleted, null, [
                'text' => SealedKey::KINDS[$key->kind].": {$key->label}",
            ]);
        });

        return redirect("/jobs/{$job->id}/keys", 303);
    }

    private static function allowed(): bool
    {
        return BenchPolicy::present()->school('keys') === 'sealed';
    }
}
