<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\EncryptionSteps;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Assessment\Requirements;
use Cobblestone\Assessment\Route\RouteAdvice;
use Cobblestone\Assessment\Route\RouteLadder;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Assessment\SupportEnds;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\Rung;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Job\RepairFacts;
use Cobblestone\Machine\Fact as MachineFact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Source;
use Cobblestone\Media\MediaPlanner;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\ProofScope;

/**
 * Repair in place by the gentlest rung that can work; what did not help is marked as tried and the path computed
 * again (rules J1, A3).
 */
final class RepairPath
{
    public static function draft(JobContext $context): PathDraft
    {
        $machine = $context->machine;
        $drive = count($machine->internalDrives()) === 1 ? $machine->internalDrives()[0] : null;
        $protection = SafeguardPlanner::plan($context, $drive, [], static fn (bool $keep): EncryptionIntent => new EncryptionIntent(true, [Trigger::Loader], 2, $keep), true);
        $requirements = Requirements::assess($machine, $context->system(), $context->image, $drive, $context->brief->edition, $context->policy->school('bypass'));
        $ladder = RouteLadder::of($context->catalogue->routes() ?? throw BriefFault::at('goal', 'the catalogue '
            .'holds no route ladder to repair by.'));
        $known = self::facts($context, $protection, $requirements);
        $advice = $ladder->recommend($known);
        $rung = self::rung($ladder, $advice);
        $questions = array_map(static fn (Question $one, int $index): Question => new Question($one->fact, $one->text, $one->options, $one->decides, 'A3', 95 - $index, $index === 0 ? [Act::Repair, Act::OpenMachine] : []), $ladder->asked($known), array_keys($ladder->asked($known)));
        $gates = $rung->writes ? $protection->backup->gates : [];
        $media = $rung->media && $context->image !== null ? MediaPlanner::plan($machine, $context->image, $context->catalogue->sticks($context->brief->sticks), $context->policy, Bytes::of(0), 0)->contribution : new Contribution;
        $key = $protection->encryption->protection->mayAskForKey() && $rung->id !== 'hardware' ? [EncryptionSteps::keyAtHand($machine)] : [];
        // What writes nothing risks nothing, and a machine that stays dead cannot be copied anyway.
        $backup = $rung->writes ? $protection->backup->contribution : new Contribution;
        $protecting = (new Contribution($key))->and($backup)->and($protection->health->contribution)->and($protection->memoryContribution());
        $all = $protecting->and($media)->and(new Contribution(decisions: [$advice->decision], questions: $questions, gather: self::gather($rung), initial: [PathFact::STICK_OUT, PathFact::DRIVERS_FETCHED], blockers: self::blockers($advice, $rung)));
        $steps = [
            ...IntakeSteps::first($machine, OwnersWord::step(DriveFate::Stays, $drive, $context->brief->owner, $rung->writes ? $protection->backup : null)),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            ...self::rungSteps($rung, $gates, [...($media->steps === [] ? [] : [PathFact::STICK_PROVEN]), ...($key === [] ? [] : [PathFact::KEY_IN_HAND])]),
            self::result($rung),
            Acceptance::step($machine, $context->system(), $context->brief->edition, null, [PathFact::REPAIR_DONE], ProofScope::System),
        ];

        return new PathDraft((new Contribution($steps))->and(new Contribution([], $all->decisions, $all->questions, $all->gather, $all->initial, $all->blockers)),
            assessment: [...$protection->toArray(), 'requirements' => $requirements->toArray(), 'route' => $advice->toArray(), 'support' => [SupportEnds::of($context->system(), $context->today())]]);
    }

    /** The facts the ladder reads, with those that other parts of the assessment found. */
    private static function facts(JobContext $context, Safeguards $protection, Requirements $requirements): FactSheet
    {
        $facts = RepairFacts::implied($context->machine->facts);
        $facts = RepairFacts::image($facts, $context);
        $found = ['system.family' => $context->system()->family ?? 'community', 'fit' => $requirements->fit->value];
        if ($protection->health->target !== null) {
            $found['drive.grade'] = $protection->health->target->grade->value;
        }
        if ($protection->memory !== null) {
            $found['memory.verdict'] = $protection->memory->fact();
        }
        foreach ($found as $name => $value) {
            $facts = $facts->with(MachineFact::of($name, $value, Source::Reading, 'assessment'));
        }
        foreach (['drive.grade' => 'unknown', 'memory.verdict' => 'untested'] as $name => $value) {
            if ($facts->get($name)->isUnknown()) {
                $facts = $facts->with(MachineFact::of($name, $value, Source::KindDefault, 'nobody has tested it'));
            }
        }
        $build = $facts->get('present.build')->text();
        $from = $context->system()->repairInstallFrom;
        if ($build !== '' && $from !== null) {
            $facts = $facts->with(MachineFact::of('present.build_reaches', version_compare($build, $from, '>=') ? 'yes' : 'no', Source::Reading, "build {$build} against {$from}"));
        } elseif ($from === null) {
            $facts = $facts->with(MachineFact::of('present.build_reaches', 'no', Source::KindDefault, 'no threshold '
                .'on record'));
        }

        return $facts->with(MachineFact::of('hardware.suspect', self::hardwareSuspect($facts), Source::Reading, 'symptoms and tests'));
    }

