<?php

use App\Bridge\StickRegister;
use App\Catalogue\CatalogueStore;
use App\Jobs\StartMedium;
use App\Models\ProvingStart;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\Support\LeftBehind;
use Tests\Support\Sticks;
use Tests\Support\Workshop;

pest()->group('slow');

beforeEach(function () {
    $this->shop = new Workshop;
    config(['cobblestone.state' => "{$this->shop->folder}/state"]);
    $this->people = $this->bench();
    $this->before = LeftBehind::now();
    $this->actingAs($this->people['evening']);
    $this->stick = app(StickRegister::class)->device('gull-32')->path();
    copy((new Sticks($this->shop->folder))->make('hybrid-raw'), $this->stick);
});
afterEach(function () {
    $this->shop->clear();
    expect(array_diff(LeftBehind::now(), $this->before))->toBe([]);
});

it('starts a stick of the register here, and shows it beside its prediction', function () {
    $before = hash_file('sha256', $this->stick);
    $this->post('/sticks/gull-32/starts', ['as' => 'bios'])->assertSessionHasNoErrors();
    $start = ProvingStart::query()->get()->first();
    expect([$start->state, $start->outcome, $start->fault])->toBe(['done', 'starts', null])
        ->and($start->printed)->toContain('boot:')
        ->and(getimagesize($start->picture())['mime'])->toBe('image/png')
        ->and(hash_file('sha256', $this->stick))->toBe($before);
    $this->get("/starts/{$start->id}")->assertSee('It starts: what lies on the medium runs.')
        ->assertSee('As predicted.')->assertSee("/starts/{$start->id}/picture?n=", false);
    $this->get('/sticks/gull-32/starts')->assertSee('the old way (BIOS)')->assertSee('As predicted.');
});

it('ends a machine that somebody stops, and leaves nothing of it', function () {
    Queue::fake();
    $this->post('/sticks/gull-32/starts', ['as' => 'uefi']);
    $start = ProvingStart::query()->get()->first();
    // At the first word that the machine tells of itself.
    DB::listen(static function ($query) use ($start): void {
        if (str_contains($query->sql, '"seconds"')) {
            DB::table('proving_starts')->where('id', $start->id)->update(['state' => 'stopped']);
        }
    });
    (new StartMedium($start->id))->handle(app(StickRegister::class), app(CatalogueStore::class));
    expect($start->refresh()->state)->toBe('stopped')->and($start->outcome)->toBeNull();
});

it('says that a medium went while it waited', function () {
    Queue::fake();
    $this->post('/sticks/gull-32/starts', ['as' => 'bios']);
    $start = ProvingStart::query()->get()->first();
    file_put_contents(config('cobblestone.sticks').'/gull-32.json', json_encode(['gone' => true]));
    (new StartMedium($start->id))->handle(app(StickRegister::class), app(CatalogueStore::class));
    expect($start->refresh()->state)->toBe('failed')->and($start->fault)->toContain('not there any more');
});
