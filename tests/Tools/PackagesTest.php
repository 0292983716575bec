<?php

use App\Actions\ShelvePackage;
use App\Catalogue\CatalogueFolder;
use App\Catalogue\CatalogueStore;
use App\Devices\StandIn\DemoPackages;
use App\Models\BenchEvent;
use Cobblestone\Catalogue\DriverPackage;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\File;
use Tests\Support\Worked;

beforeEach(function () {
    $this->folder = sys_get_temp_dir().'/packages-'.bin2hex(random_bytes(6));
    mkdir("{$this->folder}/made", 0777, true);
    config(['cobblestone.packages' => "{$this->folder}/shelf"]);
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
});
afterEach(fn () => File::deleteDirectory($this->folder));

/** @param  array<string, string>  $files */
function archived(string $folder, string $name, array $files): UploadedFile
{
    $work = "{$folder}/work-".md5($name);
    foreach ($files as $path => $text) {
        File::ensureDirectoryExists(dirname("{$work}/{$path}"));
        file_put_contents("{$work}/{$path}", $text);
    }
    exec('7zz a -bd '.escapeshellarg("{$folder}/made/{$name}").' '.escapeshellarg("{$work}/."));

    return new UploadedFile("{$folder}/made/{$name}", $name, null, null, true);
}

it('reads what a brought archive claims, keeps it with its checksum, and plans with it', function () {
    $setup = setupFile([
        'Manufacturer' => ['%Quarrel%=M,NTamd64.10.0...7100'],
        'M.NTamd64.10.0...7100' => ['%W2%=I,PCI\VEN_51A2&DEV_0202'],
    ], '12/01/2026, 24.0', 'CatalogFile=w2.cat');
    $inside = ['w2/w2.inf' => $setup, 'w2/w2.cat' => 'x', 'w2/w2.sys' => 'y'];
    $file = archived($this->folder, 'Quarrel W2 24.zip', $inside);
    $sum = hash_file('sha256', $file->getPathname());
    $this->post('/packages', ['package' => $file, 'source' => 'part maker'])->assertRedirect('/packages/quarrel-w2-24');
    $document = app(CatalogueStore::class)->kind('drivers')['quarrel-w2-24'];
    $package = DriverPackage::fromArray($document);
    expect([$package->name, $package->family, $package->version, $package->date, $package->sha256])
        ->toBe(['Quarrel W2 wireless', 'network', '24.0', '2026-12-01', $sum])
        ->and($package->systems)->toBe(['tansy-desktop-6', 'tansy-desktop-7'])
        ->and($package->setupFiles[0]->claims[0]->fromBuild)->toBe(7100)
        ->and(is_file("{$this->folder}/shelf/Quarrel W2 24.zip"))->toBeTrue()
        ->and(BenchEvent::query()->where('kind', 'package-shelved')->count())->toBe(1);
    $this->get('/packages?q=51a2:0202')->assertOk()->assertSee('Quarrel W2 24.zip')->assertDontSee('Fennick A3');
    $this->get('/packages/quarrel-w2-24')->assertOk()->assertSee('pci:51a2:0202')->assertSee('7100');
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->get("/jobs/{$job->id}/drivers")
        ->assertSee('claims pci:51a2:0202, in w2/w2.inf')
        ->assertSee('not Quarrel W2 wireless 22.9: It is of 2026-07-03, and another of');
    $this->get("/jobs/{$job->id}?stone=drivers.fetch")->assertSee(substr($sum, 0, 12));
    // A new catalogue takes nothing off the shelf.
    app(CatalogueStore::class)->replace(CatalogueFolder::read(base_path('catalogue'))->catalogue()->toArray());
    expect(app(CatalogueStore::class)->kind('drivers'))->toHaveKey('quarrel-w2-24');
    $this->post('/packages/quarrel-w2-24/remove')->assertRedirect('/packages');
    expect(app(CatalogueStore::class)->kind('drivers'))->not->toHaveKey('quarrel-w2-24')
        ->and(is_file("{$this->folder}/shelf/Quarrel W2 24.zip"))->toBeFalse();
});

it('says what is wrong with an archive, and keeps nothing of it', function (callable $made, string $words) {
    $before = count(app(CatalogueStore::class)->kind('drivers'));
    $this->from('/packages')
        ->post('/packages', ['package' => $made($this->folder), 'source' => 'a disc'])
        ->assertRedirect('/packages')
        ->assertSessionHasErrors('package');
    expect(session('errors')->first('package'))->toContain($words)
        ->and(app(CatalogueStore::class)->kind('drivers'))->toHaveCount($before)
        ->and(glob("{$this->folder}/shelf/*") ?: [])->toBe([]);
})->with([
    'no archive at all' => [
        fn (string $folder) => UploadedFile::fake()->createWithContent('w2.zip', 'words'),
        'it is no archive, whatever its name says',
    ],
    'cut in the middle' => [function (string $folder) {
        $whole = archived($folder, 'cut.zip', ['a.inf' => str_repeat('[x]', 9000), 'b.sys' => random_bytes(90_000)]);
        file_put_contents($whole->getPathname(), substr((string) $whole->getContent(), 0, 60_000));

        return new UploadedFile($whole->getPathname(), 'cut.zip', null, null, true);
    }, 'was not taken'],
    'nothing that claims' => [
        fn (string $folder) => archived($folder, 'none.7z', ['read me.txt' => 'x']),
        'no setup-information file is in it',
    ],
    'a setup file without claims' => [
        fn (string $folder) => archived($folder, 'none.zip', ['a.inf' => '[Version]']),
        'a.inf, line 1: there is no section [Manufacturer]',
    ],
    'another ending' => [
        fn (string $folder) => UploadedFile::fake()->createWithContent('w2.rar', 'x'),
        'no archive that drivers come in',
    ],
    'a name of nothing' => [
        fn (string $folder) => UploadedFile::fake()->createWithContent('...', 'x'),
        'its name is empty',
    ],
]);

