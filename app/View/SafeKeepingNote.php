<?php

declare(strict_types=1);

namespace App\View;

use App\Health\Workers;
use App\Models\SafeKeeping;
use App\Retention\Due;
use Cobblestone\Quantity\Bytes;
use Illuminate\Support\Carbon;

/** What the lead sees of the bench's own safety: the last backup, processes that died, contents whose time is over. */
final readonly class SafeKeepingNote
{
    /** Days after which a backup counts as old. */
    private const OLD_DAYS = 7;

    /** Deaths that are named; the others are counted. */
    private const DEATHS = 5;

    /**
     * @param  list<string>  $dead  processes that do not live now
     * @param  list<array{name: string, at: Carbon}>  $deaths
     * @param  list<array{words: string, what: string}>  $due
     */
    private function __construct(
        public ?SafeKeeping $backup,
        public bool $old,
        public array $dead,
        public array $deaths,
        public array $due,
    ) {
    }

    /** @param  bool  $isAnyDue  whether contents can be due at all */
    public static function now(bool $isAnyDue): self
    {
        $backup = SafeKeeping::last();
        $dead = array_keys(array_filter(Workers::alive() ?? [], static fn (bool $lives): bool => ! $lives));

        return new self(
            $backup,
            $backup === null || $backup->created_at->lt(now()->subDays(self::OLD_DAYS)),
            array_map(static fn (string $name): string => Workers::NAMES[$name] ?? $name, $dead),
            Workers::deaths(),
            $isAnyDue ? Due::words() : [],
        );
    }

    public function raises(): bool
    {
        return $this->old || $this->dead !== [] || $this->deaths !== [] || $this->due !== [];
    }

    /** Size of the last backup, in words. */
    public function size(): string
    {
        return $this->backup === null ? '' : Bytes::of($this->backup->bytes)->decimal();
    }

    /** Which processes died, and when. */
    public function deathWords(): string
    {
        $zone = (string) config('cobblestone.timezone');
        $said = array_map(
            static fn (array $death): string => "{$death['name']} at ".
                $death['at']->timezone($zone)->format('j M H:i'),
            array_slice($this->deaths, 0, self::DEATHS),
        );
        $more = count($this->deaths) - count($said);

        return implode(', ', $said).($more > 0 ? " and {$more} more" : '');
    }
}
