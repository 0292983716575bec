<?php

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

function markOfBytes(string $bytes): string
{
    $length = min(1_048_576, strlen($bytes));

    return implode(
        '',
        array_map(
            fn (int $at): string => hash('crc32b', substr($bytes, $at, $length)),
            [0, intdiv(strlen($bytes) - $length, 2), strlen($bytes) - $length],
        ),
    );
}

it('goes on only with the same file, reserves room, and forgets what nobody went on with', function () {
    [$one, $other] = [str_repeat('a', 3_000_000), str_repeat('a', 1_500_000).'b'.str_repeat('a', 1_499_999)];
    $begin = fn (string $bytes, string $name = 'x.iso') => $this->postJson('/shelf/uploads', [
        'name' => $name,
        'bytes' => strlen($bytes),
        'mark' => markOfBytes($bytes),
    ]);
    $first = $begin($one)->assertOk()->json();
    $this->call('PUT', "/shelf/uploads/{$first['id']}?at=0", content: substr($one, 0, 1_000_000))->assertOk();
    expect($begin($other)->json('id'))->not->toBe($first['id'])
        ->and($begin($one)->json())->toMatchArray(['id' => $first['id'], 'received' => 1_000_000]);
    $this->call('PUT', "/shelf/uploads/{$first['id']}?at=1000000", content: substr($other, 1_000_000))
        ->assertStatus(409);
    expect(is_file(config('cobblestone.shelf').'/x.iso'))->toBeFalse()->and(Upload::promised())->toBe(3_000_000);
    config(['cobblestone.keep_free' => (int) disk_free_space(config('cobblestone.shelf')) - 5_000_000]);
    expect($begin(str_repeat('c', 3_000_000), 'y.iso')->assertStatus(507)->json('message'))
        ->toContain('promised to uploads under way');
    $this->travel(Upload::HOURS + 1)->hours();
    Upload::forgetOld();
    expect(Upload::query()->count())->toBe(0)->and(glob(config('cobblestone.shelf').'/.arriving/*'))->toBe([]);
});

it('takes a file in pieces, goes on where it broke off, and refuses pieces that do not fit', function () {
    $bytes = Images::bytes('plain.iso');
    $begun = $this->postJson('/shelf/uploads', [
        'name' => 'come.iso',
        'bytes' => strlen($bytes),
        'mark' => markOfBytes($bytes),
    ])
        ->assertOk()
        ->json();
    expect($begun['received'])->toBe(0);
    $put = fn (int $at, string $piece) => $this->call(
        'PUT',
        "/shelf/uploads/{$begun['id']}?at={$at}",
        server: ['HTTP_ACCEPT' => 'application/json'],
        content: $piece,
    );
    $put(0, substr($bytes, 0, 200_000))->assertOk()->assertJson(['received' => 200_000]);
    $put(0, 'again')->assertStatus(409)->assertJson(['received' => 200_000]);
    $put(250_000, 'beyond')->assertStatus(409);
    $put(200_000, $bytes)->assertStatus(409);
    $put(200_000, '')->assertStatus(409);
    expect(
        $this->postJson('/shelf/uploads', [
            'name' => 'come.iso',
            'bytes' => strlen($bytes),
            'mark' => markOfBytes($bytes),
        ])
            ->json(),
    )
        ->toMatchArray(['id' => $begun['id'], 'received' => 200_000]);
    $this->actingAs($this->people['lead'])
        ->call('PUT', "/shelf/uploads/{$begun['id']}?at=200000", content: 'x')
        ->assertNotFound();
    $this->actingAs($this->people['evening']);
    $put(200_000, substr($bytes, 200_000))->assertOk()->assertJson(['done' => true]);
    expect(file_get_contents("{$this->shop->folder}/shelf/come.iso"))->toBe($bytes)
        ->and(ShelfFile::query()->sole()->sha256)->toBe(hash('sha256', $bytes))
        ->and(Upload::query()->count())->toBe(0);
});

it('refuses uploads that cannot be', function (array $given, int $status, string $says) {
    file_put_contents("{$this->shop->folder}/shelf/there.iso", 'x');
    config(['cobblestone.keep_free' => 1 << 55]);
    expect($this->postJson('/shelf/uploads', $given)->assertStatus($status)->json('message'))->toContain($says);
})->with([
    [['name' => 'there.iso', 'bytes' => 5, 'mark' => str_repeat('0', 24)], 422, 'is on the shelf already'],
    [['name' => '...', 'bytes' => 5, 'mark' => str_repeat('0', 24)], 422, 'needs a name'],
    [['name' => 'a.iso', 'bytes' => 0, 'mark' => str_repeat('0', 24)], 422, 'The file is empty.'],
    [['name' => 'a.iso', 'bytes' => 200_000_000_000, 'mark' => str_repeat('0', 24)], 422, 'More than 128 GiB'],
    [['name' => 'a.iso', 'bytes' => 1000, 'mark' => str_repeat('0', 24)], 507, 'Make room first'],
    [
        ['name' => str_repeat('ü', 130).'.iso', 'bytes' => 5, 'mark' => str_repeat('0', 24)],
        422,
        'Give it a shorter one',
    ],
]);

it('never lets a name lead out of the folder', function () {
    $begun = $this->postJson('/shelf/uploads', [
        'name' => '../../public/evil.php',
        'bytes' => 3,
        'mark' => markOfBytes('abc'),
    ])
        ->json();
    $this->call('PUT', "/shelf/uploads/{$begun['id']}?at=0", content: 'abc')->assertOk();
    expect(file_exists("{$this->shop->folder}/shelf/publicevil.php"))->toBeTrue()
        ->and(file_exists("{$this->shop->folder}/public/evil.php"))->toBeFalse();
});

it('forgets an upload that is cancelled', function () {
    $begun = $this->postJson('/shelf/uploads', ['name' => 'a.iso', 'bytes' => 100, 'mark' => str_repeat('0', 24)])
        ->json();
    $this->deleteJson("/shelf/uploads/{$begun['id']}")->assertOk();
    expect(Upload::query()->count())->toBe(0)->and(glob("{$this->shop->folder}/shelf/.arriving/*"))->toBe([]);
});
