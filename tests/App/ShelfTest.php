<?php

use App\Actions\ScanShelf;
use App\Models\ShelfFile;
use App\Models\Upload;
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
    expect((new ScanShelf)->handle())->toBeGreaterThan(0);
    $this->get('/shelf')->assertOk()->assertSee('plain.iso')->assertDontSee('arriving.iso')->assertDontSee('.hidden')->assertDontSee('link.iso');
    $file = ShelfFile::query()->firstOrFail();
    expect($file->sha256)->toBe(hash('sha256', Images::bytes('plain.iso')))->and($file->hash_state)->toBe('done')->and($file->inspected()->kind)->toBe('optical')->and($file->proof())->toBe('none-published');
    $this->get("/shelf/{$file->id}")->assertOk()->assertSee('An optical image, 610.3 kB')->assertSee('no published checksum')->assertSee('Signed; cannot tell whether it is trusted', false);
    expect((new ScanShelf)->handle())->toBe(0);
    unlink($file->path());
    (new ScanShelf)->handle();
    $this->get('/shelf')->assertSee('not in the folder any more');
});

it('hashes a file anew when it has changed', function () {
    $path = onShelf($this->shop, 'plain.iso');
    (new ScanShelf)->handle();
    file_put_contents($path, 'something else');
    touch($path, time() - 30);
    (new ScanShelf)->handle();
    expect(ShelfFile::query()->sole())->sha256->toBe(hash('sha256', 'something else'))->inspected()->kind->toBe('unknown');
});

it('compares with what the publisher says', function (Closure $published, string $proof, string $page) {
    onShelf($this->shop, 'plain.iso');
    (new ScanShelf)->handle();
    $file = ShelfFile::query()->sole();
    $this->actingAs($this->people['lead'])->post("/shelf/{$file->id}", ['as_seen' => $file->refresh()->version(), 'published' => $published($file->sha256), 'published_by' => 'the project'])->assertRedirect("/shelf/{$file->id}");
    expect($file->refresh()->proof())->toBe($proof);
    $this->get("/shelf/{$file->id}")->assertSee($page);
})->with([
    [fn ($sum) => $sum, 'equal', 'equal'], [fn ($sum) => strtoupper($sum)." \n", 'equal', 'equal'], [fn ($sum) => "# sums\n".str_repeat('a', 64)."  other.iso\n{$sum} *images/plain.iso\n", 'equal', 'equal'],
    [fn () => str_repeat('b', 64), 'different', 'do not use it'], [fn () => '', 'none-published', 'no published checksum'],
]);

it('says what is wrong with a checksum that is none, and keeps it', function (string $text, string $says) {
    onShelf($this->shop, 'plain.iso');
    (new ScanShelf)->handle();
    $file = ShelfFile::query()->sole();
    $this->actingAs($this->people['lead'])->from("/shelf/{$file->id}")->post("/shelf/{$file->id}", ['as_seen' => $file->refresh()->version(), 'published' => $text])->assertSessionHasErrors(['published' => $says]);
    $this->get("/shelf/{$file->id}")->assertSee($text)->assertSee($says);
})->with([
    ['not a sum', 'That is no SHA-256: it has 64 digits from 0 to 9 and a to f. Paste the checksum, or the publisher\'s SHA256SUMS file.'],
    [str_repeat('c', 64).'  other.iso', 'There are checksums in it, but none for plain.iso. Paste the line of this file, or the checksum alone.'],
]);

it('keeps what people know, and finds by it', function () {
    onShelf($this->shop, 'plain.iso');
    (new ScanShelf)->handle();
    $file = ShelfFile::query()->sole();
    $this->post("/shelf/{$file->id}", ['as_seen' => $file->refresh()->version(), 'line' => 'Orrin Desktop 3', 'version' => '3.1', 'edition' => '<b>Counter</b>', 'as_of' => '2026-11-12'])->assertRedirect();
    $this->get('/shelf?q=orrin')->assertSee('Orrin Desktop 3 3.1 &lt;b&gt;Counter&lt;/b&gt;', false);
    $this->get('/shelf?q=nothing')->assertSee('Nothing on the shelf matches.');
    $this->post("/shelf/{$file->id}", ['as_seen' => $file->refresh()->version(), 'as_of' => 'yesterday'])->assertSessionHasErrors(['as_of' => 'Write the day as 2026-11-25.']);
});

