<?php

use App\Actions\LogBook;
use App\Bridge\StickIdentity;
use App\Bridge\StickRegister;
use App\Models\Job;
use App\Models\StickState;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\StickCode;
use Cobblestone\Runbook\EntryKind;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    $this->people = $this->bench();
    $this->actingAs($this->people['viewer']);
    $this->what = fn (string $said) => $this->get('/sticks/what?said='.rawurlencode($said))->assertOk();
});
afterEach(fn () => $this->shop->clear());

it('knows a stick by what is printed on it or read from it', function (string $said, string $by) {
    StickState::become('harbour-16', StickCondition::Unfinished, ['title' => 'Crew installer', 'label' => 'CREW-7']);
    ($this->what)($said)->assertSee('Harbour 16')->assertSee($by)->assertSee('Crew installer')
        ->assertSee('/sticks/harbour-16/starts', false);
})->with([
    ['HB16-20240117-0071', 'its serial'],
    [' hb16 20240117 0071 ', 'its serial'],
    ['0071', 'the end of its serial'],
    ['harbour 16', 'its name'],
    ['harbour-16', 'its name'],
    ['crew7', 'the label of its volume'],
]);

it('says that nothing answers, and takes too little for nothing', function (string $said) {
    ($this->what)($said)->assertSee('No stick of the register answers to that.')->assertDontSee('Known by');
})->with(['071', '9999', '<b>x</b>', '---', 'COBBLESTONE STICK 1'."\nheron-8"]);

it('asks for nothing where nothing was said', function () {
    $this->get('/sticks/what')->assertOk()->assertDontSee('answers to that');
    $this->get('/sticks')->assertSee('What is this stick?');
});

it('says whether the code on a label is of what is on record, and which jobs want the stick', function () {
    $old = ['title' => 'Old', 'fingerprint' => str_repeat('a', 64), 'built_at' => '2026-11-01T00:00:00+00:00'];
    $new = [...$old, 'title' => 'New', 'fingerprint' => str_repeat('b', 64)];
    StickState::become('harbour-16', StickCondition::Good, $new);
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    ($this->what)(StickCode::text('harbour-16', $new))->assertSee('the code on its label')
        ->assertDontSee('not of what is on record')->assertSee($job->title)->assertSee("/jobs/{$job->id}", false)
        // Its bytes are not those that were proven.
        ->assertSee(StickCondition::Spoiled->title());
    ($this->what)(StickCode::text('harbour-16', $old))->assertSee('not of what is on record');
    $job->update(['status' => 'handed-over']);
    ($this->what)('0071')->assertDontSee($job->title);
});

it('says on the page of a stick which open jobs want it', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->get('/sticks/harbour-16')->assertOk()->assertSee('Kept for')->assertSee($job->title);
    $this->get('/sticks/gull-32')->assertOk()->assertDontSee('Kept for');
});

it('lets a stick go when its job has laid the last stone that takes it', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $wants = fn (): bool => isset(app(StickIdentity::class)->wantedBy(
        app(StickRegister::class)->find('harbour-16'),
    )[$job->id]);
    expect($wants())->toBeTrue();
    $steps = $job->currentPlan()->typed()->steps;
    $out = array_key_last(array_filter($steps, fn ($step) => in_array('stick', $step->needs, true)));
    foreach (array_slice($steps, 0, $out + 1) as $place => $step) {
        expect($wants())->toBeTrue("before {$step->id}");
        app(LogBook::class)->write(Job::locked($job->id), $this->people['lead'], EntryKind::Done, $step->id);
    }
    expect($wants())->toBeFalse();
});
