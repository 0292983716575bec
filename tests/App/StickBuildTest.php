<?php

use App\Devices\Build\SizeCheck;
use App\Devices\Stick\StandInStick;
use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\Script\GuardedScript;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\Scheme;
use Tests\Support\Images;
use Tests\Support\Workshop;

beforeEach(fn () => $this->shop = new Workshop);
afterEach(fn () => $this->shop->clear());

/** The stick's files as mtools takes them off, in a folder. */
function takenOff(StickPlan $plan, string $stick, string $to): string
{
    mkdir($to);
    putenv('MTOOLS_SKIP_CHECK=1');
    Workshop::says('mcopy', '-s', '-n', '-i', BuildSteps::drive(BuildSteps::target($plan), $plan, $stick), '::/*', "{$to}/");

    return $to;
}

/** @param  array<string, mixed>  $faults */
function standIn(Workshop $shop, array $faults, int $bytes = 300_000_256): StandInStick
{
    return StandInStick::open("{$shop->folder}/sticks", 'gull', ['serial' => 'GL-1', 'bytes' => $bytes - $bytes % 512, 'sector_bytes' => 512, 'write_mb_s' => 100, 'faults' => $faults]);
}

it('copies the files of an image, and Debian\'s tools accept the stick', function (string $image, Scheme $scheme, bool $storage, int $bytes) {
    $file = $this->shop->image($image);
    $stick = $this->shop->stick($bytes);
    // Something of an earlier life, at both ends and where the partition begins.
    Workshop::says('mkfs.ext4', '-q', '-F', $stick->path());
    $plan = StickPlan::fromArray(json_decode(json_encode($this->shop->plan($file, $stick, WriteMode::FilesCopied, $scheme, $storage)->toArray()), true));
    $result = $this->shop->build($plan, $stick, $file);
    expect(Workshop::says('sfdisk', '--verify', $stick->path()))->toContain('No errors detected');
    $table = json_decode(Workshop::says('sfdisk', '--json', $stick->path()), true)['partitiontable'];
    expect($table['label'])->toBe($scheme === Scheme::Gpt ? 'gpt' : 'dos')->and($table['partitions'])->toHaveCount($storage ? 2 : 1)
        ->and([$table['partitions'][0]['start'], $table['partitions'][0]['size']])->toBe([$plan->layout->partitions[0]->extent->first, $plan->layout->partitions[0]->extent->count]);
    $part = "{$this->shop->folder}/part.img";
    Workshop::says('dd', "if={$stick->path()}", "of={$part}", 'bs=1M', 'iflag=skip_bytes,count_bytes', 'conv=sparse', 'skip='.$table['partitions'][0]['start'] * 512, 'count='.$table['partitions'][0]['size'] * 512);
    Workshop::says('fsck.vfat', '-n', $part);
    if ($storage) {
        Workshop::says('dd', "if={$stick->path()}", "of={$part}", 'bs=1M', 'iflag=skip_bytes,count_bytes', 'conv=sparse', 'skip='.$table['partitions'][1]['start'] * 512, 'count='.$table['partitions'][1]['size'] * 512);
        Workshop::says('fsck.exfat', '-n', $part);
    }
    $off = takenOff($plan, $stick->path(), "{$this->shop->folder}/off");
    file_put_contents("{$this->shop->folder}/SUMS", $result->sha256sums());
    expect((new Symfony\Component\Process\Process(['sha256sum', '-c', '--quiet', '../SUMS'], $off))->mustRun()->getOutput())->toBe('');
    Workshop::says('7zz', 'x', '-y', "-o{$this->shop->folder}/tree", $file);
    expect((new Symfony\Component\Process\Process(['diff', '-r', '-x', '[[]BOOT[]]', $off, "{$this->shop->folder}/tree"]))->run())->toBe(0)
        ->and($result->label)->toBe($plan->label)->and(count($result->sums))->toBe(count($plan->files));
})->with([
    ['plain.iso', Scheme::Gpt, false, 300_000_256], ['both.iso', Scheme::Mbr, false, 300_000_256 + 512], ['udf.iso', Scheme::Gpt, true, 900_000_000], ['hybrid-mbr.iso', Scheme::Mbr, true, 900_000_512],
]);

