<?php

use App\Models\Job;

it('takes a set of programs at the intake and puts its table on the path', function () {
    $this->actingAs($this->bench()['lead']);
    $this->get('/jobs/new')->assertOk()->assertSee('Programs for')->assertSee('Ticket counter');
    $this->post('/jobs', ['machine' => 'd 13', 'facts' => ['owner.programs' => 'counter']])
        ->assertSessionHasNoErrors();
    $job = Job::query()->firstOrFail();
    $this->get("/jobs/{$job->id}?stone=tune.programs")
        ->assertOk()->assertSee('Set up programs')->assertSee('gangway-setup --no-questions');
    $this->get("/jobs/{$job->id}/intake")->assertOk()->assertSee('value="counter" selected', false);
});
