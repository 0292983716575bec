<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/**
 * The first answers, the network, the updates and the licence, as the profile gives them (rule I4 as far as a sheet
 * to read from goes).
 */
final class FirstBoot
{
    /**
     * @param  list<string>  $offline  facts of driver packages that come before the network
     * @param  bool  $cable  whether the machine can go online by cable
     */
    public static function plan(FirstStart $start, array $offline, bool $cable): Contribution
    {
        $system = $start->system;
        $autoEncryption = $start->policy->school('auto_encryption');
        $steps = [
            AnswersStep::of($system, $autoEncryption, $start->answers()),
            self::online(
                $offline,
                $cable,
                $start->online,
                $system->autoEncryption && $autoEncryption === 'owner-keeps-key',
            ),
            self::systemUpdates($start),
        ];
        if (! $system->autoEncryption) {
            return new Contribution($steps);
        }
        $on = $autoEncryption === 'owner-keeps-key';
        if ($on) {
            $steps[] = self::newKey($system);
        }

        return new Contribution($steps, self::encryptionDecision($on, $autoEncryption));
    }

    /**
     * @param  list<string>  $offline
     * @param  bool  $encrypts  whether the system seals its drive once it is online
     */
    private static function online(array $offline, bool $cable, string $why, bool $encrypts): Step
    {
        return new Step(
            'network.online',
            Stage::Network,
            'Get online',
            Presence::Hands,
            Estimate::minutes(1, 2, 10),
            self::gettingOnline($cable),
            before: [PathFact::FIRST_BOOT_DONE, ...$offline],
            after: [PathFact::ONLINE],
            needs: ['hands', 'network'],
            acts: [Act::WriteSystem],
            because: [new Reason($why === '' ? 'Updates, drivers and activation come over it.' : $why, 'D5')],
            boots: $encrypts ? [BootEvent::change(['encryption' => 'bound'])] : [],
        );
    }

    /**
     * @return list<string>
     */
    private static function gettingOnline(bool $cable): array
    {
        return [
            $cable
                ? 'Plug in the network cable, or join the bench\'s wireless network.'
                : 'Join the bench\'s wireless network.',
            'Open one page to see that it answers.',
        ];
    }

    private static function systemUpdates(FirstStart $start): Step
    {
        $restarts = $start->system->updates->restarts ?? 1;

        return UpdatesStep::of(
            new UpdatePace($start->system, $start->policy),
            'Look for updates once more: it must find none.',
            'Updates come before proof: what they change is read with the rest.',
            ['the same percentage twice', 'a restart in between'],
            $restarts,
            array_fill(0, max(0, $restarts), BootEvent::start(Wants::System)),
        );
    }

    private static function newKey(SystemProfile $system): Step
    {
        return new Step(
            'first-boot.new-key',
            Stage::FirstBoot,
            'New recovery key',
            Presence::Hands,
            Estimate::minutes(1, 3, 10),
            [
                'Have the system show where the new recovery key went, or save it to a stick of the owner\'s.',
                'The owner keeps it; write down only where.',
            ],
            before: [PathFact::ONLINE],
            after: [PathFact::NEW_KEY_KEPT],
            needs: ['hands'],
            done: DoneWords::of('The new recovery key was given to you', 'new_key_kept'),
            because: [
                new Reason(
                    "{$system->name} encrypts its drive by itself; without the key the next repair could lock "
                        .'it for good.',
                    'A7',
                    $system->dated(),
                ),
            ],
            evidence: [new Evidence('new_key_kept', 'Where the owner keeps the new key', 'text')],
        );
    }

    /**
     * @return list<Decision>
     */
    private static function encryptionDecision(bool $on, string $autoEncryption): array
    {
        return [
            new Decision(
                'install.encryption',
                'Automatic drive encryption',
                $on ? 'on, the owner keeps the key' : 'off',
                [
                    $on
                        ? 'The bench\'s policy leaves it on.'
                        : 'The bench\'s policy switches it off during the first start.',
                ],
                [
                    $on ? 'off' : 'on' => [
                        $on
                            ? 'A lost machine would show its data to anybody.'
                            : 'A key nobody keeps locks the owner out one day.',
                    ],
                ],
                ["policy auto_encryption = {$autoEncryption}"],
                'A7',
            ),
        ];
    }
}
