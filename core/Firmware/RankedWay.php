<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Model\KnownWay;

/**
 * One way in with what speaks for it: where it is known from, how often it worked here and how often it did not (rule
 * F1).
 */
final readonly class RankedWay
{
    public const MODEL = 'model';

    public const MAKER = 'maker';

    public const KIND = 'kind';

    /** What a way is worth before anybody has tried it, by where it comes from. */
    private const FIRST = [self::MODEL => 0.8, self::MAKER => 0.5, self::KIND => 0.3];

    /** A first belief counts as much as so many tries. */
    private const WEIGHT = 2;

    private function __construct(
        public KnownWay $way,
        public string $from,
        public int $worked,
        public int $missed,
        public float $confidence,
    ) {
    }

    /**
     * @param  list<KnownWay>  $model
     * @param  list<KnownWay>  $maker
     * @param  list<KnownWay>  $kind  most common first
     * @return list<self> surest first; a way known from two places stands once, where it is known best
     */
    public static function rank(array $model, array $maker, array $kind): array
    {
        $ranked = [];
        foreach ([self::MODEL => $model, self::MAKER => $maker, self::KIND => $kind] as $from => $ways) {
            foreach ($ways as $place => $way) {
                $key = $way->name();
                $ranked[$key] ??= self::of($way, $from, $place);
            }
        }
        usort($ranked, static fn (self $a, self $b): int => $b->confidence <=> $a->confidence);

        return $ranked;
    }

    /** @return int 0 to 100 */
    public function percent(): int
    {
        return (int) round(100 * $this->confidence);
    }

    private static function of(KnownWay $way, string $from, int $place): self
    {
        [$worked, $missed] = [$way->confirmed ?? 0, $way->missed ?? 0];
        // Each place further down a list is a little less likely.
        $first = self::FIRST[$from] / (1 + 0.25 * $place);

        return new self(
            $way,
            $from,
            $worked,
            $missed,
            ($worked + self::WEIGHT * $first) / ($worked + $missed + self::WEIGHT),
        );
    }
}
