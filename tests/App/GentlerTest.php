<?php

use App\Models\Job;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
});

it('tells beside the kind of job what would do with less, and keeps nothing', function () {
    $this->post('/jobs/gentler', ['machine' => 'd 13', 'goal' => 'clean-install'])
        ->assertOk()
        ->assertSee('Gentler than “clean install from a stick”')
        ->assertSee('Say what it is set up anew for');
    $this->post('/jobs/gentler', [
        'machine' => 'd 13', 'goal' => 'clean-install', 'facts' => ['wish.why' => 'fault'],
    ])
        ->assertOk()
        ->assertSee('Start-up repair from the recovery environment')
        ->assertSee('keeps files, programs and settings · about 16 min')
        ->assertSee('more that may do');
    expect(Job::query()->count())->toBe(0);
});

it('has nothing to tell of a job that loses nothing', function () {
    $this->post('/jobs/gentler', ['machine' => 'd 13', 'goal' => 'upgrade'])
        ->assertOk()
        ->assertDontSee('Gentler than');
});

it('reads what is known of a job, and says what was tried', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->post("/jobs/{$job->id}/intake", [
        'seen' => $job->last_entry, 'machine' => 'norrel-fairlead-13', 'goal' => 'clean-install',
        'image' => 'tansy-desktop-7-dock', 'facts' => ['wish.why' => 'fault', 'symptom.starts' => 'recovery'],
    ])->assertSessionHasNoErrors();
    $this->get("/jobs/{$job->id}/assessment")->assertSee('Gentler than')->assertSee('can work')
        ->assertSee('Wanted because: something does not work as it should.');
    $this->post("/jobs/{$job->id}/tried", ['seen' => $job->refresh()->last_entry, 'rung' => 'startup-repair']);
    $this->get("/jobs/{$job->id}/assessment")->assertSee('Tried already, and it did not help.');
    $this->post("/jobs/{$job->id}/gentler", [
        'machine' => 'norrel-fairlead-13', 'goal' => 'factory-restore', 'image' => 'tansy-desktop-7-dock',
    ])
        ->assertOk()->assertSee('Gentler than “put the factory image back”')->assertSee('tried');
});

it('shows nothing while it cannot be planned, and takes nothing of what the form itself has to tell', function () {
    $this->post('/jobs/gentler', ['machine' => 'no such machine at all'])->assertNoContent();
    $this->post('/jobs/gentler', ['machine' => 'd 13', 'goal' => 'tea'])->assertNoContent();
    $this->actingAs($this->people['viewer'])->post('/jobs/gentler', ['machine' => 'd 13'])->assertForbidden();
});

it('leaves the faults of a refused form to the form', function () {
    $this->from('/jobs/new')->post('/jobs', ['machine' => 'no such machine at all', 'title' => 'Kept title'])
        ->assertSessionHasErrors('machine');
    $this->post('/jobs/gentler', ['machine' => 'no such machine at all'])->assertNoContent();
    $this->get('/jobs/new')->assertOk()->assertSee('Kept title')->assertSee('no such machine at all');
});

it('says before anything is saved what this kind of job has no use for', function () {
    $this->actingAs($this->people['lead'] ?? $this->bench()['lead']);
    $panel = fn (array $more) => $this->post('/jobs/gentler', [
        'machine' => 'any', 'goal' => 'media-only', 'image' => 'orrin-desktop-3', ...$more,
    ])->assertOk();
    $panel(['licence_kind' => 'retail', 'depends' => 'harbour map'])
        ->assertSee('of no use for this job as it stands')
        ->assertSee('Licence')
        ->assertSee('Programs and devices the owner depends on');
    $panel(['fb_name' => 'QUAY-7'])->assertDontSee('of no use for this job');
});
