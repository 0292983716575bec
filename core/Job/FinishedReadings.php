<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Inventory\Reading;
use Cobblestone\Machine\Difference\MachineDifference;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Tuning\Proof\Observation;
use Cobblestone\Tuning\Proof\ReadBack;
use Cobblestone\Tuning\Proof\SameMachine;

/** The readings of a finished machine beside those it came with (rule T1). */
final readonly class FinishedReadings
{
    /**
     * @param  string|null  $another  why they are of another machine, and prove nothing; null where they are not
     * @param  string  $clock  how the clock of the machine is seen to be wrong; empty where it is not
     */
    private function __construct(
        private Machine $before,
        private Machine $after,
        public ?string $another,
        public string $clock,
    ) {
    }

    /**
     * @param  list<Reading>  $after
     * @param  string  $now  by the bench's clock, as 2026-11-30T12:00Z
     *
     * @throws BriefFault where a reading cannot be taken apart
     */
    public static function of(Brief $brief, array $after, Catalogue $catalogue, string $now): self
    {
        $came = self::came($brief);
        $before = FinishedMachine::of($came, $catalogue);
        $is = FinishedMachine::of($after, $catalogue);
        // Who typed the serial saw it on the machine: it names the machine as a reading does.
        [$machine] = MachineBuilder::build($brief, $catalogue);

        return new self(
            $before,
            $is,
            SameMachine::fault($machine, $is, ! $brief->goal->rules()->fitsDrive()),
            SameMachine::clock(FinishedMachine::at($came), FinishedMachine::at($after), $now),
        );
    }

    /** @return list<Reading> what was read of the machine as it came, oldest first; its list of drives stands apart */
    private static function came(Brief $brief): array
    {
        $drives = $brief->machine->lsblk;

        return [
            ...$drives === null ? [] : [new Reading('lsblk', 'the brief', lsblk: $drives)],
            ...$brief->machine->newest(),
        ];
    }

    /**
     * @param  list<Evidence>  $rows
     * @return array<string, Observation> by row; none of another machine
     */
    public function seen(array $rows): array
    {
        return $this->another === null ? (new ReadBack($this->after, $this->clock))->all($rows) : [];
    }

    /**
     * What of them was not taken for an answer, and why.
     *
     * @param  list<Evidence>  $rows
     * @return list<string>
     */
    public function remarks(array $rows): array
    {
        return $this->another === null ? (new ReadBack($this->after, $this->clock))->remarks($rows) : [];
    }

    public function difference(): MachineDifference
    {
        return MachineDifference::between($this->before, $this->after);
    }
}
