<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FirmwareSnapshot;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Firmware\SettingsEvidence;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;

/**
 * Settings that were read at a stone are facts of the machine from then on: the path is computed from them (rules F2,
 * F3, K3).
 */
final class LearnFromEvidence
{
    public function __construct(private readonly ChangeBrief $change)
    {
    }

    /** @param  LogEntry  $laid  the entry that laid the stone */
    public function handle(Job $job, User $user, Step $step, LogEntry $laid): void
    {
        $facts = [];
        foreach ($step->evidence as $wanted) {
            $value = $laid->data['evidence'][$wanted->id] ?? null;
            if ($wanted->fact !== '' && is_string($value) && $value !== SettingsEvidence::ABSENT) {
                $facts[$wanted->fact] = $value;
            }
        }
        if ($facts === []) {
            return;
        }
        if ($step->bringsAbout(PathFact::FIRMWARE_RECORDED)) {
            $settings = [];
            foreach ($facts as $fact => $value) {
                $settings[str_replace('firmware.', '', $fact)] = $value;
            }
            FirmwareSnapshot::query()->create(self::snapshot($job, $user, $settings));
        }
        $this->change->handle(
            $job,
            $user,
            static function (array $brief) use ($facts, $user): array {
                $brief['machine']['facts'] = [...$brief['machine']['facts'] ?? [], ...$facts];
                $brief['machine']['facts_from'] = "read at the machine by {$user->title}";

                return $brief;
            },
            'read at a stone: '.count($facts),
            $laid->id,
        );
    }

    /**
     * @param  array<string, string>  $settings
     * @return array<string, mixed>
     */
    private static function snapshot(Job $job, User $user, array $settings): array
    {
        return [
            'job_id' => $job->id,
            'user_id' => $user->id,
            'settings' => $settings,
            'origin' => 'run mode',
            'pasted' => null,
            'photo' => null,
            'notes' => [],
            'created_at' => now(),
        ];
    }
}
