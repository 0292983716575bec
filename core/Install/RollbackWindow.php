<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Quantity\Moment;
use Cobblestone\Text\Counted;

/**
 * How long an upgrade can be taken back: install time + N days, lost at once when the old system's folder goes (rule
 * I6).
 */
final readonly class RollbackWindow
{
    /** Days before the deadline on which somebody is reminded. */
    public const REMINDERS = [3, 1];

    private function __construct(public Moment $deadline, public int $days)
    {
    }

    /** @param  int  $days  as the system's profile gives them */
    public static function from(Moment $installed, int $days): self
    {
        return new self($installed->plusDays($days), $days);
    }

    /** @return list<Moment> earliest first */
    public function reminders(): array
    {
        return array_map(fn (int $before): Moment => $this->deadline->plusDays(-$before), self::REMINDERS);
    }

    /** open, ends today, over or lost */
    public function state(Moment $now, bool $oldFolderGone): string
    {
        return match (true) {
            $oldFolderGone => 'lost',
            ! $now->isBefore($this->deadline) => 'over',
            $now->daysUntil($this->deadline) === 0 => 'ends today',
            default => 'open',
        };
    }

    public function sentence(Moment $now, bool $oldFolderGone): string
    {
        return match ($this->state($now, $oldFolderGone)) {
            'lost' => 'Cannot be taken back any more: the old system\'s folder is gone.',
            'over' => "Could be taken back until {$this->deadline->spoken()}; that is over.",
            'ends today' => "Can be taken back until today, {$this->deadline->spoken()}.",
            default => "Can be taken back until {$this->deadline->spoken()}, "
                .Counted::of($now->daysUntil($this->deadline), 'day').' from now.',
        };
    }
}
