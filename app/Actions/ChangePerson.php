<?php

declare(strict_types=1);

namespace App\Actions;

use App\Account\Passwords;
use App\Account\Sessions;
use App\Models\BenchEvent;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Changes of an account, each on record; a bench is never left without a lead. */
final class ChangePerson
{
    public const KINDS = [
        'person-added',
        'person-changed',
        'person-ended',
        'person-reopened',
        'password-reset',
        'password-changed',
        'second-factor-on',
        'second-factor-off',
        'session-ended',
    ];

    public function details(User $person, string $title, string $role, ?User $by): void
    {
        DB::transaction(function () use ($person, $title, $role, $by): void {
            if ($person->isLead() && $role !== 'lead') {
                $this->mustLeaveALead($person);
            }
            $before = ['title' => $person->title, 'role' => $person->role];
            $after = ['title' => $title, 'role' => $role];
            if ($before !== $after) {
                $person->update($after);
                BenchEvent::note(
                    'person-changed',
                    $person->login,
                    ['before' => $before, 'after' => $after],
                    $by?->id,
                );
            }
        });
    }

    public function end(User $person, ?User $by): void
    {
        DB::transaction(function () use ($person, $by): void {
            $this->mustLeaveALead($person);
            if ($person->isHere()) {
                $person->forceFill(['ended_at' => now(), 'code_secret' => null])->save();
                BenchEvent::note('person-ended', $person->login, [], $by?->id);
            }
            Sessions::endAll($person->id);
        });
    }

    /** @return string the password to hand over */
    public function reopen(User $person, ?User $by): string
    {
        return $this->handOver($person, 'person-reopened', $by, ['ended_at' => null]);
    }

    /** @return string the password to hand over */
    public function reset(User $person, ?User $by): string
    {
        return $this->handOver($person, 'password-reset', $by, []);
    }

    public function codeOff(User $person, ?User $by): void
    {
        $person->forceFill(['code_secret' => null, 'code_step' => 0])->save();
        BenchEvent::note('second-factor-off', $person->login, [], $by?->id);
    }

    /** @param  array<string, null>  $change */
    private function handOver(User $person, string $kind, ?User $by, array $change): string
    {
        $password = Passwords::toHandOver();
        DB::transaction(function () use ($person, $password, $kind, $by, $change): void {
            $person->forceFill(['password' => $password, 'must_change' => true, ...$change])->save();
            Sessions::endAll($person->id);
            BenchEvent::note($kind, $person->login, [], $by?->id);
        });

        return $password;
    }

    private function mustLeaveALead(User $person): void
    {
        // Held, so that two leads cannot end each other at the same moment.
        $leads = User::query()->where('role', 'lead')->where('ended_at', null)->lockForUpdate()->pluck('id');
        if ($person->isLead() && $leads->reject($person->id)->isEmpty()) {
            throw ValidationException::withMessages([
                'person' => "{$person->title} is the only lead of this bench. Make somebody else a lead first.",
            ]);
        }
    }
}
