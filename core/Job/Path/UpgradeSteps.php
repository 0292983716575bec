<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Catalogue\InstallPhase;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Install\UpdatePace;
use Cobblestone\Install\UpdatesStep;
use Cobblestone\Job\JobContext;
use Cobblestone\Media\FetchStep;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;
use Cobblestone\Text\Counted;

/** The stones of an upgrade in place. */
final class UpgradeSteps
{
    /**
     * @param  list<\Cobblestone\Runbook\Gate>  $gates
     * @param  list<string>  $waits
     * @return list<Step>
     */
    public static function steps(JobContext $context, array $gates, array $waits, int $days): array
    {
        [$system, $image] = [$context->system(), $context->image()];
        $minutes = self::installing($system);
        $restarts = count(array_filter(
            $system->install->phases,
            static fn (InstallPhase $phase): bool => $phase->restart,
        ))
            + 1;
        $file = $image->file;
        $host = $context->presentHost();

        return [
            ...FetchStep::for($image, $context->policy),
            new Step('image.check', Stage::Image, 'Check the image',
                Presence::WalkAway,
                Estimate::around(DataRate::megabytes($context->policy->figure('hash_mb_s'))->timeFor($image->size())),
                [
                    $host === null
                        ? "Compare the SHA-256 of {$file} in the running system."
                        : "Run `{$host->commands->typed('sum', ['{file}' => $file])}` in the running system.",
                    $image->checksumLine(),
                ],
                before: FetchStep::before($image),
                after: [PathFact::IMAGE_PROVEN],
                needs: ['bench computer'],
                because: [
                    new Reason('A damaged image shows here, not in the middle of the upgrade.', 'M2', $image->dated()),
                ]),
            self::starting($waits, $gates, $system),
            self::upgrading($system, $minutes, $restarts, $days),
            self::gettingOnline(),
            self::updating($context),
        ];
    }

    /** All phases of the installer, and what it looks through before the first of them (default). */
    public static function installing(SystemProfile $system): Estimate
    {
        return array_reduce(
            $system->install->phases,
            static fn (Estimate $sum, InstallPhase $phase): Estimate => $sum->plus($phase->estimate()),
            Estimate::minutes(10, 20, 45),
        );
    }

    /**
     * @param  list<string>  $waits
     * @param  list<Gate>  $gates
     */
    private static function starting(array $waits, array $gates, SystemProfile $system): Step
    {
        return new Step(
            'install.start',
            Stage::Install,
            'Start the upgrade',
            Presence::Hands,
            Estimate::minutes(3, 6, 20),
            [
                'In the running system open the image and start its installer.',
                'Choose to keep files, programs and settings. Greyed out: edition or language differ; stop.',
                'Third-party guards and drive tools off for the upgrade.',
            ],
            before: [
                PathFact::IMAGE_PROVEN, PathFact::OWNER_AGREED, PathFact::MACHINE_IDENTIFIED, PathFact::GATHERED,
                PathFact::ENCRYPTION_SETTLED, ...$waits,
            ],
            after: ['install.started'],
            needs: ['hands', 'slot', 'power'],
            acts: [Act::WriteSystem],
            gates: $gates,
            because: [new Reason('In place keeps everything, with a way back.', 'A3', $system->dated())],
            evidence: [
                new Evidence('keeps', 'The installer says it keeps', 'choice', [
                    'all' => 'files, programs and settings',
                ]),
            ]);
    }

    private static function upgrading(SystemProfile $system, Estimate $minutes, int $restarts, int $days): Step
    {
        return new Step(
            UpgradePath::INSTALLED,
            Stage::Install,
            "Upgrade to {$system->name}",
            Presence::WalkAway,
            $minutes,
            ['Leave it alone, charger in.'],
            before: ['install.started'],
            after: [PathFact::SYSTEM_INSTALLED],
            needs: ['slot', 'power'],
            acts: [Act::WriteSystem],
            because: [
                new Reason(
                    Counted::of($restarts, 'restart').'. From its end on it can be taken back for '
                        .Counted::of($days, 'day').'.',
                    'I5, I6',
                    $system->dated(),
                ),
            ],
            done: DoneWords::of("It was upgraded to {$system->name}"),
            waiting: new Waiting(
                ['the percentage stands still for long minutes', Counted::of($restarts, 'restart')],
                'An hour without any change: restart once; it goes back by itself if it cannot go on.',
                $restarts,
            ),
            boots: [
                BootEvent::change(['system.loader' => 'new']),
                ...array_fill(0, $restarts, BootEvent::start(Wants::System)),
            ]);
    }

    private static function gettingOnline(): Step
    {
        return new Step(
            'network.online',
            Stage::Network,
            'Get online',
            Presence::Hands,
            Estimate::minutes(0.5, 1, 8),
            ['See that it is online as before.'],
            before: [PathFact::SYSTEM_INSTALLED],
            after: [PathFact::ONLINE],
            needs: ['hands', 'network'],
            acts: [Act::WriteSystem],
            because: [new Reason('Network settings are kept.', 'D5')],
        );
    }

    private static function updating(JobContext $context): Step
    {
        return UpdatesStep::of(
            new UpdatePace($context->system(), $context->policy),
            'Do not let any tool remove the old system\'s folder: with it the way back is gone.',
            'Updates come before proof: what they change is read with the rest.',
            ['the same percentage twice'],
        );
    }
}
