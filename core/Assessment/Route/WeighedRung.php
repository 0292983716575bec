<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Route;

/** A gentler way as it stands for one job (rule A3). */
final readonly class WeighedRung
{
    public const WORKS = 'works';

    public const POSSIBLE = 'possible';

    public const TRIED = 'tried';

    public const OUT = 'out';

    /**
     * @param  string  $standing  works, possible, tried or out
     * @param  list<string>  $why  what speaks against it, or what is still to be known; empty where it works
     * @param  list<string>  $keeps  files, programs, settings
     * @param  float|null  $minutes  likely; null where it is a whole path of its own
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $standing,
        public array $why,
        public array $keeps,
        public ?float $minutes = null,
    ) {
    }

    public function mayDo(): bool
    {
        return in_array($this->standing, [self::WORKS, self::POSSIBLE], true);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return get_object_vars($this);
    }
}
