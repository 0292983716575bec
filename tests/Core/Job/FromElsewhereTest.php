<?php

use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

const MAST = [
    'what' => 'Mast lighting tool', 'source' => 'the quay library', 'sha256' => 'ab12',
    'reason' => 'the counter wants it', 'undo' => 'Remove it in the list of programs.',
];

/** @param  list<array<string, string>>  $extras */
function withExtras(string $job, array $extras, string $school = 'recorded'): Plan
{
    return Demo::plan($job, ['extras' => $extras], ['extras' => $school]);
}

/** @return list<string> */
function saidOfExtras(Plan $plan): array
{
    return array_map(
        fn (Decision $one): string => "{$one->chosen} ".implode(' ', $one->reasons),
        array_values(array_filter($plan->decisions, fn (Decision $one): bool => $one->id === 'assess.extras')),
    );
}

it('drops nothing from elsewhere without a word, whatever kind of job', function (string $job) {
    $build = ['what' => 'A changed build', ...array_diff_key(MAST, ['what' => 1, 'undo' => 1])];
    $plan = withExtras($job, [MAST, $build]);
    $said = saidOfExtras($plan);
    expect($said)->toHaveCount(1)->and($said[0])->toContain('Mast lighting tool')->toContain('A changed build');
    $added = array_filter($plan->steps, fn (Step $step): bool => $step->title === 'Add Mast lighting tool');
    $finishes = $plan->bringing(PathFact::UPDATED) !== null;
    expect(count($added))->toBe($finishes ? 1 : 0, $job)
        ->and($plan->bringing(PathFact::EXTRAS_RECORDED) !== null)->toBe($finishes)
        ->and(str_contains($said[0], 'left out'))
        ->toBe(! $finishes || ! in_array('A changed build', takenUp($plan), true));
})->with(Demo::ALL);

/** @return list<string> what the record of the path names */
function takenUp(Plan $plan): array
{
    $record = $plan->bringing(PathFact::EXTRAS_RECORDED);

    return array_map(fn (string $line): string => (string) strtok($line, ':'), $record->instructions ?? []);
}

it('says of a path why it takes none, whatever the path puts on', function (string $job) {
    $plan = withExtras($job, [MAST]);
    if ($plan->bringing(PathFact::UPDATED) === null) {
        expect(saidOfExtras($plan))->toBe([
            'left out: Mast lighting tool Nothing is added on this path: a job that sets a system up takes it.',
        ]);
    } else {
        expect(saidOfExtras($plan)[0])->not->toContain('left out');
    }
})->with(Demo::ALL);

it('is stopped by the policy only where something would be put on', function (string $job) {
    $plan = withExtras($job, [MAST], 'off');
    $stops = array_filter($plan->blockers, fn ($one): bool => $one->id === 'extras-policy');
    expect(count($stops))->toBe(Demo::plan($job)->bringing(PathFact::UPDATED) === null ? 0 : 1, $job);
})->with(Demo::ALL);

it('says nothing where nothing comes from elsewhere', function (string $job) {
    expect(saidOfExtras(Demo::plan($job)))->toBe([]);
})->with(Demo::ALL);
