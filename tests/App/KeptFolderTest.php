<?php

use App\Catalogue\CatalogueFolder;
use App\Catalogue\KeptFolder;
use Illuminate\Support\Facades\File;

beforeEach(function () {
    $this->folder = sys_get_temp_dir().'/kept-'.bin2hex(random_bytes(5));
    File::makeDirectory("{$this->folder}/kept", recursive: true);
    File::copyDirectory(base_path('catalogue'), "{$this->folder}/catalogue");
    config(['cobblestone.catalogue' => "{$this->folder}/catalogue", 'cobblestone.kept' => "{$this->folder}/kept"]);
    $this->read = fn (): CatalogueFolder => CatalogueFolder::read("{$this->folder}/catalogue/");
    $this->kept = fn (): array => glob("{$this->folder}/kept/*") ?: [];
    $this->stick = "{$this->folder}/catalogue/sticks/tern-64.yaml";
});

afterEach(fn () => File::deleteDirectory($this->folder));

it('keeps what the shop\'s folder says, and reads it again where a byte is another', function () {
    $first = ($this->read)()->entries();
    $kept = ($this->kept)();
    expect($kept)->toHaveCount(1)
        ->and(($this->read)()->entries())->toEqual($first)
        ->and(($this->kept)())->toBe($kept);
    // Of the same length, within the same second.
    file_put_contents($this->stick, str_replace('Tern 64', 'Gull 65', (string) file_get_contents($this->stick)));
    expect(($this->read)()->entries()['sticks']['tern-64']['name'])->toBe('Gull 65')
        ->and(($this->kept)())->toHaveCount(1)->not->toBe($kept);
    // What is kept is what is read: nothing looks into the folder again.
    $file = ($this->kept)()[0];
    file_put_contents($file, serialize(['sticks' => ['x' => ['id' => 'x']]]));
    expect(($this->read)()->entries())->toBe(['sticks' => ['x' => ['id' => 'x']]])
        ->and(CatalogueFolder::readAnew("{$this->folder}/catalogue")->entries())->toHaveKey('machines');
});

it('keeps nothing that has a fault, of another folder, or where it may not', function () {
    copy($this->stick, "{$this->folder}/catalogue/sticks/other.yaml");
    expect(($this->read)()->faults())->toHaveCount(1)->and(($this->kept)())->toBe([]);
    unlink("{$this->folder}/catalogue/sticks/other.yaml");
    CatalogueFolder::read(base_path('catalogue'));
    expect(($this->kept)())->toBe([])->and(KeptFolder::isKept(base_path('catalogue')))->toBeFalse();
    config(['cobblestone.kept' => "{$this->folder}/nowhere"]);
    expect(($this->read)()->faults())->toBe([])->and(($this->read)()->entries())->toHaveKey('machines');
});

it('reads the folder where what was kept is no list of entries', function (string $text) {
    ($this->read)();
    file_put_contents(($this->kept)()[0], $text);
    expect(($this->read)()->entries())->toHaveKey('machines');
})->with(['', 'a:1:{', 'i:7;', 'O:8:"stdClass":0:{}']);
