<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Memory;

use Cobblestone\Brief\MemoryBlock;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Text\Counted;
use InvalidArgumentException;

/** The memory sheet of a job: what stands where, what was tested, what follows (rules A4, A13). */
final readonly class MemorySheet
{
    /** Errors with a faster profile only: no module is bad for that (rule A4). */
    public const UNSTABLE = 'unstable-profile';

    /**
     * @param  list<MemoryTest>  $tests
     * @param  int  $passes  clean passes of all modules at standard speed that acquit
     */
    private function __construct(
        public MemoryBench $bench,
        public array $tests,
        public bool $fasterProfile,
        public MemoryVerdict $verdict,
        public ?NextMemoryTest $next,
        public int $passes,
    ) {
    }

    /** @throws InvalidArgumentException for a sheet that cannot be */
    public static function of(MemoryBlock $block): self
    {
        $modules = [];
        foreach ($block->modules as $name => $gib) {
            $modules[(string) $name] = $gib;
        }
        $bench = MemoryBench::of($modules, $block->slots, $block->populations, $block->soldered, $block->spareGib);
        $tests = array_map(MemoryTest::of(...), $block->tests);
        $faster = $block->profile === 'faster';
        $passes = max(1, $block->passes ?? 2);
        $finder = MemoryFaultFinder::of(
            $bench,
            $tests,
            $faster,
            $passes,
            (float) ($block->minutesPerGib ?? 1.5),
        );

        return new self($bench, $tests, $faster, $finder->verdict(), $finder->next(), $passes);
    }

    /**
     * What a reading of the modules fills in: names, sizes, slots, soldered or not, faster profile or not.
     *
     * @param  list<MemoryModule>  $read
     * @return array<string, mixed>|null a memory block without tests; null where nothing was read
     */
    public static function prefill(array $read): ?array
    {
        $fitted = array_values(array_filter($read, static fn (MemoryModule $module): bool => ! $module->isEmpty()));
        if ($fitted === []) {
            return null;
        }
        $modules = [];
        foreach ($fitted as $index => $module) {
            $modules['M'.($index + 1)] = max(1, (int) round(($module->size->count ?? 0) / 1024 ** 3));
        }
        $faster =
            array_filter(
                $fitted,
                static fn (MemoryModule $module): bool => $module->setTransfers !== null &&
                    $module->ratedTransfers !== null &&
                    $module->setTransfers > $module->ratedTransfers,
            ) !== [];

        return [
            'modules' => $modules,
            'slots' => array_map(static fn (MemoryModule $module): string => $module->slot, $read),
            'profile' => $faster ? 'faster' : 'standard',
            'soldered' => array_filter($fitted, static fn (MemoryModule $module): bool => ! $module->soldered) === [],
            'tests' => [],
        ];
    }

    /** One of the words above: the fact that the route ladder reads. */
    public function fact(): string
    {
        return match (true) {
            $this->tests === [] => 'untested',
            $this->failsOnlyFaster() => self::UNSTABLE,
            $this->verdict->trusted => 'trusted',
            default => 'bad',
        };
    }

    /** What shuts every copy, repair and install while errors are open: nothing goes through such memory (rule A13). */
    public function blocker(): ?Blocker
    {
        if ($this->tests === [] || $this->verdict->trusted) {
            return null;
        }
        $passes = Counted::of($this->passes, 'clean pass', 'clean passes');
        $what =
            $this->fact() === self::UNSTABLE
                ? "Errors with the faster profile, and not yet {$passes} at standard speed"
                : 'Memory fault open';

        return Blocker::narrow(
            'memory',
            "{$what}: nothing is copied, repaired or installed through it. {$this->verdict->sentence}",
            'A13',
            [Act::CopyData, Act::Erase, Act::WriteSystem, Act::Repair, Act::ChangeOldSystem, Act::WriteFirmware],
            Door::page('memory', "Go on with the memory sheet until the fault is found, or after {$passes} at standard "
                .'speed.'),
            [$this->verdict->sentence],
        );
    }

    private function failsOnlyFaster(): bool
    {
        $failed = array_filter($this->tests, static fn (MemoryTest $test): bool => $test->failed());

        return $failed !== [] &&
            array_filter($failed, static fn (MemoryTest $test): bool => ! $test->fasterProfile) === [] &&
            $this->verdict->fault?->kind !== MemoryFault::NONE;
    }

    public function contribution(): Contribution
    {
        if ($this->tests === [] && ! $this->fasterProfile) {
            return new Contribution();
        }
        $blocker = $this->blocker();
        $decision = new Decision(
            'assess.memory',
            'Memory',
            $this->verdict->isSettled() ? rtrim($this->verdict->sentence, '.') : 'not settled',
            [$this->verdict->sentence, ...$this->next === null ? [] : ["Next test: {$this->next->sentence}"]],
            [],
            array_map(
                static fn (MemoryTest $test): string => implode(
                    ', ',
                    array_map(
                        static fn (string $module, string $slot): string => "{$module} in {$slot}",
                        array_keys($test->placed),
                        $test->placed,
                    ),
                ).
                    ' · '.
                    ($test->fasterProfile ? 'faster profile' : 'standard speed').
                    ' · '.Counted::of($test->passes, 'pass', 'passes')." · {$test->outcome}",
                $this->tests,
            ),
            'A4',
        );

        return new Contribution(decisions: [$decision], blockers: $blocker === null ? [] : [$blocker]);
    }

    public function found(): MemoryFound
    {
        return new MemoryFound(
            $this->fact(),
            $this->verdict->sentence,
            $this->verdict->isSettled(),
            $this->verdict->trusted,
            round($this->verdict->confidence, 3),
            $this->verdict->suspects,
            $this->next,
        );
    }
}
