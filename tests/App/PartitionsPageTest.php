<?php

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
    $this->job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->keep = fn (array $stays, string $other = '') => $this->post("/jobs/{$this->job->id}/partitions", [
        'seen' => $this->job->refresh()->last_entry, 'stays' => $stays, 'other' => $other,
    ]);
});

it('shows what is on the drive, takes what stays, and computes the path with it', function () {
    $this->get("/jobs/{$this->job->id}/partitions")
        ->assertOk()->assertSee('Old system')->assertSee('499935232')->assertSee('laid out anew')
        ->assertDontSee('What stays on the drive');
    ($this->keep)(['2048', '206848', '499935232'])
        ->assertRedirect("/jobs/{$this->job->id}/partitions");
    $this->get("/jobs/{$this->job->id}/partitions")
        ->assertSee('What stays on the drive')
        ->assertDontSee('Who starts which system')
        ->assertSee('about 205.6 GiB');
    $this->get("/jobs/{$this->job->id}?stone=target.erase")->assertSee('Make room on the drive')->assertSee('made new');
    ($this->keep)([])->assertSessionHasNoErrors();
    $this->get("/jobs/{$this->job->id}?stone=target.erase")->assertSee('Erase the drive');
    expect($this->job->refresh()->brief)->not->toContain('target.stays');
});

it('says at once what speaks against it', function () {
    ($this->keep)(['239616'], 'another');
    $this->get("/jobs/{$this->job->id}/partitions")
        ->assertSee('it would not start any more')
        ->assertSee('Between what stays the largest room is');
});

it('takes nothing that is no sector and no system', function (array $stays, string $other, string $field) {
    $before = $this->job->brief;
    ($this->keep)($stays, $other)->assertSessionHasErrors($field);
    expect($this->job->refresh()->brief)->toBe($before);
})->with([
    [['2048; rm'], '', 'stays.0'], [['-1'], '', 'stays.0'], [['2048'], '<b>', 'other'],
    [array_fill(0, 129, '1'), '', 'stays'],
]);

it('says why nothing can be chosen', function (string $brief, string $says) {
    $job = $this->jobFrom($brief, $this->people['lead']);
    $this->get("/jobs/{$job->id}/partitions")->assertOk()->assertSee($says);
})->with([
    ['drive-swap', 'nothing of the target drive can stay'],
    ['upgrade', 'nothing of the target drive can stay'],
    ['unknown-laptop', 'not known yet'],
]);

it('lets who looks on look, and nothing else', function () {
    $this->actingAs($this->people['viewer']);
    $this->get("/jobs/{$this->job->id}/partitions")->assertOk()->assertDontSee('Compute the path again');
    ($this->keep)(['2048'])->assertForbidden();
});