it('makes sticks with sectors of 4096 bytes', function (Scheme $scheme) {
    $file = $this->shop->image('both.iso');
    $stick = App\Devices\Stick\FileStick::ofSize("{$this->shop->folder}/stick.img", 2_000_003_072, 4096);
    $plan = $this->shop->plan($file, $stick, WriteMode::FilesCopied, $scheme);
    $this->shop->build($plan, $stick, $file);
    preg_match('/stick\.img1 +\*? *(\d+) +\d+ +(\d+)/', Workshop::says('fdisk', '--sector-size', '4096', '--list', $stick->path()), $found);
    expect([(int) $found[1], (int) $found[2]])->toBe([$plan->layout->partitions[0]->extent->first, $plan->layout->partitions[0]->extent->count])
        ->and((string) file_get_contents(takenOff($plan, $stick->path(), "{$this->shop->folder}/off").'/payload/system.img'))->toBe(str_repeat('payload', 3000));
})->with([Scheme::Gpt, Scheme::Mbr]);

it('takes the label nobody else has', function () {
    $file = $this->shop->image('plain.iso');
    expect($this->shop->plan($file, $this->shop->stick())->label)->toBe('ORRIN 3-2');
});

it('writes raw what is packed in any way, without a copy', function (string $image) {
    $file = $this->shop->image($image);
    $stick = $this->shop->stick(64_000_000);
    $plan = $this->shop->plan($file, $stick, WriteMode::Raw);
    $result = $this->shop->build($plan, $stick, $file);
    $wanted = $image === 'hybrid-gpt.iso' ? Images::bytes($image) : Images::bytes('disk-gpt.img');
    expect(file_get_contents($stick->path(), false, null, 0, strlen($wanted)))->toBe($wanted)
        ->and($result->sums)->toBe([basename($file) => hash('sha256', $wanted)])->and($result->bytes)->toBe(strlen($wanted));
})->with(['disk-gpt.img', 'hybrid-gpt.iso', 'disk.img.xz', 'disk.img.gz', 'disk.img.bz2', 'disk.img.zst', 'disk.zip']);

it('splits a file on the way and reads the parts back', function () {
    $tree = "{$this->shop->folder}/tree";
    mkdir("{$tree}/payload", recursive: true);
    $payload = random_bytes(1_000_000);
    file_put_contents("{$tree}/payload/system.img", str_repeat($payload, 21));
    file_put_contents("{$tree}/read [me] first.txt", 'small');
    $file = "{$this->shop->folder}/shelf/large.iso";
    Workshop::says('xorriso', '-as', 'mkisofs', '-quiet', '-J', '-R', '-o', $file, $tree);
    $stick = $this->shop->stick();
    $data = $this->shop->plan($file, $stick)->toArray();
    $rows = [];
    foreach ($data['files'] as $row) {
        if ($row['path'] !== 'payload/system.img') {
            $rows[] = $row;
        }
    }
    foreach ([[0, 8_000_000], [8_000_000, 8_000_000], [16_000_000, 5_000_000]] as $i => [$at, $bytes]) {
        $rows[] = ['path' => 'payload/system.p'.($i + 1), 'bytes' => $bytes, 'source' => 'payload/system.img', 'at' => $at, 'from' => 'image', 'of' => 21_000_000];
    }
    $plan = StickPlan::fromArray([...$data, 'files' => $rows]);
    $this->shop->build($plan, $stick, $file);
    $off = takenOff($plan, $stick->path(), "{$this->shop->folder}/off");
    expect(implode('', array_map(fn ($i) => file_get_contents("{$off}/payload/system.p{$i}"), [1, 2, 3])))->toBe(str_repeat($payload, 21))
        ->and(file_exists("{$off}/payload/system.img"))->toBeFalse()->and(file_get_contents("{$off}/read [me] first.txt"))->toBe('small');
});

