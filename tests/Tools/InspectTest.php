<?php

use App\Devices\Inspection\FileSource;
use App\Devices\Inspection\FileTools;
use App\Devices\Inspection\Inspection;
use App\Devices\Inspection\SevenZipTree;
use Cobblestone\Media\Inspection\ImageInspector;
use Cobblestone\Media\Inspection\PeImage;
use Cobblestone\Media\Inspection\Signers;
use Tests\Support\Images;
use Tests\Support\Worked;
use Tests\Support\Workshop;

beforeEach(fn () => $this->shop = new Workshop);

afterEach(fn () => $this->shop->clear());

it('finds the same start images as xorriso reports', function (string $image) {
    $path = $this->shop->image($image);
    preg_match_all(
        '/^El Torito boot img : +\d+ +(BIOS|UEFI) +y +none +\S+ +\S+ +\d+ +(\d+)$/m',
        Workshop::says('xorriso', '-indev', $path, '-report_el_torito', 'plain'),
        $found,
    );
    expect(array_map(fn ($entry) => [$entry['platform'], $entry['at']], Inspection::of($path)->startImages))
        ->toBe(array_map(fn ($platform, $block) => [$platform, (int) $block * 2048], $found[1], $found[2]));
})->with(['plain.iso', 'both.iso', 'hybrid-gpt.iso', 'hybrid-mbr.iso', 'udf.iso']);

it('finds the same files as 7-Zip and xorriso', function (string $image) {
    $path = $this->shop->image($image);
    Workshop::says('xorriso', '-osirrox', 'on', '-indev', $path, '-extract', '/', "{$this->shop->folder}/out");
    $bytes = $count = 0;
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
            "{$this->shop->folder}/out",
            FilesystemIterator::SKIP_DOTS,
        )) as $file
    ) {
        $count += $file->isFile() ? 1 : 0;
        $bytes += $file->isFile() ? $file->getSize() : 0;
    }
    $report = Inspection::of($path);
    // 7-Zip lists the start images of the boot catalogue among the files, in a folder [BOOT].
    $extra = array_filter(
        iterator_to_array((new SevenZipTree($path, 'iso'))->entries()),
        fn ($entry) => str_starts_with($entry['path'], '[BOOT]') && ! $entry['directory'],
    );
    expect($report->files['count'] - count($extra))->toBe($count)
        ->and($report->files['bytes'] - array_sum(array_column($extra, 'bytes')))->toBe($bytes);
})->with(['plain.iso', 'hybrid-mbr.iso']);

it('agrees with sfdisk and sgdisk on tables, whole and damaged', function () {
    $disk = "{$this->shop->folder}/disk.img";
    Workshop::says('truncate', '-s', '64M', $disk);
    Workshop::says(
        'sgdisk',
        '-n',
        '1:2048:+8M',
        '-t',
        '1:ef00',
        '-n',
        '5:40000:50000',
        '-t',
        '5:0700',
        '-c',
        '5:five',
        $disk,
    );
    $ours = fn () => array_map(
        fn ($p) => [$p->number, $p->first, $p->sectors, $p->type],
        Inspection::of($disk)->table->partitions,
    );
    $theirs = fn () => array_map(
        fn ($p) => [(int) substr(strrchr($p['node'], 'g'), 1), $p['start'], $p['size'], strtoupper($p['type'])],
        json_decode(Workshop::says('sfdisk', '--json', $disk), true)['partitiontable']['partitions'],
    );
    $whole = $theirs();
    expect($ours())->toBe($whole);
    $handle = fopen($disk, 'r+');
    fseek($handle, 512 + 40);
    fwrite($handle, 'XXXX');
    fclose($handle);
    expect($ours())->toBe($theirs())->toBe($whole)
        ->and(Inspection::of($disk)->damage[0])->toContain('The GPT at the start is damaged');
    Workshop::says('truncate', '-s', '40M', $disk);
    expect(Inspection::of($disk)->damage[0])->toContain('neither copy is whole');
});

