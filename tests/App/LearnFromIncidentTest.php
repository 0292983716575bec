<?php

use App\Bridge\Experience;
use App\Catalogue\CatalogueStore;
use App\Models\StickEvent;
use App\Models\WayTrial;

beforeEach(function () {
    offeredAtTheFirstStone($this, ['stick-not-listed', 'setup-key-missed']);
    $act = $this->act;
    $this->act = fn (string $action, array $data) => $act($action, $data)
        ->assertRedirect()
        ->assertSessionHasNoErrors();
});

it('counts against a stick what turned out to be its fault, and against none else', function () {
    ($this->act)('seen', ['symptom' => 'stick-not-listed']);
    ($this->act)('tried', ['cause' => 'The stick is bad.']);
    ($this->act)('helped', ['cause' => 'It was written for the other boot mode.']);
    expect(StickEvent::query()->where('kind', 'blamed')->count())->toBe(0);
    ($this->act)('seen', ['symptom' => 'stick-not-listed']);
    ($this->act)('helped', ['cause' => 'The stick is bad.']);
    $event = StickEvent::query()->where('kind', 'blamed')->sole();
    expect($event->data['message'])
        ->toBe("Job {$this->job->id}: The stick is not in the boot list. The stick is bad.")
        ->and(StickEvent::failuresOf($event->slug))->toBe(['in a job' => 1]);
    $this->get("/sticks/{$event->slug}")->assertSee('Was the cause of a problem')->assertSee('The stick is bad.');
    // The next job does not choose it while a healthier one fits.
    expect($this->jobFrom('fairlead-13', $this->people['lead'])->currentPlan()->typed()->job->stick)
        ->not->toBe($this->job->currentPlan()->typed()->job->stick);
    $this->get('/logbook/figures')->assertSee('in a job');
});

it('counts a way in as tried in vain where another one is wanted', function () {
    ($this->act)('seen', ['symptom' => 'setup-key-missed']);
    ($this->act)('helped', ['cause' => 'The window is short.']);
    expect(WayTrial::query()->count())->toBe(0);
    ($this->act)('seen', ['symptom' => 'setup-key-missed']);
    ($this->act)('helped', ['cause' => 'This model wants another key.']);
    expect(WayTrial::query()->sole()->only(['job_id', 'model', 'reaches', 'way', 'worked']))->toBe([
        'job_id' => $this->job->id, 'model' => 'norrel-fairlead-13', 'reaches' => 'setup', 'way' => 'tap F2',
        'worked' => false,
    ]);
    $model = app(Experience::class)->over(app(CatalogueStore::class)->catalogue(), 'norrel-fairlead-13')
        ->machines()['norrel-fairlead-13'];
    expect($model->firmware->waysIn->to('setup')[0]->missed)->toBe(1);
});

it('blames the way that stands first here, whatever the catalogue held first', function () {
    foreach (range(1, 30) as $_) {
        WayTrial::query()->create(['job_id' => $this->job->id, 'user_id' => $this->people['lead']->id,
            'model' => 'norrel-fairlead-13', 'reaches' => 'setup', 'way' => 'tap Del', 'worked' => true,
            'created_at' => now()]);
    }
    ($this->act)('seen', ['symptom' => 'setup-key-missed']);
    ($this->act)('helped', ['cause' => 'This model wants another key.']);
    expect(WayTrial::query()->where('worked', false)->sole()->way)->toBe('tap Del');
});