it('streams a large file and carries a folder of drivers', function () {
    mkdir("{$this->shop->folder}/drivers/net", recursive: true);
    file_put_contents("{$this->shop->folder}/drivers/net/quarrel w2.inf", 'network');
    file_put_contents("{$this->shop->folder}/drivers/large.cab", $large = random_bytes(17_000_000));
    $file = $this->shop->image('plain.iso');
    $stick = $this->shop->stick();
    $plan = $this->shop->plan($file, $stick, drivers: "{$this->shop->folder}/drivers");
    $this->shop->build($plan, $stick, $file, "{$this->shop->folder}/drivers");
    $off = takenOff($plan, $stick->path(), "{$this->shop->folder}/off");
    expect(file_get_contents("{$off}/DRIVERS/net/quarrel w2.inf"))->toBe('network')->and(file_get_contents("{$off}/DRIVERS/large.cab"))->toBe($large);
});

it('keeps to the rules when the stick fails', function (array $faults, string $kind, string $says, bool $touched) {
    $file = $this->shop->image('plain.iso');
    if (isset($faults['bad_in'])) {
        $clean = $this->shop->stick(300_000_256, 'clean.img');
        $this->shop->build($this->shop->plan($file, $clean), $clean, $file);
        $volume = Cobblestone\Storage\Reading\FatVolume::open(new Cobblestone\Storage\Reading\WindowSource(new App\Devices\Inspection\FileSource($clean->path()), 1_048_576, 290_000_000));
        $faults = ['bad_blocks' => [1_048_576 + $volume->extents($volume->find($faults['bad_in']))->current()[0]]];
    }
    $stick = standIn($this->shop, $faults);
    $plan = $this->shop->plan($file, $stick);
    $failure = $this->shop->failure($plan, $stick, $file);
    expect($failure->kind)->toBe($kind)->and($failure->getMessage())->toContain($says)->and($failure->touched)->toBe($touched);
})->with([
    'a bad place in a file' => [['bad_in' => 'payload/system.img'], 'mismatch', 'payload/system.img reads back differently from its source. It read back differently twice: the stick is retired', true],
    'a bad place in the table' => [['bad_blocks' => [512]], 'mismatch', 'retired', true],
    'less room than it claims' => [['true_bytes' => 40_000_000], 'mismatch', 'retired', true],
    'write-protected' => [['write_protected' => true], 'protected', 'write-protected. Look for a switch', false],
    'it dies on the way' => [['dies_after_bytes' => 2_100_000], 'gone', 'vanished while it was written. Plug it in again', true],
]);

it('tries once more when the first format fails', function () {
    $file = $this->shop->image('plain.iso');
    $stick = standIn($this->shop, ['first_format_fails' => true]);
    $result = $this->shop->build($this->shop->plan($file, $stick), $stick, $file);
    expect($result->attempts)->toBe([['kind' => 'format', 'message' => 'The file system could not be made: the stick did not take it.', 'next' => 'It is tried once more.']]);
});

it('writes nothing to a stick that is not the one', function () {
    $file = $this->shop->image('plain.iso');
    $stick = standIn($this->shop, []);
    $plan = $this->shop->plan($file, $stick, target: new Cobblestone\Media\Build\StickTarget(300_000_256, 512, 'GL-2'));
    $before = hash_file('sha256', $stick->path());
    $failure = $this->shop->failure($plan, $stick, $file);
    expect($failure->kind)->toBe('identity')->and($failure->touched)->toBeFalse()->and($failure->getMessage())->toBe('This is not the stick the plan was made for. Its serial is GL-1, the plan is for GL-2. Nothing was written.')
        ->and(hash_file('sha256', $stick->path()))->toBe($before);
});

