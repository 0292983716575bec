<?php

use App\Models\StickBuild;
use App\Models\StickState;
use Cobblestone\Media\Build\StickCondition;
use Illuminate\Support\Facades\Route;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\HostilePosts;
use Tests\Support\Workshop;

/** A bench with something behind every address, and posts to all of them that nobody sends in good faith. */
function fuzzed(object $test, int $posts, int $seed): void
{
    $people = $test->bench();
    $shop = new Workshop();
    $job = $test->jobFrom('fairlead-13', $people['lead']);
    $other = $test->jobFrom('repair', $people['lead']);
    $build = StickBuild::query()->create([
        'slug' => 'gull-32',
        'user_id' => $people['lead']->id,
        'state' => 'failed',
        'plan' => [],
    ]);
    StickState::become('tern-64', StickCondition::Good, ['title' => 'x', 'about' => []]);
    $file = App\Models\ShelfFile::query()->create([
        'name' => 'x.iso',
        'bytes' => 5,
        'changed_at' => 1,
        'about' => [],
    ]);
    $key = App\Models\SealedKey::query()->create([
        'job_id' => $job->id,
        'kind' => 'recovery',
        'label' => 'x',
        'sealed' => 'y',
        'user_id' => $people['lead']->id,
        'expires_at' => now()->addDay(),
    ]);
    $fact = App\Models\LearnedFact::query()->create([
        'job_id' => $job->id,
        'user_id' => $people['lead']->id,
        'model' => 'norrel-fairlead-13',
        'fact' => 'cores',
        'value' => 'eight',
        'origin' => 'x',
    ]);
    $hostile = new HostilePosts(new Randomizer(new Mt19937($seed)), [
        'job' => [$job->id, $other->id, 999999],
        'stick' => ['gull-32', 'tern-64', 'none'],
        'file' => [$file->id, $file->id, 999],
        'key' => [$key->id],
        'fact' => [$fact->id],
        'build' => [$build->id],
        'person' => [$people['viewer']->id, 999999],
        'step' => array_map(
            fn ($step): string => $step->id,
            App\Models\CurrentPath::query()->first() === null
                ? []
                : Cobblestone\Runbook\Plan::fromArray(App\Models\CurrentPath::query()->firstOrFail()->plan)->steps,
        ),
    ]);
    $routes = array_values(
        array_filter(
            Route::getRoutes()->getRoutes(),
            fn ($route): bool => array_intersect($route->methods(), ['POST', 'PUT', 'DELETE']) !== [] &&
                ! str_contains($route->uri(), 'logout') &&
                ! str_contains($route->uri(), 'storage'),
        ),
    );
    expect(count($routes))->toBeGreaterThan(40);
    $answers = $bad = [];
    try {
        for ($i = 0; $i < $posts; $i++) {
            $route = $routes[$i % count($routes)];
            $method = array_values(array_intersect($route->methods(), ['POST', 'PUT', 'DELETE']))[0];
            [$path, $fields, $body] = $hostile->request($route->uri(), (int) $job->refresh()->last_entry);
            Illuminate\Support\Facades\DB::beginTransaction();
            try {
                $status = $test
                    ->actingAs($people[['lead', 'lead', 'evening', 'viewer'][$i % 4]])
                    ->call(
                        $method,
                        $path,
                        $fields,
                        server: ['HTTP_ACCEPT' => $i % 5 === 0 ? 'application/json' : 'text/html'],
                        content: $body,
                    )
                    ->status();
            } finally {
                Illuminate\Support\Facades\DB::rollBack();
            }
            $answers[$status] = ($answers[$status] ?? 0) + 1;
            if ($status >= 500) {
                $bad[] =
                    "{$method} {$path} ".
                    substr((string) json_encode($fields, JSON_INVALID_UTF8_SUBSTITUTE), 0, 300);
            }
        }
    } finally {
        $shop->clear();
    }
    fwrite(STDERR, getenv('FUZZ_REPORT') === '1' ? json_encode($answers)."\n" : '');
    expect($bad)->toBe([]);
}

it('answers hostile posts to every address without falling over', function () {
    fuzzed($this, 700, 20261128);
});

it('answers five thousand of them, and more', function (int $seed) {
    fuzzed($this, 2000, $seed);
})
    ->with([1, 2, 3])
    ->group('matrix');
