<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Frames;

/** Under what frames were counted: two runs say something of each other only where these are equal (rule T3). */
final readonly class FrameSettings
{
    /**
     * @param  string|null  $picture  size, detail, limit: as it was set; null where nobody said
     * @param  string|null  $power  power mode, or limit; null where nobody said
     */
    public function __construct(public ?string $picture = null, public ?string $power = null)
    {
    }

    /** @return list<string> why runs at these and at others cannot be compared */
    public function against(self $other): array
    {
        return array_values(array_filter([
            self::one('settings of the picture', $this->picture, $other->picture),
            self::one('power mode', $this->power, $other->power),
        ]));
    }

    private static function one(string $what, ?string $here, ?string $there): ?string
    {
        return match (true) {
            $here === null || $there === null => "Nobody said the {$what} of ".($here === null && $there === null
                ? 'both' : ($there === null ? 'the first' : 'the second')).'.',
            mb_strtolower(trim($here)) === mb_strtolower(trim($there)) => null,
            default => ucfirst($what).": {$there} then, {$here} now.",
        };
    }
}
