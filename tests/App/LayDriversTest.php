<?php

use App\Actions\ShelvePackage;
use App\Catalogue\CatalogueFolder;
use App\Catalogue\CatalogueStore;
use App\Devices\DriverFolders;
use App\Jobs\LayDrivers;
use App\Jobs\LayingStopped;
use App\Jobs\UnpackDrivers;
use App\Models\CatalogueEntry;
use App\Models\DriverLaying;
use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    config([
        'cobblestone.packages' => "{$this->shop->folder}/packages",
        'cobblestone.drivers' => "{$this->shop->folder}/drv",
    ]);
    File::ensureDirectoryExists("{$this->shop->folder}/drv");
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
    // A wireless package as a real archive, newer than the manifest of the demo world.
    File::ensureDirectoryExists($this->made = "{$this->shop->folder}/made/W2");
    file_put_contents("{$this->made}/w2.inf", implode("\r\n", [
        '[Version]', 'Signature = "$Quillport$"', 'Class = Net', 'Provider = Quarrel', 'DriverVer = 11/20/2026,9.1.0.0',
        'CatalogFile = w2.cat', '[Manufacturer]', 'Quarrel = Quarrel, NTamd64', '[Quarrel.NTamd64]',
        '"Quarrel W2 wireless" = Install, PCI\VEN_51A2&DEV_0202', '',
    ]));
    file_put_contents("{$this->made}/w2.cat", 'seal');
    file_put_contents("{$this->made}/w2.sys", str_repeat('x', 5000));
    $zip = "{$this->shop->folder}/w2-new.zip";
    (new Process(['zip', '-qr', $zip, 'W2'], "{$this->shop->folder}/made"))->mustRun();
    $this->package = app(ShelvePackage::class)->handle($zip, 'w2-new.zip', 'its maker', null)[0];
    $this->job = $this->jobFrom('fairlead-13', $this->people['lead']);
});
afterEach(fn () => $this->shop->clear());

it('unpacks what travels on the stick into a folder that its build can take along', function () {
    expect(array_map(fn ($one) => $one->id, app(LayDrivers::class)->carried($this->job)))->toBe([$this->package->id]);
    $this->get("/jobs/{$this->job->id}/drivers")->assertOk()->assertSee('For the stick:');
    $this->post("/jobs/{$this->job->id}/drivers/lay")->assertSessionHasNoErrors();
    $folder = DriverFolders::ofJob($this->job->id);
    expect(DriverFolders::names())->toBe([$folder])
        ->and(filesize(DriverFolders::path($folder)."/{$this->package->id}/W2/w2.sys"))->toBe(5000);
    $this->get("/jobs/{$this->job->id}/drivers")->assertSee('choose it where the stick is made');
});

it('does it again without leaving anything of before', function () {
    app(LayDrivers::class)->handle($this->job);
    $folder = DriverFolders::path(DriverFolders::ofJob($this->job->id));
    file_put_contents("{$folder}/old", 'x');
    expect(app(LayDrivers::class)->handle($this->job))->toMatchArray(['files' => 3, 'missing' => []])
        ->and(is_file("{$folder}/old"))->toBeFalse()
        ->and(array_values(array_diff(scandir(dirname($folder)), ['.', '..'])))->toBe([basename($folder)]);
});

it('takes nothing that is not what was shelved, and leaves what lies there', function () {
    app(LayDrivers::class)->handle($this->job);
    file_put_contents("{$this->shop->folder}/packages/w2-new.zip", 'changed');
    $this->post("/jobs/{$this->job->id}/drivers/lay")->assertSessionHasNoErrors();
    $this->get("/jobs/{$this->job->id}/drivers")->assertSee('Nothing was changed.')->assertSee('its checksum differs');
    expect(is_dir((string) DriverFolders::path(DriverFolders::ofJob($this->job->id))))->toBeTrue();
});

it('offers nothing to unpack where none of them is an archive', function () {
    CatalogueEntry::query()->where('kind', 'drivers')->where('slug', $this->package->id)->delete();
    $demo = CatalogueFolder::read(base_path('catalogue'))->catalogue()->toArray();
    app(CatalogueStore::class)->replace($demo);
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    expect(array_map(fn ($one) => $one->id, app(LayDrivers::class)->carried($job)))->toBe(['quarrel-w2-wireless']);
    $this->get("/jobs/{$job->id}/drivers")->assertSee('by hand')->assertDontSee('Unpack them');
});

it('says which are no archives here', function () {
    unlink("{$this->shop->folder}/packages/w2-new.zip");
    expect(app(LayDrivers::class)->handle($this->job))->toMatchArray([
        'files' => 0, 'missing' => [$this->package->title()],
    ])->and(DriverFolders::names())->toBe([]);
});

it('tells how far it is, and leaves nothing of its own where it is stopped', function () {
    $told = [];
    $lay = function (int $stopAt) use (&$told): void {
        app(LayDrivers::class)->handle(
            $this->job,
            function (string $package, int $done, int $all) use (&$told, $stopAt): void {
                $told[] = [$package, $done, $all];
                count($told) < $stopAt || throw new LayingStopped;
            },
        );
    };
    $lay(1000);
    $all = end($told)[1];
    expect($told[0])->toBe([$this->package->title(), 0, 0])
        ->and(array_column($told, 0))->toContain($this->package->title())
        ->and($all)->toBeGreaterThan(5000)
        ->and(end($told))->toBe(['', $all, $all]);
    $folder = DriverFolders::path(DriverFolders::ofJob($this->job->id));
    file_put_contents("{$folder}/of-before", 'x');
    $told = [];
    expect(fn () => $lay(2))->toThrow(LayingStopped::class)
        ->and(is_file("{$folder}/of-before"))->toBeTrue()
        ->and(array_values(array_diff(scandir(dirname($folder)), ['.', '..'])))->toBe([basename($folder)]);
});

it('shows what is under way, stops it, and begins again after a worker that died', function () {
    $laying = DriverLaying::ask($this->job, $this->people['lead']);
    $page = fn () => $this->get("/jobs/{$this->job->id}/drivers");
    $page()->assertSee('Waits for its turn')->assertSee('every 1s');
    expect($laying->begin())->toBeTrue()->and($laying->tell('Quarrel W2', 400_000, 1_000_000))->toBeTrue();
    $page()->assertSee('Quarrel W2: 400')->assertSee('value="400"', false);
    $this->post("/jobs/{$this->job->id}/drivers/lay/stop");
    expect($laying->tell('Quarrel W2', 500, 1000))->toBeFalse();
    $page()->assertSee('Stopped:')->assertDontSee('every 1s');
    // Stopped while it stood in the queue: whoever takes it out of there does nothing.
    $laying->done(['files' => 1, 'bytes' => 1, 'missing' => []]);
    UnpackDrivers::dispatch($this->job->id);
    expect($laying->refresh()->state)->toBe('stopped');

    $laying->update(['state' => 'running', 'updated_at' => now()]);
    $page()->assertSee('every 1s');
    $this->travel(31)->seconds();
    $lease = $laying->lease();
    $page()->assertSee('every 1s');
    fclose($lease);
    $page()->assertSee('broke off');
    $this->post("/jobs/{$this->job->id}/drivers/lay");
    $page()->assertSee('choose it where the stick is made');
});

it('is for those who work here', function () {
    $this->actingAs($this->people['viewer']);
    $this->post("/jobs/{$this->job->id}/drivers/lay")->assertForbidden();
    $this->post("/jobs/{$this->job->id}/drivers/lay/stop")->assertForbidden();
    expect(DriverLaying::query()->count())->toBe(0);
});
