<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Memory;

use Cobblestone\Machine\MemoryModule;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Fact;
use Cobblestone\Runbook\Gate;
use InvalidArgumentException;

/** The memory sheet of a job: what stands where, what was tested, what follows (rules A4, A13). */
final readonly class MemorySheet
{
    /** The fact that no test brings about by itself: a settled sheet does. */
    public const TRUSTED = 'memory.trusted';

    /** @param  list<MemoryTest>  $tests */
    private function __construct(public MemoryBench $bench, public array $tests, public bool $fasterProfile, public MemoryVerdict $verdict, public ?NextMemoryTest $next)
    {
    }

    /**
     * @param  array<string, mixed>  $entry  the brief's memory block
     *
     * @throws InvalidArgumentException for a sheet that cannot be
     */
    public static function of(array $entry): self
    {
        $modules = [];
        foreach ($entry['modules'] as $name => $gib) {
            $modules[(string) $name] = (int) $gib;
        }
        $bench = MemoryBench::of($modules, array_map(strval(...), $entry['slots']), $entry['populations'] ?? [], $entry['soldered'] ?? false, $entry['spare_gib'] ?? null);
        $tests = array_map(MemoryTest::fromArray(...), $entry['tests'] ?? []);
        $faster = ($entry['profile'] ?? 'standard') === 'faster';
        $finder = MemoryFaultFinder::of($bench, $tests, $faster, $entry['passes'] ?? 2, $entry['minutes_per_gib'] ?? 1.5);

        return new self($bench, $tests, $faster, $finder->verdict(), $finder->next());
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
        $faster = array_filter($fitted, static fn (MemoryModule $module): bool => $module->setTransfers !== null && $module->ratedTransfers !== null && $module->setTransfers > $module->ratedTransfers) !== [];

        return [
            'modules' => $modules, 'slots' => array_map(static fn (MemoryModule $module): string => $module->slot, $read), 'profile' => $faster ? 'faster' : 'standard',
            'soldered' => array_filter($fitted, static fn (MemoryModule $module): bool => ! $module->soldered) === [], 'tests' => [],
        ];
    }

    /** "trusted", "bad" or "untested": the fact that the route ladder reads. */
    public function fact(): string
    {
        return match (true) {
            $this->tests === [] => 'untested',
            $this->verdict->trusted => 'trusted',
            default => 'bad',
        };
    }

    /** The gate that nothing passes while errors are open: no backup, repair or install through such memory. */
    public function gate(): ?Gate
    {
        return $this->fact() === 'bad' ? new Gate('memory', Fact::answered(self::TRUSTED), 'Memory fault open: nothing is copied, repaired or installed through it', '') : null;
    }

    public function contribution(): Contribution
    {
        if ($this->tests === [] && ! $this->fasterProfile) {
            return new Contribution;
        }
        $decision = new Decision('assess.memory', 'Memory', $this->verdict->isSettled() ? rtrim($this->verdict->sentence, '.') : 'not settled', [
            $this->verdict->sentence, ...($this->next === null ? [] : ["Next test: {$this->next->sentence}"]),
        ], [], array_map(static fn (MemoryTest $test): string => implode(', ', array_map(static fn (string $module, string $slot): string => "{$module} in {$slot}", array_keys($test->placed), $test->placed)).' · '.($test->fasterProfile ? 'faster profile' : 'standard speed')." · {$test->passes} passes · {$test->outcome}", $this->tests), 'A4');

        return new Contribution(decisions: [$decision]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'fact' => $this->fact(), 'sentence' => $this->verdict->sentence, 'settled' => $this->verdict->isSettled(), 'trusted' => $this->verdict->trusted, 'confidence' => round($this->verdict->confidence, 3), 'suspects' => $this->verdict->suspects,
            'next' => $this->next === null ? null : ['placed' => $this->next->placed, 'passes' => $this->next->passes, 'minutes' => $this->next->minutes, 'sentence' => $this->next->sentence],
        ];
    }
}
