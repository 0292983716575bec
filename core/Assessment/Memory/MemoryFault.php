<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Memory;

use Cobblestone\Text\Lowered;

/** One thing that could be wrong; exactly one of them is supposed to be, or none (rule A4). */
final readonly class MemoryFault
{
    public const NONE = 'not-memory';

    public const MODULE = 'module';

    public const SLOT = 'slot';

    public const PAIR = 'pair';

    public const BOARD = 'board';

    public const PROFILE = 'profile';

    /**
     * How often each kind is the cause before anything is tested (defaults; the kinds' shares are divided among their
     * members).
     */
    private const SHARE = [
        self::NONE => 0.2,
        self::MODULE => 0.45,
        self::SLOT => 0.12,
        self::PAIR => 0.08,
        self::BOARD => 0.05,
        self::PROFILE => 0.1,
    ];

    private function __construct(
        public string $kind,
        public ?string $module,
        public ?string $slot,
        public float $weight,
    ) {
    }

    /** @return list<self> every fault that can be told apart on this bench, and none */
    public static function all(MemoryBench $bench, bool $fasterProfileUsed): array
    {
        $faults = [
            new self(self::NONE, null, null, self::SHARE[self::NONE]),
            new self(self::BOARD, null, null, self::SHARE[self::BOARD]),
        ];
        if ($fasterProfileUsed) {
            $faults[] = new self(self::PROFILE, null, null, self::SHARE[self::PROFILE]);
        }
        $modules = array_map(strval(...), array_keys($bench->modules));
        foreach ($bench->soldered ? [] : $modules as $module) {
            $faults[] = new self(self::MODULE, $module, null, self::SHARE[self::MODULE] / count($modules));
            foreach (count($bench->slots) > 1 ? $bench->slots : [] as $slot) {
                $faults[] = new self(
                    self::PAIR,
                    $module,
                    $slot,
                    self::SHARE[self::PAIR] / (count($modules) * count($bench->slots)),
                );
            }
        }
        foreach ($bench->soldered ? [] : $bench->slots as $slot) {
            $faults[] = new self(self::SLOT, null, $slot, self::SHARE[self::SLOT] / count($bench->slots));
        }

        return $faults;
    }

    /** Whether a test with this placement would meet the fault. */
    public function isMetBy(MemoryTest $test): bool
    {
        return match ($this->kind) {
            self::MODULE => isset($test->placed[$this->module]),
            self::SLOT => in_array($this->slot, $test->placed, true),
            self::PAIR => ($test->placed[$this->module] ?? null) === $this->slot,
            self::BOARD => true,
            self::PROFILE => $test->fasterProfile,
            default => false,
        };
    }

    /** Boards name them "DIMM A2" or "Slot B": the word stands once. */
    private static function slotWords(string $slot): string
    {
        return stripos($slot, 'slot') === 0 ? Lowered::of($slot) : "slot {$slot}";
    }

    public function title(): string
    {
        return match ($this->kind) {
            self::MODULE => "module {$this->module}",
            self::SLOT => self::slotWords((string) $this->slot),
            self::PAIR => "module {$this->module} in ".self::slotWords((string) $this->slot).' together',
            self::BOARD => 'board',
            self::PROFILE => 'the faster profile is unstable',
            default => 'not memory',
        };
    }
}
