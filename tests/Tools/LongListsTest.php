<?php

use App\Devices\LongLists;
use Cobblestone\Assessment\Backup\Manifest;
use Cobblestone\Assessment\Backup\ManifestComparison;
use Illuminate\Http\UploadedFile;
use Random\Engine\Mt19937;
use Random\Randomizer;

beforeEach(fn () => ([$this->a, $this->b] = [tempnam(sys_get_temp_dir(), 'la'), tempnam(sys_get_temp_dir(), 'lb')]));
afterEach(fn () => array_map(unlink(...), [$this->a, $this->b]));

it('says of long lists what is said of short ones', function () {
    $random = new Randomizer(new Mt19937(7));
    $names = [
        'a.jpg',
        'b c.jpg',
        '2019 regatta.jpg',
        'sub/d',
        'sub/deep/e',
        'é木',
        '-x',
        '10',
        "q'uote",
        'tab\\tname',
        '..x',
        'Z',
        'sub.x/y',
        'sub-x',
    ];
    for ($round = 0; $round < 150; $round++) {
        $side = function (string $root) use ($random, $names): string {
            $lines = [];
            foreach ($names as $name) {
                if ($random->getInt(0, 3) > 0) {
                    $sum = str_repeat('abc'[$random->getInt(0, 9) === 0 ? 1 : 0], 64);
                    $lines[] = [
                        ["{$sum}  {$root}{$name}"],
                        ["{$sum} *{$root}{$name}", "7\t{$root}{$name}"],
                        ["{$root}{$name}"],
                        [$random->getInt(1, 2)."\t{$root}{$name}"],
                    ][[0, 0, 0, 1, 2, 3][$random->getInt(0, 5)]];
                }
            }

            return implode("\n", array_merge(...$random->shuffleArray($lines)))."\n# end\n";
        };
        [$one, $two] = [
            $side(['./', '', '/mnt/old/'][$random->getInt(0, 2)]),
            $side(['./', '', '/mnt/copy/'][$random->getInt(0, 2)]),
        ];
        if (trim($one, "\n# end") === '' || trim($two, "\n# end") === '') {
            continue;
        }
        file_put_contents($this->a, $one);
        file_put_contents($this->b, $two);
        $short = ManifestComparison::of(Manifest::read($one), Manifest::read($two));
        [$long] = LongLists::compare($this->a, $this->b);
        $sorted = function (array $paths): array {
            sort($paths, SORT_STRING);

            return $paths;
        };
        expect([
            $long->sentence(),
            $long->source,
            $long->copy,
            $long->proven,
            $long->missing,
            $long->differing,
            $long->besides,
        ])->toBe(
            [
                $short->sentence(),
                $short->source,
                $short->copy,
                $short->proven,
                $sorted($short->missing),
                $sorted($short->differing),
                $sorted($short->besides),
            ],
            "{$one}\n---\n{$two}",
        );
    }
});

it('compares hundreds of thousands of files a side in the memory that a page has', function () {
    [$one, $two] = [fopen($this->a, 'w'), fopen($this->b, 'w')];
    for ($i = 0; $i < 250_000; $i++) {
        fwrite($one, hash('sha256', (string) $i)."  ./pictures/{$i}.jpg\n");
        $j = 249_999 - $i;
        $j === 77 || fwrite($two, hash('sha256', (string) ($j === 99 ? 'x' : $j))."  /copy/pictures/{$j}.jpg\n");
    }
    fclose($one);
    fclose($two);
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    memory_reset_peak_usage();
    $before = memory_get_peak_usage(true);
    $this->actingAs($people['lead'])
        ->post("/jobs/{$job->id}/backup", [
            'source_file' => new UploadedFile($this->a, 'a.txt', null, null, true),
            'copy_file' => new UploadedFile($this->b, 'b.txt', null, null, true),
        ])
        ->assertOk()
        ->assertSee('1 missing, 1 differ, of 250000 files.')
        ->assertSee('77.jpg')
        ->assertSee('99.jpg');
    expect(memory_get_peak_usage(true) - $before)->toBeLessThan(64_000_000);
});

it('compares five million files a side within 256 MB', function () {
    foreach ([[$this->a, './'], [$this->b, '/copy/']] as [$file, $root]) {
        shell_exec(
            "seq 1 5000000 | awk '{ printf \"%064x  {$root}folder %d/file %d.jpg\\n\", \$1, \$1 % 997, \$1 }' >".
                escapeshellarg($file),
        );
    }
    $process = new Symfony\Component\Process\Process(
        [
            PHP_BINARY,
            '-d',
            'memory_limit=256M',
            '-d',
            'pcov.enabled=0',
            'artisan',
            'cobblestone:compare-backup',
            $this->a,
            $this->b,
        ],
        base_path(),
        timeout: 1200,
    );
    expect($process->run())
        ->toBe(0)
        ->and($process->getOutput())
        ->toContain('All 5000000 files are in the copy with equal checksums.');
})->group('matrix');
