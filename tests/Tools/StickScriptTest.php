<?php

use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\Script\GuardedScript;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\Scheme;
use Tests\Support\Workshop;

beforeEach(fn () => $this->shop = new Workshop);

afterEach(fn () => $this->shop->clear());

it('exports a script that only shows until told to write, and then makes the same stick', function (
    string $image,
    WriteMode $mode,
    bool $storage,
) {
    $file = $this->shop->image($image);
    $stick = $this->shop->stick(900_000_000);
    $plan = $this->shop->plan($file, $stick, $mode, Scheme::Mbr, $storage);
    file_put_contents($script = "{$this->shop->folder}/make-stick.sh", GuardedScript::of($plan));
    expect(Workshop::says('shellcheck', '--severity=style', $script))->toBe('');
    $dry = Workshop::says('bash', $script, '--image', $file, '--on', $stick->path());
    expect($dry)
        ->toContain('Only showing what would be done')
        ->toContain('+ read back and compare')->not->toContain('Done')
        ->and(stat($stick->path())['blocks'])->toBe(0);
    expect(Workshop::says('bash', $script, '--image', $file, '--on', $stick->path(), '--write'))
        ->toContain('Done: every byte was read back');
    $other = $this->shop->stick(900_000_000, 'other.img');
    $this->shop->build($plan, $other, $file);
    if ($mode === WriteMode::Raw) {
        Workshop::says('cmp', $stick->path(), $other->path());
    } else {
        $tables = fn (string $path) => [
            str_replace($path, 'X', Workshop::says('sfdisk', '--dump', $path)),
            Cobblestone\Storage\Reading\FatVolume::open(new Cobblestone\Storage\Reading\WindowSource(
                new App\Devices\Inspection\FileSource($path),
                1_048_576,
                900_000_000,
            ))->geometry,
        ];
        expect($tables($stick->path()))->toBe($tables($other->path()));
        expect(
            (new Symfony\Component\Process\Process([
                'diff',
                '-r',
                takenOff($plan, $stick->path(), "{$this->shop->folder}/a"),
                takenOff($plan, $other->path(), "{$this->shop->folder}/b"),
            ]))
                ->run(),
        )
            ->toBe(0);
    }
})->with([
    ['plain.iso', WriteMode::FilesCopied, false],
    ['udf.iso', WriteMode::FilesCopied, true],
    ['disk.img.xz', WriteMode::Raw, false],
]);

it('leaves a system\'s own splitter to the exported script, and proves the stick afterwards', function () {
    $tree = "{$this->shop->folder}/tree";
    mkdir("{$tree}/payload", recursive: true);
    file_put_contents("{$tree}/payload/system.img", random_bytes(3_000_000));
    file_put_contents("{$tree}/readme.txt", 'small');
    // A splitter of its own: every part carries a header.
    file_put_contents($tool = "{$this->shop->folder}/own-splitter", <<<'SH'
        #!/bin/sh
        for i in 1 2; do
            part="$(dirname "$2")/system.p$i"
            { printf 'HEAD%s' "$i"; dd if="$1" bs=1500000 skip=$((i - 1)) count=1 2>/dev/null; } >"$part"
        done
        SH);
    chmod($tool, 0755);
    $file = "{$this->shop->folder}/shelf/own.iso";
    Workshop::says('xorriso', '-as', 'mkisofs', '-quiet', '-J', '-R', '-o', $file, $tree);
    $stick = $this->shop->stick();
    $data = $this->shop->plan($file, $stick)->toArray();
    $rows = array_values(array_filter($data['files'], fn ($row) => $row['path'] !== 'payload/system.img'));
    foreach ([1 => 0, 2 => 1_500_000] as $i => $at) {
        $rows[] = [
            'path' => "payload/system.p{$i}",
            'bytes' => 1_500_000,
            'source' => 'payload/system.img',
            'at' => $at,
            'from' => 'image',
            'of' => 3_000_000,
        ];
    }
    $plan = StickPlan::fromArray([
        ...$data,
        'files' => $rows,
        'splitter' => [
            'command' => [$tool, '{source}', '{target}'],
            'pattern' => 'payload/system.p%d',
            'source' => 'payload/system.img',
        ],
    ]);
    expect($this->shop->failure($plan, $stick, $file)->getMessage())
        ->toContain('cut by the system\'s own splitter')
        ->toContain('Nothing was written.');
    file_put_contents($script = "{$this->shop->folder}/make-stick.sh", GuardedScript::of($plan));
    expect(Workshop::says('shellcheck', '--severity=style', $script))->toBe('')
        ->and(Workshop::says('bash', $script, '--image', $file, '--on', $stick->path(), '--write'))->toContain('Done');
    file_put_contents($json = "{$this->shop->folder}/plan.json", json_encode($plan->toArray()));
    $prove = fn () => $this->artisan('cobblestone:stick', [
        'action' => 'prove',
        'subject' => $json,
        '--on' => $stick->path(),
        '--image' => $file,
    ]);
    $prove()->expectsOutputToContain('Good: 1 files')->assertExitCode(0);
    putenv('MTOOLS_SKIP_CHECK=1');
    Workshop::says(
        'mdel',
        '-i',
        BuildSteps::drive(BuildSteps::target($plan), $plan, $stick->path()),
        '::/payload/system.p1',
    );
    $prove()->expectsOutputToContain('one is missing')->assertExitCode(1);
});

it('exports a script that stops at the wrong stick or image', function () {
    $file = $this->shop->image('plain.iso');
    $stick = $this->shop->stick();
    file_put_contents(
        $script = "{$this->shop->folder}/make-stick.sh",
        GuardedScript::of($this->shop->plan($file, $stick)),
    );
    $stops = function (string ...$options) use ($script): string {
        $process = new Symfony\Component\Process\Process(['bash', $script, ...$options]);
        expect($process->run())->toBe(1);

        return $process->getErrorOutput();
    };
    $other = $this->shop->stick(299_000_320, 'other.img');
    expect($stops('--image', $file, '--on', $other->path(), '--write'))
        ->toContain('has not the planned 300000256 bytes')
        ->and($stops('--image', $file, '--on', '/dev/null'))->toContain('there is no stick')
        ->and($stops('--image', $file))->toContain('--on says which stick')
        ->and($stops('--image', '/nowhere', '--on', $stick->path()))->toContain('there is no image')
        ->and($stops('--sideways'))->toContain('unknown option');
    file_put_contents($file, 'X', FILE_APPEND);
    expect($stops('--image', $file, '--on', $stick->path()))->toContain('has not the planned');
});