it('notices an image that changed, broke off or was swapped', function () {
    $file = $this->shop->image('disk.img.xz');
    $stick = $this->shop->stick(64_000_000);
    $plan = $this->shop->plan($file, $stick, WriteMode::Raw);
    file_put_contents($file, substr_replace((string) file_get_contents($file), 'XXXX', 2000, 4));
    expect($this->shop->failure($plan, $stick, $file))->kind->toBe('source')->getMessage()->toContain('could not be unpacked to its end');
    file_put_contents($file, 'short');
    expect($this->shop->failure($plan, $stick, $file))->kind->toBe('source')->getMessage()->toContain('Plan again.');
    unlink($file);
    expect($this->shop->failure($plan, $stick, $file)->getMessage())->toContain('is not on the shelf any more');
});

it('stops when somebody cancels, and when the stick is too small for what comes out', function () {
    $file = $this->shop->image('disk-gpt.img');
    $stick = $this->shop->stick(64_000_000);
    $plan = $this->shop->plan($file, $stick, WriteMode::Raw);
    expect($this->shop->failure($plan, $stick, $file, Workshop::quiet(1_000_000)))->kind->toBe('cancelled')->touched->toBeTrue();
    expect(fn () => $this->shop->plan($file, $this->shop->stick(5_000_192, 'small.img'), WriteMode::Raw))->toThrow(PlanFault::class, 'Take a larger stick.');
    $packed = $this->shop->image('disk.img.bz2');
    $small = $this->shop->stick(5_000_192, 'small.img');
    expect($this->shop->failure($this->shop->plan($packed, $small, WriteMode::Raw), $small, $packed)->getMessage())->toContain('larger than the stick');
});

it('refuses plans that cannot be', function (Closure $change, string $says) {
    $file = $this->shop->image('plain.iso');
    $data = $this->shop->plan($file, $this->shop->stick())->toArray();
    expect(fn () => StickPlan::fromArray($change($data)))->toThrow(PlanFault::class, $says);
})->with([
    [fn ($d) => [...$d, 'cobblestone_stick_plan' => 2], 'no stick plan of version 1'],
    [fn ($d) => [...$d, 'image' => null], 'the image is missing'],
    [fn ($d) => [...$d, 'image' => [...$d['image'], 'file' => '../../etc/passwd']], 'image.file: a file\'s name without folders is needed.'],
    [fn ($d) => [...$d, 'image' => [...$d['image'], 'sha256' => 'short']], 'image.sha256'],
    [fn ($d) => [...$d, 'mode' => 'sideways'], 'mode: one of raw, files-copied is needed.'],
    [fn ($d) => [...$d, 'layout' => null], 'there is none'],
    [fn ($d) => [...$d, 'layout' => [...$d['layout'], 'device_sectors' => 7]], 'its figures do not agree'],
    [fn ($d) => [...$d, 'layout' => [...$d['layout'], 'partitions' => [[...$d['layout']['partitions'][0], 'first_sector' => 5]]]], 'overlaps another or leaves the device'],
    [fn ($d) => [...$d, 'device_bytes' => 999], 'made for a device of another size'],
    [fn ($d) => [...$d, 'files' => 'none'], 'files: a list is needed.'],
    [fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'path' => '../outside']]], 'is no path below the top of a stick'],
    [fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'path' => "line\nbreak"]]], 'a line of text is needed'],
    [fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'at' => 9]]], 'reaches past the end of its source'],
    [fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'path' => 'what?.txt']]], 'has a character that FAT does not take'],
    [fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'bytes' => 4_294_967_296, 'of' => 4_294_967_296]]], 'more than a FAT32 file can hold'],
    [fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'path' => 'A.txt'], [...$d['files'][0], 'path' => 'a.TXT']]], 'differs from another only in upper and lower case'],
    [fn ($d) => [...$d, 'splitter' => [7]], 'splitter: a list of arguments is needed.'],
    [fn ($d) => [...$d, 'splitter' => ['command' => ['cut'], 'pattern' => 'p.bin', 'source' => 'a']], 'splitter.pattern: names of parts with one %d are needed.'],
]);

