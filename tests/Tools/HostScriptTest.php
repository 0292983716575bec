<?php

use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\Script\StickScript;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\Build\StickTarget;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\Scheme;
use Tests\Support\Demo;
use Tests\Support\QuayHost;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    $this->host = fn (string $id): HostProfile => Demo::catalogue()->hosts()[$id];
    $this->script = function (StickPlan $plan, string $host): string {
        $text = StickScript::of($plan, ($this->host)($host));
        file_put_contents($script = "{$this->shop->folder}/make-stick.sh", $text);
        expect(Workshop::says('shellcheck', '--severity=style', $script))->toBe('');

        return $script;
    };
    $this->proves = function (StickPlan $plan, string $stick, string $file, string ...$more) {
        file_put_contents($json = "{$this->shop->folder}/plan.json", json_encode($plan->toArray()));

        return $this->artisan('cobblestone:stick', [
            'action' => 'prove', 'subject' => $json, '--on' => $stick, '--image' => $file, ...$more,
        ]);
    };
});

afterEach(fn () => $this->shop->clear());

it('makes the stick with a computer\'s own commands, and proves it here', function (
    string $host,
    string $image,
    WriteMode $mode,
    Scheme $scheme,
) {
    $file = $this->shop->image($image);
    $stick = $this->shop->stick();
    $target = new StickTarget($stick->target()->bytes, 512, 'GL-4471');
    $plan = $this->shop->plan($file, $stick, $mode, $scheme, target: $target);
    $there = new QuayHost($this->shop->folder, $stick->path(), 'GL-4471');
    $script = ($this->script)($plan, $host);
    $drive = ($this->host)($host)->drive;
    [$ended, $said] = $there->runs($script, '', '--image', $file, '--on', $drive);
    expect($said)->toContain('Only showing what would be done')->toContain('+ read back and compare')
        ->and($ended)->toBe(0)
        ->and(stat($stick->path())['blocks'])->toBe(0);
    [$ended, $said] = $there->runs($script, '4471', '--image', $file, '--on', $drive, '--write');
    expect($said)->toContain('Done: what was written was read back')->and($ended)->toBe(0);
    $more = $mode === WriteMode::Raw ? [] : ['--by-content' => true];
    ($this->proves)($plan, $stick->path(), $file, ...$more)
        ->expectsOutputToContain('A file reports no serial')
        ->assertExitCode(0);
    expect(glob('/tmp/tmp.*/wanted'))->toBe([]);
})->with([
    ['tansy-desktop-7', 'plain.iso', WriteMode::FilesCopied, Scheme::Gpt],
    ['tansy-desktop-6', 'udf.iso', WriteMode::FilesCopied, Scheme::Mbr],
    ['tansy-desktop-7', 'disk.img.xz', WriteMode::Raw, Scheme::Gpt],
    ['halden-one-28', 'hybrid-gpt.iso', WriteMode::Raw, Scheme::Gpt],
]);

it('carries drivers, answers and parts there too', function () {
    $tree = "{$this->shop->folder}/tree";
    mkdir("{$tree}/payload", recursive: true);
    file_put_contents("{$tree}/payload/system.img", str_repeat(random_bytes(1_000_000), 18));
    file_put_contents("{$tree}/it's a \$(name).txt", 'small');
    $file = "{$this->shop->folder}/shelf/own.iso";
    Workshop::says('xorriso', '-as', 'mkisofs', '-quiet', '-J', '-R', '-o', $file, $tree);
    mkdir($drivers = "{$this->shop->folder}/of-w2/net", recursive: true);
    file_put_contents("{$drivers}/w2 a.inf", 'driver');
    $stick = $this->shop->stick();
    $text = "one\n\$(two) 'three'\nfour without an end";
    $answers = new Cobblestone\Media\Build\AnswerText('tansy/first-start.xml', $text);
    $plan = $this->shop->plan($file, $stick, drivers: dirname($drivers), answers: $answers);
    $data = $plan->toArray();
    $rows = array_values(array_filter($data['files'], fn ($row) => $row['path'] !== 'payload/system.img'));
    foreach ([1 => [0, 10_000_000], 2 => [10_000_000, 8_000_000]] as $i => [$at, $bytes]) {
        $rows[] = [
            'path' => "payload/system.p{$i}", 'bytes' => $bytes, 'source' => 'payload/system.img', 'at' => $at,
            'from' => 'image', 'of' => 18_000_000,
        ];
    }
    $plan = StickPlan::fromArray([...$data, 'files' => $rows]);
    $there = new QuayHost($this->shop->folder, $stick->path());
    $script = ($this->script)($plan, 'tansy-desktop-7');
    $size = (string) $plan->device;
    $all = ['--image', $file, '--on', 'quay:2', '--drivers', dirname($drivers)];
    [$ended, $said] = $there->runs($script, $size, ...[...$all, '--write']);
    expect($said)->toContain('Done')->and($ended)->toBe(0);
    ($this->proves)($plan, $stick->path(), $file, ...['--by-content' => true, '--drivers' => dirname($drivers)])
        ->assertExitCode(0);
    expect(fn () => StickScript::of($plan, ($this->host)('tansy-desktop-6')))
        ->toThrow(PlanFault::class, 'no command that cuts a file into parts');
    putenv('MTOOLS_SKIP_CHECK=1');
    Workshop::says('mdel', '-i', "{$stick->path()}@@1048576", '::/payload/system.p1');
    ($this->proves)($plan, $stick->path(), $file, ...['--by-content' => true, '--drivers' => dirname($drivers)])
        ->expectsOutputToContain('missing is PAYLOAD/SYSTEM.P1')
        ->assertExitCode(1);
});

