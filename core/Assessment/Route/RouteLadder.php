<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Route;

use Cobblestone\Catalogue\RouteQuestion;
use Cobblestone\Catalogue\RouteTable;
use Cobblestone\Catalogue\Rung;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Source;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\Question;
use Cobblestone\Text\Lowered;

/** The gentlest way that can work, from the catalogue's rungs and the facts of the job (rule A3). */
final readonly class RouteLadder
{
    /**
     * @param  list<Rung>  $rungs  gentlest first
     * @param  array<array-key, RouteQuestion>  $questions  fact => how to ask for it
     */
    private function __construct(private array $rungs, private array $questions)
    {
    }

    public static function of(RouteTable $table): self
    {
        $rungs = $table->rungs;
        usort($rungs, static fn (Rung $a, Rung $b): int => [$a->order, $a->id] <=> [$b->order, $b->id]);

        return new self($rungs, $table->questions);
    }

    public function rung(string $id): ?Rung
    {
        foreach ($this->rungs as $rung) {
            if ($rung->id === $id) {
                return $rung;
            }
        }

        return null;
    }

    public function recommend(FactSheet $facts): RouteAdvice
    {
        $at = $this->best($facts);
        $rung = $at === null ? null : $this->rungs[$at];
        $ladder = [];
        $refused = [];
        $provisional = false;
        foreach ($this->rungs as $index => $one) {
            $against = $one->against($facts);
            $unknown = $one->unknown($facts);
            $gentler = $at === null || $index < $at;
            [$standing, $why] = match (true) {
                $index === $at => [WeighedRung::RECOMMENDED, []],
                $against !== [] => [WeighedRung::OUT, $against],
                $unknown !== [] => [
                    $gentler ? WeighedRung::POSSIBLE : WeighedRung::HARSHER,
                    $this->unknownWords($unknown),
                ],
                default => [WeighedRung::HARSHER, ['A gentler way can work.']],
            };
            $provisional = $provisional || $standing === WeighedRung::POSSIBLE;
            $ladder[] = new WeighedRung($one->id, $one->title, $standing, $why, $one->keeps);
            if ($gentler && $standing !== WeighedRung::RECOMMENDED) {
                $refused[$one->title] = $why;
            }
        }
        $settles = $this->settling($facts, $at);

        $decision = LadderWords::decision($rung, $ladder, $provisional, $settles, $refused, $this->known($facts));

        return new RouteAdvice($rung, $ladder, $settles, $provisional, $decision);
    }

    /**
     * Every rung gentler than a job of that kind, with how it stands: works, possible, tried or out.
     *
     * @return list<WeighedRung>|null  null where no rung is that kind
     */
    public function before(JobKind $kind, FactSheet $facts): ?array
    {
        $rows = [];
        foreach ($this->rungs as $rung) {
            if ($rung->path === $kind) {
                return $rows;
            }
            [$against, $unknown] = [$rung->against($facts), $rung->unknown($facts)];
            [$standing, $why] = match (true) {
                $rung->isTried($facts) => [WeighedRung::TRIED, $against],
                $against !== [] => [WeighedRung::OUT, $against],
                $unknown !== [] => [WeighedRung::POSSIBLE, $this->unknownWords($unknown)],
                default => [WeighedRung::WORKS, []],
            };
            $rows[] = new WeighedRung($rung->id, $rung->title, $standing, $why, $rung->keeps, $rung->minutes());
        }

        return null;
    }

    /**
     * @param  list<string>  $unknown
     * @return list<string>
     */
    private function unknownWords(array $unknown): array
    {
        $asked = array_map(
            fn (string $fact): string => Lowered::of(
                rtrim($this->questions[$fact]->text ?? FactRegistry::spoken($fact), '?'),
            ),
            $unknown,
        );

        return ['Not known: '.implode('; ', $asked).'.'];
    }

    /** Place of the first rung of which everything is known and nothing speaks against it. */
    private function best(FactSheet $facts): ?int
    {
        foreach ($this->rungs as $index => $rung) {
            if ($rung->against($facts) === [] && $rung->unknown($facts) === []) {
                return $index;
            }
        }

        return null;
    }

    /**
     * Everything the rungs up to the recommended one still want to know, the most decisive first: asked in one go.
     *
     * @return list<Question>
     */
    public function asked(FactSheet $facts): array
    {
        $reach = $this->best($facts);
        $first = $this->settling($facts, $reach);
        if ($first === null) {
            return [];
        }
        $asked = [$first];
        foreach ($this->unknownUpTo($facts, $reach ?? count($this->rungs)) as $fact) {
            $ask = $this->questions[$fact] ?? null;
            if ($ask !== null && $fact !== $first->fact && $ask->options !== []) {
                $asked[] = new Question(
                    $fact,
                    $ask->text,
                    $ask->options,
                    'which way is the gentlest that works',
                    'A3',
                    94,
                );
            }
        }

        return $asked;
    }

    /** @return list<string> every fact that the rungs up to the recommended one want and nobody knows */
    public function wanted(FactSheet $facts): array
    {
        $wanted = [];
        foreach (array_slice($this->rungs, 0, $this->best($facts) ?? count($this->rungs)) as $rung) {
            $wanted = $rung->against($facts) === [] ? [...$wanted, ...$rung->unknown($facts)] : $wanted;
        }

        return array_values(array_unique($wanted));
    }

    /** The unknown fact whose answers move the recommendation furthest, on average over its answers. */
    private function settling(FactSheet $facts, ?int $at): ?Question
    {
        $reach = $at ?? count($this->rungs);
        $best = null;
        $most = 0.0;
        $open = $this->open($facts, $reach);
        foreach ($this->unknownUpTo($facts, $reach) as $fact) {
            $options = $this->questions[$fact]->options ?? [];
            $moved = 0.0;
            foreach (array_keys($options) as $answer) {
                $with = $facts->with(Fact::of($fact, (string) $answer, Source::Person, 'what if'));
                $moved +=
                    abs(($this->best($with) ?? count($this->rungs)) - $reach) +
                    0.1 * self::closed($with, $open);
            }
            $moved = $options === [] ? 0.0 : $moved / count($options);
            if ($moved > $most) {
                [$best, $most] = [$fact, $moved];
            }
        }
        if ($best === null) {
            return null;
        }
        $ask = $this->questions[$best];

        return new Question($best, $ask->text, $ask->options, 'which way is the gentlest that works', 'A3', 95);
    }

    /** @return list<Rung> those that nothing speaks against, and of which something is not known */
    private function open(FactSheet $facts, int $reach): array
    {
        return array_values(array_filter(
            array_slice($this->rungs, 0, $reach),
            static fn (Rung $rung): bool => $rung->against($facts) === [] && $rung->unknown($facts) !== [],
        ));
    }

    /**
     * How many of the open rungs an answer settles one way or the other.
     *
     * @param  list<Rung>  $open
     */
    private static function closed(FactSheet $with, array $open): int
    {
        return count(array_filter(
            $open,
            static fn (Rung $rung): bool => $rung->against($with) !== [] || $rung->unknown($with) === [],
        ));
    }

    /** @return list<string> */
    private function unknownUpTo(FactSheet $facts, int $reach): array
    {
        $unknown = [];
        foreach (array_slice($this->rungs, 0, $reach) as $rung) {
            if ($rung->against($facts) === []) {
                $unknown = [
                    ...$unknown,
                    ...array_filter($rung->unknown($facts), fn (string $fact): bool => isset($this->questions[$fact])),
                ];
            }
        }

        return array_values(array_unique($unknown));
    }

    /** @return list<string> */
    private function known(FactSheet $facts): array
    {
        $known = [];
        foreach (array_keys($this->questions) as $fact) {
            $value = $facts->get((string) $fact);
            if (! $value->isUnknown()) {
                $known[] = "{$fact} = {$value->spoken()}";
            }
        }

        return $known;
    }
}
