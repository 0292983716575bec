<?php

use App\Actions\ScanShelf;
use App\Models\ShelfFile;
use Tests\Support\Images;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    $people = $this->bench();
    $this->actingAs($people['evening']);
    $this->people = $people;
});

afterEach(fn () => $this->shop->clear());

/** A file in the watched folder, as if it had come a while ago. */
function onShelf(Workshop $shop, string $image): string
{
    touch($path = $shop->image($image), time() - 60);

    return $path;
}

it('finds what is copied into the folder, looks into it and hashes it', function () {
    onShelf($this->shop, 'plain.iso');
    file_put_contents("{$this->shop->folder}/shelf/.hidden", 'x');
    symlink('/etc/hostname', "{$this->shop->folder}/shelf/link.iso");
    file_put_contents("{$this->shop->folder}/shelf/arriving.iso", 'still coming');
    expect(app(ScanShelf::class)->handle())->toBeGreaterThan(0);
    $this->get('/shelf')
        ->assertOk()
        ->assertSee('plain.iso')
        ->assertDontSee('arriving.iso')
        ->assertDontSee('.hidden')
        ->assertDontSee('link.iso');
    $file = ShelfFile::query()->firstOrFail();
    expect($file->sha256)->toBe(hash('sha256', Images::bytes('plain.iso')))
        ->and($file->hash_state)->toBe('done')
        ->and($file->inspected()->kind)->toBe('optical')
        ->and($file->proof())->toBe('none-published');
    $this->get("/shelf/{$file->id}")
        ->assertOk()
        ->assertSee('An optical image, 610.3 kB')
        ->assertSee('no published checksum')
        ->assertSee('Signed; cannot tell whether it is trusted', false);
    expect(app(ScanShelf::class)->handle())->toBe(0);
    unlink($file->path());
    app(ScanShelf::class)->handle();
    $this->get('/shelf')->assertSee('not in the folder any more');
});

it('hashes a file anew when it has changed', function () {
    $path = onShelf($this->shop, 'plain.iso');
    app(ScanShelf::class)->handle();
    file_put_contents($path, 'something else');
    touch($path, time() - 30);
    app(ScanShelf::class)->handle();
    expect(ShelfFile::query()->sole())->sha256->toBe(hash('sha256', 'something else'))
        ->inspected()->kind->toBe('unknown');
});

it('compares with what the publisher says', function (Closure $published, string $proof, string $page) {
    onShelf($this->shop, 'plain.iso');
    app(ScanShelf::class)->handle();
    $file = ShelfFile::query()->sole();
    $this->actingAs($this->people['lead'])
        ->post("/shelf/{$file->id}", [
            'as_seen' => $file->refresh()->version(),
            'published' => $published($file->sha256),
            'published_by' => 'the project',
        ])
        ->assertRedirect("/shelf/{$file->id}");
    expect($file->refresh()->proof())->toBe($proof);
    $this->get("/shelf/{$file->id}")->assertSee($page);
})->with([
    [fn ($sum) => $sum, 'equal', 'equal'],
    [fn ($sum) => strtoupper($sum)." \n", 'equal', 'equal'],
    [fn ($sum) => "# sums\n".str_repeat('a', 64)."  other.iso\n{$sum} *images/plain.iso\n", 'equal', 'equal'],
    [fn () => str_repeat('b', 64), 'different', 'do not use it'],
    [fn () => '', 'none-published', 'no published checksum'],
]);

it('says what is wrong with a checksum that is none, and keeps it', function (string $text, string $says) {
    onShelf($this->shop, 'plain.iso');
    app(ScanShelf::class)->handle();
    $file = ShelfFile::query()->sole();
    $this->actingAs($this->people['lead'])
        ->from("/shelf/{$file->id}")
        ->post("/shelf/{$file->id}", ['as_seen' => $file->refresh()->version(), 'published' => $text])
        ->assertSessionHasErrors(['published' => $says]);
    $this->get("/shelf/{$file->id}")->assertSee($text)->assertSee($says);
})->with([
    [
        'not a sum',
        'That is no SHA-256: it has 64 digits from 0 to 9 and a to f. Paste the checksum, or the publisher\'s '
            .'SHA256SUMS file.',
    ],
    [
        str_repeat('c', 64).'  other.iso',
        'There are checksums in it, but none for plain.iso. Paste the line of this file, or the checksum alone.',
    ],
]);

