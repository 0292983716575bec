<?php

use App\Catalogue\CompiledCatalogue;
use App\Models\CatalogueEntry;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->bench();
    $this->folder = sys_get_temp_dir().'/compiled-'.bin2hex(random_bytes(4));
    mkdir($this->folder);
});

afterEach(function () {
    array_map(unlink(...), glob("{$this->folder}/*") ?: []);
    rmdir($this->folder);
});

it('is read from its table once, and then from a file', function () {
    $first = (new CompiledCatalogue($this->folder))->documents();
    expect(glob("{$this->folder}/*"))->toHaveCount(1)->and($first['machines'])->toHaveKey('norrel-fairlead-13');
    DB::enableQueryLog();
    expect((new CompiledCatalogue($this->folder))->documents())->toBe($first)->and(DB::getQueryLog())->toHaveCount(1);
});

it('sees every change, whoever made it, and keeps one file', function () {
    $store = new CompiledCatalogue($this->folder);
    $store->documents();
    $entry = CatalogueEntry::query()->where('slug', 'norrel-fairlead-13')->sole();
    $entry->update(['document' => [...$entry->document, 'cores' => 99]]);
    expect($store->documents()['machines']['norrel-fairlead-13']['cores'])->toBe(99);
    DB::table('catalogue_entries')->where('slug', 'norrel-fairlead-13')->delete();
    expect($store->documents()['machines'])->not->toHaveKey('norrel-fairlead-13')
        ->and((new CompiledCatalogue($this->folder))->documents()['machines'])->not->toHaveKey('norrel-fairlead-13')
        ->and(glob("{$this->folder}/*"))->toHaveCount(1);
});

it('is read from its table where no file can be written', function () {
    expect((new CompiledCatalogue('/proc/no-such-place'))->documents())
        ->toEqual((new CompiledCatalogue(''))->documents())
        ->and((new CompiledCatalogue(''))->documents()['systems'])->not->toBe([]);
});
