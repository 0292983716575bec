<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Account\Passwords;
use App\Account\Sessions;
use App\Actions\ChangePerson;
use App\Actions\EditedMeanwhile;
use App\Models\BenchEvent;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Validation\Rule;

/** The accounts of the bench: made, changed and ended by the lead. */
final class PeopleController
{
    public function index(Request $request): View
    {
        $people = User::query()->orderByRaw('ended_at is not null')->orderBy('title')->get();

        return view('people.index', [
            'people' => $people,
            'handed' => self::handed($request),
            'sessions' => Sessions::of(),
            'titles' => $people->pluck('title', 'id')->all(),
            'events' => BenchEvent::query()
                ->with('user')
                ->whereIn('kind', ChangePerson::KINDS)
                ->latest('id')
                ->limit(30)
                ->get(),
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        $given = $request->validate(
            [
                'login' => [
                    'required',
                    'string',
                    'max:60',
                    'regex:/^[a-z0-9][a-z0-9._-]*$/',
                    Rule::unique('users', 'login'),
                ],
                'title' => 'required|string|max:120',
                'role' => ['required', Rule::in(User::ROLES)],
            ],
            [
                'login.regex' => 'Small letters, digits, dots and dashes, such as "morning" or "lead-2".',
                'login.unique' => 'There is an account of this name already; ended ones keep theirs.',
                'login.*' => 'The name somebody signs in with.',
                'title.*' => 'What the bench calls the role, such as "evening technician".',
                'role.*' => 'Choose a role.',
            ],
        );
        $password = Passwords::toHandOver();
        $user = User::query()->create([...$given, 'password' => $password, 'must_change' => true]);
        BenchEvent::note(
            'person-added',
            $user->login,
            ['title' => $user->title, 'role' => $user->role],
            $request->user()?->id,
        );

        return redirect('/people', 303)->with('handed', self::sealed($user, $password));
    }

    public function update(User $person, Request $request, ChangePerson $change): RedirectResponse
    {
        $given = $request->validate(
            ['title' => 'required|string|max:120', 'role' => ['required', Rule::in(User::ROLES)]],
            ['title.*' => 'What the bench calls the role.', 'role.*' => 'Choose a role.'],
        );
        EditedMeanwhile::check(
            $request->input('as_seen'),
            $person->version(),
            "The account {$person->login}",
            '/people',
            ['title' => $person->title, 'role' => $person->role, 'state' => $person->isHere() ? 'open' : 'ended'],
        );
        $change->details($person, (string) $given['title'], (string) $given['role'], $request->user());

        return redirect('/people', 303)->with('did', 'person');
    }

    public function end(User $person, Request $request, ChangePerson $change): RedirectResponse
    {
        $change->end($person, $request->user());

        return redirect('/people', 303)->with('did', 'person-ended');
    }

    public function reopen(User $person, Request $request, ChangePerson $change): RedirectResponse
    {
        $password = $change->reopen($person, $request->user());

        return redirect('/people', 303)->with('did', 'person-back')->with('handed', self::sealed($person, $password));
    }

    public function reset(User $person, Request $request, ChangePerson $change): RedirectResponse
    {
        $password = $change->reset($person, $request->user());

        return redirect('/people', 303)->with('did', 'reset')->with('handed', self::sealed($person, $password));
    }

    public function codeOff(User $person, Request $request, ChangePerson $change): RedirectResponse
    {
        $change->codeOff($person, $request->user());

        return redirect('/people', 303)->with('did', 'code-removed');
    }

    public function endSession(User $person, string $key, Request $request): RedirectResponse
    {
        $ended = Sessions::end($person->id, $key);
        if ($ended) {
            BenchEvent::note('session-ended', $person->login, [], $request->user()?->id);
        }

        return redirect('/people', 303)->with('did', $ended ? 'ended' : 'gone');
    }

    /** For the one page that shows it: in the session's row it is sealed, as everything secret is. */
    private static function sealed(User $person, string $password): string
    {
        return Crypt::encryptString((string) json_encode(['login' => $person->login, 'password' => $password]));
    }

    /** @return array{login: string, password: string}|null */
    private static function handed(Request $request): ?array
    {
        $sealed = $request->session()->get('handed');
        $handed = is_string($sealed) ? json_decode(Crypt::decryptString($sealed), true) : null;

        return is_array($handed) && is_string($handed['login'] ?? null) && is_string($handed['password'] ?? null)
            ? ['login' => $handed['login'], 'password' => $handed['password']]
            : null;
    }
}
