<?php

use App\Models\Job;
use App\Models\PathRevision;
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

it('computes the path again from an answer, as a new revision with the difference', function () {
    $job = $this->jobFrom('unknown-laptop', $this->people['lead']);
    expect($job->summary['verdict'])->toBe('hold');
    $this->followingRedirects()
        ->post("/jobs/{$job->id}/answers", [
            'seen' => $job->last_entry,
            'facts' => [
                'owner.keep' => 'nothing',
                'network.driver' => 'brings',
                'target.serial' => 'ZX-55091',
                'target.bytes' => '256060514304',
                'target.others' => 'none',
            ],
        ])
        ->assertOk()
        ->assertSee('Revision 2')
        ->assertSee('gone')
        ->assertSee('Back up');
    $job->refresh();
    expect($job->revision)->toBe(2)
        ->and($job->summary['verdict'])->toBe('go')
        ->and($job->plans()->count())->toBe(2)
        ->and(App\Bridge\PathStore::all($job)[1]['verdict'])->toBe('hold');
    $this->get("/jobs/{$job->id}/intake")->assertOk()->assertDontSee('55091')->assertSee('ZX-5••••');
});

it('keeps finished stones when the path is computed again', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    ($this->act)($job, 'intake.take-in', 'done', ['evidence' => ['condition' => 'clean', 'accessories' => 'charger']])
        ->assertRedirect();
    ($this->act)($job, 'identify.look', 'done')->assertRedirect();
    $this->post("/jobs/{$job->id}/answers", [
        'seen' => $job->refresh()->last_entry,
        'facts' => ['drive.encryption' => 'none'],
    ])
        ->assertSessionHasNoErrors();
    $job->refresh();
    expect(array_slice(array_column($job->currentPlan()->plan['steps'], 'id'), 0, 2))
        ->toBe(['intake.take-in', 'identify.look'])
        ->and($job->summary['done'])->toBe(2)
        ->and($job->currentRevision()->difference['changed'][0]['what'])->toContain('what it waits for');
});

it('refuses a bad answer and keeps everything as it was', function () {
    $job = $this->jobFrom('unknown-laptop', $this->people['lead']);
    $this->from("/jobs/{$job->id}")
        ->post("/jobs/{$job->id}/answers", [
            'seen' => $job->last_entry,
            'lsblk' => '{"blockdevices": [',
            'facts' => ['owner.keep' => 'some'],
        ])
        ->assertSessionHasErrors('lsblk');
    expect($job->refresh()->revision)->toBe(1)->and(PathRevision::query()->count())->toBe(1);
    $this->get("/jobs/{$job->id}")->assertSee('{&quot;blockdevices&quot;: [', false);
});
