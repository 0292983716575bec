<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Account\Passwords;
use App\Actions\ChangePerson;
use App\Models\BenchEvent;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Validation\ValidationException;

/**
 * Accounts at the console: the first lead, and the way back in when the last lead has lost the password or the
 * device.
 */
final class PersonCommand extends Command
{
    use SaidWords;

    protected $signature = 'cobblestone:person {action : add, password, code-off, end or list} {login? : the name '
        .'somebody signs in with} {--title=} {--role=technician}';

    protected $description = 'Makes an account, hands over a new password, takes a second factor off';

    public function handle(ChangePerson $change): int
    {
        $login = $this->said('login');
        $person = User::query()->where('login', $login)->first();
        $action = $this->argument('action');
        if ($action === 'list') {
            return $this->listed();
        }
        if ($action === 'add') {
            return $this->add($login, $person);
        }
        if ($person === null) {
            return $this->refused(
                $login === ''
                    ? "Say whose: cobblestone:person {$this->said('action')} NAME"
                    : "There is no account \"{$login}\".",
            );
        }
        try {
            match ($action) {
                'password' => $this->handOver($login, $change->reset($person, null)),
                'code-off' => $change->codeOff($person, null),
                'end' => $change->end($person, null),
                default => throw ValidationException::withMessages([
                    'action' => 'The action is add, password, code-off, end or list.',
                ]),
            };
        } catch (ValidationException $e) {
            return $this->refused($e->getMessage());
        }

        return self::SUCCESS;
    }

    private function listed(): int
    {
        foreach (User::query()->get()->sortBy('login') as $one) {
            $this->line(
                sprintf(
                    '%-20s %-12s %s%s',
                    $one->login,
                    $one->role,
                    $one->title,
                    $one->isHere() ? '' : ' (ended)',
                ),
            );
        }

        return self::SUCCESS;
    }

    private function add(string $login, ?User $taken): int
    {
        $role = $this->chosen('role') ?? '';
        if (
            preg_match('/^[a-z0-9][a-z0-9._-]{0,59}$/', $login) !== 1 ||
            $taken !== null ||
            ! in_array($role, User::ROLES, true)
        ) {
            return $this->refused(
                $taken !== null
                    ? "There is an account \"{$login}\" already."
                    : 'A name of small letters, digits, dots and dashes is wanted, and a role: '.
                        implode(', ', User::ROLES).
                        '.',
            );
        }
        $password = Passwords::toHandOver();
        $title = $this->chosen('title') ?? $login;
        User::query()->create([
            'login' => $login,
            'title' => mb_substr($title, 0, 120),
            'role' => $role,
            'password' => $password,
            'must_change' => true,
        ]);
        BenchEvent::note('person-added', $login, ['title' => $title, 'role' => $role], null);
        $this->handOver($login, $password);

        return self::SUCCESS;
    }

    private function handOver(string $login, string $password): void
    {
        $this->line("{$login} signs in with  {$password}  and chooses an own password at once.");
    }

    private function refused(string $why): int
    {
        $this->getOutput()->getErrorStyle()->writeln($why);

        return self::FAILURE;
    }
}
