<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Memory;

/** Shares over all single faults, changed with every result by Bayes' rule (rule A4). */
final readonly class MemoryBeliefs
{
    /** How likely one pass is to meet a fault that is there (default): two clean passes acquit with 99 %. */
    private const DETECTS = 0.9;

    /** How likely errors are without a fault (a loose lead, a slip of the hand). */
    private const STRAY = 0.002;

    /** @param  list<array{0: MemoryFault, 1: float}>  $shares that sum to 1 */
    private function __construct(private array $shares)
    {
    }

    /**
     * @param  list<MemoryTest>  $tests
     * @param  bool  $fasterProfile  whether a faster profile is or was on when the trouble was seen
     */
    public static function after(MemoryBench $bench, array $tests, bool $fasterProfile): self
    {
        $shares = [];
        $sum = 0.0;
        $fasterUsed = $fasterProfile
            || array_filter($tests, static fn (MemoryTest $test): bool => $test->fasterProfile) !== [];
        foreach (MemoryFault::all($bench, $fasterUsed) as $fault) {
            $belief = $fault->weight;
            foreach ($tests as $test) {
                $belief *= self::likelihood($fault, $test);
            }
            $shares[] = [$fault, $belief];
            $sum += $belief;
        }

        return new self(
            array_map(static fn (array $pair): array => [$pair[0], $sum > 0 ? $pair[1] / $sum : 0.0], $shares),
        );
    }

    /** @return array{0: MemoryFault, 1: float} */
    public function likeliest(): array
    {
        $best = $this->shares[0];
        foreach ($this->shares as $pair) {
            $best = $pair[1] > $best[1] ? $pair : $best;
        }

        return $best;
    }

    /** @return list<Suspect> those of one in a hundred or more, likeliest first */
    public function suspects(): array
    {
        $suspects = [];
        foreach ($this->shares as [$fault, $share]) {
            if ($share >= 0.01) {
                $suspects[] = new Suspect($fault->title(), round($share, 3));
            }
        }
        usort($suspects, static fn (Suspect $a, Suspect $b): int => $b->share <=> $a->share);

        return $suspects;
    }

    /** Bits of doubt that a test of that placement at standard speed is expected to take away. */
    public function gain(MemoryTest $test): float
    {
        $meets = 1 - (1 - self::DETECTS) ** $test->passes;
        $fail = 0.0;
        $failed = [];
        foreach ($this->shares as $index => [$fault, $belief]) {
            $failed[$index] = $belief * ($fault->isMetBy($test) ? $meets : self::STRAY);
            $fail += $failed[$index];
        }
        $after = $before = 0.0;
        foreach ($this->shares as $index => [, $belief]) {
            $after += self::doubt($failed[$index], $fail) + self::doubt($belief - $failed[$index], 1 - $fail);
            $before += self::doubt($belief, 1.0);
        }

        return $before - $after;
    }

    private static function likelihood(MemoryFault $fault, MemoryTest $test): float
    {
        // An unstable profile often holds with fewer modules: such a clean pass says little for or against it.
        $detects = $fault->kind === MemoryFault::PROFILE && count($test->placed) < 2 ? 0.5 : self::DETECTS;
        $fails = $fault->isMetBy($test) ? 1 - (1 - $detects) ** max(1, $test->passes) : self::STRAY;

        return $test->failed() ? $fails : 1 - $fails;
    }

    /** One share's part of the doubt that is left within an outcome of that chance. */
    private static function doubt(float $share, float $chance): float
    {
        return $share > 1e-12 && $chance > 0 ? -$share * log($share / $chance, 2) : 0.0;
    }
}
