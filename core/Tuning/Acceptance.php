<?php

declare(strict_types=1);

namespace Cobblestone\Tuning;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\Fact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** The readings that prove the machine, as far as their expected values are known (rule T1). */
final class Acceptance
{
    /** Usable memory may fall short of what is installed by this share (default of rule T1). */
    private const MEMORY_TOLERANCE = 0.03;

    /** @param  list<string>|null  $before  facts that must hold first, where the path is not an install */
    public static function step(Machine $machine, ?SystemProfile $system, ?string $edition, ?Drive $target, ?array $before = null): Step
    {
        $rows = [];
        $cores = $machine->fact('cores');
        if (is_int($cores->value)) {
            $rows[] = ['reading' => 'Cores', 'must be' => (string) $cores->value];
        }
        $memory = $machine->fact('memory_bytes');
        if (is_int($memory->value)) {
            $least = Bytes::of((int) floor($memory->value * (1 - self::MEMORY_TOLERANCE)));
            $rows[] = ['reading' => 'Memory, usable', 'must be' => "at least {$least->binary()} of ".Bytes::of($memory->value)->binary()];
        }
        if ($target !== null) {
            $rows[] = ['reading' => 'Drive, bytes', 'must be' => "exactly {$target->size->exact()}"];
        }
        if ($system !== null) {
            $rows[] = ['reading' => 'System and edition', 'must be' => trim("{$system->name} {$edition}")];
        }
        $rows[] = ['reading' => 'Devices without a driver', 'must be' => '0'];
        $rows[] = ['reading' => 'Second look for updates', 'must be' => 'finds none'];
        $rows[] = ['reading' => 'Sound, camera, wireless, every port', 'must be' => 'tried once each'];

        return new Step('proof.readings', Stage::Proof, 'Readings', Presence::Hands, Estimate::minutes(3, 6, 20), ['Read each of these on the finished machine.'],
            before: $before ?? [Fact::DRIVERS_COMPLETE, Fact::UPDATED, ...($system?->entry['activation'] ?? false ? [Fact::ACTIVATED] : [])], after: [Fact::PROVEN], needs: ['hands'],
            because: [new Reason('Expected values come from what was read before and from the profile; a missing reading stays open, it is not assumed.', 'T1', $system?->dated() ?? 'readings of this machine')],
            evidence: [new Evidence('readings', 'Readings', 'choice', ['as-listed' => 'all as listed', 'accepted' => 'some differ and are accepted, see below']), new Evidence('reading_note', 'What was read, and why a difference is accepted', 'text')],
            rows: $rows,
        );
    }
}
