<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Brief\Extra;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** Account locks, managed machines, and what comes from elsewhere (rules A9, A15). */
final class Ownership
{
    /** The decision on what comes from elsewhere. */
    public const EXTRAS = 'assess.extras';

    /** The stop of a bench that wants none of it. */
    public const NOT_ALLOWED = 'extras-policy';

    /**
     * @param  bool  $erases  whether the path erases or restores the machine
     * @return array{0: Contribution, 1: list<string>} and the facts that the erasing step waits for
     */
    public static function assess(Machine $machine, bool $erases, string $owner): array
    {
        $mayLock = ($machine->model->accountLock ?? false) || $machine->kind === Kind::Sealed;
        $lock = $machine->fact('owner.lock');
        if (! $erases || ! $mayLock || $lock->is('none')) {
            return [new Contribution(initial: [PathFact::ACCOUNT_OUT]), []];
        }
        $questions = $lock->isUnknown()
            ? [
                FactQuestion::about(
                    'owner.lock',
                    'whether it can be used at all after erasing',
                    'A9',
                    80,
                    [Act::Erase, Act::Repair],
                ),
            ]
            : [];

        return self::signingOut($owner, $lock, $questions);
    }

    /**
     * @param  list<Question>  $questions
     * @return array{0: Contribution, 1: list<string>}
     */
    private static function signingOut(string $owner, Fact $lock, array $questions): array
    {
        $step = new Step(
            'protect.account-out',
            Stage::Protect,
            'Owner signs out',
            Presence::Hands,
            Estimate::minutes(2, 5, 20),
            [
                "{$owner} signs out of the account lock themselves, on the machine or from elsewhere.",
                'Have them show something that says the machine is theirs: receipt, box with the serial, account page.',
                'Read the state afterwards: the lock must be off.',
            ],
            before: [PathFact::TAKEN_IN],
            after: [PathFact::ACCOUNT_OUT],
            needs: ['hands'],
            done: DoneWords::of('You signed out of the account lock', 'lock_off'),
            acts: [Act::ChangeOldSystem],
            because: [
                new Reason(
                    'A machine erased with the lock on asks for the former account and is of no use to anybody.',
                    'A9',
                    $lock->origin,
                ),
            ],
            evidence: [
                new Evidence('lock_off', 'The lock reads', 'choice', ['off' => 'off', 'never-on' => 'was never on']),
                new Evidence('entitled', 'What showed that it is theirs', 'text'),
            ],
        );
        $decision = self::decision($lock);

        return [new Contribution([$step], [$decision], $questions), [PathFact::ACCOUNT_OUT]];
    }

    private static function decision(Fact $lock): Decision
    {
        return new Decision(
            'assess.ownership',
            'Account lock',
            'signed out before anything is erased',
            ['Such machines can carry a lock that survives erasing.'],
            ['erase first' => ['It would ask for the former account afterwards.']],
            ["owner.lock = {$lock->spoken()}"],
            'A9',
        );
    }

    /**
     * Trimmed builds, community drivers, pasted commands: only by policy, and only with source, hash and reason (rule
     * A15).
     *
     * @param  list<Extra>  $extras
     */
    public static function extras(array $extras, string $school): Contribution
    {
        if ($extras === []) {
            return new Contribution();
        }
        $names = implode(', ', array_map(static fn (Extra $extra): string => $extra->what, $extras));
        if ($school === 'off') {
            return self::refusedByPolicy($names);
        }
        $missing = array_filter($extras, static fn (Extra $extra): bool => ! $extra->isRecorded());
        $step = self::recordOfExtras($extras, $missing, $names);

        return new Contribution(
            [$step],
            [
                new Decision(
                    self::EXTRAS,
                    'From elsewhere',
                    "allowed, with a record: {$names}",
                    ['The bench\'s policy allows it with source, hash and reason.'],
                    [],
                    array_map(static fn (Extra $extra): string => $extra->source, $extras),
                    'A15',
                ),
            ],
            blockers: array_values(
                array_map(
                    static fn (Extra $extra): Blocker => Blocker::stop(
                        'extras-'.substr(hash('sha256', $extra->what), 0, 8),
                        "{$extra->what}: its source, its SHA-256 and the reason are wanted before it may be used.",
                        'A15',
                        Door::choice('extras', 'Say them, or leave it away.'),
                    ),
                    $missing,
                ),
            ),
        );
    }

    private static function refusedByPolicy(string $names): Contribution
    {
        return new Contribution(
            blockers: [
                Blocker::stop(
                    self::NOT_ALLOWED,
                    "{$names}: the bench's policy does not allow what comes from elsewhere.",
                    'A15',
                    Door::choice('policy.extras', 'A lead may allow it for this job; or leave it away.', 'recorded'),
                    ['policy extras = off'],
                ),
            ],
        );
    }

    /**
     * @param  list<Extra>  $extras
     * @param  array<int, Extra>  $missing
     */
    private static function recordOfExtras(array $extras, array $missing, string $names): Step
    {
        return new Step(
            'route.extras',
            Stage::Route,
            'Record what comes from elsewhere',
            Presence::Hands,
            Estimate::minutes(2, 4, 10),
            array_map(
                static fn (
                    Extra $extra,
                ): string => "{$extra->what}: from {$extra->source}, because {$extra->reason}. `sha256sum` must "
                    ."print `{$extra->sha256}`.",
                array_values(array_diff_key($extras, $missing)),
            ),
            before: [PathFact::TAKEN_IN],
            after: [PathFact::EXTRAS_RECORDED],
            needs: ['hands'],
            because: [
                new Reason(
                    'What a publisher did not sign is a risk of the owner; it is recorded and printed.',
                    'A15',
                ),
            ],
            cautions: ['Nobody can say what a changed build or a pasted command does besides what it is said to do.'],
            evidence: [new Evidence('extras_agreed_by', 'Who agreed to it', EvidenceKind::Person)],
            opens: [
                new PutBack(
                    'extras',
                    "From elsewhere: {$names}",
                    'It does not come from the publisher. It stays on the machine.',
                    'put-back.sign',
                    stays: true,
                ),
            ],
        );
    }
}