it('stops and begins hashing', function () {
    onShelf($this->shop, 'plain.iso');
    (new ScanShelf)->handle();
    $file = ShelfFile::query()->sole();
    $file->update(['hash_state' => 'running', 'sha256' => null]);
    $this->post("/shelf/{$file->id}/hash/stop");
    expect($file->refresh()->hash_state)->toBe('stopped');
    $this->post("/shelf/{$file->id}/hash/start");
    expect($file->refresh()->hash_state)->toBe('done')->and($file->sha256)->not->toBeNull();
});

function markOfBytes(string $bytes): string
{
    $length = min(1_048_576, strlen($bytes));

    return implode('', array_map(fn (int $at): string => hash('crc32b', substr($bytes, $at, $length)), [0, intdiv(strlen($bytes) - $length, 2), strlen($bytes) - $length]));
}

it('goes on only with the same file, reserves room, and forgets what nobody went on with', function () {
    [$one, $other] = [str_repeat('a', 3_000_000), str_repeat('a', 1_500_000).'b'.str_repeat('a', 1_499_999)];
    $begin = fn (string $bytes, string $name = 'x.iso') => $this->postJson('/shelf/uploads', ['name' => $name, 'bytes' => strlen($bytes), 'mark' => markOfBytes($bytes)]);
    $first = $begin($one)->assertOk()->json();
    $this->call('PUT', "/shelf/uploads/{$first['id']}?at=0", content: substr($one, 0, 1_000_000))->assertOk();
    expect($begin($other)->json('id'))->not->toBe($first['id'])->and($begin($one)->json())->toMatchArray(['id' => $first['id'], 'received' => 1_000_000]);
    $this->call('PUT', "/shelf/uploads/{$first['id']}?at=1000000", content: substr($other, 1_000_000))->assertStatus(409);
    expect(is_file(config('cobblestone.shelf').'/x.iso'))->toBeFalse()->and(Upload::promised())->toBe(3_000_000);
    config(['cobblestone.keep_free' => (int) disk_free_space(config('cobblestone.shelf')) - 5_000_000]);
    expect($begin(str_repeat('c', 3_000_000), 'y.iso')->assertStatus(507)->json('message'))->toContain('promised to uploads under way');
    $this->travel(Upload::HOURS + 1)->hours();
    Upload::forgetOld();
    expect(Upload::query()->count())->toBe(0)->and(glob(config('cobblestone.shelf').'/.arriving/*'))->toBe([]);
});

it('takes a file in pieces, goes on where it broke off, and refuses pieces that do not fit', function () {
    $bytes = Images::bytes('plain.iso');
    $begun = $this->postJson('/shelf/uploads', ['name' => 'come.iso', 'bytes' => strlen($bytes), 'mark' => markOfBytes($bytes)])->assertOk()->json();
    expect($begun['received'])->toBe(0);
    $put = fn (int $at, string $piece) => $this->call('PUT', "/shelf/uploads/{$begun['id']}?at={$at}", server: ['HTTP_ACCEPT' => 'application/json'], content: $piece);
    $put(0, substr($bytes, 0, 200_000))->assertOk()->assertJson(['received' => 200_000]);
    $put(0, 'again')->assertStatus(409)->assertJson(['received' => 200_000]);
    $put(250_000, 'beyond')->assertStatus(409);
    $put(200_000, $bytes)->assertStatus(409);
    $put(200_000, '')->assertStatus(409);
    expect($this->postJson('/shelf/uploads', ['name' => 'come.iso', 'bytes' => strlen($bytes), 'mark' => markOfBytes($bytes)])->json())->toMatchArray(['id' => $begun['id'], 'received' => 200_000]);
    $this->actingAs($this->people['lead'])->call('PUT', "/shelf/uploads/{$begun['id']}?at=200000", content: 'x')->assertNotFound();
    $this->actingAs($this->people['evening']);
    $put(200_000, substr($bytes, 200_000))->assertOk()->assertJson(['done' => true]);
    expect(file_get_contents("{$this->shop->folder}/shelf/come.iso"))->toBe($bytes)->and(ShelfFile::query()->sole()->sha256)->toBe(hash('sha256', $bytes))->and(Upload::query()->count())->toBe(0);
});

