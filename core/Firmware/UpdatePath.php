<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Model\Release;
use Cobblestone\Quantity\Duration;

/**
 * The way through a board's firmware releases to the one that is wanted: shortest, with its required stops, the
 * processor kept running (rule F5).
 */
final readonly class UpdatePath
{
    /** Minutes a restart after a write takes where the catalogue does not say (default). */
    public const RESTART = 2.0;

    /** Minutes for entering one setting again (default). */
    private const RE_APPLY = 0.5;

    /** Minutes to get into the setup and to save (default). */
    private const VISIT = 2.0;

    /**
     * @param  list<Release>  $stops  releases in the order they are written
     * @param  string|null  $fault  why there is no way, in one sentence
     * @param  list<array{version: string, because: string}>  $leftOut  releases that cannot be used here, and why
     * @param  string  $because  why this target
     */
    private function __construct(
        public array $stops,
        public ?string $target,
        public ?string $fault,
        public array $leftOut,
        public string $because = '',
    ) {
    }

    /**
     * @param  list<Release>  $releases  version, from, gives, processors, revisions, withdrawn
     * @param  string  $from  version that is on the board now
     * @param  string|null  $to  version that is wanted; null: the lowest that gives what is needed
     * @param  string|null  $gives  what the update has to bring; null with no $to: the newest
     */
    public static function find(
        array $releases,
        string $from,
        ?string $to,
        ?string $gives,
        BoardFitted $board = new BoardFitted,
    ): self {
        $next = $board->next;
        [$usable, $leftOut] = self::usable($releases, $board->processor, $board->revision);
        $target = self::target($next, $usable, $from, $gives, $to);
        if ($target === null && $next !== null) {
            return new self(
                [],
                null,
                "No release for this board runs the processor that comes in ({$next})".
                    ($gives === null ? '.' : " and brings \"{$gives}\"."),
                $leftOut,
            );
        }
        if ($target === null) {
            return self::noneFits($gives, $leftOut);
        }
        if (version_compare($from, $target, '>=')) {
            return self::nothingNew($target, $from, $leftOut);
        }
        if (! in_array($target, self::versions($releases), true)) {
            return new self([], $target, "The catalogue holds no release {$target} for this board.", $leftOut);
        }
        $stops = ReleasePath::shortest($usable, $from, $target);
        $why = array_column($leftOut, 'because', 'version')[$target] ?? null;

        return $stops === null
            ? self::unreachable($target, $why, $from, $leftOut)
            : new self($stops, $target, null, $leftOut, self::why($target, $to, $gives, $next));
    }

    /**
     * @param  list<Release>  $usable
     */
    private static function target(?string $next, array $usable, string $from, ?string $gives, ?string $to): ?string
    {
        $runsNext = static fn (Release $release): bool => $next === null || $release->runs($next);
        $possible = array_values(
            array_filter(
                $usable,
                static fn (Release $release): bool => $runsNext($release) &&
                    (version_compare($release->version, $from, '>') || $gives !== null),
            ),
        );
        // A processor that comes in is itself what is needed: the lowest release that runs it.
        $target =
            $to ??
            ($next !== null && $gives === null
                ? self::lowest($possible)
                : ReleasePath::lowestGiving($possible, $gives));

        return $target;
    }

    /**
     * @param  list<array{version: string, because: string}>  $leftOut
     */
    private static function noneFits(?string $gives, array $leftOut): UpdatePath
    {
        return new self(
            [],
            null,
            $gives === null
                ? 'The catalogue holds no release that could be written to this board.'
                : "No release for this board brings \"{$gives}\".",
            $leftOut,
        );
    }

    /**
     * @param  list<array{version: string, because: string}>  $leftOut
     */
    private static function nothingNew(string $target, string $from, array $leftOut): UpdatePath
    {
        return new self(
            [],
            $target,
            "Firmware {$from} is there already; {$target} would bring nothing.",
            $leftOut,
        );
    }

    /**
     * @param  list<array{version: string, because: string}>  $leftOut
     */
    private static function unreachable(string $target, ?string $why, string $from, array $leftOut): UpdatePath
    {
        return new self(
            [],
            $target,
            $why !== null
                ? "{$target} cannot be written here: {$why}"
                : "No way leads from firmware {$from} to {$target}: a required stop is missing in the catalogue".
                    ($leftOut === []
                        ? '.'
                        : ', or cannot be used here ('.
                            implode(
                                '; ',
                                array_map(
                                    static fn (array $one): string => "{$one['version']}: ".
                                        rtrim($one['because'], '.'),
                                    $leftOut,
                                ),
                            ).
                            ').'),
            $leftOut,
        );
    }

    /** @param  list<Release>  $releases */
    private static function lowest(array $releases): ?string
    {
        $versions = self::versions($releases);
        usort($versions, static fn (string $a, string $b): int => version_compare($a, $b));

        return $versions[0] ?? null;
    }

    /**
     * @param  list<Release>  $releases
     * @return list<string>
     */
    private static function versions(array $releases): array
    {
        return array_map(static fn (Release $release): string => $release->version, $releases);
    }

    private static function why(string $target, ?string $to, ?string $gives, ?string $next): string
    {
        return match (true) {
            $to !== null => "{$target} was asked for.",
            $next !== null => "{$target} is the lowest that runs the processor that comes in ({$next})".
                ($gives === null ? '.' : ' and gives what is needed.'),
            $gives !== null => "{$target} is the lowest that gives what is needed.",
            default => "{$target} is the newest that can be used here.",
        };
    }

    /** Minutes of writing alone, for the supply that has to last through it. */
    public function writing(): Duration
    {
        return Duration::minutes(
            array_sum(
                array_map(static fn (Release $stop): float => $stop->estimate()->likely->inMinutes(), $this->stops),
            ),
        );
    }

    /**
     * Steps × (write + restart) + entering the settings again (rule F5).
     *
     * @param  int  $settings  how many have to be entered again
     */
    public function total(int $settings): Duration
    {
        $each = array_map(
            static fn (Release $stop): float => $stop->estimate()->likely->inMinutes() +
                ($stop->restartMinutes ?? self::RESTART),
            $this->stops,
        );

        return Duration::minutes(array_sum($each) + ($settings > 0 ? self::VISIT + $settings * self::RE_APPLY : 0));
    }

    /**
     * Every stop has to run the processor that is fitted at that moment, and be made for this revision of the board.
     *
     * @param  list<Release>  $releases
     * @return array{0: list<Release>, 1: list<array{version: string, because: string}>}
     */
    private static function usable(array $releases, ?string $processor, ?string $revision): array
    {
        $usable = $leftOut = [];
        foreach ($releases as $release) {
            $because = match (true) {
                $release->withdrawn => 'the maker has withdrawn it.',
                $revision !== null && ! $release->isFor($revision) => 'it is for revision '.
                    implode(' and ', $release->revisions).
                    " of the board, this is revision {$revision}.",
                $processor !== null && ! $release->runs($processor) => 'it does not run the processor that is '
                    ."fitted ({$processor}).",
                default => null,
            };
            if ($because === null) {
                $usable[] = $release;
            } else {
                $leftOut[] = ['version' => $release->version, 'because' => $because];
            }
        }

        return [$usable, $leftOut];
    }
}