it('judges signatures as sbverify does', function () {
    copy(signerFile('platform'), "{$this->shop->folder}/signers/platform.pem");
    file_put_contents("{$this->shop->folder}/signers/revoked.txt", "# none\n");
    $make = fn (string $name, array $files) => optical($this->shop, $name, ['-J', '-R'], $files);
    $first = Images::bytes('first-signed.efi');
    $trust = fn (string $path, ?string $next = null) => Inspection::of($path, $next)->loaders[0]['trust'];
    expect($trust($make('a.iso', ['EFI/BOOT/BOOTX64.EFI' => Images::bytes('signed.efi')])))->toBe('trusted')
        ->and($trust($make('b.iso', ['EFI/BOOT/BOOTX64.EFI' => Images::bytes('next-stranger.efi')])))
        ->toBe('signer-not-enrolled')
        ->and($trust($make('c.iso', ['EFI/BOOT/BOOTX64.EFI' => Images::bytes('plain.efi')])))->toBe('unsigned')
        ->and($trust($make('d.iso', [
            'EFI/BOOT/BOOTX64.EFI' => substr_replace(Images::bytes('signed.efi'), 'X', 1100, 1),
        ])))
        ->toBe('altered')
        ->and($trust(
            $chain = $make('e.iso', [
                'EFI/BOOT/BOOTX64.EFI' => $first,
                'EFI/BOOT/NEXT.EFI' => Images::bytes('next-vendor.efi'),
            ]),
            'EFI/BOOT/NEXT.EFI',
        ))
        ->toBe('trusted')
        ->and($trust(
            $make('f.iso', [
                'EFI/BOOT/BOOTX64.EFI' => $first,
                'EFI/BOOT/NEXT.EFI' => Images::bytes('next-stranger.efi'),
            ]),
            'EFI/BOOT/NEXT.EFI',
        ))
        ->toBe('next-stage')
        ->and($trust($chain, 'EFI/BOOT/MISSING.EFI'))->toBe('next-stage')
        ->and(Inspection::of($chain)->loaders[0]['signers'])->toBe(['/O=Quillport/CN=platform signer']);
    file_put_contents(
        "{$this->shop->folder}/signers/revoked.txt",
        PeImage::read(Images::bytes('signed.efi'))->digest()."\n",
    );
    expect($trust("{$this->shop->folder}/shelf/a.iso"))->toBe('revoked');
    unlink("{$this->shop->folder}/signers/revoked.txt");
    expect($trust("{$this->shop->folder}/shelf/a.iso"))->toBe('cannot-tell');
});

function signerFile(string $name): string
{
    return Tests\Support\Demo::root()."/tests/fixtures/images/{$name}.pem";
}

it('takes the UDF tree of an image whose ISO 9660 tree says little', function () {
    $path = optical(
        $this->shop,
        'udf.iso',
        ['-udf', '-J', '-V', 'TANSY 7'],
        [
            'EFI/BOOT/BOOTX64.EFI' => Images::bytes('signed.efi'),
            'payload/a rather long name of a file.img' => str_repeat('x', 90_000),
        ],
        'genisoimage',
    );
    $report = Inspection::of($path);
    expect($report->optical)->toMatchArray(['udf' => true, 'iso9660' => true])
        ->and($report->files['largest']['path'])->toBe('payload/a rather long name of a file.img')
        ->and($report->starts('copied'))->toBe('Starts by UEFI on x86-64.');
});

it('keeps names that try to be something else as text', function () {
    $path = optical($this->shop, 'names.iso', ['-R'], [
        "line\nSize = 99999999999\nPath = forged.img" => 'x',
        '<script>alert(1)</script>'.str_repeat('y', 20) => str_repeat('z', 5000),
        "esc\033[31mred" => 'a',
    ]);
    $report = Inspection::of($path);
    expect($report->files['largest'])->toBe([
        'path' => '<script>alert(1)</script>'.str_repeat('y', 20),
        'bytes' => 5000,
    ])
        ->and($report->files['bytes'])->toBe(5002);
    $this->artisan('cobblestone:inspect', ['file' => $path])->assertExitCode(0);
    expect(Artisan::output())->not->toContain("\033[31m");
});

