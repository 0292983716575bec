<?php

declare(strict_types=1);

namespace Cobblestone\Tuning;

use Cobblestone\Catalogue\AppProgram;
use Cobblestone\Catalogue\AppSet;
use Cobblestone\Catalogue\SystemProfile;
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
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** Programs of the owner's kind of use, and that the system's own sources work (rules T5, I11). */
final readonly class Programs
{
    /** Which set of the bench. */
    public const FACT = 'owner.programs';

    private const MINUTES_EACH = 2;

    private function __construct(private ?AppSet $set, private SystemProfile $system)
    {
    }

    /** @param  array<array-key, AppSet>  $sets  of the catalogue */
    public static function plan(Machine $machine, SystemProfile $system, array $sets): Contribution
    {
        $named = $machine->fact(self::FACT)->text();
        $set = $sets[$named] ?? null;
        $against = match (true) {
            $named === '' => null,
            $set === null => "There is no set of programs \"{$named}\" any more.",
            $set->isFor($system->id) => null,
            default => "The programs \"{$set->name}\" are not for {$system->name}.",
        };
        if ($against !== null) {
            return new Contribution(blockers: [self::notForIt($against, $named)]);
        }
        $programs = new self($set, $system);
        $steps = array_values(array_filter([
            $system->family === 'community' ? $programs->sources() : null,
            $set === null ? null : $programs->setUp($set),
        ]));

        return new Contribution($steps, $set === null ? [] : [self::decision($set)]);
    }

    private static function notForIt(string $against, string $named): Blocker
    {
        return Blocker::narrow(
            'programs-other-system',
            $against,
            'T5',
            [Act::WriteSystem],
            Door::fact(self::FACT, 'Choose another set of programs, or none.'),
            [self::FACT." = {$named}"],
        );
    }

    private static function decision(AppSet $set): Decision
    {
        return new Decision(
            'tune.programs',
            'Programs',
            $set->name,
            [
                count($set->programs).' installed, '.count($set->startup).' kept from starting, '
                    .count($set->remove).' removed.',
            ],
            [],
            [self::FACT." = {$set->id}", $set->dated()],
            'T5',
        );
    }

    /** A system whose sources were never tried is not ready, however well it starts. */
    private function sources(): Step
    {
        $first = $this->set->programs[0]->name ?? 'any small program';

        return new Step(
            'tune.sources',
            Stage::Tune,
            'Try the software sources',
            Presence::Hands,
            Estimate::minutes(1, 3, 10),
            ['Switch the system\'s software sources on, and refresh them.', "Install {$first} from them and start it."],
            before: [PathFact::UPDATED],
            after: [PathFact::SOURCES_TRIED],
            needs: ['hands', 'network'],
            acts: [Act::WriteSystem],
            because: [
                new Reason('The owner\'s first program must not be the first try.', 'I11', $this->system->dated()),
            ],
            evidence: [
                new Evidence(
                    'program_started',
                    'The program that was installed and started',
                    EvidenceKind::Text,
                ),
            ],
        );
    }

    private function setUp(AppSet $set): Step
    {
        $rows = self::rows($set);
        $count = count($rows);

        return new Step(
            'tune.programs',
            Stage::Tune,
            'Set up programs',
            Presence::StayNear,
            Estimate::minutes($count, self::MINUTES_EACH * $count, 4 * $count),
            ['Go through the table, and tick each once it is as the last column says.'],
            before: [PathFact::UPDATED, ...$this->system->family === 'community' ? [PathFact::SOURCES_TRIED] : []],
            after: [PathFact::PROGRAMS_READY],
            needs: ['hands', 'network'],
            acts: [Act::WriteSystem],
            because: [new Reason("The owner's kind of use: {$set->name}.", 'T5', $set->dated())],
            done: DoneWords::of('Programs were set up: '.self::names($set)),
            evidence: [
                new Evidence(
                    'programs',
                    'As the table says',
                    EvidenceKind::Ticks,
                    expected: new Expected(implode('; ', array_column($rows, 'what'))),
                    overruledBy: ['technician', 'lead'],
                    remedy: 'Say what is left, and why: it is told to the owner.',
                ),
            ],
            rows: $rows,
        );
    }

    /** @return list<array<string, string>> */
    private static function rows(AppSet $set): array
    {
        $row = static fn (string $what, string $from, string $do, string $before, string $after): array => [
            'what' => $what, 'from' => $from, 'how' => $do, 'before' => $before, 'after' => $after,
        ];

        return [
            ...array_map(static fn (AppProgram $one): array => $row(
                $one->name,
                "{$one->from}; licence: {$one->licence}",
                $one->install,
                'not there',
                $one->proof,
            ), $set->programs),
            ...array_map(
                static fn (string $one): array => $row($one, '', 'switch off at start', 'starts by itself', 'does not'),
                $set->startup,
            ),
            ...array_map(
                static fn (string $one): array => $row($one, '', 'remove', 'there, nobody asked for it', 'gone'),
                $set->remove,
            ),
        ];
    }

    private static function names(AppSet $set): string
    {
        $said = array_filter([
            implode(', ', array_map(static fn (AppProgram $one): string => $one->name, $set->programs)),
            $set->startup === [] ? '' : 'kept from starting by themselves: '.implode(', ', $set->startup),
            $set->remove === [] ? '' : 'removed: '.implode(', ', $set->remove),
        ]);

        return implode('; ', $said);
    }
}
