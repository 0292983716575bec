<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Ownership;
use Cobblestone\Assessment\Requirements;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Assessment\SupportEnd;
use Cobblestone\Assessment\SupportEnds;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Findings\Findings;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Rollback;
use Cobblestone\Runbook\Step;
use Cobblestone\Text\Counted;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\AddOns;
use Cobblestone\Tuning\ProofSubject;

/** The wanted system over the present one, everything kept, with a way back for some days (rules J1, A3, I6). */
final class UpgradePath
{
    /** Step after which the way back counts. */
    public const INSTALLED = 'install.upgrade';

    /** The fact that says whether it installs over what is there, where the catalogue does not. */
    private const ALLOWED = 'upgrade.allowed';

    private const PRESENT = 'present.system';

    public static function draft(JobContext $context): PathDraft
    {
        [$machine, $system, $brief] = [$context->machine, $context->system(), $context->brief];
        $target = TargetDrive::choose($machine);
        $protection = UpgradeParts::safeguards($context, $target);
        $requirements = UpgradeParts::requirements($machine, $system, $context->image(), $target, $brief, $context);
        $licence = UpgradeParts::licence($machine, $system, $brief);
        $extras = Ownership::extras($brief->extras, $context->policy->school('extras'));
        $ends = self::ends($context);
        $gaps = SupportEnds::gaps($system, $brief->depends);
        [$room, $roomBlockers] = self::room($context, $system);
        $blockers = [...$roomBlockers, ...self::overWhat($context, $system), ...self::otherEdition($context)];
        $days = (int) ($system->rollbackDays ?? 10);
        $all = $protection->contribution()
            ->and($requirements->contribution)
            ->and($licence->contribution)
            ->and($extras)
            ->and(UpgradeParts::contribution(
                [self::decision($system, $days), $room, SupportEnds::decision($gaps, $ends)],
                $blockers,
            ))
            ->and(new Contribution(questions: self::questions($context, $system)));
        $steps = [
            ...UpgradeParts::first($machine, $target, $brief, $protection, $gaps),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            ...self::upgrading($context, $protection, $requirements, $extras, $days),
            ...AddOns::plan($brief->extras, $context->policy->school('extras'))->steps,
            Acceptance::step(
                new ProofSubject($machine, $system, $brief->edition),
                [PathFact::UPDATED, PathFact::ACTIVATED],
            ),
        ];

        return new PathDraft(
            $all->withSteps($steps),
            new Findings(...$protection->found(), requirements: $requirements->found(), support: $ends, depends: $gaps),
            rollback: new Rollback(self::INSTALLED, $days),
        );
    }

    /** @return list<Step> */
    private static function upgrading(
        JobContext $context,
        Safeguards $protection,
        Requirements $requirements,
        Contribution $extras,
        int $days,
    ): array {
        return UpgradeSteps::steps(
            $context,
            $protection->gates(),
            UpgradeParts::waitsFor($protection, $requirements, $extras),
            $days,
        );
    }

    /** In place against clean: what each keeps, and what it costs in time (rule A3). */
    public static function decision(SystemProfile $system, int $days): Decision
    {
        $installing = UpgradeSteps::installing($system)->likely;
        $anew = $installing->plus(Estimate::fromMinutes($system->firstBoot->minutes)->likely);

        return new Decision(
            'install.upgrade',
            'In place or clean',
            'in place',
            [
                'Files, programs and settings stay, and for '.Counted::of($days, 'day').' it can be taken back.',
                "Installing takes about {$installing->label()}.",
            ],
            [
                'clean install' => [
                    "It keeps nothing: about {$anew->label()} until its first start is answered, and then drivers, "
                        .'programs and settings anew.',
                    'It is the choice where the present system is in trouble.',
                ],
            ],
            ["rollback_days = {$days}"],
            'A3, I6',
        );
    }

    /** @return list<Blocker> */
    private static function overWhat(JobContext $context, SystemProfile $system): array
    {
        $present = $context->machine->fact(self::PRESENT)->text();
        $refused = $system->upgradesFrom === [] && $context->machine->fact(self::ALLOWED)->is('no');
        $goes = $system->upgradesFrom === [] || in_array($present, $system->upgradesFrom, true);
        if ($present === '' || ($goes && ! $refused)) {
            return [];
        }
        $systems = $context->catalogue->systems();
        $from = array_map(static fn (string $id): string => $systems[$id]->name ?? $id, $system->upgradesFrom);
        $is = $systems[$present]->name ?? 'what is on it now';

        return [
            Blocker::stop(
                'upgrade-over',
                "{$system->name} is not installed over {$is}"
                    .($from === [] ? '.' : '; it is over '.implode(', ', $from).'.'),
                'A3',
                Door::kind(JobKind::installing()),
                ["present.system = {$present}"],
            ),
        ];
    }

