<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Fit;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\RepairFacts;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Source;

/** What the route ladder reads: the facts of the machine, with those that other parts of the assessment found (A3). */
final class LadderFacts
{
    /**
     * @param  Fit|null  $fit  of the system that would be installed over; null where that was not asked
     * @param  SystemProfile  $present  the system that is, or is taken to be, on it now
     */
    public static function of(JobContext $context, Safeguards $protection, ?Fit $fit, SystemProfile $present): FactSheet
    {
        $facts = RepairFacts::implied($context->machine->facts);
        $facts = $present->id === $context->system()->id ? RepairFacts::image($facts, $context) : $facts;
        $found = [
            'system.family' => $present->family ?? 'community',
            // What is on it has run on it: only of another system it is a question whether it fits.
            'fit' => ($present->id === $context->system()->id ? $fit : null)->value ?? Fit::Fits->value,
            'drive.grade' => $protection->health->target?->grade->value,
            'memory.verdict' => $protection->memory?->fact(),
        ];
        foreach (array_filter($found, is_string(...)) as $name => $value) {
            $facts = $facts->with(Fact::of($name, $value, Source::Reading, 'assessment'));
        }
        foreach (['drive.grade' => 'unknown', 'memory.verdict' => 'untested'] as $name => $value) {
            if ($facts->get($name)->isUnknown()) {
                $facts = $facts->with(Fact::of($name, $value, Source::KindDefault, 'nobody has tested it'));
            }
        }
        $facts = self::build($facts, $present);

        return $facts->with(Fact::of(
            'hardware.suspect',
            self::hardwareSuspect($facts),
            Source::Reading,
            'symptoms and tests',
        ));
    }

    /** Whether what is installed has reached the first build that can install itself over itself. */
    private static function build(FactSheet $facts, SystemProfile $present): FactSheet
    {
        [$build, $from] = [$facts->get('present.build')->text(), $present->repairInstallFrom];

        return match (true) {
            $from === null => $facts->with(Fact::of(
                'present.build_reaches',
                'no',
                Source::KindDefault,
                'no threshold on record',
            )),
            $build === '' => $facts,
            default => $facts->with(Fact::of(
                'present.build_reaches',
                version_compare($build, $from, '>=') ? 'yes' : 'no',
                Source::Reading,
                "build {$build} against {$from}",
            )),
        };
    }

    private static function hardwareSuspect(FactSheet $facts): string
    {
        $dead = $facts->get('symptom.powers_up')->is('no') || $facts->get('symptom.picture')->is('no');

        return $dead
            || $facts->get('memory.verdict')->is('bad')
            || $facts->get('drive.grade')->is('cable-first') ? 'yes' : 'no';
    }
}
