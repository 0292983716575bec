<?php

declare(strict_types=1);

namespace App\View;

use App\Health\Workers;
use App\Models\SafeKeeping;
use App\Retention\Due;
use Illuminate\Support\Carbon;

/** What the lead sees of the bench's own safety: the last backup, processes that died, contents whose time is over. */
final readonly class SafeKeepingNote
{
    /** Days after which a backup counts as old. */
    private const OLD_DAYS = 7;

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

    public static function now(): self
    {
        $backup = SafeKeeping::last();
        $dead = array_keys(array_filter(Workers::alive() ?? [], static fn (bool $lives): bool => ! $lives));

        return new self(
            $backup,
            $backup === null || $backup->created_at->lt(now()->subDays(self::OLD_DAYS)),
            array_map(static fn (string $name): string => Workers::NAMES[$name] ?? $name, $dead),
            Workers::deaths(),
            Due::words(),
        );
    }

    public function raises(): bool
    {
        return $this->old || $this->dead !== [] || $this->deaths !== [] || $this->due !== [];
    }
}
