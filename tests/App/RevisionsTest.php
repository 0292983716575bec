<?php

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
