<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;
use Cobblestone\Text\Lowered;

/** What the change plan weakens, and the steps that put it back (rules F6, J4). */
final class FirmwarePutBack
{
    /** @return list<PutBack> */
    public static function entries(ChangePlan $changes, SystemProfile $system): array
    {
        $entries = [];
        foreach ($changes->changes as $change) {
            $need = $change['need'];
            if ($need->weakens) {
                $entries[] = new PutBack(
                    str_replace('_', '-', $need->setting),
                    "{$change['setting']->title}: {$need->value}",
                    $need->stays && $need->setting === 'secure_boot'
                        ? "{$need->because} It stays: {$system->name} does not start with it on."
                        : $need->because,
                    $need->stays ? 'put-back.sign' : 'put-back.'.str_replace('_', '-', $need->setting),
                    $need->stays,
                );
            }
        }

        return $entries;
    }

    /**
     * @param  list<PutBack>  $entries
     * @param  array<string, array<string, string>>  $back  entry => what was set before
     * @param  bool  $bindsItself  whether the new system binds its drive to these settings once it is online
     * @return list<Step>
     */
    public static function steps(Machine $machine, array $entries, array $back, bool $bindsItself): array
    {
        $steps = [];
        foreach (array_filter($entries, static fn (PutBack $entry): bool => ! $entry->stays) as $entry) {
            $early = $bindsItself && Trigger::ofSetting(str_replace('-', '_', $entry->id)) !== null;
            $steps[] = new Step(
                $entry->closedBy,
                Stage::PutBack,
                'Put back: '.Lowered::of(explode(':', $entry->what)[0]),
                Presence::Hands,
                Estimate::minutes(1, 2, 6),
                [
                    ...WayIn::setup($machine)->instructions('the setup'),
                    "Set back what was changed ({$entry->what}) as recorded before. Save, and let the system start "
                        .'once.',
                ],
                before: $early ? [PathFact::SYSTEM_INSTALLED, PathFact::STICK_OUT] : [PathFact::PROVEN],
                after: [PathFact::putBack($entry->id)],
                needs: ['hands'],
                done: DoneWords::of('Put back: '.Lowered::of(explode(':', $entry->what)[0])),
                acts: [Act::ChangeSettings],
                because: [
                    new Reason("It was changed only for the job: {$entry->why}", 'J4, F6'),
                    ...$early
                        ? self::boundToSetting()
                        : [],
                ],
                evidence: [SettingsEvidence::putBack($machine, str_replace('-', '_', $entry->id))],
                boots: [
                    BootEvent::start(Wants::Setup, BootEvent::BY_KEY),
                    BootEvent::change($back[$entry->id] ?? []),
                    BootEvent::start(Wants::System),
                ],
                opensWith: Wants::Setup,
            );
        }

        return $steps;
    }

    /**
     * @return list<Reason>
     */
    private static function boundToSetting(): array
    {
        return [
            new Reason(
                'The new system binds its drive to this setting once it is online; changed later, it would ask for '
                    .'the recovery key.',
                'A7',
            ),
        ];
    }

    /**
     * What has to be put back before the new system goes online.
     *
     * @param  list<Step>  $steps
     * @return list<string>
     */
    public static function beforeOnline(array $steps): array
    {
        $facts = [];
        foreach ($steps as $step) {
            if ($step->stage === Stage::PutBack && in_array(PathFact::SYSTEM_INSTALLED, $step->before, true)) {
                array_push($facts, ...$step->after);
            }
        }

        return $facts;
    }
}
