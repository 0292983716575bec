<?php

use App\Devices\Bundle;
use App\Devices\Inspection\Inspection;
use App\Jobs\InspectShelfFile;
use App\Models\ShelfFile;
use Tests\Support\Bombs;
use Tests\Support\Worked;
use Tests\Support\Workshop;

beforeEach(fn () => ($this->shop = new Workshop()));
afterEach(fn () => $this->shop->clear());

it('says why the files of an image cannot be listed, within 20 seconds and its memory, and goes on', function () {
    Bombs::doublingTree($file = "{$this->shop->folder}/shelf/doubling.iso");
    expect(filesize($file))->toBeLessThan(520_000);
    $row = ShelfFile::query()->create([
        'name' => 'doubling.iso',
        'bytes' => filesize($file),
        'changed_at' => filemtime($file),
        'about' => [],
    ]);
    $worked = Worked::calmly(fn () => (new InspectShelfFile($row->id))->handle());
    $report = $row->refresh()->inspected();
    expect($worked)
        ->toBeLessThan(20.0)
        ->and($report->files)
        ->toBeNull()
        ->and(implode(' ', $report->damage))
        ->toContain('cannot be listed: listing what is inside took more than');
    $people = $this->bench();
    $this->actingAs($people['lead'])
        ->get("/shelf/{$row->id}")
        ->assertOk()
        ->assertSee('cannot be listed');
});

/** Looks into a file that expands without end, and holds the look to its time and memory. */
function lookIntoBomb(string $kind, string $file): void
{
    Bombs::zeros($kind, $file);
    $before = memory_get_peak_usage(true);
    $worked = Worked::calmly(function () use ($file, &$report): void {
        $report = Inspection::of($file);
    });
    expect($worked)
        ->toBeLessThan(20.0)
        ->and(memory_get_peak_usage(true) - $before)
        ->toBeLessThan(160_000_000)
        ->and($report->canBeRaw())
        ->toBeFalse();
}

it('looks into the start of a file that expands without end, and no further', function (string $kind, string $name) {
    lookIntoBomb($kind, "{$this->shop->folder}/shelf/{$name}");
})->with([['gzip', 'a.img.gz'], ['zip', 'a.zip']]);

// Each of these takes its tool half a minute to make; what looks into them is the same.
it('looks no further into such files of other tools', function (string $kind, string $name) {
    lookIntoBomb($kind, "{$this->shop->folder}/shelf/{$name}");
})->with([['bzip2', 'a.img.bz2'], ['xz', 'a.img.xz'], ['zstd', 'a.img.zst']])->group('matrix');

it('opens no bundle beyond its limits', function () {
    file_put_contents("{$this->shop->folder}/inside", str_repeat('a', 200_000_000));
    Symfony\Component\Process\Process::fromShellCommandline(
        'tar -C '.
            escapeshellarg($this->shop->folder).
            ' -czf '.
            escapeshellarg("{$this->shop->folder}/b.tar.gz").
            ' inside',
    )->mustRun();
    unlink("{$this->shop->folder}/inside");
    $worked = Worked::calmly(function () use (&$files, &$notes): void {
        [$files, $notes] = Bundle::open("{$this->shop->folder}/b.tar.gz", 'b.tar.gz');
    });
    expect($files)
        ->toBe([])
        ->and($notes)
        ->not->toBe([])
        ->and($worked)
        ->toBeLessThan(5.0);
});
