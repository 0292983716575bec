<?php

namespace App\Http\Controllers;

use App\Actions\ChangeBrief;
use App\Actions\RecordMemoryTest;
use App\Bridge\BenchClock;
use App\Bridge\JobBridge;
use App\Http\Requests\MemorySheetRequest;
use App\Models\Job;
use App\View\MemoryPage;
use Cobblestone\Assessment\Memory\MemorySheet;
use Cobblestone\Brief\MemoryBlock;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** The memory sheet: what stands where, the results, the next test, the verdict. */
final class MemoryController
{
    public function show(Job $job, Request $request, JobBridge $bridge): View
    {
        $brief = $bridge->brief($job);
        $entry = $brief['memory'] ?? null;

        return view('jobs.memory', [
            'job' => $job,
            'mayWork' => $job->isOpen() && $request->user()?->mayWork() === true,
            'page' => new MemoryPage(
                $entry === null ? null : MemorySheet::of(MemoryBlock::fromArray($entry)),
                $entry ?? $bridge->memoryStart($job),
                $entry ?? [],
            ),
        ]);
    }

    public function update(
        Job $job,
        MemorySheetRequest $request,
        ChangeBrief $change,
        JobBridge $bridge,
    ): RedirectResponse {
        $populations = $bridge->memoryStart($job)['populations'] ?? [];
        $change->handle(
            $job,
            $request->user(),
            fn (array $brief): array => [
                ...$brief,
                'memory' => $request->sheet($brief['memory']['tests'] ?? [], $populations),
            ],
            'memory sheet set up',
            (int) $request->input('seen', 0),
            'modules',
        );

        return redirect("/jobs/{$job->id}/memory", 303);
    }

    public function test(Job $job, Request $request, RecordMemoryTest $record): RedirectResponse
    {
        $given = $request->validate(
            self::rules(),
            [
                'passes.*' => 'A whole number of passes, 1 to 50.',
                'outcome.*' => 'Choose what came of it.',
                'placed.*' => 'Say which module stood where.',
            ],
        );
        $placed = [];
        foreach ($given['placed'] as $slot => $module) {
            if (is_string($module) && $module !== '') {
                $placed[$module] = (string) $slot;
            }
        }
        $all = array_filter($given['placed'], static fn ($module): bool => is_string($module) && $module !== '');
        if ($placed === [] || count($placed) < count($all)) {
            throw ValidationException::withMessages([
                'placed' => $placed === []
                    ? 'At least one module stood in a slot.'
                    : 'A module can stand in one slot only.',
            ]);
        }
        $record->handle(
            $job,
            $request->user(),
            [
                'placed' => $placed,
                'profile' => $given['profile'],
                'passes' => (int) $given['passes'],
                'outcome' => $given['outcome'],
                'at' => BenchClock::stamp(),
            ],
            (int) $request->input('seen', 0),
        );

        return redirect("/jobs/{$job->id}/memory", 303)->with('did', 'tested');
    }

    /**
     * @return array<string, string>
     */
    private static function rules(): array
    {
        return [
            'placed' => 'required|array|max:8',
            'placed.*' => 'nullable|string|max:60',
            'profile' => 'required|in:standard,faster',
            'passes' => 'required|integer|min:1|max:50',
            'outcome' => 'required|in:clean,errors,no-start',
        ];
    }
}
