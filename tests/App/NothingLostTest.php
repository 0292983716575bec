<?php

use App\Actions\EndDeadBuilds;
use App\Actions\ScanShelf;
use App\Bridge\StickRegister;
use App\Devices\Command;
use App\Devices\Lease;
use App\Devices\Limits;
use App\Devices\Stick\StickLock;
use App\Devices\Stick\StickMark;
use App\Jobs\HashShelfFile;
use App\Jobs\StickBuildJob;
use App\Models\ShelfFile;
use App\Models\StickBuild;
use App\Models\StickEvent;
use App\Models\StickState;
use Cobblestone\Media\Build\StickCondition;
use Symfony\Component\Process\Process;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    $this->people = $this->bench();
    $this->build = fn (string $state): StickBuild => StickBuild::query()
        ->create(['slug' => 'gull-32', 'user_id' => $this->people['lead']->id, 'state' => $state, 'plan' => []]);
});

afterEach(fn () => $this->shop->clear());

/** Seconds that nothing else on this computer sleeps, so that exactly this one is ended. */
const HELD_FOR = '31.4159265';

/** A process of its own that holds the lock of a stick, through a child when asked, and says when it has it. */
function holder(string $folder, bool $inChild): Process
{
    $code = '$f = fopen($argv[1]."/gull-32.lock", "c"); flock($f, LOCK_EX); '
        .($inChild ? 'proc_open(["sleep", $argv[2]], [], $p); ' : '').'echo "held\n"; sleep(30);';
    $process = new Process([PHP_BINARY, '-r', $code, $folder, HELD_FOR]);
    $process->start();
    $process->waitUntil(fn (string $type, string $text): bool => str_contains($text, 'held'));

    return $process;
}

it('calls a stick unfinished while its mark stands, whatever the record says', function () {
    @mkdir((string) config('cobblestone.sticks'), 0775, true);
    StickState::become('gull-32', StickCondition::Good, ['title' => 'Orrin', 'label' => 'ORRIN']);
    StickMark::put('gull-32');
    expect(StickState::of('gull-32')->condition)->toBe(StickCondition::Unfinished)
        ->and(StickState::query()->whereKey('gull-32')->firstOrFail()->condition)->toBe(StickCondition::Unfinished);
    $this->actingAs($this->people['lead'])->get('/sticks')->assertOk()->assertSee('unfinished: not proven');
    $this->get('/sticks/gull-32')->assertOk()->assertSee('unfinished: not proven');
    $this->get('/sticks/gull-32/label')->assertStatus(409);
    StickMark::clear('gull-32');
    expect(StickState::of('gull-32')->condition)->toBe(StickCondition::Good);
});

it('writes nothing to a stick whose mark cannot be put on the disk', function () {
    config(['cobblestone.sticks' => '/proc/no-such-place']);
    expect(fn () => StickMark::put('gull-32'))->toThrow(
        App\Devices\Build\BuildFailure::class,
        'Nothing was written to the stick',
    );
});

it('keeps a retired stick retired, whatever a build says afterwards', function () {
    StickState::become('gull-32', StickCondition::Retired, ['title' => 'x']);
    expect(StickState::become('gull-32', StickCondition::Good, ['title' => 'y']))->toBeFalse()
        ->and(StickState::of('gull-32')->condition)->toBe(StickCondition::Retired);
});

it('lets retiring win over a build under way', function () {
    $build = ($this->build)('running');
    $this->actingAs($this->people['lead'])
        ->post('/sticks/gull-32/retire', ['because' => 'bent', 'as_seen' => 'event 0'])
        ->assertSessionHasNoErrors();
    expect($build->refresh()->cancel)->toBeTrue()
        ->and(StickState::of('gull-32')->condition)->toBe(StickCondition::Retired);
});

