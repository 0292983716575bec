<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Closure;
use Cobblestone\Brief\UpdateBlock;
use Cobblestone\Firmware\BoardFitted;
use Cobblestone\Firmware\UpdatePath;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\Release;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Question;

/** From the firmware that is there to the one that is wanted, through the stops that the releases ask for (rule F5). */
final class ReleaseRoute
{
    /**
     * @return array{0: list<Release>, 1: list<Question>, 2: list<Blocker>, 3: Decision}
     */
    public static function route(JobContext $context, UpdateBlock $wish): array
    {
        $machine = $context->machine;
        $releases = $machine->model->firmware->releases ?? [];
        $now = $machine->fact('firmware.version');
        $none = self::noneFor($now);
        if ($now->isUnknown()) {
            return self::versionUnknown($none);
        }
        if ($releases === []) {
            return self::noReleases($none, $wish);
        }
        $processor = $machine->fact('processor')->value;
        $revision = $machine->fact('board.revision')->value;
        $path = UpdatePath::find(
            $releases,
            $now->text(),
            $wish->to,
            $wish->gives,
            new BoardFitted(
                is_scalar($processor) ? (string) $processor : null,
                is_scalar($revision) ? (string) $revision : null,
                $wish->processor,
            ),
        );
        $questions = $revision === null ? self::revisionQuestion($releases) : [];
        $refused = [];
        foreach ($path->leftOut as $one) {
            $refused[$one['version']] = [ucfirst($one['because'])];
        }
        if ($path->fault !== null) {
            return self::noWay($path->fault, $questions, $path, $now, $refused);
        }

        return self::through($machine, $path, $questions, $refused, $now);
    }

    /**
     * @return static-Closure(string, string): Decision
     */
    private static function noneFor(Fact $now): Closure
    {
        return static fn (string $chosen, string $why): Decision => new Decision(
            'firmware.update',
            'Firmware update',
            $chosen,
            [$why],
            [],
            ["firmware.version = {$now->spoken()}"],
            'F5',
        );
    }

    /**
     * @param  static-Closure(string, string): Decision  $none
     * @return array{0: list<Release>, 1: list<Question>, 2: list<Blocker>, 3: Decision}
     */
    private static function versionUnknown(Closure $none): array
    {
        return [
            [],
            [
                FactQuestion::about(
                    'firmware.version',
                    'which releases it has to go through',
                    'F5',
                    85,
                    [Act::WriteFirmware],
                ),
            ],
            [],
            $none('after the version is known', 'The way depends on the version that is on it now.'),
        ];
    }

    /**
     * @param  static-Closure(string, string): Decision  $none
     * @return array{0: list<Release>, 1: list<Question>, 2: list<Blocker>, 3: Decision}
     */
    private static function noReleases(Closure $none, UpdateBlock $wish): array
    {
        return [
            [],
            [],
            [],
            $none(
                $wish->to !== null ? "to {$wish->to}" : 'from the maker\'s page',
                'The catalogue holds no releases for this board: take the file from the maker\'s page by exact board '
                    .'and revision, and read its notes for required stops.',
            ),
        ];
    }

    /**
     * @param  list<Question>  $questions
     * @param  array<string, list<string>>  $refused
     * @return array{0: list<Release>, 1: list<Question>, 2: list<Blocker>, 3: Decision}
     */
    private static function noWay(
        string $fault,
        array $questions,
        UpdatePath $path,
        Fact $now,
        array $refused,
    ): array {
        return [
            [],
            $questions,
            [
                Blocker::narrow(
                    'update-route',
                    $fault,
                    'F5',
                    [Act::WriteFirmware, Act::ChangeSettings],
                    Door::choice('update.to', 'Choose another version, or what it must bring.'),
                    ["firmware.version = {$now->spoken()}"],
                ),
            ],
            new Decision(
                'firmware.update',
                'Firmware update',
                $path->target === $now->value ? 'none' : 'stop',
                [$fault],
                $refused,
                ["firmware.version = {$now->spoken()}"],
                'F5',
            ),
        ];
    }

    /**
     * @param  list<Question>  $questions
     * @param  array<string, list<string>>  $refused
     * @return array{0: list<Release>, 1: list<Question>, 2: list<Blocker>, 3: Decision}
     */
    private static function through(
        Machine $machine,
        UpdatePath $path,
        array $questions,
        array $refused,
        Fact $now,
    ): array {
        $entered = count($machine->settings());
        $total = $path->total($entered);

        return [
            $path->stops,
            $questions,
            [],
            new Decision(
                'firmware.update',
                'Firmware update',
                implode(', then ', array_map(static fn (Release $stop): string => $stop->version, $path->stops)),
                [
                    'Each release may only be written over the one it names or a newer one.',
                    $path->because,
                    count($path->stops).' × (write + restart) + '.$entered
                        ." settings entered again: about {$total->label()} in all.",
                ],
                ['newest at once' => ['A required stop would be skipped.'], ...$refused],
                [
                    "firmware.version = {$now->spoken()}",
                    ...array_map(
                        static fn (Release $stop): string => "{$stop->version} from ".($stop->from ?? 'any')
                            .($stop->processors === [] ? '' : ', runs '.implode(' and ', $stop->processors)),
                        $path->stops,
                    ),
                ],
                'F5',
            ),
        ];
    }

    /**
     * A file for another revision can leave the board dead: every revision the maker knows is asked for, not those of
     * one release.
     *
     * @param  list<Release>  $releases
     * @return list<Question>
     */
    private static function revisionQuestion(array $releases): array
    {
        $all = array_values(array_unique(array_merge(
            ...array_map(static fn (Release $release): array => $release->revisions, $releases),
            ...[[]],
        )));
        sort($all);

        if ($all === []) {
            return [];
        }
        $decides = 'which firmware file belongs to this board; another revision is another board';
        $words = array_map(static fn (string $one): string => "revision {$one}", $all);
        $asked = FactQuestion::about('board.revision', $decides, 'F5', 84, [Act::WriteFirmware]);

        return [$asked->offering(array_combine($all, $words))];
    }
}
