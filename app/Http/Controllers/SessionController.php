<?php

namespace App\Http\Controllers;

use App\Account\SignInThrottle;
use App\Account\TimeCode;
use App\Models\BenchSetting;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** In by name and password, and by a code where the person has set one up; out again. */
final class SessionController
{
    /** Seconds between the password and the code. */
    private const CODE_WITHIN = 300;

    public function create(Request $request): View
    {
        $local = in_array($request->getHost(), ['127.0.0.1', 'localhost', '[::1]'], true);

        return view('login', ['demo' => $local && BenchSetting::read(BenchSetting::WORLD) === 'demo']);
    }

    public function store(Request $request): RedirectResponse
    {
        $given = $request->validate(
            ['login' => 'required|string|max:60', 'password' => 'required|string|max:200'],
            ['required' => 'Both are wanted.', '*.string' => 'Both are wanted.'],
        );
        $throttle = new SignInThrottle($given['login'], (string) $request->ip());
        if (($wait = $throttle->wait()) !== null) {
            return self::refused($request, "Too many wrong tries. Wait {$wait} s, then try again.");
        }
        if (
            ! Auth::validate($given) ||
            ! ($user = User::query()->where('login', $given['login'])->firstOrFail())->isHere()
        ) {
            $throttle->wrong();

            return self::refused($request, 'This name and password do not go together.');
        }
        if ($user->hasCode()) {
            $request->session()->regenerate();
            $request->session()->put('sign-in', ['user' => $user->id, 'at' => now()->timestamp]);

            return redirect('/login/code', 303);
        }
        $throttle->right();

        return self::in($request, $user);
    }

    public function code(Request $request): View|RedirectResponse
    {
        return self::pending($request) === null ? redirect('/login', 303) : view('login-code');
    }

    public function check(Request $request): RedirectResponse
    {
        $user = self::pending($request);
        if ($user === null || $user->code_secret === null) {
            return redirect('/login', 303)->withErrors(['login' => 'That took too long. Begin again.']);
        }
        $throttle = new SignInThrottle($user->login, (string) $request->ip());
        if (($wait = $throttle->wait()) !== null) {
            return back(303)->withErrors(['code' => "Too many wrong tries. Wait {$wait} s, then try again."]);
        }
        $typed = $request->input('code');
        $step = TimeCode::step(
            $user->code_secret,
            is_string($typed) ? $typed : '',
            (int) now()->timestamp,
            $user->code_step,
        );
        // Taken only by whoever moves the step on: the same code, sent twice at once, counts once.
        if (
            $step === null ||
            User::query()
                ->whereKey($user->id)
                ->where('code_step', '<', $step)
                ->update(['code_step' => $step]) === 0
        ) {
            $throttle->wrong();

            return back(303)->withErrors([
                'code' => 'This code is not the present one. Wait for the next, and look whether the clock of the '
                    .'device is right.',
            ]);
        }
        $throttle->right();
        $request->session()->forget('sign-in');

        return self::in($request, $user);
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/login', 303);
    }

    private static function in(Request $request, User $user): RedirectResponse
    {
        Auth::login($user);
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    private static function pending(Request $request): ?User
    {
        $pending = $request->session()->get('sign-in');
        $user =
            is_array($pending) && now()->timestamp - $pending['at'] <= self::CODE_WITHIN
                ? User::query()->whereKey($pending['user'])->first()
                : null;

        return $user?->isHere() === true ? $user : null;
    }

    private static function refused(Request $request, string $why): RedirectResponse
    {
        return redirect('/login', 303)
            ->withInput($request->only('login'))
            ->withErrors(['login' => $why]);
    }
}
