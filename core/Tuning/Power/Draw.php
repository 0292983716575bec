<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Power;

use InvalidArgumentException;

/** What a machine draws at a power limit: what it takes anyway, and its load's part of the limit (rule T2). */
final readonly class Draw
{
    /** Part of a limit that a game takes on the average, where nobody has measured it (default). */
    public const USUAL_LOAD = 0.85;

    /**
     * @param  float  $baseW  screen, memory, radio: whatever the limit is
     * @param  float  $load  part of the limit that is taken, above 0
     * @param  int  $from  drains that it was learned from; 0: it was given
     * @param  bool  $isLoadLearned  from drains at two limits or more; else it was given, or is the usual one
     */
    private function __construct(
        public float $baseW,
        public float $load,
        public int $from,
        public bool $isLoadLearned = false,
    ) {
    }

    /** @throws InvalidArgumentException */
    public static function given(float $baseW, float $load = self::USUAL_LOAD): self
    {
        return $baseW >= 0.0 && $load > 0.0 && $load <= 1.5
            ? new self($baseW, $load, 0)
            : throw new InvalidArgumentException('Base watts from 0 on, and a load above 0, at most 1.5, are wanted.');
    }

    /**
     * Learned from what was drained at two limits or more, by least squares; at one limit only the base is, with the
     * usual load.
     *
     * @param  non-empty-list<Drain>  $drains
     */
    public static function learned(array $drains): self
    {
        $count = count($drains);
        $limit = array_sum(array_map(static fn (Drain $one): float => $one->limitW, $drains)) / $count;
        $watts = array_sum(array_map(static fn (Drain $one): float => $one->watts(), $drains)) / $count;
        $along = array_sum(array_map(
            static fn (Drain $one): float => ($one->limitW - $limit) * ($one->watts() - $watts),
            $drains,
        ));
        $across = array_sum(array_map(static fn (Drain $one): float => ($one->limitW - $limit) ** 2, $drains));
        $load = $across > 0.0 ? $along / $across : 0.0;
        // A slope that no machine has says that the drains were of different work: then only their mean is taken.
        $isLearned = $load > 0.05 && $load <= 1.5;
        if (! $isLearned) {
            $load = min(self::USUAL_LOAD, $watts / $limit);
        }

        return new self(max(0.0, $watts - $load * $limit), $load, $count, $isLearned);
    }

    public function at(float $limitW): float
    {
        return $this->baseW + $limitW * $this->load;
    }
}