it('keeps what people know, and finds by it', function () {
    onShelf($this->shop, 'plain.iso');
    app(ScanShelf::class)->handle();
    $file = ShelfFile::query()->sole();
    $this->post("/shelf/{$file->id}", [
        'as_seen' => $file->refresh()->version(),
        'line' => 'Orrin Desktop 3',
        'version' => '3.1',
        'edition' => '<b>Counter</b>',
        'as_of' => '2026-11-12',
    ])
        ->assertRedirect();
    $this->get('/shelf?q=orrin')->assertSee('Orrin Desktop 3 3.1 &lt;b&gt;Counter&lt;/b&gt;', false);
    $this->get('/shelf?q=nothing')->assertSee('Nothing on the shelf matches.');
    $this->post("/shelf/{$file->id}", ['as_seen' => $file->refresh()->version(), 'as_of' => 'yesterday'])
        ->assertSessionHasErrors(['as_of' => 'Write the day as 2026-11-25.']);
});

it('stops and begins hashing', function () {
    onShelf($this->shop, 'plain.iso');
    app(ScanShelf::class)->handle();
    $file = ShelfFile::query()->sole();
    $file->update(['hash_state' => 'running', 'sha256' => null]);
    $this->post("/shelf/{$file->id}/hash/stop");
    expect($file->refresh()->hash_state)->toBe('stopped');
    $this->post("/shelf/{$file->id}/hash/start");
    expect($file->refresh()->hash_state)->toBe('done')->and($file->sha256)->not->toBeNull();
});

it('lets viewers look and change nothing', function () {
    onShelf($this->shop, 'plain.iso');
    app(ScanShelf::class)->handle();
    $file = ShelfFile::query()->sole();
    $this->actingAs($this->people['viewer']);
    $this->get('/shelf')->assertOk()->assertDontSee('Bring an image');
    $this->get("/shelf/{$file->id}")->assertOk()->assertDontSee('Keep this');
    $this->get("/shelf/{$file->id}/ways")->assertOk()->assertDontSee('It is this stick');
    $this->post("/shelf/{$file->id}", [])->assertForbidden();
    $this->postJson('/shelf/uploads', ['name' => 'a.iso', 'bytes' => 9])->assertForbidden();
});

it('is looked into from the command line too', function () {
    onShelf($this->shop, 'plain.iso');
    $this->artisan('cobblestone:shelf')->expectsOutput('1 new or changed')->assertExitCode(0);
    $this->artisan('cobblestone:shelf')->expectsOutput('0 new or changed')->assertExitCode(0);
});

it('shows an empty shelf and what to do first', function () {
    $this->get('/shelf')->assertSee('The shelf is empty.')->assertSee('copy one into var/shelf');
});

it('lets only a lead say what the publisher\'s checksum is, on record with before and after, and conflicts '
    .'visibly', function () {
        onShelf($this->shop, 'plain.iso');
        app(ScanShelf::class)->handle();
        $file = ShelfFile::query()->sole();
        $seen = $file->refresh()->version();
        $sum = str_repeat('a', 64);
        $this->post("/shelf/{$file->id}", ['as_seen' => $seen, 'published' => $sum])
            ->assertSessionHasErrors('published');
        $this->actingAs($this->people['lead'])
            ->post("/shelf/{$file->id}", ['as_seen' => $seen, 'published' => $sum, 'line' => 'Orrin'])
            ->assertSessionHasNoErrors();
        $this->post("/shelf/{$file->id}", ['as_seen' => $seen, 'published' => str_repeat('b', 64), 'line' => 'Skerry'])
            ->assertStatus(409)
            ->assertSee('Skerry')
            ->assertSee($sum);
        $this->post("/shelf/{$file->id}", [])->assertStatus(409);
        expect($file->refresh()->published_sha256)->toBe($sum)->and($file->about)->toBe(['line' => 'Orrin']);
        $event = App\Models\BenchEvent::query()->where('kind', 'checksum-changed')->sole();
        expect($event->data['before']['checksum'])->toBeNull()
            ->and($event->data['after']['checksum'])->toBe($sum)
            ->and($event->user_id)->toBe($this->people['lead']->id);
        $this->get("/shelf/{$file->id}")->assertSee('Published checksum of plain.iso changed');
    });
