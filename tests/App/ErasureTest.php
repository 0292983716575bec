<?php

use App\Devices\Erasing\DriveRack;
use App\Jobs\EraseDrive;
use App\Models\BenchEvent;
use App\Models\Erasure;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;

beforeEach(function () {
    File::deleteDirectory(config('cobblestone.state').'/drives');
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    $this->erase = fn (string $drive, string $way, string $serial = '', string $seen = '') => $this
        ->from('/erasures')->post('/erasures', [
            'drive' => $drive, 'way' => $way, 'serial' => $serial, 'seen' => $seen,
            // Where nothing can be read off the drive, it is said that no other one is there.
            ...($drive === 'tern-stick' ? ['alone' => '1'] : []),
        ]);
});

afterEach(fn () => File::deleteDirectory(config('cobblestone.state').'/drives'));

it('erases a drive, reads it back, and writes the certificate', function (
    string $drive,
    string $way,
    string $serial,
    string $says,
) {
    ($this->erase)($drive, $way, $serial)->assertSessionHasNoErrors();
    $erasure = Erasure::query()->sole();
    expect($erasure->state)->toBe('done')->and($erasure->done_bytes)->toBe($erasure->bytes);
    $this->get("/erasures/{$erasure->id}")->assertOk()
        ->assertSee('Certificate of erasure')
        ->assertSee($says)
        ->assertSee('evening technician')
        ->assertSee(DriveRack::find($drive)?->drive()->serial ?? 'the drive reports none');
    expect(BenchEvent::query()->where('kind', 'drive-erased')->count())->toBe(1);
    // The page that asks for the end of a serial shows none.
    $shown = DriveRack::find($drive)?->drive()->serial;
    $shown === null || $this->get('/erasures')->assertDontSee($shown);
})->with([
    ['saltmarsh-old', 'sanitize', '30B9', 'ran its own sanitize command'],
    ['saltmarsh-old', 'crypto', '30b9', 'nothing of what stood there before is readable'],
    ['saltmarsh-old', 'overwrite', '30B9', 'keeps cells in reserve'],
    ['kelpbed-archive', 'overwrite', '4402', 'Every byte of the drive was overwritten once'],
]);

it('gives no certificate for what was not proven', function (string $drive, string $way, string $serial, string $says) {
    ($this->erase)($drive, $way, $serial)->assertSessionHasNoErrors();
    $erasure = Erasure::query()->sole();
    expect($erasure->state)->toBe('failed')->and($erasure->certificate)->toBeNull();
    $this->get("/erasures/{$erasure->id}")->assertSee($says)->assertSee('There is no certificate.')
        ->assertDontSee('Certificate of erasure');
    $this->get('/erasures')->assertSee($says);
})->with([
    'a command that is refused' => ['pebble-frozen', 'sanitize', '77E9', 'has frozen it'],
    'a part that no command reaches' => ['tern-stick', 'overwrite', '', 'what was there before'],
]);

it('erases no drive whose serial was not read, and by no way that does not reach it', function (
    array $asked,
    string $field,
) {
    Queue::fake();
    ($this->erase)(...$asked)->assertSessionHasErrors($field);
    expect(Erasure::query()->count())->toBe(0);
    Queue::assertNothingPushed();
})->with([
    [['saltmarsh-old', 'sanitize', '0000'], 'serial'],
    [['saltmarsh-old', 'sanitize', ''], 'serial'],
    [['hagstone-failing', 'overwrite', '20C8'], 'way'],
    [['kelpbed-archive', 'crypto', '4402'], 'way'],
    [['kelpbed-archive', 'format', '4402'], 'way'],
    [['nothing', 'overwrite', '1'], 'drive'],
    [['hagstone-failing', 'destroyed', '20C8'], 'seen'],
]);

it('erases no drive without a serial while another one may be there', function () {
    Queue::fake();
    $this->post('/erasures', ['drive' => 'tern-stick', 'way' => 'overwrite'])->assertSessionHasErrors('alone');
    $this->post('/erasures', ['drive' => 'tern-stick', 'way' => 'overwrite', 'serial' => '1', 'alone' => 'no'])
        ->assertSessionHasErrors('alone');
    expect(Erasure::query()->count())->toBe(0);
    Queue::assertNothingPushed();
});

it('keeps the way that was chosen where the serial was wrong', function () {
    $chosen = '/value="destroyed"\s+checked/';
    $this->get('/erasures')->assertDontSee('shredded');
    ($this->erase)('saltmarsh-old', 'destroyed', '0000', 'shredded');
    $page = $this->get('/erasures')->assertOk()->assertSee('value="shredded"', false)->getContent();
    // Of the drive that is only ever destroyed, and of the one that was asked for.
    expect(preg_match_all($chosen, $page))->toBe(2)
        ->and(preg_match_all('/value="(sanitize|crypto)"\s+checked/', $page))->toBe(1);
});

it('keeps of a destroyed drive how, and who saw it', function () {
    ($this->erase)('hagstone-failing', 'destroyed', '20C8', 'shredded, the harbour master saw it');
    $erasure = Erasure::query()->sole();
    expect($erasure->state)->toBe('done');
    $this->get("/erasures/{$erasure->id}")->assertSee('The drive was destroyed')
        ->assertSee('shredded, the harbour master saw it');
});

it('lets a drive be erased by one at a time, cancelled, and ended where its worker died', function () {
    Queue::fake();
    ($this->erase)('kelpbed-archive', 'overwrite', '4402')->assertSessionHasNoErrors();
    ($this->erase)('kelpbed-archive', 'overwrite', '4402')->assertSessionHasErrors('drive');
    $erasure = Erasure::query()->sole();
    $this->get("/erasures/{$erasure->id}")->assertSee('Waits for its turn');
    $this->post("/erasures/{$erasure->id}/cancel")->assertRedirect();
    (new EraseDrive($erasure->id))->handle();
    expect($erasure->refresh()->state)->toBe('cancelled')->and($erasure->fault)->toContain('it is not erased');
    $erasure->update(['state' => 'running']);
    $this->get("/erasures/{$erasure->id}")->assertSee('It broke off');
    // What ended is not begun again by a job that comes late.
    (new EraseDrive($erasure->id))->handle();
    expect($erasure->refresh()->state)->toBe('failed');
});

it('stops where another drive is there than the one that was confirmed', function () {
    Queue::fake();
    ($this->erase)('kelpbed-archive', 'overwrite', '4402');
    $erasure = Erasure::query()->sole();
    $erasure->update(['title' => 'Kelpbed 2T, another']);
    (new EraseDrive($erasure->id))->handle();
    expect($erasure->refresh()->fault)->toContain('Another drive is there');
});

it('lets who only looks on see certificates, and begin nothing', function () {
    $this->actingAs($this->people['viewer']);
    $this->get('/erasures')->assertOk()->assertDontSee('Erase it');
    ($this->erase)('saltmarsh-old', 'sanitize', '30B9')->assertForbidden();
});