    private static function hardwareSuspect(FactSheet $facts): string
    {
        $dead = $facts->get('symptom.powers_up')->is('no') || $facts->get('symptom.picture')->is('no');

        return $dead || $facts->get('memory.verdict')->is('bad') || $facts->get('drive.grade')->is('cable-first') ? 'yes' : 'no';
    }

    /**
     * The recommended rung; while more has to be known, the gentlest that is still possible, never silently a harsher
     * one.
     */
    private static function rung(RouteLadder $ladder, RouteAdvice $advice): Rung
    {
        foreach ($advice->ladder as $row) {
            if (in_array($row['standing'], ['possible', 'recommended'], true)) {
                return $ladder->rung($row['id']) ?? throw BriefFault::at('goal', 'the ladder has lost a rung.');
            }
        }

        return $ladder->rung($advice->ladder[0]['id']) ?? throw BriefFault::at('goal', 'the ladder is empty.');
    }

    /** @return list<Blocker> */
    private static function blockers(RouteAdvice $advice, Rung $rung): array
    {
        $standing = array_column($advice->ladder, 'standing', 'id')[$rung->id] ?? 'out';
        if ($standing === 'out') {
            return [Blocker::stop('no-way', 'No way on the ladder can work as things stand; see why beside each of '
                .'them.', 'A3')];
        }
        if ($rung->path !== null && $standing === 'recommended') {
            $goal = $rung->path;

            return [Blocker::stop('other-kind', "Nothing gentler is left than \"{$rung->title}\": that is a job of "
                ."its own kind. Change the kind of this job to \"{$goal->title()}\"; what is done stays "
                .'done.', 'A3', ["route: {$rung->id}"])];
        }

        return [];
    }

    /** @return list<GatherItem> */
    private static function gather(Rung $rung): array
    {
        $items = [new GatherItem('wired keyboard and pointer', 'radio ones and touch may not work in recovery')];
        if ($rung->id === 'hardware') {
            $items[] = new GatherItem('screwdriver and a tray', 'it may have to be opened');
            $items[] = new GatherItem('memory module known good', 'for the memory sheet');
        }

        return $items;
    }

    /**
     * @param  list<\Cobblestone\Runbook\Gate>  $gates
     * @param  list<string>  $waits
     * @return list<Step>
     */
    private static function rungSteps(Rung $rung, array $gates, array $waits): array
    {
        $steps = [];
        $before = [PathFact::OWNER_AGREED, PathFact::MACHINE_IDENTIFIED, PathFact::GATHERED, ...$waits];
        foreach ($rung->steps as $index => $entry) {
            $after = "route.{$rung->id}-{$index}";
            $restarts = $entry->restarts ?? 0;
            $presence = Presence::from($entry->presence);
            $steps[] = new Step($after, Stage::Install, $entry->title, $presence, $entry->estimate(), $entry->do,
                before: $before, after: [$after], needs: $presence === Presence::Hands ? ['hands', 'slot'] : ['slot', 'power'], acts: [$rung->writes ? Act::Repair : Act::OpenMachine], gates: $gates,
                because: [new Reason("{$rung->title}: the gentlest way that can work on what is "
                    .'known.', 'A3')], cautions: $entry->cautions, done: DoneWords::in(SheetPart::Repair, "{$entry->title}."),
                waiting: $presence === Presence::Hands && $restarts === 0 ? null : new Waiting(['it stands still '
                    .'for minutes'], 'Wait the same time once more; then note a problem.', $restarts));
            $before = [$after];
        }

        return $steps;
    }

    private static function result(Rung $rung): Step
    {
        $last = count($rung->steps) - 1;

        return new Step('route.result', Stage::Install, 'Did it help?', Presence::Hands, Estimate::minutes(1, 3, 10),
            ['Start twice and try what was wrong.', 'It did not help: do not lay this stone. On the job\'s page '
                .'mark the way as tried; the path is then computed with the next gentlest.'],
            before: $last >= 0 ? ["route.{$rung->id}-{$last}"] : [PathFact::OWNER_AGREED, PathFact::MACHINE_IDENTIFIED], after: [PathFact::REPAIR_DONE], needs: ['hands'],
            done: DoneWords::in(SheetPart::Repair, 'The fault was looked for twice in a row, and is '
                .'gone.', 'what_helped'),
            because: [new Reason('A repair counts once the fault is gone twice in a row.', 'A3')],
            evidence: [new Evidence('helped', 'The fault', 'choice', ['gone' => 'is gone, twice in a row']), new Evidence('what_helped', 'What it was', 'text')],
            boots: [BootEvent::change(['target' => 'repaired']), BootEvent::start(Wants::System)]);
    }
}
