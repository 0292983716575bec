<?php

use App\Catalogue\CatalogueFolder;
use App\Catalogue\CatalogueStore;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\File;

beforeEach(function () {
    $this->folder = sys_get_temp_dir().'/cobble-aliases-'.bin2hex(random_bytes(4));
    File::copyDirectory(base_path('catalogue'), "{$this->folder}/catalogue");
    File::ensureDirectoryExists("{$this->folder}/catalogue/aliases");
    $this->give = fn (string $name, string $text) => file_put_contents(
        "{$this->folder}/catalogue/aliases/{$name}.alias",
        $text,
    );
});
afterEach(fn () => File::deleteDirectory($this->folder));

/** A list as long as that of a real system: everything of one maker's devices, and what no device is named by. */
function longList(): string
{
    $lines = ['# Aliases extracted from modules themselves.', 'alias of:N*T*Cfennick,old fennick_of', ''];
    for ($i = 0; $i < 20_000; $i++) {
        $lines[] = sprintf('alias pci:v000077%02Xd0000%04Xsv*sd*bc*sc*i* mod%d', $i % 200, $i, $i % 90);
    }

    return implode("\r\n", $lines)."\n";
}

it('answers about one device by the list that lies beside the system', function () {
    ($this->give)('skerry-rolling', longList());
    file_put_contents(
        "{$this->folder}/devices.csv",
        "Name,Hardware IDs\nA,PCI\\VEN_7705&DEV_0005\nB,PCI\\VEN_7705&DEV_0006\n",
    );
    File::ensureDirectoryExists("{$this->folder}/shelf");
    $status = Artisan::call('cobblestone:drivers', [
        'what' => 'match', '--devices' => "{$this->folder}/devices.csv", '--shelf' => "{$this->folder}/shelf",
        '--system' => 'skerry-rolling', '--catalogue' => "{$this->folder}/catalogue", '--json' => true,
    ]);
    $said = json_decode(Artisan::output(), true);
    expect($status)->toBe(0)->and(array_column($said['devices'], 'brings', 'name'))->toBe(['A' => true, 'B' => false]);
});

it('names the file, the line and what is wrong with it', function (string $name, string $text, string $fault) {
    ($this->give)($name, $text);
    expect(implode(' ', CatalogueFolder::read("{$this->folder}/catalogue")->faults()))->toContain($fault);
})->with([
    'no system' => ['heron', 'alias pci:v* x', 'aliases/heron.alias: there is no system "heron"'],
    'no pattern' => ['skerry-rolling', "# x\nalias pci:v* x\n<b>hello</b> there", 'line 3: "<b>hello</b> there" is no'],
    'signs that are no text' => ['skerry-rolling', "\xFF\x00\x07", 'line 1: '],
    'a line without end' => ['skerry-rolling', 'pci:'.str_repeat('v', 5000), 'line 1: "pci:vvvv'],
]);

it('hands a long list on as a file, and takes it back as it was', function () {
    ($this->give)('skerry-rolling', longList());
    $this->bench();
    $store = app(CatalogueStore::class);
    $store->replace(CatalogueFolder::read("{$this->folder}/catalogue")->catalogue()->toArray());
    $brings = $store->catalogue()->system('skerry-rolling')->brings->toArray();
    $own = CatalogueFolder::read(base_path('catalogue'))->catalogue()->system('skerry-rolling')->brings->toArray();
    expect(count($brings))->toBe(20_000 + count($own))->and(implode(' ', $brings))->not->toContain('of:N*');

    $store->export("{$this->folder}/out");
    expect(filesize("{$this->folder}/out/systems/skerry-rolling.yaml"))->toBeLessThan(30_000)
        ->and(is_file("{$this->folder}/out/aliases/tansy-desktop-7.alias"))->toBeFalse();
    $again = CatalogueFolder::read("{$this->folder}/out");
    expect($again->faults())->toBe([])
        ->and($again->catalogue()->system('skerry-rolling')->brings->toArray())->toBe($brings);
});
