<?php

use App\Actions\ScanShelf;
use App\Models\ShelfFile;
use App\Models\StickBuild;
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

it('compares the ways and builds the one that was chosen', function (string $way, string $mode) {
    $this->get("/shelf/{$this->file->id}/ways?stick=gull-32")
        ->assertOk()
        ->assertSee('Written raw')
        ->assertSee('Files copied, beside a storage partition')
        ->assertSee('GL32-5518-••••')
        ->assertDontSee('A9C2');
    $build = StickBuild::query()->find(
        buildOn('gull-32', $way)->assertRedirect()->baseResponse->getTargetUrl() ? StickBuild::query()->value('id') : 0,
    );
    expect($build)->state->toBe('done')->fault->toBeNull();
    $state = StickState::of('gull-32');
    expect($state->condition)->toBe(StickCondition::Good)
        ->and($state->content['mode'])->toBe($mode)
        ->and($state->content['about'])->toBe(['line' => 'Orrin Desktop 3', 'version' => '3.1']);
    $this->get("/sticks/gull-32/builds/{$build->id}")->assertOk()->assertSee('every byte was read back');
    $this->get('/sticks')->assertSee('Orrin Desktop 3 3.1')->assertSee('good: every byte was read back');
    $this->get('/sticks/gull-32')
        ->assertOk()
        ->assertSee('read back past the cache and equal')
        ->assertSee('Built and proven');
    $this->get('/sticks/gull-32/label')->assertOk()->assertSee('data:image/svg+xml;base64', false);
})->with([
    ['copied-gpt', 'files-copied'],
    ['copied-mbr', 'files-copied'],
    ['copied-storage', 'files-copied'],
    ['raw', 'raw'],
]);

it('asks for the serial as printed, and for a stick whose contents may go', function () {
    buildOn('gull-32', serial: '0000')->assertSessionHasErrors([
        'serial' => 'That is not the end of the serial of Gull 32. Read it off the stick itself.',
    ]);
    buildOn('tern-64-b', serial: 'E04D')->assertSessionHasErrors([
        'stick' => 'What is on Tern 64 second must stay: rescue tools of the evening shift.',
    ]);
    buildOn('nowhere')->assertSessionHasErrors(['stick' => 'The register has no such stick.']);
    buildOn('gull-32', 'two-partitions')->assertSessionHasErrors('way');
    buildOn('gull-32', 'sideways')->assertSessionHasErrors(['way' => 'There is no such way.']);
    expect(StickBuild::query()->count())->toBe(0)
        ->and(
            is_file("{$this->shop->folder}/sticks/gull-32.img")
                && hash_file('sha256', "{$this->shop->folder}/sticks/gull-32.img") === '',
        )
        ->toBeFalse();
});

it('wants other proof where a serial is missing or carried twice', function () {
    $stick = fn (string $slug) => App\Models\CatalogueEntry::query()
        ->where('kind', 'sticks')
        ->where('slug', $slug)
        ->sole();
    $stick('harbour-16')->update(['document' => [...$stick('harbour-16')->document, 'serial' => 'GL32-5518-A9C2']]);
    $this->get("/shelf/{$this->file->id}/ways?stick=gull-32")
        ->assertSee('Another stick of the register carries the same serial');
    $stick('gull-32')->update(['document' => array_diff_key($stick('gull-32')->document, ['serial' => 1])]);
    $this->get("/shelf/{$this->file->id}/ways?stick=gull-32")
        ->assertSee('This stick names no serial')
        ->assertDontSee('Last four of the serial');
    buildOn('gull-32', serial: '')->assertRedirect();
    expect(StickBuild::query()->sole()->state)->toBe('done');
});

it('builds one at a time on a stick', function () {
    StickBuild::query()->create(['slug' => 'gull-32', 'plan' => ['title' => 'x'], 'state' => 'running']);
    buildOn('gull-32')->assertSessionHasErrors([
        'stick' => 'Gull 32 is being built already. Wait for it, or cancel it.',
    ]);
});

it('carries a folder of drivers, and exports a plan without building it', function () {
    mkdir("{$this->shop->folder}/drivers/fairlead-13/w2", recursive: true);
    file_put_contents("{$this->shop->folder}/drivers/fairlead-13/w2/net.inf", 'network');
    $this->get("/shelf/{$this->file->id}/ways?stick=gull-32&drivers=fairlead-13")
        ->assertOk()
        ->assertSee('they go onto a second stick')
        ->assertSee('1 driver file goes along');
    $this->get("/shelf/{$this->file->id}/plan?stick=gull-32&way=copied-mbr&drivers=fairlead-13&what=make-stick.sh")
        ->assertOk()
        ->assertSee('DRIVERS/w2/net.inf', false);
    $this->get("/shelf/{$this->file->id}/plan?stick=gull-32&way=nothing&what=make-stick.sh")
        ->assertSessionHasErrors('way');
    $this->post("/shelf/{$this->file->id}/builds", [
        'stick' => 'gull-32',
        'way' => 'copied-gpt',
        'serial' => 'A9C2',
        'drivers' => 'fairlead-13',
    ])
        ->assertRedirect();
    expect(StickBuild::query()->sole())->state->toBe('done')
        ->and(StickState::of('gull-32')->content['drivers'])->toBe(1);
    $this->post("/shelf/{$this->file->id}/builds", [
        'stick' => 'gull-32',
        'way' => 'raw',
        'serial' => 'A9C2',
        'drivers' => 'fairlead-13',
    ])
        ->assertSessionHasErrors('way');
    $this->post("/shelf/{$this->file->id}/builds", [
        'stick' => 'gull-32',
        'way' => 'copied-gpt',
        'serial' => 'A9C2',
        'drivers' => '../../etc',
    ])
        ->assertRedirect();
    expect(StickState::of('gull-32')->content['drivers'])->toBe(0);
});

it('exports what was built', function () {
    buildOn('gull-32');
    $id = StickBuild::query()->value('id');
    foreach (
        [
            'plan.json' => 'cobblestone_stick_plan',
            'make-stick.sh' => '#!/usr/bin/env bash',
            'table.sfdisk' => 'label: gpt',
            'SHA256SUMS' => '  EFI/BOOT/BOOTX64.EFI',
        ] as $what => $holds
    ) {
        expect($this->get("/sticks/gull-32/builds/{$id}/{$what}")->assertOk()->getContent())->toContain($holds);
    }
    $this->get("/sticks/gull-32/builds/{$id}/passwd")->assertNotFound();
    $this->get("/sticks/tern-64/builds/{$id}/plan.json")->assertNotFound();
});
