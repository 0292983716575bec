<?php

use App\Documents\DocumentFault;
use App\Documents\SchemaCheck;
use App\Documents\YamlDocument;
use App\Models\CatalogueEntry;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\Artisan;
use Symfony\Component\Process\Process;
use Tests\Support\Demo;

beforeEach(function () {
    $this->folder = sys_get_temp_dir().'/catalogue-'.getmypid().'-'.bin2hex(random_bytes(3));
    (new Filesystem())->copyDirectory(base_path('catalogue'), $this->folder);
});

afterEach(fn () => (new Filesystem())->deleteDirectory($this->folder));

it('names file, path and reason for every fault and imports nothing', function () {
    $this->bench();
    $change = fn (string $file, string $from, string $to) => file_put_contents(
        "{$this->folder}/{$file}",
        str_replace($from, $to, (string) file_get_contents("{$this->folder}/{$file}")),
    );
    $change('sticks/gull-32.yaml', 'health: good', 'health: splendid');
    $change('images/skerry-rolling.yaml', 'system: skerry-rolling', 'system: nowhere');
    $change('drivers/fennick-a1-sound.yaml', 'bytes: 41943040', 'bytes: -1');
    $change('machines/norrel-fairlead-13.yaml', 'kind: laptop', "kind: laptop\ncolour: grey");
    file_put_contents("{$this->folder}/systems/broken.yaml", "id: [broken\n");
    CatalogueEntry::query()
        ->where('slug', 'tern-64')
        ->update(['name' => 'as it was']);
    expect(Artisan::call('cobblestone:catalogue', ['action' => 'import', 'path' => $this->folder]))->toBe(1);
    expect(Artisan::output())
        ->toContain('sticks/gull-32.yaml: health: must be one of the allowed words: good, watch, retired.')
        ->toContain('images/skerry-rolling.yaml: system: the catalogue has no system "nowhere".')
        ->toContain('drivers/fennick-a1-sound.yaml: bytes: must be larger')
        ->toContain('machines/norrel-fairlead-13.yaml: document: there is no such field here: colour.')
        ->toContain('systems/broken.yaml, line ')
        ->toContain('Nothing was imported');
    expect(CatalogueEntry::query()->where('slug', 'tern-64')->value('name'))->toBe('as it was');
});

it('imports a folder whole, without what it no longer holds', function () {
    $this->bench();
    unlink("{$this->folder}/sticks/harbour-16.yaml");
    expect(Artisan::call('cobblestone:catalogue', ['action' => 'import', 'path' => $this->folder]))
        ->toBe(0)
        ->and(Artisan::output())
        ->toContain('5 sticks')
        ->and(CatalogueEntry::query()->where('kind', 'sticks')->count())
        ->toBe(5);
});

it('exports what it imported', function () {
    $this->bench();
    $out = "{$this->folder}/out";
    expect(Artisan::call('cobblestone:catalogue', ['action' => 'export', 'path' => $out]))
        ->toBe(0)
        ->and(Artisan::call('cobblestone:catalogue', ['action' => 'check', 'path' => $out]))
        ->toBe(0);
    expect(App\Catalogue\CatalogueFolder::read($out)->entries())->toEqual(
        App\Catalogue\CatalogueFolder::read(base_path('catalogue'))->entries(),
    );
});

it('says so where a folder or an action does not exist', function () {
    expect(Artisan::call('cobblestone:catalogue', ['action' => 'check', 'path' => '/nowhere']))
        ->toBe(1)
        ->and(Artisan::output())
        ->toContain('no such folder')
        ->and(Artisan::call('cobblestone:catalogue', ['action' => 'burn']))
        ->toBe(1)
        ->and(Artisan::call('cobblestone:catalogue', ['action' => 'export']))
        ->toBe(1);
});

it('plans without a database', function (string $job) {
    $process = new Process(
        [PHP_BINARY, 'artisan', 'cobblestone:plan', "docs/guide/briefs/{$job}.yaml", '--json'],
        base_path(),
        ['DB_PORT' => '1', 'APP_ENV' => 'testing', 'APP_CONFIG_CACHE' => 'bootstrap/cache/config.testing.php'],
    );
    $process->mustRun();
    $flags = JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES;
    expect($process->getOutput())->toBe(json_encode(Demo::plan($job)->toArray(), $flags)."\n");
})->with(Demo::BRIEFS);

it('writes plans that the plan schema accepts, to a file too', function (string $job) {
    $file = "{$this->folder}/plan.json";
    expect(
        Artisan::call('cobblestone:plan', ['brief' => base_path("docs/guide/briefs/{$job}.yaml"), '--out' => $file]),
    )
        ->toBe(0)
        ->and(
            SchemaCheck::faults(
                json_decode((string) file_get_contents($file)),
                base_path('docs/guide/schema/plan.schema.json'),
            ),
        )
        ->toBe([]);
})->with(Demo::BRIEFS);