it('refuses uploads that cannot be', function (array $given, int $status, string $says) {
    file_put_contents("{$this->shop->folder}/shelf/there.iso", 'x');
    config(['cobblestone.keep_free' => 1 << 55]);
    expect($this->postJson('/shelf/uploads', $given)->assertStatus($status)->json('message'))->toContain($says);
})->with([
    [['name' => 'there.iso', 'bytes' => 5, 'mark' => str_repeat('0', 24)], 422, 'is on the shelf already'], [['name' => '...', 'bytes' => 5, 'mark' => str_repeat('0', 24)], 422, 'needs a name'], [['name' => 'a.iso', 'bytes' => 0, 'mark' => str_repeat('0', 24)], 422, 'The file is empty.'],
    [['name' => 'a.iso', 'bytes' => 200_000_000_000, 'mark' => str_repeat('0', 24)], 422, 'More than 128 GiB'], [['name' => 'a.iso', 'bytes' => 1000, 'mark' => str_repeat('0', 24)], 507, 'Make room first'], [['name' => str_repeat('ü', 130).'.iso', 'bytes' => 5, 'mark' => str_repeat('0', 24)], 422, 'Give it a shorter one'],
]);

it('never lets a name lead out of the folder', function () {
    $begun = $this->postJson('/shelf/uploads', ['name' => '../../public/evil.php', 'bytes' => 3, 'mark' => markOfBytes('abc')])->json();
    $this->call('PUT', "/shelf/uploads/{$begun['id']}?at=0", content: 'abc')->assertOk();
    expect(file_exists("{$this->shop->folder}/shelf/publicevil.php"))->toBeTrue()->and(file_exists("{$this->shop->folder}/public/evil.php"))->toBeFalse();
});

it('forgets an upload that is cancelled', function () {
    $begun = $this->postJson('/shelf/uploads', ['name' => 'a.iso', 'bytes' => 100, 'mark' => str_repeat('0', 24)])->json();
    $this->deleteJson("/shelf/uploads/{$begun['id']}")->assertOk();
    expect(Upload::query()->count())->toBe(0)->and(glob("{$this->shop->folder}/shelf/.arriving/*"))->toBe([]);
});

it('lets viewers look and change nothing', function () {
    onShelf($this->shop, 'plain.iso');
    (new ScanShelf)->handle();
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

it('lets only a lead say what the publisher\'s checksum is, on record with before and after, and conflicts visibly', function () {
    onShelf($this->shop, 'plain.iso');
    (new ScanShelf)->handle();
    $file = ShelfFile::query()->sole();
    $seen = $file->refresh()->version();
    $sum = str_repeat('a', 64);
    $this->post("/shelf/{$file->id}", ['as_seen' => $seen, 'published' => $sum])->assertSessionHasErrors('published');
    $this->actingAs($this->people['lead'])->post("/shelf/{$file->id}", ['as_seen' => $seen, 'published' => $sum, 'line' => 'Orrin'])->assertSessionHasNoErrors();
    $this->post("/shelf/{$file->id}", ['as_seen' => $seen, 'published' => str_repeat('b', 64), 'line' => 'Skerry'])->assertStatus(409)->assertSee('Skerry')->assertSee($sum);
    $this->post("/shelf/{$file->id}", [])->assertStatus(409);
    expect($file->refresh()->published_sha256)->toBe($sum)->and($file->about)->toBe(['line' => 'Orrin']);
    $event = App\Models\BenchEvent::query()->where('kind', 'checksum-changed')->sole();
    expect($event->data['before']['checksum'])->toBeNull()->and($event->data['after']['checksum'])->toBe($sum)->and($event->user_id)->toBe($this->people['lead']->id);
    $this->get("/shelf/{$file->id}")->assertSee('Published checksum of plain.iso changed');
});