it('says when the files do not fit', function () {
    expect(fn () => $this->shop->plan($this->shop->image('plain.iso'), $this->shop->stick(20_000_256, 'tiny.img')))->toThrow(LayoutImpossible::class);
});

it('exports a script that only shows until told to write, and then makes the same stick', function (string $image, WriteMode $mode, bool $storage) {
    $file = $this->shop->image($image);
    $stick = $this->shop->stick(900_000_000);
    $plan = $this->shop->plan($file, $stick, $mode, Scheme::Mbr, $storage);
    file_put_contents($script = "{$this->shop->folder}/make-stick.sh", GuardedScript::of($plan));
    expect(Workshop::says('shellcheck', '--severity=style', $script))->toBe('');
    $dry = Workshop::says('bash', $script, '--image', $file, '--on', $stick->path());
    expect($dry)->toContain('Only showing what would be done')->toContain('+ read back and compare')->not->toContain('Done')
        ->and(stat($stick->path())['blocks'])->toBe(0);
    expect(Workshop::says('bash', $script, '--image', $file, '--on', $stick->path(), '--write'))->toContain('Done: every byte was read back');
    $other = $this->shop->stick(900_000_000, 'other.img');
    $this->shop->build($plan, $other, $file);
    if ($mode === WriteMode::Raw) {
        Workshop::says('cmp', $stick->path(), $other->path());
    } else {
        $tables = fn (string $path) => [str_replace($path, 'X', Workshop::says('sfdisk', '--dump', $path)), Cobblestone\Storage\Reading\FatVolume::open(new Cobblestone\Storage\Reading\WindowSource(new App\Devices\Inspection\FileSource($path), 1_048_576, 900_000_000))->geometry];
        expect($tables($stick->path()))->toBe($tables($other->path()));
        expect((new Symfony\Component\Process\Process(['diff', '-r', takenOff($plan, $stick->path(), "{$this->shop->folder}/a"), takenOff($plan, $other->path(), "{$this->shop->folder}/b")]))->run())->toBe(0);
    }
})->with([['plain.iso', WriteMode::FilesCopied, false], ['udf.iso', WriteMode::FilesCopied, true], ['disk.img.xz', WriteMode::Raw, false]]);

