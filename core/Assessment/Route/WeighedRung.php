<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Route;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** A way as it stands for one job: on the ladder of a repair, or gentler than another kind of job (rule A3). */
final readonly class WeighedRung
{
    public const RECOMMENDED = 'recommended';

    public const HARSHER = 'harsher';

    public const WORKS = 'works';

    public const POSSIBLE = 'possible';

    public const TRIED = 'tried';

    public const OUT = 'out';

    private const STANDINGS = [
        self::RECOMMENDED, self::POSSIBLE, self::HARSHER, self::OUT, self::WORKS, self::TRIED,
    ];

    /**
     * @param  string  $standing  recommended, possible, harsher or out; before another kind of job also works, tried
     * @param  list<string>  $why  what speaks against it, or what is still to be known; empty where it works
     * @param  list<string>  $keeps  files, programs, settings
     * @param  float|null  $minutes  likely; null where it is a whole path of its own, or nobody counts them
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

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $minutes = $fields->optionalNumber('minutes');

        return new self(
            $fields->string('id'),
            $fields->string('title'),
            $fields->oneOf('standing', self::STANDINGS),
            $fields->strings('why'),
            $fields->strings('keeps'),
            $minutes === null ? null : (float) $minutes,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'title' => $this->title,
            'standing' => $this->standing,
            'why' => $this->why,
            'keeps' => $this->keeps,
            ...$this->minutes === null ? [] : ['minutes' => $this->minutes],
        ];
    }
}