it('accepts the guide\'s own briefs', function (string $job) {
    expect(SchemaCheck::faults(Demo::brief($job), base_path('docs/guide/schema/brief.schema.json')))->toBe([]);
})->with(Demo::BRIEFS);

it('refuses a hostile brief with one message and nothing printed', function (string $text, string $sentence) {
    $file = "{$this->folder}/brief.yaml";
    file_put_contents($file, $text);
    $process = new Process([PHP_BINARY, 'artisan', 'cobblestone:plan', $file, '--json'], base_path(), [
        'APP_ENV' => 'testing',
        'APP_CONFIG_CACHE' => 'bootstrap/cache/config.testing.php',
    ]);
    $process->run();
    expect($process->getExitCode())
        ->toBe(1)
        ->and($process->getOutput())
        ->toBe('')
        ->and($process->getErrorOutput())
        ->toContain($sentence)
        ->not->toContain('vendor/')
        ->not->toContain('Stack trace');
})->with([
    'entity bomb' => ["a: &a [x, x]\nb: &b [*a, *a]\nbrief: 1\n", 'line 2: Aliases are disabled'],
    'alias in a list' => ["a: 1\nb: [*a]\n", 'Reference "a" does not exist'],
    'merge key' => ["a: 1\nb:\n  <<: {x: 1}\n", 'missing: brief'],
    'object tag' => ["a: !php/object 'O:1:\"A\":0:{}'\n", 'line 1'],
    'no YAML' => ["brief: [1\n", 'line'],
    'a list' => ["- a\n- b\n", 'named fields'],
    'binary' => ["\xff\xfe\x00\x01", 'not text in UTF-8'],
    'empty' => ['', 'named fields'],
    'wrong types' => ["brief: 1\ntitle: [a]\nmachine: 5\nsystem: a\nimage: b\n", 'title: must be string'],
    'negative size' => [
        "brief: 1\ntitle: a\nmachine: {kind: laptop}\nsystem: {name: S}\nimage: {name: I, bytes: -5}\n",
        'image',
    ],
    'unknown machine' => [
        "brief: 1\ntitle: a\nmachine: {model: no-such}\nsystem: skerry-rolling\nimage: skerry-rolling\n",
        'no machine "no-such"',
    ],
    'missing fields' => ["brief: 1\n", 'missing: title, machine'],
    'unknown field' => [
        "brief: 1\ntitle: a\nmachine: {kind: laptop}\nsystem: skerry-rolling\nimage: skerry-rolling\nbackdoor: 1\n",
        'no such field here: backdoor',
    ],
]);

it('refuses 50 MB at once, in little memory', function () {
    $file = "{$this->folder}/large.yaml";
    $handle = fopen($file, 'w');
    ftruncate($handle, 50_000_000);
    fclose($handle);
    $before = memory_get_peak_usage();
    expect(fn () => YamlDocument::fromFile($file))
        ->toThrow(DocumentFault::class, '50.0 MB is more than')
        ->and(memory_get_peak_usage() - $before)
        ->toBeLessThan(2_000_000);
});

it('refuses what is nested without end or has values without number', function () {
    expect(fn () => YamlDocument::parse('a: '.str_repeat('[', 60).str_repeat(']', 60), 'deep'))
        ->toThrow(DocumentFault::class, 'nested deeper')
        ->and(fn () => YamlDocument::parse('a: ['.str_repeat('1,', 100_001).'1]', 'wide'))
        ->toThrow(DocumentFault::class, 'values');
});

it('reads dates as the text they are', function () {
    expect(YamlDocument::parse('a: 2026-11-02', 'x'))->toBe(['a' => '2026-11-02']);
});

it('loads the demo world once', function () {
    expect(Artisan::call('cobblestone:demo'))
        ->toBe(0)
        ->and(App\Models\Job::query()->count())
        ->toBe(9);
    expect(Artisan::call('cobblestone:demo'))
        ->toBe(0)
        ->and(Artisan::output())
        ->toContain('nothing was loaded')
        ->and(App\Models\Job::query()->count())
        ->toBe(9);
    expect(
        App\Models\Job::query()->where('title', 'like', 'Capstan%')->oldest('id')->firstOrFail()->summary['put_back'],
    )->toBe(2);
});

it('lets no name steer the terminal', function () {
    $brief = Demo::brief('capstan-t3');
    $brief['title'] = "Capstan \x1B[2J\u{202E} <fg=red>red</> *";
    file_put_contents($file = "{$this->folder}/brief.yaml", App\Documents\YamlDocument::text($brief, 'it'));
    expect(Artisan::call('cobblestone:plan', ['brief' => $file]))
        ->toBe(0)
        ->and(Artisan::output())
        ->toContain('Capstan ⟨U+001B⟩[2J⟨U+202E⟩ <fg=red>red</> *')
        ->not->toContain("\x1B[2J");
});