it('stops there before anything is touched', function () {
    $file = $this->shop->image('plain.iso');
    $stick = $this->shop->stick();
    $plan = $this->shop->plan($file, $stick, target: new StickTarget($stick->target()->bytes, 512, 'GL-4471'));
    $script = ($this->script)($plan, 'tansy-desktop-7');
    $all = ['--image', $file, '--on', 'quay:2', '--write'];
    $stops = function (QuayHost $there, string $typed, string ...$options) use ($script, $stick): string {
        [$ended, $said] = $there->runs($script, $typed, ...$options);
        expect($ended)->toBe(1)
            ->and(stat($stick->path())['blocks'])->toBe(0)
            ->and($said)->toContain('Stopped: ');
        Workshop::says('rm', '-rf', '--', "{$this->shop->folder}/host");

        return $said;
    };
    $host = fn (mixed ...$more) => new QuayHost(
        $this->shop->folder,
        $stick->path(),
        ...['serial' => 'GL-4471', ...$more],
    );
    expect($stops($host(serial: 'GL-4472'), '4471', ...$all))->toContain('the serial of quay:2 is not the planned one')
        ->and($stops($host(), '4472', ...$all))->toContain('nothing was written')
        ->and($stops($host(build: 7099), '4471', ...$all))->toContain('build 7099')
        ->and($stops($host(build: 7300), '4471', ...$all))->toContain('known up to 7299')
        ->and($stops($host(), '4471', '--on', 'quay:9', '--image', $file))->toContain('has not the planned')
        ->and($stops($host(), '4471', '--image', $file))->toContain('--on says which drive')
        ->and($stops($host(), '4471', '--image', '/nowhere', '--on', 'quay:2'))->toContain('there is no image')
        ->and($stops($host(), '4471', '--sideways'))->toContain('unknown option');
    $busy = $host();
    $busy->inUse('K:');
    expect($stops($busy, '4471', ...$all))->toContain('in use: K:');
    $bare = $host();
    $bare->without('quaysum');
    expect($stops($bare, '4471', ...$all))->toContain('quaysum is missing on this computer');
    file_put_contents($file, 'X', FILE_APPEND);
    expect($stops($host(), '4471', ...$all))->toContain('has not the planned');
});

it('writes nothing of an image that does not unpack whole, where no checksum is known', function () {
    $file = $this->shop->image('disk.img.xz');
    $stick = $this->shop->stick();
    $data = $this->shop->plan($file, $stick, WriteMode::Raw)->toArray();
    file_put_contents($file, substr((string) file_get_contents($file), 0, -40));
    clearstatcache();
    $image = [...$data['image'], 'bytes' => filesize($file), 'sha256' => null, 'expanded_bytes' => null];
    $plan = StickPlan::fromArray([...$data, 'image' => $image]);
    $there = new QuayHost($this->shop->folder, $stick->path());
    $script = ($this->script)($plan, 'tansy-desktop-7');
    [$ended, $said] = $there->runs($script, (string) $plan->device, '--image', $file, '--on', 'quay:2', '--write');
    expect($said)->toContain('Stopped: ')->toContain('does not unpack whole')
        ->and($ended)->toBe(1)
        ->and(stat($stick->path())['blocks'])->toBe(0);
});

it('notices a stick that reads back differently there', function () {
    $file = $this->shop->image('plain.iso');
    $stick = $this->shop->stick();
    $plan = $this->shop->plan($file, $stick, WriteMode::FilesCopied);
    $script = ($this->script)($plan, 'tansy-desktop-7');
    $there = new QuayHost($this->shop->folder, $stick->path());
    $there->program('quaydisk-take', 'quaydisk-right take "$@"; find "$2" -type f | head -n 1 | xargs truncate -s 1');
    rename("{$this->shop->folder}/host/quaydisk", "{$this->shop->folder}/host/quaydisk-right");
    $there->program('quaydisk', '[ "$1" = take ] || exec quaydisk-right "$@"; shift; exec quaydisk-take "$@"');
    [$ended, $said] = $there->runs($script, (string) $plan->device, '--image', $file, '--on', 'quay:2', '--write');
    expect($said)->toContain('reads back differently')->and($ended)->toBe(1);
});
