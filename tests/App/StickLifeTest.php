<?php

use App\Actions\ScanShelf;
use App\Bridge\StickRegister;
use App\Models\ShelfFile;
use App\Models\StickBuild;
use App\Models\StickEvent;
use App\Models\StickState;
use Cobblestone\Media\Build\StickCondition;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    touch($this->shop->image('hybrid-mbr.iso'), time() - 60);
    app(ScanShelf::class)->handle();
    $this->file = ShelfFile::query()->sole();
    $this->file->update(['about' => ['line' => 'Orrin Desktop 3', 'version' => '3.1']]);
});

afterEach(fn () => $this->shop->clear());

it('is spoiled once something wrote to it, and stale once the shelf has a newer one', function () {
    buildOn('gull-32');
    $newer = ShelfFile::query()->create([
        'name' => 'newer.iso',
        'bytes' => 1,
        'changed_at' => 1,
        'about' => ['line' => 'Orrin Desktop 3', 'version' => '3.10'],
    ]);
    $this->get('/sticks/gull-32')->assertSee('stale: the shelf has a newer one');
    $newer->update(['about' => ['line' => 'Orrin Desktop 3', 'version' => '3.1', 'edition' => 'Counter']]);
    $this->get('/sticks/gull-32')->assertSee('good: every byte was read back');
    Workshop::says(
        'mcopy',
        '-i',
        "{$this->shop->folder}/sticks/gull-32.img@@1048576",
        $this->file->path(),
        '::/stranger.bin',
    );
    $this->get('/sticks/gull-32')->assertSee('spoiled: changed since it was proven')->assertSee('Build it again');
    $this->get('/sticks/gull-32/label')->assertStatus(409);
});

it('stays unfinished when it broke off, and says so', function () {
    buildOn('gull-32');
    StickState::of('gull-32')->fill(['condition' => StickCondition::Unfinished])->save();
    $build = StickBuild::query()->create([
        'slug' => 'gull-32',
        'plan' => StickBuild::query()->firstOrFail()->plan,
        'state' => 'running',
    ]);
    $build->timestamps = false;
    $build->update(['updated_at' => now()->subMinutes(5)]);
    app(App\Actions\EndDeadBuilds::class)->handle();
    $this->get("/sticks/gull-32/builds/{$build->id}")
        ->assertSee('It broke off without a word')
        ->assertSee('unfinished: not proven');
    expect(StickEvent::failuresOf('gull-32'))->toBe(['gone' => 1]);
});

it('keeps the record when a build fails, and retires a stick that read back differently twice', function () {
    $register = app(StickRegister::class);
    $entry = App\Models\CatalogueEntry::query()->where('kind', 'sticks')->where('slug', 'gull-32')->sole();
    $entry->update(['document' => [...$entry->document, 'stand_in' => ['bad_blocks' => [512]]]]);
    buildOn('gull-32')->assertRedirect();
    expect(StickBuild::query()->sole())->state->toBe('failed')->fault->toContain('the stick is retired')
        ->and(StickState::of('gull-32')->condition)->toBe(StickCondition::Retired)
        ->and(StickEvent::query()->pluck('kind')->all())->toBe(['failed', 'retired']);
    expect($register->now()['gull-32']->health)->toBe('retired');
    $this->get('/sticks/gull-32')->assertSee('retired: not to be used again')->assertDontSee('Build it anew from');
    $this->post('/sticks/gull-32/take-back')->assertForbidden();
    $this->actingAs($this->people['lead'])
        ->post('/sticks/gull-32/take-back', ['as_seen' => StickEvent::version('gull-32')])
        ->assertRedirect();
    expect(StickState::of('gull-32')->condition)->toBe(StickCondition::Unfinished);
});