it('takes no name twice, no path out of its folder, and no link', function () {
    $setup = setupFile(['Manufacturer' => ['%Quarrel%=M'], 'M' => ['%W2%=I,*FNCK0704']]);
    $once = archived($this->folder, 'once.zip', ['a.inf' => $setup]);
    $bytes = (string) $once->getContent();
    $this->post('/packages', ['package' => $once, 'source' => 'x'])->assertRedirect('/packages/once');
    $again = UploadedFile::fake()->createWithContent('once.zip', $bytes);
    $this->post('/packages', ['package' => $again, 'source' => 'x']);
    expect(session('errors')->first('package'))->toContain('on the shelf already');
    $hostile = UploadedFile::fake()->createWithContent('../../up<b>.zip', $bytes);
    $this->post('/packages', ['package' => $hostile, 'source' => '<i>x</i>'])->assertSessionHasNoErrors();
    expect(glob("{$this->folder}/*.zip"))->toBe([])->and(glob("{$this->folder}/shelf/*"))->toHaveCount(2);
    $this->get('/packages')->assertOk()->assertDontSee('up<b>', false);
    mkdir("{$this->folder}/linked");
    symlink('/etc/passwd', "{$this->folder}/linked/a.inf");
    exec('cd '.escapeshellarg("{$this->folder}/linked").' && 7zz a -bd -snl ../made/linked.zip a.inf');
    $linked = new UploadedFile("{$this->folder}/made/linked.zip", 'linked.zip', null, null, true);
    $this->post('/packages', ['package' => $linked, 'source' => 'x'])->assertSessionHasErrors('package');
});

it('is brought by who works and taken away by the lead', function () {
    $this->actingAs($this->people['viewer'])->post('/packages', [])->assertForbidden();
    $this->get('/packages')->assertOk()->assertDontSee('Bring a package');
    $this->actingAs($this->people['evening'])->post('/packages', [])->assertSessionHasErrors(['package', 'source']);
    $this->post('/packages/fennick-a1-sound/remove')->assertForbidden();
    $this->actingAs($this->people['lead'])->post('/packages/fennick-a1-sound/remove')->assertNotFound();
});

it('reads every package of the demo world, each for what it is there to show', function () {
    $shelve = app(ShelvePackage::class);
    $packages = [];
    foreach (DemoPackages::make("{$this->folder}/made") as $path => $said) {
        [$package, $faults] = $shelve->handle($path, basename($path), 'demo', null, $said);
        expect($faults)->toBe([]);
        $packages[$package->id] = $package;
    }
    $several = array_filter($packages, static fn (DriverPackage $of): bool => count($of->setupFiles) > 1);
    $unsigned = array_filter($packages, static fn (DriverPackage $of): bool => ! $of->setupFiles[0]->signed);
    $locked = array_filter($packages, static fn (DriverPackage $of): bool => $of->models !== []);
    expect(count($packages))->toBeGreaterThanOrEqual(8)
        ->and($several)->toHaveCount(2)
        ->and(array_keys($unsigned))->toBe(['fennick-g7-unsigned'])
        ->and(array_keys($locked))->toBe(['norrel-v5-graphics'])
        ->and($packages['ostler-c8-next']->setupFiles[0]->claims[0]->fromBuild)->toBe(8000);
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->get("/jobs/{$job->id}/drivers")
        ->assertSee('not Ostler C8 chipset 5.0: It is for builds from 8000 on, and the system is build 7200.')
        ->assertSee('not Quarrel W2 wireless 21.0: It is of 2025-02-11, and another of 2026-09-21.');
});

it('reads the claims of a package of sixty megabytes in three seconds', function () {
    $setup = setupFile(['Manufacturer' => ['%Quarrel%=M'], 'M' => ['%W2%=I,*FNCK0704']]);
    $file = archived($this->folder, 'large.zip', ['a/a.inf' => $setup, 'a/b.bin' => random_bytes(60_000_000)]);
    $worked = Worked::calmly(function () use ($file, &$package): void {
        [$package] = app(ShelvePackage::class)->handle($file->getPathname(), 'large.zip', 'x', null);
    });
    expect($worked)->toBeLessThan(3.0)->and($package->claims)->toBe(['acpi:fnck0704']);
});
