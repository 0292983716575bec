<?php

use App\Actions\LogBook;
use App\Bridge\StickIdentity;
use App\Bridge\StickRegister;
use App\Models\Job;
use App\Models\StickState;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\StickCode;
use Cobblestone\Runbook\EntryKind;
use Illuminate\Http\UploadedFile;
use Tests\Support\Images;
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

it('knows a stick by its first part, and says where that was changed or is of none', function () {
    $path = app(StickRegister::class)->device('gull-32')->path();
    $image = $this->shop->image('hybrid-gpt.iso');
    copy($image, $path);
    $content = [
        'title' => 'Orrin', 'fingerprint' => 'x', 'label' => 'COUNTER',
        'start' => hash('sha256', (string) file_get_contents($image, length: 65_536)),
    ];
    StickState::become('gull-32', StickCondition::Good, $content);
    $send = fn (string $bytes) => $this->post('/sticks/what', [
        'start' => UploadedFile::fake()->createWithContent('../start.bin', $bytes),
    ]);
    $start = (string) file_get_contents($image, length: 500_000);
    $send($start)->assertOk()->assertSee('Gull 32')->assertSee('its first 64 KiB, which are what was proven on it');
    $send(substr_replace($start, 'x', 300, 1))->assertOk()->assertSee('No stick of the register answers to that.');
    $send(random_bytes(70_000))->assertOk()->assertSee('No stick of the register answers to that.');
    $send('too little')->assertSessionHasErrors('start');
    $this->post('/sticks/what')->assertSessionHasErrors('start');
    // A volume whose label is on record, and whose start is not what was proven.
    $send(Images::bytes('fat16.img'))->assertSee('No stick of the register answers');
    StickState::become('gull-32', StickCondition::Good, [...$content, 'label' => 'TEST 16']);
    $send(Images::bytes('fat16.img'))->assertOk()->assertSee('the label TEST 16 alone')->assertSee('it was changed');
});