    /**
     * What has to be known before anything is installed over a system: which it is, whether that goes, its edition,
     * and the room it leaves.
     *
     * @return list<Question>
     */
    private static function questions(JobContext $context, SystemProfile $system): array
    {
        $machine = $context->machine;
        $shuts = [Act::WriteSystem];
        $present = $machine->fact(self::PRESENT);
        $asked = [];
        if ($present->isUnknown()) {
            $offered = [];
            foreach ($context->catalogue->systems() as $one) {
                $offered[$one->id] = $one->name;
            }
            $asked[] = FactQuestion::about(self::PRESENT, "whether {$system->name} installs over it", 'A3', 92, $shuts)
                ->offering($offered === [] ? [] : [...$offered, 'another' => 'another']);
        }
        if ($system->upgradesFrom === [] && $machine->fact(self::ALLOWED)->isUnknown()) {
            $asked[] = FactQuestion::about(self::ALLOWED, 'whether it can be done at all', 'A3', 91, $shuts)
                ->worded(FactQuestion::text(self::ALLOWED, ['system' => $system->name]));
        }
        if ($context->brief->edition !== null && $machine->fact('present.edition')->isUnknown()) {
            $decides = "whether programs and settings stay: edition {$context->brief->edition} is wanted";
            $asked[] = FactQuestion::about('present.edition', $decides, 'A8', 90, $shuts)
                ->offering(array_combine($system->editions, $system->editions));
        }
        if ($system->upgradeFreeBytes !== null && ! is_numeric($machine->fact('drive.free_bytes')->value)) {
            $decides = 'whether there is room: '.Bytes::of($system->upgradeFreeBytes)->decimal().' are wanted';
            $asked[] = FactQuestion::about('drive.free_bytes', $decides, 'A2', 89, $shuts);
        }

        return $asked;
    }

    /** @return list<Blocker> an upgrade keeps programs and settings only within the edition */
    private static function otherEdition(JobContext $context): array
    {
        $wanted = $context->brief->edition;
        $is = $context->machine->fact('present.edition')->text();

        return $wanted === null || $is === '' || strcasecmp($wanted, $is) === 0 ? [] : [
            Blocker::narrow(
                'upgrade-edition',
                "Edition {$is} is installed, and the image is edition {$wanted}: its installer keeps neither programs "
                    .'nor settings then.',
                'A8',
                [Act::WriteSystem],
                Door::choice('image', "Choose the image of edition {$is}."),
                ["present.edition = {$is}", "wanted edition {$wanted}"],
            )->waivableBy('lead'),
        ];
    }

    /** @return list<SupportEnd> of the present system, as far as it is known, and of the wanted one */
    private static function ends(JobContext $context): array
    {
        $present = $context->catalogue->systems()[$context->machine->fact(self::PRESENT)->text()] ?? null;

        return array_map(
            static fn (SystemProfile $system): SupportEnd => SupportEnds::of($system, $context->today()),
            array_values(array_filter([$present, $context->system()])),
        );
    }

    /** @return array{0: Decision, 1: list<Blocker>} */
    private static function room(JobContext $context, SystemProfile $system): array
    {
        $need = $system->upgradeFreeBytes ?? null;
        $free = $context->machine->fact('drive.free_bytes')->value;
        if ($need === null || ! is_numeric($free)) {
            return [
                new Decision(
                    'assess.room',
                    'Free space for the upgrade',
                    $need === null ? 'as the installer asks' : 'at least '.Bytes::of($need)->decimal(),
                    [
                        $need === null
                            ? 'Nothing that is known says how much it wants: its installer says so before it begins.'
                            : 'What is free on the drive is not known yet.',
                    ],
                    [],
                    [],
                    'A2',
                ),
                [],
            ];
        }
        $short = $need - (int) $free;

        return [new Decision('assess.room', 'Free space for the upgrade',
            $short > 0 ? 'too little' : 'enough',
            [Bytes::of((int) $free)->decimal().' free, '.Bytes::of($need)->decimal().' wanted.'],
            [],
            ['drive.free_bytes'],
            'A2'),
            $short > 0
                ? [
                    Blocker::narrow(
                        'upgrade-room',
                        "{$system->name} wants ".Bytes::of($need)->decimal().' free for an upgrade in place: short by '
                            .Bytes::of($short)->decimal().'.',
                        'A2',
                        [Act::WriteSystem],
                        Door::fact('drive.free_bytes', 'Make room, and say what is free then.'),
                        ["drive.free_bytes = {$free}"],
                    ),
                ]
                : []];
    }
}