it('ends a build whose worker is gone, and not one whose worker only stands still', function (bool $inChild) {
    @mkdir((string) config('cobblestone.sticks'), 0775, true);
    $build = ($this->build)('running');
    $holder = holder((string) config('cobblestone.sticks'), $inChild);
    posix_kill((int) $holder->getPid(), SIGSTOP);
    app(EndDeadBuilds::class)->handle();
    expect($build->refresh()->state)->toBe('running')->and(StickLock::isFree('gull-32'))->toBeFalse();
    posix_kill((int) $holder->getPid(), SIGKILL);
    while ($holder->isRunning()) {
        usleep(10_000);
    }
    if ($inChild) {
        // What the dead one started still holds the stick: it could still be writing.
        app(EndDeadBuilds::class)->handle();
        expect($build->refresh()->state)->toBe('running');
        Command::run(['pkill', '-x', '-f', 'sleep '.HELD_FOR], 5);
        for ($i = 0; $i < 100 && ! StickLock::isFree('gull-32'); usleep(100_000), $i++);
    }
    app(EndDeadBuilds::class)->handle();
    app(EndDeadBuilds::class)->handle();
    expect($build->refresh()->state)->toBe('failed')->and($build->fault)->toContain('build it again')
        ->and(StickEvent::query()->where('slug', 'gull-32')->where('kind', 'failed')->count())->toBe(1);
})->with([false, true]);

it('ends the programs it started when it is killed', function () {
    $mark = 'cobble'.bin2hex(random_bytes(4));
    $limits = implode(
        ' ',
        array_map('escapeshellarg', (new Limits)->around(['sh', '-c', ': '.$mark.'; sleep 60; true'])),
    );
    $process = new Process([
        PHP_BINARY, '-r', 'proc_open($argv[1], [], $p); echo "begun\n"; sleep(60);', "exec {$limits}",
    ]);
    $process->start();
    $process->waitUntil(fn (string $type, string $text): bool => str_contains($text, 'begun'));
    $lives = fn (): bool => (new Process(['pgrep', '-f', $mark]))->run() === 0
        && (new Process(['pgrep', '-f', "^sh -c : {$mark}"]))->run() === 0;
    for ($i = 0; $i < 100 && ! $lives(); usleep(100_000), $i++);
    expect($lives())->toBeTrue();
    posix_kill((int) $process->getPid(), SIGKILL);
    for ($i = 0; $i < 100 && $lives(); $i++) {
        usleep(100_000);
    }
    expect((new Process(['pgrep', '-f', "^sh -c : {$mark}"]))->run())->toBe(1);
});

it('ends a program with its children when its time is over, it prints without end or takes too much '
    .'memory', function () {
        $begun = microtime(true);
        expect(fn () => Command::run(['sh', '-c', 'sleep 47 & sleep 48'], 0.5))
            ->toThrow(RuntimeException::class, 'did not end within');
        usleep(100_000);
        expect(microtime(true) - $begun)->toBeLessThan(40.0)
            ->and((new Process(['pgrep', '-x', '-f', 'sleep 47']))->run())->toBe(1)
            ->and(fn () => Command::run(['yes'], 20, null, new Limits(output: 1_000_000)))
            ->toThrow(RuntimeException::class, 'printed without end')
            ->and(fn () => Command::run(
                ['perl', '-e', '$x = "a" x 600_000_000; print length $x'],
                20,
                null,
                new Limits(memory: 268_435_456),
            ))
            ->toThrow(RuntimeException::class)
            ->and(fn () => Command::run(
                ['dd', 'if=/dev/zero', 'of=/dev/shm/cobble-limit', 'bs=1M', 'count=4'],
                20,
                null,
                new Limits(file: 1_000_000),
            ))
            ->toThrow(RuntimeException::class);
        @unlink('/dev/shm/cobble-limit');
    });

it('fails a build in words when it is given out again after its worker died', function () {
    $build = ($this->build)('running');
    app()->call([new StickBuildJob($build->id), 'handle']);
    expect($build->refresh()->state)->toBe('failed')->and($build->fault)->toContain('broke off without a word');
});

it('leaves a build alone that another worker holds', function () {
    $build = ($this->build)('queued');
    $lease = Lease::take("build-{$build->slug}");
    app()->call([new StickBuildJob($build->id), 'handle']);
    expect($build->refresh()->state)->toBe('queued');
    fclose($lease);
});

