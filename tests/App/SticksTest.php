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
    (new ScanShelf)->handle();
    $this->file = ShelfFile::query()->sole();
    $this->file->update(['about' => ['line' => 'Orrin Desktop 3', 'version' => '3.1']]);
});
afterEach(fn () => $this->shop->clear());

function buildOn(string $slug, string $way = 'copied-gpt', string $serial = 'A9C2'): Illuminate\Testing\TestResponse
{
    $file = ShelfFile::query()->firstOrFail();

    return test()->from("/shelf/{$file->id}/ways?stick={$slug}")->post("/shelf/{$file->id}/builds", ['stick' => $slug, 'way' => $way, 'serial' => $serial]);
}

it('compares the ways and builds the one that was chosen', function (string $way, string $mode) {
    $this->get("/shelf/{$this->file->id}/ways?stick=gull-32")->assertOk()->assertSee('Written raw')->assertSee('Files copied, beside a storage partition')->assertSee('GL32-5518-••••')->assertDontSee('A9C2');
    $build = StickBuild::query()->find(buildOn('gull-32', $way)->assertRedirect()->baseResponse->getTargetUrl() ? StickBuild::query()->value('id') : 0);
    expect($build)->state->toBe('done')->fault->toBeNull();
    $state = StickState::of('gull-32');
    expect($state->condition)->toBe(StickCondition::Good)->and($state->content['mode'])->toBe($mode)->and($state->content['about'])->toBe(['line' => 'Orrin Desktop 3', 'version' => '3.1']);
    $this->get("/sticks/gull-32/builds/{$build->id}")->assertOk()->assertSee('every byte was read back');
    $this->get('/sticks')->assertSee('Orrin Desktop 3 3.1')->assertSee('good: every byte was read back');
    $this->get('/sticks/gull-32')->assertOk()->assertSee('read back past the cache and equal')->assertSee('Built and proven');
    $this->get('/sticks/gull-32/label')->assertOk()->assertSee('data:image/svg+xml;base64', false);
})->with([['copied-gpt', 'files-copied'], ['copied-mbr', 'files-copied'], ['copied-storage', 'files-copied'], ['raw', 'raw']]);

it('asks for the serial as printed, and for a stick whose contents may go', function () {
    buildOn('gull-32', serial: '0000')->assertSessionHasErrors(['serial' => 'That is not the end of the serial of Gull 32. Read it off the stick itself.']);
    buildOn('tern-64-b', serial: 'E04D')->assertSessionHasErrors(['stick' => 'What is on Tern 64 second must stay: rescue tools of the evening shift.']);
    buildOn('nowhere')->assertSessionHasErrors(['stick' => 'The register has no such stick.']);
    buildOn('gull-32', 'two-partitions')->assertSessionHasErrors('way');
    buildOn('gull-32', 'sideways')->assertSessionHasErrors(['way' => 'There is no such way.']);
    expect(StickBuild::query()->count())->toBe(0)->and(is_file("{$this->shop->folder}/sticks/gull-32.img") && hash_file('sha256', "{$this->shop->folder}/sticks/gull-32.img") === '')->toBeFalse();
});

it('wants other proof where a serial is missing or carried twice', function () {
    $stick = fn (string $slug) => App\Models\CatalogueEntry::query()->where('kind', 'sticks')->where('slug', $slug)->sole();
    $stick('harbour-16')->update(['document' => [...$stick('harbour-16')->document, 'serial' => 'GL32-5518-A9C2']]);
    $this->get("/shelf/{$this->file->id}/ways?stick=gull-32")->assertSee('Another stick of the register carries the same serial');
    $stick('gull-32')->update(['document' => array_diff_key($stick('gull-32')->document, ['serial' => 1])]);
    $this->get("/shelf/{$this->file->id}/ways?stick=gull-32")->assertSee('This stick names no serial')->assertDontSee('Last four of the serial');
    buildOn('gull-32', serial: '')->assertRedirect();
    expect(StickBuild::query()->sole()->state)->toBe('done');
});

it('builds one at a time on a stick', function () {
    StickBuild::query()->create(['slug' => 'gull-32', 'plan' => ['title' => 'x'], 'state' => 'running']);
    buildOn('gull-32')->assertSessionHasErrors(['stick' => 'Gull 32 is being built already. Wait for it, or cancel it.']);
});

it('carries a folder of drivers, and exports a plan without building it', function () {
    mkdir("{$this->shop->folder}/drivers/fairlead-13/w2", recursive: true);
    file_put_contents("{$this->shop->folder}/drivers/fairlead-13/w2/net.inf", 'network');
    $this->get("/shelf/{$this->file->id}/ways?stick=gull-32&drivers=fairlead-13")->assertOk()->assertSee('they go onto a second stick')->assertSee('1 driver file goes along');
    $this->get("/shelf/{$this->file->id}/plan?stick=gull-32&way=copied-mbr&drivers=fairlead-13&what=make-stick.sh")->assertOk()->assertSee('DRIVERS/w2/net.inf', false);
    $this->get("/shelf/{$this->file->id}/plan?stick=gull-32&way=nothing&what=make-stick.sh")->assertSessionHasErrors('way');
    $this->post("/shelf/{$this->file->id}/builds", ['stick' => 'gull-32', 'way' => 'copied-gpt', 'serial' => 'A9C2', 'drivers' => 'fairlead-13'])->assertRedirect();
    expect(StickBuild::query()->sole())->state->toBe('done')->and(StickState::of('gull-32')->content['drivers'])->toBe(1);
    $this->post("/shelf/{$this->file->id}/builds", ['stick' => 'gull-32', 'way' => 'raw', 'serial' => 'A9C2', 'drivers' => 'fairlead-13'])->assertSessionHasErrors('way');
    $this->post("/shelf/{$this->file->id}/builds", ['stick' => 'gull-32', 'way' => 'copied-gpt', 'serial' => 'A9C2', 'drivers' => '../../etc'])->assertRedirect();
    expect(StickState::of('gull-32')->content['drivers'])->toBe(0);
});

