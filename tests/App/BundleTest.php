<?php

use App\Actions\ReadInventory;
use App\Devices\Bundle;
use Symfony\Component\Process\Process;
use Tests\Support\Bundles;
use Tests\Support\Worked;

afterEach(function () {
    array_map(unlink(...), glob(sys_get_temp_dir().'/bundle-*.*') ?: []);
});

it('opens a gzipped tar, a zip and a single file', function (array $make) {
    [$files, $notes] = Bundle::open($make[0](), 'given');
    expect(array_values($files))
        ->toBe(["SecureBoot enabled\n"])
        ->and($notes)
        ->toBe([]);
})->with([
    [[fn () => Bundles::tarGz(['machine/mokutil.txt' => "SecureBoot enabled\n"])]],
    [[fn () => Bundles::zip(['machine/mokutil.txt' => "SecureBoot enabled\n"])]],
    [[fn () => Bundles::write('txt', "SecureBoot enabled\n")]],
]);

it('opens what tar makes, long names too', function () {
    $folder = sys_get_temp_dir().'/bundle-dir-'.bin2hex(random_bytes(4));
    $deep = $folder.'/'.str_repeat('deep-folder/', 14);
    mkdir($deep, 0o777, true);
    file_put_contents($deep.'mokutil.txt', "SecureBoot disabled\n");
    foreach (['gnu', 'pax', 'ustar'] as $format) {
        $path = Bundles::write('tar.gz', '');
        (new Process(['tar', '-czf', $path, "--format={$format}", '-C', $folder, '.']))->mustRun();
        expect(Bundle::open($path, 'x')[0])->toBe(['mokutil.txt' => "SecureBoot disabled\n"]);
    }
    (new Process(['rm', '-r', $folder]))->mustRun();
});

it('leaves out what is no plain file within the bundle, and reads the rest', function (array $make, string $note) {
    [$files, $notes] = Bundle::open($make[0](), 'given');
    expect(array_keys($files))
        ->toBe(['good.txt'])
        ->and(implode(' ', $notes))
        ->toContain($note);
})->with(function () {
    $good = Bundles::tar(['good.txt' => 'x']);
    $with = fn (string $bad) => fn () => Bundles::write('tar.gz', (string) gzencode($bad.$good));
    $one = fn (string $name, string $type = '0', string $link = '') => substr(
        Bundles::tar([$name => $type === '0' ? 'bad' : ''], $type, $link),
        0,
        $type === '0' ? 1024 : 512,
    );
    yield 'absolute path' => [[$with($one('/etc/passwd'))], '"/etc/passwd" has a path that leads outside'];
    yield 'parent path' => [[$with($one('a/../../b.txt'))], 'leads outside'];
    yield 'drive letter' => [[$with($one('C:\\b.txt'))], 'leads outside'];
    yield 'link' => [[$with($one('l.txt', '2', '/etc/passwd'))], 'is a link or a device'];
    yield 'hard link' => [[$with($one('l.txt', '1', 'good.txt'))], 'is a link or a device'];
    yield 'device' => [[$with($one('d.txt', '3'))], 'is a link or a device'];
    yield 'nested' => [[$with($one('inner.tar.gz'))], 'is an archive inside the archive'];
    yield 'zip parent' => [[fn () => Bundles::zip(['../x.txt' => 'bad', 'good.txt' => 'x'])], 'leads outside'];
    yield 'zip link' => [[fn () => Bundles::zip(['good.txt' => 'x'], 'link.txt')], 'is a link'];
    yield 'zip nested' => [[fn () => Bundles::zip(['a.zip' => 'bad', 'good.txt' => 'x'])], 'archive inside'];
});

it('stops at the four-hundredth file', function () {
    $many = [];
    for ($i = 0; $i < 10_000; $i++) {
        $many["f{$i}.txt"] = 'x';
    }
    foreach ([Bundles::tarGz($many), Bundles::zip($many)] as $path) {
        [$files, $notes] = Bundle::open($path, 'many');
        expect(count($files))
            ->toBe(Bundle::MEMBER_LIMIT)
            ->and($notes)
            ->toBe(['many holds more than 400 files: the rest was left out.']);
    }
});

it('does not expand 10 GB, whatever the header says, and stays small and quick', function () {
    // 10 GB of zeros in one member, compressed as a stream: the file itself is 10 MB.
    $path = Bundles::write('tar.gz', '');
    $out = gzopen($path, 'wb1');
    gzwrite($out, Bundles::tar(['good.txt' => 'x']) === '' ? '' : substr(Bundles::tar(['good.txt' => 'x']), 0, 1024));
    gzwrite($out, substr_replace(Bundles::header('bomb.txt', 0), sprintf('%011o', 8_589_934_591)."\0", 124, 12));
    $zeros = str_repeat("\0", 1_000_000);
    for ($i = 0; $i < 400; $i++) {
        gzwrite($out, $zeros);
    }
    gzclose($out);
    $before = memory_get_peak_usage(true);
    $worked = Worked::calmly(function () use ($path, &$files, &$notes): void {
        [$files, $notes] = Bundle::open($path, 'bomb');
    });
    expect(array_keys($files))
        ->toBe(['good.txt'])
        ->and($notes[0])
        ->toContain('expands to more than 160 MB at "bomb.txt"')
        ->and($worked)
        ->toBeLessThan(1.5)
        ->and(memory_get_peak_usage(true) - $before)
        ->toBeLessThan(32_000_000);
});