it('goes on with a checksum whose worker died', function () {
    @mkdir((string) config('cobblestone.shelf'), 0775, true);
    file_put_contents(config('cobblestone.shelf').'/a.bin', 'abc');
    touch(config('cobblestone.shelf').'/a.bin', time() - 60);
    app(ScanShelf::class)->handle();
    $file = ShelfFile::query()->where('name', 'a.bin')->firstOrFail();
    $file->update(['hash_state' => 'running', 'sha256' => null]);
    (new HashShelfFile($file->id))->handle();
    expect($file->refresh()->hash_state)->toBe('done')->and($file->sha256)->toBe(hash('sha256', 'abc'));
});

it('looks into a file whose place in the queue was lost, and says of one that cannot be read that it '
    .'cannot', function () {
        @mkdir((string) config('cobblestone.shelf'), 0775, true);
        file_put_contents(config('cobblestone.shelf').'/c.bin', 'abc');
        $file = ShelfFile::query()->create([
            'name' => 'c.bin',
            'bytes' => 3,
            'changed_at' => 1,
            'hash_state' => 'done',
            'about' => [],
        ]);
        app(EndDeadBuilds::class)->handle();
        expect($file->refresh()->report)->toBeNull();
        $this->travel(1)->minutes();
        app(EndDeadBuilds::class)->handle();
        expect($file->refresh()->inspected()?->kind)->toBe('unknown');
        $gone = ShelfFile::query()->create([
            'name' => 'gone.bin',
            'bytes' => 3,
            'changed_at' => 1,
            'hash_state' => 'done',
            'about' => [],
        ]);
        (new App\Jobs\InspectShelfFile($gone->id))->handle();
        expect($gone->refresh()->here)->toBeFalse()->and($gone->report)->toBeNull();
    });

it('changes nothing by being looked at', function () {
    @mkdir((string) config('cobblestone.shelf'), 0775, true);
    file_put_contents(config('cobblestone.shelf').'/b.bin', 'abc');
    touch(config('cobblestone.shelf').'/b.bin', time() - 60);
    ($this->build)('running');
    StickState::become('tern-64', StickCondition::Good, ['title' => 'x', 'fingerprint' => 'other', 'about' => []]);
    file_put_contents(app(StickRegister::class)->device('tern-64')->path(), 'written by somebody', FILE_APPEND);
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $tables = [
        'users', 'catalogue_entries', 'policies', 'jobs', 'plans', 'log_entries', 'sealed_keys', 'learned_facts',
        'shelf_files', 'uploads', 'stick_states', 'stick_builds', 'stick_events', 'bench_events', 'settings',
        'queue_jobs',
    ];
    $all = fn (): string => hash(
        'sha256',
        json_encode(array_map(
            fn (string $table): array => Illuminate\Support\Facades\DB::select(
                "select * from {$table} t order by t::text",
            ),
            $tables,
        )),
    );
    $before = $all();
    $this->actingAs($this->people['lead']);
    foreach (
        [
            '/', '/jobs', '/sticks', '/sticks/gull-32', '/sticks/tern-64', '/sticks/gull-32/builds/1', '/shelf',
            '/catalogue', '/logbook', '/policy', '/people', '/account', '/bell', '/find?q=x', "/jobs/{$job->id}",
            "/jobs/{$job->id}/run", "/jobs/{$job->id}/keys", "/jobs/{$job->id}/settings", "/jobs/{$job->id}/assessment",
            '/learned', '/up',
        ] as $page
    ) {
        $this->get($page);
    }
    expect($all())->toBe($before);
});

it('puts on record what changed on a good stick, when nobody looks', function () {
    StickState::become('tern-64', StickCondition::Good, ['title' => 'x', 'fingerprint' => 'other', 'about' => []]);
    $path = app(StickRegister::class)->device('tern-64')->path();
    touch($path, time() + 10);
    app(StickRegister::class)->keepWhatChanged();
    expect(StickState::query()->whereKey('tern-64')->value('condition'))->toBe(StickCondition::Spoiled);
});
