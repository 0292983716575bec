<?php

use App\Catalogue\CatalogueStore;
use App\Models\CatalogueEntry;
use App\Models\Job;
use Tests\TestCase;

/**
 * Signs somebody in at the demo bench. Then $test->open opens a job from one of the guide's briefs, and $test->send
 * posts to that job as a page that is up to date would.
 *
 * @param  array<string, mixed>  $always  sent with every post
 */
function jobAtHand(TestCase $test, string $login, array $always = []): void
{
    $test->people = $test->bench();
    $test->actingAs($test->people[$login]);
    $test->open = fn (string $brief): Job => $test->job = $test->jobFrom($brief, $test->people['lead']);
    $test->send = fn (string $path, array $data = []) => $test->post("/jobs/{$test->job->id}/{$path}", [
        'seen' => $test->job->refresh()->last_entry,
        ...$always,
        ...$data,
    ]);
}

/**
 * Offers symptoms of the index at the first stone, so that one can stand there without laying twenty others; $test->act
 * posts to that stone.
 *
 * @param  list<string>  $symptoms
 */
function offeredAtTheFirstStone(TestCase $test, array $symptoms): void
{
    jobAtHand($test, 'evening');
    ($test->open)('fairlead-13');
    $test->stone = 'intake.take-in';
    $test->act = fn (string $action, array $data = []) => ($test->send)("steps/{$test->stone}/{$action}", $data);
    foreach ($symptoms as $slug) {
        $entry = CatalogueEntry::query()->where('kind', 'issues')->where('slug', $slug)->firstOrFail();
        $entry->update(['document' => [...$entry->document, 'steps' => [$test->stone]]]);
    }
    $store = app(CatalogueStore::class);
    $store->replace($store->catalogue()->toArray());
}
