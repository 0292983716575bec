<?php

declare(strict_types=1);

namespace App\Devices;

/** Areas of a photo that are blackened before anything of it is kept, as parts of its width and height (rule L2). */
final readonly class BlackAreas
{
    private const MOST = 40;

    /** @param  list<array{float, float, float, float}>  $areas  left, top, width, height, each from 0 to 1 */
    private function __construct(public array $areas)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    /**
     * What the page sends; null where it is not that: then nothing may be kept, as something was to be hidden.
     */
    public static function read(string $json): ?self
    {
        if (trim($json) === '') {
            return self::none();
        }
        $sent = json_decode($json, true, 4);
        if (! is_array($sent) || ! array_is_list($sent) || count($sent) > self::MOST) {
            return null;
        }
        $areas = [];
        foreach ($sent as $area) {
            if (! is_array($area) || ! array_is_list($area) || count($area) !== 4) {
                return null;
            }
            foreach ($area as $number) {
                if (! is_int($number) && ! is_float($number)) {
                    return null;
                }
            }
            $areas[] = [self::part($area[0]), self::part($area[1]), self::part($area[2]), self::part($area[3])];
        }

        return new self($areas);
    }

    private static function part(mixed $number): float
    {
        return is_numeric($number) ? min(1.0, max(0.0, (float) $number)) : 0.0;
    }
}
