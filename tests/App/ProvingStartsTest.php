<?php

use App\Bridge\EmulatedShare;
use App\Bridge\ProvingStarts;
use App\Bridge\StickRegister;
use App\Jobs\StartMedium;
use App\Models\ProvingStart;
use App\Models\StickState;
use Cobblestone\Findings\Findings;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\WantedStick;
use Illuminate\Support\Facades\Queue;
use Illuminate\Validation\ValidationException;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    config(['cobblestone.state' => "{$this->shop->folder}/state"]);
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
    Queue::fake();
    // A stick with nothing on it but noise: the old way there is nothing to start.
    $this->stick = app(StickRegister::class)->device('gull-32')->path();
    file_put_contents($this->stick, random_bytes(3_000_000));
    touch($this->stick, time() - 7200);
    $this->ask = fn (string $as) => $this->post('/sticks/gull-32/starts', ['as' => $as]);
    $this->start = fn (): ProvingStart => ProvingStart::query()->get()->sortByDesc('id')->first();
});
afterEach(fn () => $this->shop->clear());

it('keeps with each start what was predicted of it, by the same firmware and keys', function (
    string $as,
    string $firmware,
    string $words,
    string $keys,
) {
    $this->get('/sticks/gull-32/starts')->assertOk()->assertSee('Nobody has started it here yet.')
        ->assertSee('Start it here');
    ($this->ask)($as)->assertSessionHasNoErrors();
    $start = ($this->start)();
    Queue::assertPushedOn('starts', StartMedium::class);
    expect([$start->firmware, $start->state, $start->predicted, $start->slug, $start->user_id])
        ->toBe([$firmware, 'waiting', 'no-boot-device', 'gull-32', $this->people['lead']->id]);
    $this->get("/starts/{$start->id}")->assertOk()->assertSee($words)->assertSee('nothing on it to start')
        ->assertSee('Waits for its turn')->assertSee('every 1s')->assertSee('No picture yet.')
        ->assertSee($keys === '' ? 'Predicted' : $keys);
    $this->get('/sticks/gull-32/starts')->assertSee($words)->assertSee('waits for its turn');
})->with([
    ['uefi', 'uefi', 'UEFI', ''],
    ['uefi-secure', 'uefi-secure', 'UEFI with Secure Boot', 'By the key that Debian ships for tests.'],
    ['bios', 'bios', 'the old way (BIOS)', ''],
    [
        'brackwater-capstan-t3', 'uefi-secure', 'as Brackwater Capstan T3 is delivered',
        'By the certificates of the signers that this machine trusts.',
    ],
]);

it('says beside each other what was predicted and what was seen', function (
    string $predicted,
    string $outcome,
    string $says,
    string $saysNot,
) {
    ($this->ask)('bios');
    ($this->start)()->update([
        'state' => 'done', 'predicted' => $predicted, 'outcome' => $outcome, 'seconds' => 9.5, 'resets' => 2,
        'printed' => "line\n<b>bold</b>",
    ]);
    $this->get('/starts/'.($this->start)()->id)->assertOk()->assertSee($says)->assertDontSee($saysNot)
        ->assertSee('9.5 s, 2 restarts of its own')->assertSee('<b>bold</b>')->assertDontSee('every 1s')
        ->assertSee('A real machine may do otherwise');
})->with([
    'as predicted' => ['starts', 'starts', 'As predicted.', 'They differ'],
    'one of two' => ['silent|starts', 'starts', 'entered, and silent or it starts', 'They differ'],
    'otherwise' => ['starts', 'silent', 'They differ.', 'As predicted.'],
    'nothing settled' => ['starts', 'cannot-tell', 'What was seen settles nothing', 'They differ'],
]);

it('stops what waits or runs, says what broke off, and leaves what is over', function () {
    ($this->ask)('bios');
    $start = ($this->start)();
    $page = fn () => $this->get("/starts/{$start->id}");
    expect($start->begin())->toBeTrue()->and($start->tell(['seconds' => 3.0, 'printed' => 'so far']))->toBeTrue();
    $page()->assertSee('The machine is running')->assertSee('so far')->assertSee('every 1s');
    $this->post("/starts/{$start->id}/stop")->assertRedirect("/starts/{$start->id}");
    $page()->assertSee('Stopped')->assertDontSee('every 1s');
    expect($start->tell(['state' => 'done']))->toBeFalse()->and($start->begin())->toBeFalse();

    $start->update(['state' => 'running', 'updated_at' => now()]);
    $this->travel(41)->seconds();
    $lease = $start->lease();
    $page()->assertSee('The machine is running');
    fclose($lease);
    $page()->assertSee('It broke off')->assertDontSee('every 1s');
    $start->update(['state' => 'failed', 'fault' => 'The medium is not there any more, so nothing was started.']);
    $page()->assertSee('It could not be started')->assertSee('not there any more');
});

it('starts nothing that is not there, on nothing that is not known, for nobody who only looks', function () {
    ($this->ask)('heron')->assertSessionHasErrors(['as' => 'Choose on which machine it is started.']);
    ($this->ask)('')->assertSessionHasErrors('as');
    $this->post('/sticks/no-such/starts', ['as' => 'uefi'])->assertNotFound();
    $this->get('/starts/999999')->assertNotFound();
    $this->actingAs($this->people['viewer']);
    ($this->ask)('uefi')->assertForbidden();
    $this->get('/sticks/gull-32/starts')->assertOk()->assertDontSee('Start it here');
    expect(fn () => app(ProvingStarts::class)->ask(['slug' => 'gull-32'], null, 'uefi', $this->people['lead']))
        ->toThrow(ValidationException::class, 'It is not there any more');
    expect(ProvingStart::query()->count())->toBe(0);
});

