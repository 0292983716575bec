<?php

namespace App\Http\Controllers;

use App\Actions\EditedMeanwhile;
use App\Actions\NameShop;
use App\Models\BenchEvent;
use App\Models\BenchPolicy;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Policy\Policy;
use Cobblestone\Policy\Schools;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

final class PolicyController
{
    public function edit(Request $request): View
    {
        return view('policy.edit', [
            'lead' => $request->user()?->isLead() === true,
            'policy' => BenchPolicy::present(),
            'schools' => Schools::all(),
            'texts' => Policy::TEXTS,
            'shop' => ($shop = NameShop::present()),
            'shopVersion' => NameShop::version($shop),
            'named' => BenchEvent::query()->with('user')->where('kind', 'shop-named')->latest('id')->limit(5)->get(),
            'version' => BenchPolicy::version(),
            'history' => BenchPolicy::query()->with('user')->latest('id')->limit(10)->get(),
        ]);
    }

    public function update(Request $request): RedirectResponse
    {
        DB::transaction(function () use ($request): void {
            // One after the other: the second of two leads sees what the first has made of it.
            DB::statement('select pg_advisory_xact_lock(hashtext(?))', ['policy']);
            $before = BenchPolicy::present();
            try {
                // What a form does not say stays as it is.
                $policy = Policy::of([
                    ...$before->chosen(),
                    ...$request->only(array_keys(Schools::all() + Policy::TEXTS)),
                ]);
            } catch (BriefFault $e) {
                throw ValidationException::withMessages([$e->field => $e->getMessage()]);
            }
            EditedMeanwhile::check(
                $request->input('as_seen'),
                BenchPolicy::version(),
                'The policy',
                '/policy',
                array_combine(array_map(Policy::title(...), array_keys($before->chosen())), $before->chosen()),
            );
            self::keep($before->chosen(), $policy->chosen(), $request->user()?->id);
        });

        return redirect('/policy', 303)->with('did', 'saved');
    }

    /**
     * @param  array<string, string>  $before
     * @param  array<string, string>  $now
     */
    private static function keep(array $before, array $now, ?int $user): void
    {
        if ($now === $before) {
            return;
        }
        BenchPolicy::query()->create(['schools' => $now, 'user_id' => $user, 'created_at' => now()]);
        BenchEvent::note(
            'policy-changed',
            null,
            ['before' => array_diff_assoc($before, $now), 'after' => array_diff_assoc($now, $before)],
            $user,
        );
    }
}
