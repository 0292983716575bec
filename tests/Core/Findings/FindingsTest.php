<?php

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Findings\Findings;
use Cobblestone\Findings\Layouts;
use Cobblestone\Runbook\Wants;
use Tests\Support\Demo;
use Tests\Support\RandomBrief;

/** What a value holds is what the document says, wherever the document has that field. */
function sameAs(mixed $value, mixed $document, string $at): void
{
    if (is_object($value) && ! $value instanceof BackedEnum) {
        $document = is_array($document) ? $document : [];
        foreach (get_object_vars($value) as $property => $held) {
            $name = strtolower((string) preg_replace('/(?<=[a-z0-9])[A-Z]/', '_$0', $property));
            if (array_key_exists($name, $document)) {
                sameAs($held, $document[$name], "{$at}.{$name}");
            }
        }

        return;
    }
    if (is_array($value) && is_array($document) && array_is_list($value)) {
        expect(count($value))->toBe(count($document), $at);
        foreach ($value as $index => $item) {
            sameAs($item, $document[$index], "{$at}.{$index}");
        }

        return;
    }
    // A part of a part is read as the one word of it that is shown.
    if (is_array($document) && ! is_array($value)) {
        expect($document)->toContain($value);

        return;
    }
    expect($value instanceof BackedEnum ? $value->value : $value)->toBe($document, $at);
}

it('reads of every kind of job what its path was computed with', function (string $job) {
    $plan = Demo::plan($job);
    sameAs(Findings::of($plan), json_decode((string) json_encode($plan->assessment), true), 'assessment');
})->with(Demo::ALL);

it('reads what is found of any job', function () {
    mt_srand(411);
    for ($i = 0; $i < 120; $i++) {
        $plan = RandomBrief::plan($i);
        if ($plan !== null) {
            sameAs(Findings::of($plan), json_decode((string) json_encode($plan->assessment), true), "brief {$i}");
        }
    }
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

it('reads both devices of a path as it lays them out', function (string $job) {
    $plan = Demo::plan($job);
    $layouts = Layouts::of($plan);
    sameAs($layouts, json_decode((string) json_encode($plan->layouts), true), 'layouts');
    expect($layouts->target === null)->toBe(($plan->layouts['target'] ?? null) === null)
        ->and($layouts->stick === null)->toBe(($plan->layouts['stick'] ?? null) === null);
})->with(Demo::ALL);
