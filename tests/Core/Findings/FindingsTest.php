<?php

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Findings\Findings;
use Cobblestone\Findings\Layouts;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Wants;
use Tests\Support\Demo;
use Tests\Support\RandomBrief;

/** What a plan keeps is read into values that write the same again, after its way through the store. */
function readsAndWrites(Plan $plan, string $of): void
{
    $stored = fn (Fields $part): mixed => json_decode((string) json_encode($part->all(), JSON_THROW_ON_ERROR), true);
    $kept = $stored($plan->assessment);
    $read = Findings::read(Fields::of($kept, 'assessment'));
    expect($stored(Fields::of($read->toArray())))->toEqual(array_intersect_key($kept, $read->toArray()), $of)
        // What is not read here has readers of its own.
        ->and(array_diff(array_keys($kept), array_keys($read->toArray()), [
            'medium', 'files', 'collecting', 'rollback', 'boot', 'later_questions',
        ]))->toBe([], $of);
    $layouts = $stored($plan->layouts);
    expect($stored(Fields::of(Layouts::read(Fields::of($layouts))->toArray())))->toEqual($layouts, $of);
}

it('reads of every kind of job what its path was computed with', function (string $job) {
    readsAndWrites(Demo::plan($job), $job);
})->with(Demo::ALL);

it('reads what is found of any job', function () {
    mt_srand(411);
    $read = 0;
    for ($i = 0; $i < 120; $i++) {
        $plan = RandomBrief::plan($i);
        if ($plan !== null) {
            $read++;
            readsAndWrites($plan, "brief {$i}");
        }
    }
    expect($read)->toBeGreaterThan(40);
});

it('loses no field of what it reads', function () {
    $whole = Findings::of(Demo::plan('fairlead-13'))->toArray();
    foreach (['encryption', 'backup', 'requirements', 'drivers', 'rehearsal'] as $part) {
        expect($whole)->toHaveKey($part);
    }
    expect(Findings::of(Demo::plan('repair'))->toArray())->toHaveKey('route')
        ->and(Findings::of(Demo::plan('drive-swap'))->toArray())->toHaveKey('health')
        ->and(Findings::of(Demo::plan('firmware-update'))->toArray())->toHaveKey('update')
        ->and(Findings::of(Demo::plan('stick-for-any'))->toArray())->toHaveKey('kinds');
});

it('names what does not fit', function (array $assessment, string $path) {
    expect(fn () => Findings::read(Fields::of($assessment, 'assessment')))->toThrow(FieldFault::class, $path);
})->with([
    [['health' => [['grade' => 'splendid']]], 'assessment.health.0'],
    [['rehearsal' => [['step' => 7]]], 'assessment.rehearsal.0.step'],
    [['route' => ['provisional' => 'maybe']], 'assessment.route'],
]);

it('finds a power-on by stone and number, and leaves the ways into the setup out', function () {
    $plan = Demo::plan('fairlead-13');
    $findings = Findings::of($plan);
    $start = $plan->step('boot.start');
    $snapshot = $plan->step('firmware.snapshot');
    expect($start)->not->toBeNull()
        ->and(Findings::startsOf($plan, $start))->toHaveCount(1)
        ->and(Findings::startsOf($plan, $snapshot))->toBe([])
        ->and($findings->start('firmware.snapshot', 1))->not->toBeNull()
        ->and($findings->start('boot.start', 2))->toBeNull();
    $all = [];
    foreach ($plan->steps as $step) {
        foreach (Findings::startsOf($plan, $step) as $start) {
            $all[] = [$start->step, $start->number];
        }
    }
    $wanted = array_filter($findings->rehearsal, static fn ($start): bool => $start->wants !== Wants::Setup);
    expect($all)->toEqualCanonicalizing(
        array_map(static fn ($start): array => [$start->step, $start->number], array_values($wanted)),
    );
});
