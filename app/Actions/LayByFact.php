<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bridge\JobBridge;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Walk;

/** Stones that something proven here lays, by the same rules as a person's click; what is not open yet waits. */
final readonly class LayByFact
{
    public function __construct(private JobBridge $bridge, private LogBook $log)
    {
    }

    /**
     * @param  Job  $job  held by the transaction of the caller
     * @param  string  $fact  that is proven
     * @param  array<string, mixed>  $said  what the log keeps of it
     * @param  string|null  $serial  that was read, where a stone is confirmed by one
     */
    public function handle(Job $job, User $user, string $fact, array $said, ?string $serial = null): StonesLaid
    {
        $done = $waits = [];
        $progress = $this->bridge->progress($job);
        foreach ($progress->plan->steps as $step) {
            if (! in_array($fact, $step->after, true) || $progress->state($step)->isClosed()) {
                continue;
            }
            try {
                $this->layOne($job, $user, $step, $said, $serial);
                $done[] = $step->title;
            } catch (Refused $e) {
                $waits[$step->title] = $e->getMessage();
            }
        }

        return new StonesLaid($done, $waits);
    }

    /**
     * @param  array<string, mixed>  $said
     *
     * @throws Refused where it is not open yet
     */
    public function layOne(Job $job, User $user, Step $step, array $said, ?string $serial): void
    {
        $walk = new Walk($this->bridge->progress($job));
        if ($step->isOneWay()) {
            $confirmed = $walk->confirm($step, (string) $serial, array_key_first(Confirmation::READ_FROM));
            $this->log->write($job, $user, EntryKind::Confirmed, $step->id, [...$confirmed, ...$said]);
            $walk = new Walk($this->bridge->progress($job));
        }
        $this->log->write($job, $user, EntryKind::Done, $step->id, [...$walk->done($step, []), ...$said]);
    }
}