it('gives out the picture of a start, and says when there is none', function () {
    ($this->ask)('bios');
    $start = ($this->start)();
    $this->get("/starts/{$start->id}/picture")->assertNotFound();
    mkdir(dirname($start->picture()), recursive: true);
    imagepng(imagecreatetruecolor(4, 3), $start->picture());
    $start->update(['pictures' => 3]);
    $this->get("/starts/{$start->id}")->assertSee("/starts/{$start->id}/picture?n=3", false);
    $this->get("/starts/{$start->id}/picture?n=3")->assertOk()->assertHeader('Content-Type', 'image/png');
});

it('stands beside the prediction of its model, until something else is on the stick', function () {
    ($this->ask)('brackwater-capstan-t3');
    ($this->start)()->update(['state' => 'done', 'outcome' => 'starts', 'created_at' => now()->subHour()]);
    $page = fn () => $this->get('/sticks/gull-32/starts')->assertOk();
    $page()->assertSee('class="started"', false)->assertSee('They differ.');
    StickState::become('gull-32', StickCondition::Unfinished, ['title' => 'x']);
    StickState::become('gull-32', StickCondition::Good, ['title' => 'x', 'built_at' => now()->toIso8601String()]);
    $page()->assertDontSee('class="started"', false)->assertDontSee('They differ.')
        ->assertSee('Of what was on it before: it was written to since.');
});

it('counts by firmware how many ended as predicted', function () {
    $this->get('/logbook')->assertDontSee('Predicted and started here');
    foreach (['no-boot-device', 'no-boot-device', 'starts', 'cannot-tell'] as $outcome) {
        ($this->ask)('bios');
        ($this->start)()->update(['state' => 'done', 'outcome' => $outcome]);
    }
    ($this->ask)('uefi');
    expect(EmulatedShare::all())->toBe(['bios' => ['as_predicted' => 2, 'otherwise' => 1, 'open' => 1]]);
    $this->get('/logbook')->assertSee('Predicted and started here')->assertSee('the old way (BIOS)');
});

it('stands on the rehearsal of the job whose stick it is', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $name = $job->currentPlan()->typed()->job->stick;
    $page = fn () => $this->get("/jobs/{$job->id}/rehearsal")->assertOk();
    $page()->assertSee($name)->assertSee('not started here as this model');
    $this->post('/sticks/harbour-16/starts', ['as' => 'norrel-fairlead-13'])->assertSessionHasNoErrors();
    $page()->assertSee('not started here as this model');
    ($this->start)()->update(['state' => 'done', 'outcome' => 'silent']);
    $page()->assertDontSee('not started here')->assertSee('entered, and silent')
        ->assertSee('/starts/'.($this->start)()->id, false);
    $this->get('/jobs/'.$this->jobFrom('cable-restore', $this->people['lead'])->id.'/rehearsal')
        ->assertOk()->assertDontSee('as it is now:');
});

it('counts for nothing any more once somebody wrote to the stick, whoever it was', function () {
    ($this->ask)('brackwater-capstan-t3');
    ($this->start)()->update(['state' => 'done', 'outcome' => 'starts', 'created_at' => now()->subHour()]);
    $this->get('/sticks/gull-32/starts')->assertSee('class="started"', false);
    touch($this->stick);
    $this->get('/sticks/gull-32/starts')->assertOk()->assertDontSee('class="started"', false);
});

it('starts the stick of a job as its machine is set then, and puts that before the model', function () {
    $job = $this->jobFrom('new-capstan', $this->people['lead']);
    $plan = $job->currentPlan()->typed();
    $found = Findings::of($plan)->start('boot.start', 1);
    $slug = (string) WantedStick::of($plan)?->stick;
    $path = app(StickRegister::class)->device($slug)->path();
    file_put_contents($path, random_bytes(2_000_000));
    touch($path, time() - 3600);
    $this->get("/jobs/{$job->id}/rehearsal")->assertSee('here, as this machine is set then');
    $this->post("/jobs/{$job->id}/rehearsal/start", ['step' => 'boot.start', 'number' => '1'])
        ->assertSessionHasNoErrors();
    Queue::assertPushedOn('starts', StartMedium::class);
    $start = ($this->start)();
    expect([$start->firmware, $start->trusts, $start->job_id, $start->step, $start->number, $start->slug])
        ->toBe([$found?->as?->firmware->value, $found->as->trusts, $job->id, 'boot.start', 1, $slug])
        ->and($start->predicted)->toBe('no-boot-device');
    $this->get("/starts/{$start->id}")->assertSee('as Brackwater Capstan T3 is set then');
    $start->update(['state' => 'done', 'outcome' => 'starts']);
    $page = fn () => $this->get("/jobs/{$job->id}/rehearsal")->assertOk();
    $page()->assertSee('started in emulation, this very medium')->assertSee('They differ.');
    // Other keys, or other contents: it says nothing of this power-on any more.
    $start->update(['trusts' => ['somebody']]);
    $page()->assertDontSee('started in emulation');
    $start->update(['trusts' => $found->as->trusts]);
    touch($path, time() + 60);
    $page()->assertDontSee('started in emulation');
});

it('starts nothing of a job at a power-on that it does not have', function (array $sent) {
    $job = $this->jobFrom('new-capstan', $this->people['lead']);
    $this->post("/jobs/{$job->id}/rehearsal/start", $sent)->assertSessionHasErrors();
    expect(ProvingStart::query()->count())->toBe(0);
})->with([
    [['step' => 'boot.start', 'number' => '9']],
    [['step' => 'nowhere', 'number' => '1']],
    [['step' => '../x', 'number' => '1']],
    [['number' => '1']],
    'the installed system, which no stick starts' => [['step' => 'install.stick-out', 'number' => '1']],
]);
