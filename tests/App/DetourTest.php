<?php

use App\Models\LogRecord;

beforeEach(function () {
    offeredAtTheFirstStone($this, ['wrong-drive-written', 'install-loop']);
    $this->run = fn () => $this->get("/jobs/{$this->job->id}/run?stone={$this->stone}")->assertOk();
});

it('names what is seen in two clicks, goes from cause to cause, and logs each', function () {
    $this->freezeTime();
    ($this->run)()->assertSee('Seen at this stone before')->assertSee('The installer starts again after the restart');
    ($this->act)('seen', ['symptom' => 'install-loop'])->assertSessionHasNoErrors();
    ($this->run)()->assertSee('1 of 2')->assertSee('Pull the stick and restart.')->assertSee('It helped');
    ($this->act)('tried', ['cause' => 'The stick is still first.'])->assertSessionHasNoErrors();
    ($this->run)()->assertSee('tried, did not help')->assertSee('2 of 2');
    ($this->act)('helped', ['cause' => 'The system did not land on the drive the firmware starts.'])
        ->assertSessionHasNoErrors();
    ($this->run)()->assertDontSee('2 of 2');
    expect(LogRecord::query()->whereNotNull('step')->orderBy('id')->pluck('kind')->all())
        ->toBe(['problem', 'did-not-help', 'helped'])
        ->and(LogRecord::query()->where('kind', 'helped')->firstOrFail()->data)
        ->toMatchArray(['symptom' => 'install-loop', 'minutes' => 0]);
    $this->get("/jobs/{$this->job->id}/log")
        ->assertSee('tried, did not help')
        ->assertSee('Pull the stick and restart.');
});

it('puts first what helped before on this bench', function () {
    ($this->act)('seen', ['symptom' => 'install-loop']);
    ($this->act)('helped', ['cause' => 'The system did not land on the drive the firmware starts.']);
    ($this->act)('seen', ['symptom' => 'install-loop']);
    ($this->run)()->assertSee('1 of 2 · helped here once')->assertSee('Pick the system once');
});

it('says so where nothing helped', function () {
    ($this->act)('seen', ['symptom' => 'install-loop']);
    ($this->act)('tried', ['cause' => 'The stick is still first.']);
    ($this->act)('tried', ['cause' => 'The system did not land on the drive the firmware starts.']);
    ($this->run)()->assertSee('Nothing of it helped.')->assertSee('still the installer: boot order');
});

it('lets only the lead go on after the wrong drive was written', function () {
    ($this->act)('seen', ['symptom' => 'wrong-drive-written']);
    ($this->run)()->assertSee('Hold the power button until the machine is off')->assertDontSee('It helped')
        ->assertSee('Only the lead goes on from here')->assertSee('is left out until');
    $cause = 'Two drives are alike, and neither was detached.';
    ($this->act)('tried', ['cause' => $cause])->assertSessionHasErrors('step');
    ($this->act)('first')->assertSessionHasNoErrors();
    ($this->run)()->assertSee('1 of 3');
    ($this->act)('helped', ['cause' => $cause])->assertSessionHasErrors('role');
    ($this->act)('retry')->assertSessionHasErrors('role');
    // Neither another problem nor another stone is a way past it.
    ($this->act)('problem', ['text' => 'never mind'])->assertSessionHasNoErrors();
    ($this->act)('retry')->assertSessionHasErrors('role');
    $this->stone = 'identify.look';
    ($this->act)('start')->assertSessionHasErrors('role');
    $this->stone = 'intake.take-in';
    $this->actingAs($this->people['lead']);
    ($this->act)('helped', ['cause' => $cause])->assertSessionHasNoErrors();
    ($this->run)()->assertDontSee('Only the lead');
});

it('refuses what is not known, not open or too late', function () {
    ($this->act)('seen', ['symptom' => 'clicking-drive'])->assertSessionHasErrors('step');
    ($this->act)('seen', ['symptom' => ['x']])->assertSessionHasErrors();
    ($this->act)('tried', ['cause' => 'The stick is still first.'])->assertSessionHasErrors('step');
    ($this->act)('seen', ['symptom' => 'install-loop']);
    ($this->act)('helped', ['cause' => '<b>tea</b>'])->assertSessionHasErrors('step');
    ($this->act)('tried', ['cause' => 'The stick is still first.', 'seen' => 1]);
    expect(LogRecord::query()->whereNotNull('step')->pluck('kind')->all())->toBe(['problem']);
    $this->actingAs($this->people['viewer']);
    ($this->act)('seen', ['symptom' => 'install-loop'])->assertForbidden();
});

it('opens a put-back entry for a guard that a fix released, and shuts the handover until it is back', function () {
    $entry = App\Models\CatalogueEntry::query()->where('kind', 'issues')->where('slug', 'access-denied')->firstOrFail();
    $entry->update(['document' => [...$entry->document, 'steps' => [$this->stone]]]);
    $store = app(App\Catalogue\CatalogueStore::class);
    $store->replace($store->catalogue()->toArray());
    ($this->act)('seen', ['symptom' => 'access-denied'])->assertSessionHasNoErrors();
    ($this->act)('tried', ['cause' => 'A volume of the stick is mounted, and the system holds it.']);
    expect($this->job->refresh()->currentPlan()->typed()->step('put-back.intake-take-in'))->toBeNull();
    ($this->act)('tried', ['cause' => 'The tool was not started with the rights of an administrator.']);
    ($this->run)()->assertSee('It opens an entry on the put-back list: the folder guard is on for the tool again');
    $guard = 'The system\'s folder guard stops programs that it does not know from writing to drives.';
    ($this->act)('helped', ['cause' => $guard])->assertSessionHasNoErrors();
    $plan = $this->job->refresh()->currentPlan()->typed();
    $entries = array_merge(...array_map(fn ($step) => $step->opens, $plan->steps));
    $opened = array_values(array_filter($entries, fn ($one) => str_contains($one->what, 'folder guard')));
    expect($opened)->toHaveCount(1)
        ->and($opened[0]->why)->toBe($guard)
        ->and($plan->step($opened[0]->closedBy)?->title)->toBe('Put back: The folder guard is on for the tool again')
        ->and(json_encode($plan->step('hand-over.give-back')?->toArray()))->toContain('folder guard');
    $this->get("/jobs/{$this->job->id}")->assertSee('Put back: The folder guard is on for the tool again');
});
