<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Account\Passwords;
use App\Account\Sessions;
use App\Account\TimeCode;
use App\Devices\Command;
use App\Models\BenchEvent;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/** What somebody changes of their own account: password, second factor, where they are signed in. */
final class AccountController
{
    public function show(Request $request): View
    {
        $user = self::user($request);
        $secret = self::secretOf($request);

        return view('account.show', [
            'user' => $user,
            'sessions' => Sessions::of($user->id),
            'secret' => $secret,
            'picture' => $secret !== null
                    ? Command::run(
                        [
                            'qrencode',
                            '--type=SVG',
                            '--level=M',
                            '--margin=2',
                            '--output=-',
                            '--',
                            TimeCode::address($secret, $user->login, 'Cobblestone'),
                        ],
                        10,
                    )
                    : null,
        ]);
    }

    public function password(Request $request): RedirectResponse
    {
        $user = self::user($request);
        $given = $request->validate(
            [
                'current_password' => 'required|string|max:200',
                'password' => 'required|string|max:200',
                'password_confirmation' => 'required|string|same:password',
            ],
            [
                'current_password.*' => 'The password you sign in with now.',
                'password.*' => 'The new password.',
                'password_confirmation.*' => 'The second time it was typed differently.',
            ],
        );
        self::mustKnow($user, $given['current_password']);
        Passwords::mustBeGood($given['password'], $user);
        $user->update(['password' => $given['password'], 'must_change' => false]);
        // Whoever else was in with the old one is out.
        Sessions::endAll($user->id, $request->session()->getId());
        $request->session()->regenerate();
        BenchEvent::note('password-changed', $user->login, [], $user->id);

        return redirect('/account', 303)->with('did', 'password');
    }

    /** A secret is shown, and counts only once a code made from it was typed. */
    public function secret(Request $request): RedirectResponse
    {
        $request->session()->put('code-secret', Crypt::encryptString(TimeCode::secret()));

        return redirect('/account', 303);
    }

    public function code(Request $request): RedirectResponse
    {
        $user = self::user($request);
        $secret = self::secretOf($request);
        $typed = $request->input('code');
        $step =
            $secret !== null && is_string($typed) ? TimeCode::step($secret, $typed, (int) now()->timestamp, 0) : null;
        if ($step === null) {
            throw ValidationException::withMessages([
                'code' => 'This code does not come from the secret shown here. Nothing was changed; type the one your '
                    .'device shows now.',
            ]);
        }
        $user->forceFill(['code_secret' => $secret, 'code_step' => $step])->save();
        $request->session()->forget('code-secret');
        BenchEvent::note('second-factor-on', $user->login, [], $user->id);

        return redirect('/account', 303)->with('did', 'code');
    }

    public function codeOff(Request $request): RedirectResponse
    {
        $user = self::user($request);
        self::mustKnow(
            $user,
            (string) $request->validate(
                ['current_password' => 'required|string|max:200'],
                ['current_password.*' => 'The password you sign in with now.'],
            )['current_password'],
        );
        $user->forceFill(['code_secret' => null, 'code_step' => 0])->save();
        BenchEvent::note('second-factor-off', $user->login, [], $user->id);

        return redirect('/account', 303)->with('did', 'code-off');
    }

    public function endSession(Request $request, string $key): RedirectResponse
    {
        $ended = Sessions::end(self::user($request)->id, $key);

        return redirect('/account', 303)->with('did', $ended ? 'ended' : 'gone');
    }

    /** Sealed in the session's row until it counts. */
    private static function secretOf(Request $request): ?string
    {
        $sealed = $request->session()->get('code-secret');

        return is_string($sealed) ? Crypt::decryptString($sealed) : null;
    }

    private static function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : abort(401);
    }

    private static function mustKnow(User $user, string $password): void
    {
        if (! Hash::check($password, $user->password)) {
            throw ValidationException::withMessages([
                'current_password' => 'That is not the password you sign in with.',
            ]);
        }
    }
}
