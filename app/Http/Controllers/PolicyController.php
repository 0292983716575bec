<?php

namespace App\Http\Controllers;

use App\Models\BenchPolicy;
use Cobblestone\Job\BriefFault;
use Cobblestone\Job\Policy;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

final class PolicyController
{
    public function edit(): View
    {
        return view('policy.edit', ['policy' => BenchPolicy::present(), 'history' => BenchPolicy::query()->with('user')->latest('id')->limit(10)->get()]);
    }

    public function update(Request $request): RedirectResponse
    {
        $schools = $request->only(array_keys(Policy::SCHOOLS));
        try {
            $policy = Policy::of($schools);
        } catch (BriefFault $e) {
            throw ValidationException::withMessages([$e->field => $e->getMessage()]);
        }
        BenchPolicy::query()->create(['schools' => $policy->schools(), 'user_id' => $request->user()?->id, 'created_at' => now()]);

        return redirect('/policy', 303)->with('did', 'saved');
    }
}