it('checks the true size, and retires a stick that lies', function () {
    $this->post('/sticks/gull-32/check')
        ->assertRedirect('/sticks/gull-32')
        ->assertSessionHas('said', '512 places all over its 32.0 GB hold what was written to them.');
    $this->post('/sticks/slack-64/check')->assertRedirect();
    expect(session('said'))->toContain('It claims 64.0 GB, but from 8.')
        ->and(StickState::of('slack-64')->condition)->toBe(StickCondition::Retired);
    $this->get('/sticks/slack-64')->assertSee('True size checked');
});

it('lets a stick vanish and come back unfinished', function () {
    $entry = App\Models\CatalogueEntry::query()->where('kind', 'sticks')->where('slug', 'gull-32')->sole();
    $entry->update(['document' => [...$entry->document, 'stand_in' => ['dies_after_bytes' => 2_100_000]]]);
    buildOn('gull-32');
    $this->get('/sticks/gull-32')->assertSee('It is not there.')->assertSee('unfinished: not proven');
    $this->post('/sticks/gull-32/replug')->assertRedirect();
    $this->get('/sticks/gull-32')->assertDontSee('It is not there.')->assertSee('unfinished: not proven');
});

it('cancels what waits, notes bad starts and retirements with their reason', function () {
    buildOn('gull-32');
    $build = StickBuild::query()->create(['slug' => 'gull-32', 'plan' => StickBuild::query()->firstOrFail()->plan]);
    $this->post("/sticks/gull-32/builds/{$build->id}/cancel")->assertRedirect();
    expect($build->refresh()->state)->toBe('cancelled');
    $this->post('/sticks/gull-32/booted-badly', ['seen' => 'black after the logo'])->assertRedirect();
    $this->from('/sticks/gull-32')
        ->post('/sticks/gull-32/retire', [])
        ->assertSessionHasErrors(['because' => 'Say why, for whoever finds it.']);
    $this->post('/sticks/gull-32/retire', [
        'because' => 'the plug is bent',
        'as_seen' => StickEvent::version('gull-32'),
    ])
        ->assertRedirect();
    expect(app(StickRegister::class)->now()['gull-32']->health)->toBe('retired');
    $this->get('/sticks/gull-32')->assertSee('black after the logo')->assertSee('the plug is bent');
});

it('gives the paths of jobs what is known of the sticks now', function () {
    buildOn('gull-32');
    StickState::of('harbour-16')->fill(['condition' => StickCondition::Retired])->save();
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $refused = collect($job->currentPlan()->plan['decisions'])->firstWhere('id', 'media.stick')['refused'];
    expect(collect($refused)->firstWhere('option', 'Harbour 16')['reasons'])->toBe(['retired after failures']);
});

it('puts a stick on watch after a bad start, and knows contents again wherever they are', function () {
    buildOn('gull-32');
    $this->post('/sticks/gull-32/booted-badly', ['seen' => 'black after the logo']);
    $register = app(StickRegister::class);
    expect($register->now()['gull-32']->health)->toBe('watch');
    Workshop::says(
        'cp',
        '--sparse=always',
        "{$this->shop->folder}/sticks/gull-32.img",
        "{$this->shop->folder}/found.img",
    );
    $this->artisan('cobblestone:stick', ['action' => 'what', 'subject' => "{$this->shop->folder}/found.img"])
        ->expectsOutputToContain('Its contents are those of gull-32: Orrin Desktop 3 3.1')
        ->assertExitCode(0);
    $this->artisan('cobblestone:stick', ['action' => 'what', 'subject' => 'gull-32'])
        ->expectsOutputToContain('Good: every byte was read back: Orrin Desktop 3 3.1.')
        ->assertExitCode(0);
});

it('searches the sticks and shows an empty answer', function () {
    $this->get('/sticks?q=a9c2')->assertSee('Gull 32')->assertDontSee('Anchor 128');
    $this->get('/sticks?q=nothing')->assertSee('No stick matches.');
    $this->get('/sticks/nowhere')->assertNotFound();
});
