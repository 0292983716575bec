<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Memory;

use Cobblestone\Text\Counted;

/**
 * Finds the one bad module, slot, pairing, board or profile by the tests that settle most per minute (rule A4).
 *
 * Beliefs are shares over all single faults, changed with every result by Bayes' rule. A conviction needs tests at
 * standard speed; while a faster profile was on, errors speak only against the profile.
 */
final readonly class MemoryFaultFinder
{
    /** Share above which a fault counts as found. */
    public const CONVICTS = 0.95;

    /** Share above which memory as a whole is acquitted; higher, as data goes through it afterwards. */
    public const ACQUITS = 0.99;

    /** Minutes to move modules and start again. */
    private const SWAP_MINUTES = 5.0;

    /** @param  list<MemoryTest>  $tests in the order in which they were made */
    private function __construct(
        private MemoryBench $bench,
        private array $tests,
        private bool $fasterProfile,
        private int $passes,
        private float $minutesPerGib,
    ) {
    }

    /**
     * @param  list<MemoryTest>  $tests
     * @param  bool  $fasterProfile  whether a faster profile is or was on when the trouble was seen
     * @param  int  $passes  passes that acquit (default of rule A4: 2)
     * @param  float  $minutesPerGib  of one pass (default, learned)
     */
    public static function of(
        MemoryBench $bench,
        array $tests,
        bool $fasterProfile,
        int $passes = 2,
        float $minutesPerGib = 1.5,
    ): self {
        return new self($bench, $tests, $fasterProfile, max(1, $passes), $minutesPerGib);
    }

    public function verdict(): MemoryVerdict
    {
        $beliefs = MemoryBeliefs::after($this->bench, $this->tests, $this->fasterProfile);
        [$best, $share] = $beliefs->likeliest();
        $atStandard = array_filter($this->tests, static fn (MemoryTest $test): bool => ! $test->fasterProfile) !== [];
        $settled = $share >= ($best->kind === MemoryFault::NONE ? self::ACQUITS : self::CONVICTS)
            && $this->restsOnStandardSpeed($best);
        $suspects = $beliefs->suspects();
        $trusted = $this->isTrusted($settled ? $best : null);

        return new MemoryVerdict(
            $settled ? $best : null,
            $share,
            $suspects,
            $trusted,
            $this->sentence($settled ? $best : null, $share, $suspects, $atStandard),
        );
    }

    /** The next test, or null once the verdict is settled or nothing more can be told apart. */
    public function next(): ?NextMemoryTest
    {
        if ($this->verdict()->isSettled()) {
            return null;
        }
        $whole = $this->wholeSet();
        if (
            $this->fasterProfile
                && array_filter($this->tests, static fn (MemoryTest $test): bool => ! $test->fasterProfile) === []
        ) {
            return $this->suggest(
                $whole,
                'Set memory to standard speed first, then test all modules as they are: errors that vanish mean that '
                    .'the profile is unstable, not that a module is bad.',
            );
        }
        $beliefs = MemoryBeliefs::after($this->bench, $this->tests, $this->fasterProfile);
        $best = null;
        $most = 1e-4;
        foreach ($this->bench->placements() as $placed) {
            $test = new MemoryTest($placed, false, $this->passes, MemoryTest::CLEAN);
            $gain = $beliefs->gain($test) / $this->minutes($placed);
            if ($gain > $most) {
                [$best, $most] = [$placed, $gain];
            }
        }

        return $best === null ? null : $this->suggest($best, null);
    }

    /** @param  array<string, string>  $placed */
    public function minutes(array $placed): float
    {
        $last = $this->tests === [] ? $this->wholeSet() : $this->tests[count($this->tests) - 1]->placed;

        return $this->bench->gibibytes($placed) * $this->minutesPerGib * $this->passes
            + ($last === $placed ? 0 : self::SWAP_MINUTES);
    }

    /** @return array<string, string> all modules as they are likely to stand */
    public function wholeSet(): array
    {
        $all = array_combine(
            array_map(strval(...), array_keys($this->bench->modules)),
            array_slice($this->bench->slots, 0, count($this->bench->modules)),
        );
        if ($this->bench->allows($all)) {
            return $all;
        }
        $largest = $all;
        $count = 0;
        foreach ($this->bench->placements() as $placed) {
            if (count($placed) > $count) {
                [$largest, $count] = [$placed, count($placed)];
            }
        }

        return $largest;
    }

    /** A part is convicted only by errors at standard speed, a profile or nothing only by clean passes there. */
    private function restsOnStandardSpeed(MemoryFault $fault): bool
    {
        $wantsErrors = $fault->kind !== MemoryFault::NONE && $fault->kind !== MemoryFault::PROFILE;

        return array_filter(
            $this->tests,
            static fn (MemoryTest $test): bool => ! $test->fasterProfile && $test->failed() === $wantsErrors,
        ) !== [];
    }

    /** Rule A13: errors at standard speed, or none tested there after some with a profile: nothing may go through. */
    private function isTrusted(?MemoryFault $settled): bool
    {
        if ($settled !== null) {
            return $settled->kind === MemoryFault::NONE || $settled->kind === MemoryFault::PROFILE;
        }

        $failed = array_filter($this->tests, static fn (MemoryTest $test): bool => $test->failed());
        if (array_filter($failed, static fn (MemoryTest $test): bool => ! $test->fasterProfile) !== []) {
            return false;
        }

        return $failed === [] || $this->cleanAtStandard() >= $this->passes;
    }

    /** Clean passes of all modules together at standard speed. */
    private function cleanAtStandard(): int
    {
        $passes = 0;
        foreach ($this->tests as $test) {
            $whole = count(array_diff(array_keys($this->bench->modules), array_keys($test->placed))) === 0;
            $passes += ! $test->fasterProfile && ! $test->failed() && $whole ? $test->passes : 0;
        }

        return $passes;
    }

    /** @param  list<Suspect>  $suspects */
    private function sentence(?MemoryFault $fault, float $share, array $suspects, bool $atStandard): string
    {
        $percent = (int) floor($share * 100);

        return match (true) {
            $this->tests === [] => 'Nothing is tested yet.',
            $fault === null
                && ! $atStandard => 'Only tests at standard speed count against a module; none was made yet.',
            $fault === null => 'Not settled. Still possible: '
                .implode(
                    ', ',
                    array_map(
                        static fn (Suspect $one): string => $one->title.' '.(int) round($one->share * 100).' %',
                        array_slice($suspects, 0, 4),
                    ),
                )
                .'.',
            $fault->kind === MemoryFault::NONE => "Not memory, with {$percent} % confidence.",
            $fault->kind === MemoryFault::PROFILE => "The faster profile is unstable, with {$percent} % confidence. "
                .'No module is bad for that.',
            $fault->kind === MemoryFault::BOARD
                && $this->bench->soldered => "The memory is soldered: the board is bad, with {$percent} % confidence.",
            default => ucfirst($fault->title())." is bad, with {$percent} % confidence.",
        };
    }

    /** @param  array<string, string>  $placed */
    private function suggest(array $placed, ?string $because): NextMemoryTest
    {
        $where = implode(
            ', ',
            array_map(
                static fn (string $module, string $slot): string => "{$module} in {$slot}",
                array_keys($placed),
                $placed,
            ),
        );
        $alone = count($placed) === 1 ? 'Only ' : '';
        $minutes = $this->minutes($placed);

        return new NextMemoryTest(
            $placed,
            $this->passes,
            $minutes,
            $because ?? "{$alone}{$where}, at standard speed, ".Counted::of($this->passes, 'pass', 'passes')
                .': about '.(int) ceil($minutes)
                .' min.',
        );
    }
}
