<?php

use App\Models\Job;
use App\Models\LogRecord;
use Symfony\Component\Yaml\Yaml;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
    $this->brief = fn (string $name) => Yaml::parseFile(base_path("docs/guide/briefs/{$name}.yaml"));
    $this->act = fn (Job $job, string $step, string $action, array $input = []) => $this->from("/jobs/{$job->id}/run")
        ->post("/jobs/{$job->id}/steps/{$step}/{$action}", [
            'seen' => $job->refresh()->last_entry,
            ...($action === 'done' ? ['before_clock' => '1'] : []),
            ...$input,
        ]);
});

it('walks a handheld job to the end, holding the handover until everything is put back', function () {
    $job = $this->jobFrom('pocket-lantern', $this->people['lead']);
    $bridge = app(App\Bridge\JobBridge::class);
    for ($laid = 0; ($current = $bridge->progress($job->refresh())->current()) !== null; $laid++) {
        $step = $current->toArray();
        if ($step['id'] === 'put-back.sign') {
            ($this->act)($job, 'hand-over.give-back', 'done', ['evidence' => ['received_by' => 'lounge lead']])
                ->assertSessionHasErrors('step');
            $this->get("/jobs/{$job->id}/handover")->assertSee('Draft')->assertSee('Trusted start: off');
        }
        if ($step['one_way']) {
            ($this->act)($job, $step['id'], 'done')->assertSessionHasErrors('serial');
            if ($step['confirmation']['typed']) {
                ($this->act)($job, $step['id'], 'confirm', ['serial' => '0000', 'read_from' => 'label'])
                    ->assertSessionHasErrors('serial');
            }
            ($this->act)($job, $step['id'], 'confirm', ['serial' => '77e9', 'read_from' => 'console'])
                ->assertSessionHasNoErrors();
        }
        $evidence = Cobblestone\Runbook\WalkThrough::evidence($current, $bridge->progress($job)->evidence());
        ($this->act)($job, $step['id'], 'done', ['evidence' => $evidence])->assertSessionHasNoErrors();
    }
    expect($job->refresh()->status)->toBe('handed-over')
        ->and($job->summary['done'])->toBe($laid)->toBe($job->summary['total'])
        ->and($job->summary['put_back'])->toBe(0);
    $this->get("/jobs/{$job->id}/handover")
        ->assertDontSee('Draft')
        ->assertSee('stays like this on purpose')
        ->assertSee('Signed: the owner');
    $this->get('/')->assertDontSee('Pocket Lantern');
    expect(json_encode(LogRecord::query()->pluck('data')))->not->toContain('77e9');
});

it('waives a gate only by a lead and in writing', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $waive = ['gate' => 'backup', 'agreed_by' => 'crew office', 'text' => 'nothing of worth on it'];
    $this->actingAs($this->people['evening']);
    ($this->act)($job, 'target.erase', 'waive', $waive)->assertSessionHasErrors('role');
    $this->actingAs($this->people['lead']);
    ($this->act)($job, 'target.erase', 'waive', [...$waive, 'text' => ' '])->assertSessionHasErrors('text');
    ($this->act)($job, 'target.erase', 'waive', $waive)->assertSessionHasNoErrors();
    $this->get("/jobs/{$job->id}/handover")->assertSee('crew office')->assertSee('nothing of worth on it');
});

it('takes a done back for ten seconds, and keeps both entries', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    ($this->act)($job, 'intake.take-in', 'done', ['evidence' => ['condition' => 'clean', 'accessories' => 'charger']]);
    $this->travel(9)->seconds();
    ($this->act)($job, 'intake.take-in', 'take-back')->assertSessionHasNoErrors();
    expect($job->refresh()->summary['done'])->toBe(0)
        ->and(LogRecord::query()->orderBy('id')->pluck('kind')->all())->toBe(['created', 'done', 'taken-back']);
    ($this->act)($job, 'intake.take-in', 'done', ['evidence' => ['condition' => 'clean', 'accessories' => 'charger']]);
    $this->travel(11)->seconds();
    ($this->act)($job, 'intake.take-in', 'take-back')->assertSessionHasErrors('step');
});

it('shows an overdue wait with what is usual and the next test', function () {
    $job = $this->jobFrom('pocket-lantern', $this->people['lead']);
    ($this->act)($job, 'image.check', 'walk');
    $this->travel(5)->minutes();
    $this->get("/jobs/{$job->id}/run?stone=image.check")->assertSee('Longer than it should');
    $this->get('/bell')->assertSee('Check the image takes longer than it should');
});

it('answers an unknown action or stone in words', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    ($this->act)($job, 'nope', 'done')->assertSessionHasErrors('step');
    ($this->act)($job, 'intake.take-in', 'explode')->assertSessionHasErrors('step');
    $this->get("/jobs/{$job->id}/run?stone=nope")->assertNotFound()->assertSee('no such stone');
});