it('leaves a system\'s own splitter to the exported script, and proves the stick afterwards', function () {
    $tree = "{$this->shop->folder}/tree";
    mkdir("{$tree}/payload", recursive: true);
    file_put_contents("{$tree}/payload/system.img", random_bytes(3_000_000));
    file_put_contents("{$tree}/readme.txt", 'small');
    // A splitter of its own: every part carries a header.
    file_put_contents($tool = "{$this->shop->folder}/own-splitter", <<<'SH'
        #!/bin/sh
        for i in 1 2; do
            { printf 'HEAD%s' "$i"; dd if="$1" bs=1500000 skip=$((i - 1)) count=1 2>/dev/null; } >"$(dirname "$2")/system.p$i"
        done
        SH);
    chmod($tool, 0755);
    $file = "{$this->shop->folder}/shelf/own.iso";
    Workshop::says('xorriso', '-as', 'mkisofs', '-quiet', '-J', '-R', '-o', $file, $tree);
    $stick = $this->shop->stick();
    $data = $this->shop->plan($file, $stick)->toArray();
    $rows = array_values(array_filter($data['files'], fn ($row) => $row['path'] !== 'payload/system.img'));
    foreach ([1 => 0, 2 => 1_500_000] as $i => $at) {
        $rows[] = ['path' => "payload/system.p{$i}", 'bytes' => 1_500_000, 'source' => 'payload/system.img', 'at' => $at, 'from' => 'image', 'of' => 3_000_000];
    }
    $plan = StickPlan::fromArray([...$data, 'files' => $rows, 'splitter' => ['command' => [$tool, '{source}', '{target}'], 'pattern' => 'payload/system.p%d', 'source' => 'payload/system.img']]);
    expect($this->shop->failure($plan, $stick, $file)->getMessage())->toContain('cut by the system\'s own splitter')->toContain('Nothing was written.');
    file_put_contents($script = "{$this->shop->folder}/make-stick.sh", GuardedScript::of($plan));
    expect(Workshop::says('shellcheck', '--severity=style', $script))->toBe('')->and(Workshop::says('bash', $script, '--image', $file, '--on', $stick->path(), '--write'))->toContain('Done');
    file_put_contents($json = "{$this->shop->folder}/plan.json", json_encode($plan->toArray()));
    $prove = fn () => $this->artisan('cobblestone:stick', ['action' => 'prove', 'subject' => $json, '--on' => $stick->path(), '--image' => $file]);
    $prove()->expectsOutputToContain('Good: 1 files')->assertExitCode(0);
    putenv('MTOOLS_SKIP_CHECK=1');
    Workshop::says('mdel', '-i', BuildSteps::drive(BuildSteps::target($plan), $plan, $stick->path()), '::/payload/system.p1');
    $prove()->expectsOutputToContain('one is missing')->assertExitCode(1);
});

it('exports a script that stops at the wrong stick or image', function () {
    $file = $this->shop->image('plain.iso');
    $stick = $this->shop->stick();
    file_put_contents($script = "{$this->shop->folder}/make-stick.sh", GuardedScript::of($this->shop->plan($file, $stick)));
    $stops = function (string ...$options) use ($script): string {
        $process = new Symfony\Component\Process\Process(['bash', $script, ...$options]);
        expect($process->run())->toBe(1);

        return $process->getErrorOutput();
    };
    $other = $this->shop->stick(299_000_320, 'other.img');
    expect($stops('--image', $file, '--on', $other->path(), '--write'))->toContain('has not the planned 300000256 bytes')
        ->and($stops('--image', $file, '--on', '/dev/null'))->toContain('there is no stick')->and($stops('--image', $file))->toContain('--on says which stick')
        ->and($stops('--image', '/nowhere', '--on', $stick->path()))->toContain('there is no image')->and($stops('--sideways'))->toContain('unknown option');
    file_put_contents($file, 'X', FILE_APPEND);
    expect($stops('--image', $file, '--on', $stick->path()))->toContain('has not the planned');
});

it('finds a stick that claims more than it has, and leaves an honest one as it was', function () {
    $honest = standIn($this->shop, []);
    file_put_contents($honest->path(), str_repeat('x', 300_000), 0);
    $handle = fopen($honest->path(), 'r+');
    ftruncate($handle, 300_000_256);
    fclose($handle);
    $before = hash_file('sha256', $honest->path());
    expect(SizeCheck::quick($honest, Workshop::quiet()))->toMatchArray(['honest' => true, 'sentence' => '512 places all over its 300.0 MB hold what was written to them.'])
        ->and(hash_file('sha256', $honest->path()))->toBe($before);
    unlink($honest->path());
    $liar = SizeCheck::quick(standIn($this->shop, ['true_bytes' => 100_000_256]), Workshop::quiet());
    expect($liar['honest'])->toBeFalse()->and($liar['from'])->toBeGreaterThan(99_000_000)->toBeLessThan(101_000_000)->and($liar['sentence'])->toStartWith('It claims 300.0 MB, but from 100.');
});

