<?php

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