it('expands no zip member past the limit, whatever size it states', function () {
    [$files, $notes] = Bundle::open(Bundles::zip(['big.txt' => str_repeat('a', 5_000_000), 'good.txt' => 'x']), 'z');
    expect(array_keys($files))
        ->toBe(['good.txt'])
        ->and($notes[0])
        ->toContain('5.0 MB');
});

it('refuses what is larger than any bundle and what is damaged, in a sentence', function () {
    $large = Bundles::write('txt', '');
    $handle = fopen($large, 'r+');
    ftruncate($handle, Bundle::FILE_LIMIT + 1);
    fclose($handle);
    expect(Bundle::open($large, 'large.tar.gz'))->toBe([
        [],
        ['large.tar.gz has 64.0 MB; a bundle of the collector has far less than 64 MB. It was not opened.'],
    ]);
    expect(Bundle::open(Bundles::write('zip', "PK\x03\x04 nonsense"), 'broken.zip')[1])->toBe([
        'broken.zip is damaged or no zip file.',
    ]);
    expect(
        Bundle::open(Bundles::write('tar.gz', (string) gzencode(str_repeat('nonsense ', 200))), 'odd.tar.gz')[1][0],
    )->toContain('is damaged or no bundle');
    expect(
        Bundle::open(
            Bundles::write(
                'tar.gz',
                substr((string) gzencode(Bundles::tar(['good.txt' => 'x', 'b.txt' => str_repeat('y', 3000)])), 0, 60),
            ),
            'cut.tar.gz',
        )[0],
    )->toBeArray();
});

it('reads the files of a bundle by the time the bundle states, and lists what it could not read', function () {
    $path = Bundles::tarGz([
        'm/lsblk.json' => '{"blockdevices": [{"name": "sda", "size": 5, "type": "disk"}]}',
        'm/odd.txt' => 'hello',
        'm/noise.bin' => "\xff\x00\xfe",
        'm/cut.json' => '{"smartctl": {',
        'm/system.txt' => "cobblestone-collect 1\ntime: 2026-11-20T10:00:00Z\narchitecture: x86_64\n",
    ]);
    $read = (new ReadInventory('2026-11-24T16:00Z'))->file($path, 'm.tar.gz');
    expect(array_map(fn ($reading) => "{$reading->tool} {$reading->at}", $read->readings))
        ->toBe(['lsblk 2026-11-20T10:00Z', 'collector 2026-11-20T10:00Z'])
        ->and($read->problems)
        ->toHaveCount(3)
        ->and($read->problems[0])
        ->toStartWith('"odd.txt": this is not the output of a tool')
        ->and($read->problems[1])
        ->toContain('not readable as UTF-8')
        ->and($read->problems[2])
        ->toContain('"cut.json": line 1 is not JSON');
});

it('reads the bundle of this machine on the command line', function () {
    $folder = sys_get_temp_dir().'/bundle-here-'.bin2hex(random_bytes(4));
    mkdir($folder);
    $bundle = trim(
        (new Process(['sh', base_path('collector/cobblestone-collect'), $folder]))->mustRun()->getOutput(),
    );
    expect(Artisan::call('cobblestone:read', ['file' => [$bundle]]))
        ->toBe(0)
        ->and(Artisan::output())
        ->toContain('architecture = ');
    expect(Artisan::call('cobblestone:read', ['file' => [$bundle], '--json' => true]))->toBe(0);
    $json = json_decode(Artisan::output(), true);
    expect(array_column($json['readings'], 'tool'))->toContain('lsblk')->toContain('collector');
    Artisan::call('cobblestone:read', ['file' => [$bundle], '--yaml' => true]);
    // What it prints is the block of a brief as it stands.
    $brief = [...Symfony\Component\Yaml\Yaml::parseFile(base_path('docs/guide/briefs/unknown-laptop.yaml'))];
    $brief['machine']['readings'] = Symfony\Component\Yaml\Yaml::parse(Artisan::output())['readings'];
    App\Documents\BriefDocument::check($brief, 'x');
    expect(Artisan::call('cobblestone:read', ['file' => ['/no/such/file']]))->toBe(1);
    (new Process(['rm', '-r', $folder]))->mustRun();
});