it('never calls full scratch space a success', function () {
    $file = $this->shop->image('plain.iso');
    $stick = $this->shop->stick();
    $plan = $this->shop->plan($file, $stick);
    // The stick's own file cannot grow past a limit: what a full drive does.
    $process = new Symfony\Component\Process\Process(['bash', '-c', 'trap "" XFSZ; ulimit -f 1100; exec php -d pcov.enabled=0 "$@"', 'x', base_path('artisan'), 'cobblestone:stick', 'build', "{$this->shop->folder}/plan.json", "--on={$this->shop->folder}/full.img", "--image={$file}"]);
    file_put_contents("{$this->shop->folder}/plan.json", json_encode($plan->toArray()));
    expect($process->run())->not->toBe(0)->and($process->getOutput())->not->toContain('Good:');
});

it('takes hostile names inside an image for names: nothing in them is run, on the screen, dry or written', function () {
    mkdir($tree = "{$this->shop->folder}/tree", recursive: true);
    $names = ['END_OF_COBBLESTONE_LIST', 'touch pwned', '$(touch pwned)', '`touch pwned`', "'; touch pwned; '", '-rf', '#x', '!x', '@x', ';touch pwned', '&touch pwned&', '%s%n', '${IFS}', "re\u{202E}fdp.exe", 'ünïcode 木', '~root', '{a,b}', '[a-z]'];
    foreach ($names as $index => $name) {
        file_put_contents("{$tree}/{$name}", "contents {$index}");
    }
    Workshop::says('xorriso', '-as', 'mkisofs', '-quiet', '-R', '-o', $file = "{$this->shop->folder}/shelf/names.iso", $tree);
    $stick = $this->shop->stick();
    $plan = $this->shop->plan($file, $stick);
    file_put_contents($script = "{$this->shop->folder}/make-stick.sh", GuardedScript::of($plan));
    mkdir($here = "{$this->shop->folder}/here");
    $run = function (string ...$more) use ($script, $file, $stick, $here): string {
        $process = new Symfony\Component\Process\Process(['bash', $script, '--image', $file, '--on', $stick->path(), ...$more], $here, timeout: 120);
        expect($process->run())->toBe(0, $process->getErrorOutput());

        return $process->getOutput();
    };
    expect(Workshop::says('shellcheck', '--severity=style', $script))->toBe('')->and($run())->toContain('Only showing')->and(scandir($here))->toBe(['.', '..'])
        ->and($run('--write'))->toContain('Done')->and(scandir($here))->toBe(['.', '..'])->and(glob("{$this->shop->folder}/pwned"))->toBe([]);
    $back = takenOff($plan, $stick->path(), "{$this->shop->folder}/back");
    foreach ($names as $index => $name) {
        expect(file_get_contents("{$back}/{$name}"))->toBe("contents {$index}");
    }
    $other = $this->shop->stick(name: 'other.img');
    $result = $this->shop->build($plan, $other, $file);
    file_put_contents("{$back}/../sums", $result->sha256sums());
    $check = new Symfony\Component\Process\Process(['sha256sum', '--quiet', '-c', "{$back}/../sums"], $back);
    expect($check->run())->toBe(0, $check->getErrorOutput().$check->getOutput());
});

it('runs nothing of a name with line ends in it', function () {
    mkdir($tree = "{$this->shop->folder}/tree", recursive: true);
    file_put_contents("{$tree}/a\nEND_OF_COBBLESTONE_LIST\ntouch pwned", 'x');
    Workshop::says('xorriso', '-as', 'mkisofs', '-quiet', '-R', '-o', $file = "{$this->shop->folder}/shelf/names.iso", $tree);
    $plan = $this->shop->plan($file, $stick = $this->shop->stick());
    file_put_contents($script = "{$this->shop->folder}/make-stick.sh", GuardedScript::of($plan));
    mkdir($here = "{$this->shop->folder}/here");
    foreach ([[], ['--write']] as $more) {
        (new Symfony\Component\Process\Process(['bash', $script, '--image', $file, '--on', $stick->path(), ...$more], $here))->run();
    }
    expect(scandir($here))->toBe(['.', '..']);
});
