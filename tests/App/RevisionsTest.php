<?php

use App\Bridge\JobsOfSystem;
use App\Bridge\PathStore;
use App\Models\PathRevision;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
    $this->job = $this->jobFrom('unknown-laptop', $this->people['lead']);
    $this->answer = fn (array $facts) => $this->post("/jobs/{$this->job->id}/answers", [
        'seen' => $this->job->refresh()->last_entry,
        'facts' => $facts,
    ])->assertSessionHasNoErrors();
});

it('keeps of a revision what it changed, and gives every one back as it was', function () {
    $was = [1 => $this->job->currentPlan()->plan];
    $answers = [
        ['owner.keep' => 'nothing'],
        ['network.driver' => 'brings'],
        ['target.serial' => 'ZX-55091', 'target.bytes' => '256060514304'],
        ['drive.encryption' => 'none'],
    ];
    foreach ($answers as $facts) {
        ($this->answer)($facts);
        $was[$this->job->refresh()->revision] = $this->job->currentPlan()->plan;
    }
    expect($was)->toHaveCount(5)->and(PathStore::all($this->job))->toBe($was);
    $whole = strlen($this->job->currentPlan()->json());
    foreach (PathRevision::query()->where('revision', '>', 1)->get() as $revision) {
        expect($revision->plan)->toBeNull()
            ->and(strlen((string) json_encode($revision->change)))->toBeLessThan(intdiv($whole, 2));
    }
});

it('computes a path again with at most twelve questions to the database', function () {
    ($this->answer)(['owner.keep' => 'nothing']);
    $seen = $this->job->refresh()->last_entry;
    $asked = [];
    DB::listen(function ($query) use (&$asked): void {
        $asked[] = $query->sql;
    });
    $this->post("/jobs/{$this->job->id}/answers", ['seen' => $seen, 'facts' => ['network.driver' => 'brings']])
        ->assertSessionHasNoErrors();
    // The first finds the job for the address.
    expect(count($asked))->toBeLessThanOrEqual(13, implode("\n", $asked));
});

it('keeps beside a path what lists and figures ask of it, whatever kind of job it is', function (string $brief) {
    $job = $this->jobFrom($brief, $this->people['lead']);
    $path = $job->currentPlan()->plan;
    $beside = DB::table('current_paths')->where('job_id', $job->id)->first(['about', 'titles']);
    $of = array_intersect_key($path['job'], array_flip(['machine', 'system', 'image', 'stick']));
    expect(json_decode($beside->about, true))
        ->toEqual([...$of, 'medium' => is_array($path['assessment']['medium'] ?? null)])
        ->and(json_decode($beside->titles, true))->toBe(array_column($path['steps'], 'title', 'id'))
        ->and(array_key_exists($job->id, JobsOfSystem::of((string) $of['system'])))
        ->toBe(is_array($path['assessment']['medium'] ?? null));
})->with([
    'fairlead-13', 'capstan-t3', 'pocket-lantern', 'repair', 'drive-swap', 'upgrade', 'firmware-update',
    'cable-restore', 'unknown-laptop', 'stick-for-any',
]);

it('keeps them with the path that holds, and nothing once the owner\'s data is gone', function () {
    $titles = fn (): array => (array) json_decode(
        (string) DB::table('current_paths')->where('job_id', $this->job->id)->value('titles'), true,
    );
    $before = $titles();
    ($this->answer)(['owner.keep' => 'nothing']);
    expect($titles())->not->toBe($before)
        ->toBe(array_column($this->job->refresh()->currentPlan()->plan['steps'], 'title', 'id'));
    PathStore::remove($this->job);
    expect($titles())->toBe([]);
});
