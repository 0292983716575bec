<?php

beforeEach(fn () => jobAtHand($this, 'lead', ['before_clock' => '1']));

it('waits for somebody, reminds on the day, and goes on', function () {
    $this->travelTo('2026-11-24 10:00:00');
    ($this->open)('fairlead-13');
    ($this->send)('steps/intake.take-in/start');
    ($this->send)('state/wait', ['for' => 'weather'])->assertSessionHasErrors('for');
    ($this->send)('state/wait', ['for' => 'part', 'remind' => '24.11.'])->assertSessionHasErrors('remind');
    ($this->send)('state/wait', ['for' => 'part', 'wait_text' => 'new drive', 'remind' => '2026-11-27'])
        ->assertSessionHasNoErrors();
    $this->get('/')->assertSee('Waits for a part')->assertSee('new drive')->assertDontSee('Needs hands: Take in');
    expect($this->get('/bell')->getContent())->not->toContain('new drive');
    $this->travelTo('2026-11-27 09:01:00');
    $this->get('/bell')->assertSee('waits for a part: new drive');
    ($this->send)('state/reminded')->assertSessionHasNoErrors();
    expect($this->get('/bell')->getContent())->not->toContain('waits for a part');
    ($this->send)('state/resume')->assertSessionHasNoErrors();
    $this->get('/')->assertDontSee('Waits for a part');
    ($this->send)('state/dance')->assertNotFound();
});

it('reminds before the way back of an upgrade ends, also after the handover, and loses it at once', function () {
    $this->travelTo('2026-11-24 10:00:00');
    ($this->open)('upgrade');
    foreach ($this->job->currentPlan()->plan['steps'] as $step) {
        $bridge = app(App\Bridge\JobBridge::class);
        $progress = $bridge->progress($this->job->refresh());
        $evidence = Cobblestone\Runbook\WalkThrough::evidence(
            $progress->plan->step($step['id']),
            $progress->evidence(),
        );
        ($this->send)("steps/{$step['id']}/done", ['evidence' => $evidence])->assertSessionHasNoErrors();
    }
    expect($this->job->refresh()->status)->toBe('handed-over');
    $this->get("/jobs/{$this->job->id}")->assertSee('Can be taken back until 4 Dec 2026, 10:00, 10 days from now.');
    $this->get('/bell')->assertDontSee('can be taken back');
    $this->travelTo('2026-12-01 10:00:01');
    $this->get('/bell')->assertSee('can be taken back until 4 Dec 2026');
    ($this->send)('state/reminded');
    $this->get('/bell')->assertDontSee('can be taken back');
    $this->travelTo('2026-12-03 10:00:01');
    $this->get('/bell')->assertSee('can be taken back until 4 Dec 2026');
    ($this->send)('state/rollback-lost');
    $this->get('/bell')->assertDontSee('can be taken back');
    $this->get("/jobs/{$this->job->id}")->assertSee('folder is gone');
});

it('finds what is seen from anywhere, and offers it at its stone', function () {
    ($this->open)('fairlead-13');
    $this->get('/find?q=recovery+key')
        ->assertSee('Asks for a recovery key')
        ->assertSee('Put the changed setting back first.');
    $this->get('/find?q=zzz')->assertDontSee('Is this normal?');
    $this->get("/jobs/{$this->job->id}/run?stone=install.phase-0")->assertDontSee('seen at this stone');
    $this->travelTo(now());
    ($this->send)('steps/intake.take-in/start');
    $this->get("/jobs/{$this->job->id}/run?stone=intake.take-in")
        ->assertSee('Is this normal?')
        ->assertSee('The case is bulging');
});
