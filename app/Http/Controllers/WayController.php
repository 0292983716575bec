<?php

namespace App\Http\Controllers;

use App\Bridge\JobsOfSystem;
use App\Bridge\StickRegister;
use App\Bridge\WayBridge;
use App\Devices\DriverFolders;
use App\Http\Asked;
use App\Models\BenchPolicy;
use App\Models\ShelfFile;
use App\Models\StickBuild;
use App\Models\StickState;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\FatLabel;
use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\StickChoice;
use Cobblestone\Media\SticksAtHand;
use Cobblestone\Media\Ways\Way;
use Cobblestone\Media\Ways\WayComparison;
use Cobblestone\Quantity\Bytes;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The ways from an image to a stick, side by side. */
final class WayController
{
    public function show(ShelfFile $file, Request $request, StickRegister $register, WayBridge $ways): View
    {
        $report =
            $file->inspected() ??
            abort(409, 'This image has not been looked into yet. Wait a moment and load the page again.');
        $sticks = $register->now();
        $asked = Asked::text($request, 'stick');
        $drivers =
            DriverFolders::path(Asked::text($request, 'drivers')) === null ? null : Asked::text($request, 'drivers');
        // Without a stick the ways say what they need; the smallest need that is possible then chooses one.
        $first = $ways->compare($file, $report, null, $drivers);
        $choice = self::choice($first, $sticks, $report);
        $stick = $sticks[$asked] ?? $choice->stick;
        $comparison = $ways->compare($file, $report, $stick, $drivers);

        return view('shelf.ways', [
            'file' => $file,
            'mayWork' => $request->user()?->mayWork() === true,
            'report' => $report,
            'sticks' => $sticks,
            'stick' => $stick,
            'choice' => $choice->decision,
            'folders' => DriverFolders::names(),
            'drivers' => $drivers,
            'answering' => JobsOfSystem::of($file->said('line')),
            'job' => (int) Asked::text($request, 'job'),
            'comparison' => $comparison,
            'elsewhere' => self::elsewhere($comparison),
            'condition' => $stick === null ? StickCondition::Blank : $register->condition(StickState::of($stick->id)),
            'under' => $stick === null ? null : self::underWay($stick),
            'label' => $stick === null || ! $report->canBeCopied()
                    ? null
                    : FatLabel::of($report->label ?? $file->title(), $register->labels($stick->id)),
            'twins' => $stick === null ? 0 : self::twins($stick, $register),
            'picked' => old(
                'way',
                collect($comparison->ways)->first(fn ($way) => $way->title === $comparison->decision?->chosen)?->key,
            ),
        ]);
    }

    /** @return list<Way> that a script makes on another computer: all but what is filled by hand */
    private static function elsewhere(WayComparison $comparison): array
    {
        return array_values(array_filter(
            $comparison->ways,
            static fn (Way $way): bool => $way->isPossible() && $way->key !== 'two-partitions',
        ));
    }

    private static function underWay(Stick $stick): ?StickBuild
    {
        $builds = StickBuild::query()->where('slug', $stick->id);
        $builds->whereIn('state', ['queued', 'running']);

        return $builds->first();
    }

    /** Other sticks that report the same serial. */
    private static function twins(Stick $stick, StickRegister $register): int
    {
        return $stick->serial === null ? 0 : count(array_filter(
            $register->all(),
            static fn (Stick $one): bool => $one->id !== $stick->id && $one->serial === $stick->serial,
        ));
    }

    /**
     * @param  array<string, Stick>  $sticks
     */
    private static function choice(WayComparison $first, array $sticks, ImageReport $report): StickChoice
    {
        $need =
            $first->decision === null
                ? null
                : collect($first->ways)->first(fn ($way) => $way->title === $first->decision->chosen)?->need;

        return StickChoice::decide(
            'media.stick',
            'Which stick',
            new SticksAtHand(array_values($sticks), BenchPolicy::present()->school('stick'), []),
            $need ?? Bytes::of($report->bytes),
        );
    }
}
