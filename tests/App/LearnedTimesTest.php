<?php

use App\Actions\ChangeBrief;
use App\Actions\WalkStep;
use App\Models\Job;
use App\Models\LogRecord;
use App\Models\StepTime;
use Illuminate\Support\Facades\DB;

it('keeps how long the installer took, and forgets a done that is taken back', function () {
    $lead = $this->bench()['lead'];
    $job = $this->jobFrom('fairlead-13', $lead);
    layUpTo($job, $lead, 'install.phase-0', 17);
    $time = StepTime::query()->sole();
    expect($time->only(['job_id', 'model', 'system', 'step', 'title', 'seconds']))->toBe([
        'job_id' => $job->id, 'model' => 'norrel-fairlead-13', 'system' => 'Tansy Desktop 7',
        'step' => 'install.phase-0', 'title' => 'Copy files', 'seconds' => 17 * 60,
    ]);
    app(WalkStep::class)->handle($job->id, $lead, 'install.phase-0', 'take-back', [], $job->refresh()->last_entry);
    expect(StepTime::query()->count())->toBe(0)
        ->and(LogRecord::query()->where('kind', 'taken-back')->count())->toBe(1);
});

it('lets a path go by what was seen at once, in no more queries', function () {
    $lead = $this->bench()['lead'];
    $job = $this->jobFrom('fairlead-13', $lead);
    $time = fn (): array => [
        $job->refresh()->currentPlan()->typed()->step('install.phase-0')->time->likely->seconds,
        implode(' ', array_map(
            fn ($reason) => $reason->text,
            $job->currentPlan()->typed()->step('install.phase-0')->because,
        )),
    ];
    $before = $time();
    $watts = 60;
    $again = function () use ($job, $lead, &$watts): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $changed = $job->refresh();
        app(ChangeBrief::class)->handle($changed, $lead, function (array $brief) use (&$watts): array {
            $brief['machine']['facts']['charger.watts'] = ++$watts;

            return $brief;
        }, 'another charger', $changed->last_entry);
        DB::disableQueryLog();

        // The job read again by the test, and the catalogue asked for twice outside a request, are not the plan's.
        return count(DB::getQueryLog()) - 2;
    };
    $last = $before[0];
    foreach ([500, 510, 520, 530, 540] as $seconds) {
        StepTime::query()->create([
            'job_id' => $this->jobFrom('stick-for-any', $lead)->id, 'model' => 'norrel-fairlead-13',
            'system' => 'Tansy Desktop 7', 'step' => 'install.phase-0', 'title' => 'Copy files', 'seconds' => $seconds,
        ]);
        $queries = $again();
        // Each time draws it nearer, from the first on.
        expect($time()[0])->toBeLessThan($last);
        $last = $time()[0];
    }
    expect($time()[0])->toBe((int) round((5 * 520 + 3 * $before[0]) / 8))
        ->and($time()[1])->toContain('Done 5 times here')
        ->and($queries)->toBeLessThanOrEqual(12);
    $this->actingAs($lead)->get('/logbook/figures')
        ->assertSee('How long it takes here')
        ->assertSee('Norrel Fairlead 13')
        ->assertSee('what was worked out counts as much as 3 times');
});
