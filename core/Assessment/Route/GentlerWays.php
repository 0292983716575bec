<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Route;

use Cobblestone\Machine\FactSheet;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\Question;

/**
 * What would do with less, before a job of a kind that loses what is on the machine: every gentler rung with why it is
 * out, what it still wants to know, what it keeps and how long it takes (rule A3).
 */
final readonly class GentlerWays
{
    /** What the owner wants it for; only a fault can be mended by something gentler. */
    public const FACT = 'wish.why';

    private const FAULT = 'fault';

    private const OTHER_SYSTEM = 'other-system';

    /**
     * @param  string|null  $why  as the fact says; null while nobody has asked
     * @param  list<WeighedRung>  $ladder  gentlest first
     * @param  list<Question>  $questions
     */
    private function __construct(public ?string $why, public array $ladder, public array $questions)
    {
    }

    /**
     * @param  list<WeighedRung>  $upgrade  an upgrade in place, where one can be thought of
     * @param  list<Question>  $asked  what that still wants to know
     * @return self|null  null where the ladder has no rung of this kind: nothing is gentler than it
     */
    public static function before(
        RouteLadder $ladder,
        JobKind $kind,
        FactSheet $facts,
        array $upgrade,
        array $asked,
    ): ?self {
        $rows = $ladder->before($kind, $facts);
        if ($rows === null) {
            return null;
        }
        $why = $facts->get(self::FACT)->text();

        return match ($why) {
            // It is asked where the kind of job is chosen, and not once more on every path.
            '' => new self(null, [], []),
            self::FAULT => new self($why, $rows, self::lighter($ladder->asked($facts))),
            self::OTHER_SYSTEM => new self($why, $upgrade, self::lighter($asked)),
            default => new self($why, [], []),
        };
    }

    /** @return list<string> "Start-up repair (keeps files and programs)": what may still do, gentlest first */
    public function untried(): array
    {
        $untried = array_filter($this->ladder, static fn (WeighedRung $rung): bool => $rung->mayDo());

        return array_values(array_map(
            static fn (WeighedRung $rung): string => "{$rung->title} (".LadderWords::keeps($rung->keeps).')',
            $untried,
        ));
    }

    /** @return list<string> what was tried and did not help */
    public function tried(): array
    {
        return array_column($this->standing(WeighedRung::TRIED), 'title');
    }

    /** Null while nobody has said what it is for, and where nothing was weighed. */
    public function decision(JobKind $kind): ?Decision
    {
        if ($this->ladder === []) {
            return null;
        }
        $can = count($this->standing(WeighedRung::WORKS));
        $may = count($this->untried()) - $can;
        $because = match (true) {
            $can > 0 => 'What is gentler can work here, and has not been tried.',
            $may > 0 => 'Something gentler may do; what is still to be known stands beside it.',
            default => 'Nothing gentler is left.',
        };
        $refused = [];
        foreach ($this->ladder as $rung) {
            $refused[$rung->title] = $rung->why ?: [ucfirst(LadderWords::keeps($rung->keeps)).'.'];
        }

        return new Decision(
            'assess.gentler',
            'Gentler than this',
            $can + $may === 0 ? $kind->title() : "{$kind->title()}, as the job says",
            [$because],
            $refused,
            [self::FACT." = {$this->why}"],
            'A3',
        );
    }

    public function found(): GentlerFound
    {
        return new GentlerFound($this->why, $this->ladder);
    }

    /** @return list<WeighedRung> */
    private function standing(string $standing): array
    {
        return array_values(array_filter(
            $this->ladder,
            static fn (WeighedRung $rung): bool => $rung->standing === $standing,
        ));
    }

    /**
     * @param  list<Question>  $asked
     * @return list<Question> the same, after everything that this job cannot do without, and in the way of nothing
     */
    private static function lighter(array $asked): array
    {
        return array_map(
            static fn (Question $one, int $at): Question => new Question(
                $one->fact,
                $one->text,
                $one->options,
                'whether something gentler would do',
                'A3',
                59 - $at,
            ),
            $asked,
            array_keys($asked),
        );
    }
}
