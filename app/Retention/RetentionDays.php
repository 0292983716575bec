<?php

declare(strict_types=1);

namespace App\Retention;

use App\Models\BenchSetting;
use InvalidArgumentException;

/**
 * How long each kind of contents is kept after a hand-over, in days; the lead's policy, with the bench's defaults
 * (rule L4).
 */
final readonly class RetentionDays
{
    /** Kind => [what it is, default in days, most days]. Keys end by themselves; the others become due. */
    public const KINDS = [
        'keys' => ['recovery and licence keys, from the moment they are sealed', 14, 90],
        'backups' => ['copies of the owner\'s files', 30, 730],
        'photos' => ['photos of screens and machines', 90, 730],
        'owner' => ['what the owner said and owned: names, words, serial numbers, lists', 180, 1825],
        'jobs' => ['everything else of a finished job but that it was', 1825, 7300],
    ];

    public const NAME = 'retention';

    /** @param  array<string, int>  $days */
    private function __construct(public array $days)
    {
    }

    public static function present(): self
    {
        return self::read(BenchSetting::read(self::NAME));
    }

    /** @param  string|null  $setting  as it is stored; null where nothing was chosen */
    public static function read(?string $setting): self
    {
        $kept = json_decode((string) $setting, true);

        return new self([
            ...array_map(static fn (array $kind): int => $kind[1], self::KINDS),
            ...is_array($kept) ? array_intersect_key($kept, self::KINDS) : [],
        ]);
    }

    /**
     * @param  array<string, int>  $days
     *
     * @throws InvalidArgumentException
     */
    public static function put(array $days): self
    {
        foreach (self::KINDS as $kind => [$what, , $most]) {
            if (! isset($days[$kind]) || $days[$kind] < 1 || $days[$kind] > $most) {
                throw new InvalidArgumentException("Whole days from 1 to {$most} for {$what}.");
            }
        }
        if ($days['jobs'] < $days['owner']) {
            throw new InvalidArgumentException('The rest of a job cannot end before what is the owner\'s in it.');
        }
        BenchSetting::put(self::NAME, (string) json_encode(array_intersect_key($days, self::KINDS)));

        return self::present();
    }

    public function version(): string
    {
        return hash('sha256', (string) json_encode($this->days));
    }
}