it('never follows a link out of an image', function () {
    $tree = "{$this->shop->folder}/tree";
    mkdir("{$tree}/EFI/BOOT", recursive: true);
    file_put_contents("{$tree}/EFI/BOOT/BOOTX64.EFI", Images::bytes('signed.efi'));
    symlink('/etc/hostname', "{$tree}/secret");
    symlink('EFI', "{$tree}/same");
    $image = "{$this->shop->folder}/shelf/links.iso";
    Workshop::says('xorriso', '-as', 'mkisofs', '-quiet', '-R', '-o', $image, $tree);
    expect(Inspection::of($image))->notes->toBe([
        '2 links are left out when files are copied: FAT has none.',
    ])->files->toMatchArray(['count' => 1]);
    $stick = $this->shop->stick();
    $plan = $this->shop->plan($image, $stick);
    expect(array_map(fn ($file) => $file->path, $plan->files))->toBe(['EFI/BOOT/BOOTX64.EFI']);
    expect(count($this->shop->build($plan, $stick, $image)->sums))->toBe(1);
    // Even a plan that names the link gets nothing of this computer.
    $forged = Cobblestone\Media\Build\StickPlan::fromArray([
        ...$plan->toArray(),
        'files' => [
            [
                'path' => 'secret',
                'bytes' => filesize('/etc/hostname'),
                'source' => 'secret',
                'at' => 0,
                'from' => 'image',
                'of' => filesize('/etc/hostname'),
            ],
        ],
    ]);
    expect($this->shop->failure($forged, $stick, $image)->kind)->toBe('source');
});

it('ends on folders that hold themselves', function () {
    $path = optical($this->shop, 'loop.iso', [], ['A/B/C.TXT' => 'x']);
    $bytes = (string) file_get_contents($path);
    $root = substr($bytes, 16 * 2048 + 158, 4);
    // The record of folder B leads back to the root.
    $record = strrpos($bytes, "\x01B") - 32;
    $bytes = substr_replace($bytes, $root.strrev($root), $record + 2, 8);
    file_put_contents($path, $bytes);
    $worked = Worked::calmly(function () use ($path, &$report): void {
        $report = Inspection::of($path);
    });
    expect($worked)->toBeLessThan(20)->and($report->kind)->toBe('optical');
});

it('is not drawn out by files that expand without end', function (string $kind) {
    $path = "{$this->shop->folder}/shelf/bomb";
    Workshop::says('bash', '-c', 'head -c 600000000 /dev/zero | '.$kind.' > "$0"', $path);
    // What the inspection itself takes: the tests before it have left some in this process.
    gc_collect_cycles();
    $held = memory_get_usage();
    memory_reset_peak_usage();
    $worked = Worked::calmly(function () use ($path, &$report): void {
        $report = Inspection::of($path);
    });
    expect($worked)->toBeLessThan(10)
        ->and(memory_get_peak_usage() - $held)->toBeLessThan(48_000_000)
        ->and($report->kind)->toBe('unknown');
})->with(['gzip -1', 'xz -0 -T2', 'zstd -q -1']);

it('reads little of what is large, and quickly', function () {
    $path = optical($this->shop, 'large.iso', ['-J', '-R', '-V', 'ORRIN 3'], [
        'EFI/BOOT/BOOTX64.EFI' => Images::bytes('signed.efi'),
        'a.txt' => 'a',
    ]);
    Workshop::says('truncate', '-s', '8G', $path);
    $source = new FileSource($path);
    $worked = Worked::calmly(function () use ($source, $path, &$report): void {
        $report = ImageInspector::inspect($source, 'large.iso', new FileTools($path), Signers::unknown());
    });
    expect($source->bytesRead())->toBeLessThan(8_388_608)
        ->and($worked)->toBeLessThan(3)
        ->and($report->kind)->toBe('optical')
        ->and($report->architectures('copied'))->toBe(['x86-64']);
});