it('exports what was built', function () {
    buildOn('gull-32');
    $id = StickBuild::query()->value('id');
    foreach (['plan.json' => 'cobblestone_stick_plan', 'make-stick.sh' => '#!/usr/bin/env bash', 'table.sfdisk' => 'label: gpt', 'SHA256SUMS' => '  EFI/BOOT/BOOTX64.EFI'] as $what => $holds) {
        expect($this->get("/sticks/gull-32/builds/{$id}/{$what}")->assertOk()->getContent())->toContain($holds);
    }
    $this->get("/sticks/gull-32/builds/{$id}/passwd")->assertNotFound();
    $this->get("/sticks/tern-64/builds/{$id}/plan.json")->assertNotFound();
});

it('is spoiled once something wrote to it, and stale once the shelf has a newer one', function () {
    buildOn('gull-32');
    $newer = ShelfFile::query()->create(['name' => 'newer.iso', 'bytes' => 1, 'changed_at' => 1, 'about' => ['line' => 'Orrin Desktop 3', 'version' => '3.10']]);
    $this->get('/sticks/gull-32')->assertSee('stale: the shelf has a newer one');
    $newer->update(['about' => ['line' => 'Orrin Desktop 3', 'version' => '3.1', 'edition' => 'Counter']]);
    $this->get('/sticks/gull-32')->assertSee('good: every byte was read back');
    Workshop::says('mcopy', '-i', "{$this->shop->folder}/sticks/gull-32.img@@1048576", $this->file->path(), '::/stranger.bin');
    $this->get('/sticks/gull-32')->assertSee('spoiled: changed since it was proven')->assertSee('Build it again');
    $this->get('/sticks/gull-32/label')->assertStatus(409);
});

it('stays unfinished when it broke off, and says so', function () {
    buildOn('gull-32');
    StickState::of('gull-32')->fill(['condition' => StickCondition::Unfinished])->save();
    $build = StickBuild::query()->create(['slug' => 'gull-32', 'plan' => StickBuild::query()->firstOrFail()->plan, 'state' => 'running']);
    $build->timestamps = false;
    $build->update(['updated_at' => now()->subMinutes(5)]);
    app(App\Actions\EndDeadBuilds::class)->handle();
    $this->get("/sticks/gull-32/builds/{$build->id}")->assertSee('It broke off without a word')->assertSee('unfinished: not proven');
    expect(StickEvent::failuresOf('gull-32'))->toBe(['gone' => 1]);
});

it('keeps the record when a build fails, and retires a stick that read back differently twice', function () {
    $register = app(StickRegister::class);
    $entry = App\Models\CatalogueEntry::query()->where('kind', 'sticks')->where('slug', 'gull-32')->sole();
    $entry->update(['document' => [...$entry->document, 'stand_in' => ['bad_blocks' => [512]]]]);
    buildOn('gull-32')->assertRedirect();
    expect(StickBuild::query()->sole())->state->toBe('failed')->fault->toContain('the stick is retired')
        ->and(StickState::of('gull-32')->condition)->toBe(StickCondition::Retired)->and(StickEvent::query()->pluck('kind')->all())->toBe(['failed', 'retired']);
    expect($register->now()['gull-32']->health)->toBe('retired');
    $this->get('/sticks/gull-32')->assertSee('retired: not to be used again')->assertDontSee('Build it anew from');
    $this->post('/sticks/gull-32/take-back')->assertForbidden();
    $this->actingAs($this->people['lead'])->post('/sticks/gull-32/take-back', ['as_seen' => StickEvent::version('gull-32')])->assertRedirect();
    expect(StickState::of('gull-32')->condition)->toBe(StickCondition::Unfinished);
});

it('checks the true size, and retires a stick that lies', function () {
    $this->post('/sticks/gull-32/check')->assertRedirect('/sticks/gull-32')->assertSessionHas('said', '512 places all over its 32.0 GB hold what was written to them.');
    $this->post('/sticks/slack-64/check')->assertRedirect();
    expect(session('said'))->toContain('It claims 64.0 GB, but from 8.')->and(StickState::of('slack-64')->condition)->toBe(StickCondition::Retired);
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
    $this->from('/sticks/gull-32')->post('/sticks/gull-32/retire', [])->assertSessionHasErrors(['because' => 'Say why, for whoever finds it.']);
    $this->post('/sticks/gull-32/retire', ['because' => 'the plug is bent', 'as_seen' => StickEvent::version('gull-32')])->assertRedirect();
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
    Workshop::says('cp', '--sparse=always', "{$this->shop->folder}/sticks/gull-32.img", "{$this->shop->folder}/found.img");
    $this->artisan('cobblestone:stick', ['action' => 'what', 'subject' => "{$this->shop->folder}/found.img"])->expectsOutputToContain('Its contents are those of gull-32: Orrin Desktop 3 3.1')->assertExitCode(0);
    $this->artisan('cobblestone:stick', ['action' => 'what', 'subject' => 'gull-32'])->expectsOutputToContain('Good: every byte was read back: Orrin Desktop 3 3.1.')->assertExitCode(0);
});

it('searches the sticks and shows an empty answer', function () {
    $this->get('/sticks?q=a9c2')->assertSee('Gull 32')->assertDontSee('Anchor 128');
    $this->get('/sticks?q=nothing')->assertSee('No stick matches.');
    $this->get('/sticks/nowhere')->assertNotFound();
});
