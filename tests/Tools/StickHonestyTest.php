<?php

use App\Devices\Build\SizeCheck;
use Cobblestone\Media\Build\Script\GuardedScript;
use Tests\Support\Workshop;

beforeEach(fn () => $this->shop = new Workshop);

afterEach(fn () => $this->shop->clear());

it('finds a stick that claims more than it has, and leaves an honest one as it was', function () {
    $honest = standIn($this->shop, []);
    file_put_contents($honest->path(), str_repeat('x', 300_000), 0);
    $handle = fopen($honest->path(), 'r+');
    ftruncate($handle, 300_000_256);
    fclose($handle);
    $before = hash_file('sha256', $honest->path());
    expect(SizeCheck::quick($honest, Workshop::quiet()))->toMatchArray([
        'honest' => true,
        'sentence' => '512 places all over its 300.0 MB hold what was written to them.',
    ])
        ->and(hash_file('sha256', $honest->path()))->toBe($before);
    unlink($honest->path());
    $liar = SizeCheck::quick(standIn($this->shop, ['true_bytes' => 100_000_256]), Workshop::quiet());
    expect($liar['honest'])->toBeFalse()
        ->and($liar['from'])->toBeGreaterThan(99_000_000)->toBeLessThan(101_000_000)
        ->and($liar['sentence'])->toStartWith('It claims 300.0 MB, but from 100.');
});

it('never calls full scratch space a success', function () {
    $file = $this->shop->image('plain.iso');
    $stick = $this->shop->stick();
    $plan = $this->shop->plan($file, $stick);
    // The stick's own file cannot grow past a limit: what a full drive does.
    $process = new Symfony\Component\Process\Process([
        'bash',
        '-c',
        'trap "" XFSZ; ulimit -f 1100; exec php -d pcov.enabled=0 "$@"',
        'x',
        base_path('artisan'),
        'cobblestone:stick',
        'build',
        "{$this->shop->folder}/plan.json",
        "--on={$this->shop->folder}/full.img",
        "--image={$file}",
    ]);
    file_put_contents("{$this->shop->folder}/plan.json", json_encode($plan->toArray()));
    expect($process->run())->not->toBe(0)->and($process->getOutput())->not->toContain('Good:');
});

it('takes hostile names inside an image for names: nothing in them is run, on the screen, dry or written', function () {
    mkdir($tree = "{$this->shop->folder}/tree", recursive: true);
    $names = [
        'END_OF_COBBLESTONE_LIST', 'touch pwned', '$(touch pwned)', '`touch pwned`', "'; touch pwned; '", '-rf', '#x',
        '!x', '@x', ';touch pwned', '&touch pwned&', '%s%n', '${IFS}', "re\u{202E}fdp.exe", 'ünïcode 木', '~root',
        '{a,b}', '[a-z]',
    ];
    foreach ($names as $index => $name) {
        file_put_contents("{$tree}/{$name}", "contents {$index}");
    }
    Workshop::says(
        'xorriso',
        '-as',
        'mkisofs',
        '-quiet',
        '-R',
        '-o',
        $file = "{$this->shop->folder}/shelf/names.iso",
        $tree,
    );
    $stick = $this->shop->stick();
    $plan = $this->shop->plan($file, $stick);
    file_put_contents($script = "{$this->shop->folder}/make-stick.sh", GuardedScript::of($plan));
    mkdir($here = "{$this->shop->folder}/here");
    $run = function (string ...$more) use ($script, $file, $stick, $here): string {
        $process = new Symfony\Component\Process\Process(
            ['bash', $script, '--image', $file, '--on', $stick->path(), ...$more],
            $here,
            timeout: 120,
        );
        expect($process->run())->toBe(0, $process->getErrorOutput());

        return $process->getOutput();
    };
    expect(Workshop::says('shellcheck', '--severity=style', $script))->toBe('')
        ->and($run())->toContain('Only showing')
        ->and(scandir($here))->toBe(['.', '..'])
        ->and($run('--write'))->toContain('Done')
        ->and(scandir($here))->toBe(['.', '..'])
        ->and(glob("{$this->shop->folder}/pwned"))->toBe([]);
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
    Workshop::says(
        'xorriso',
        '-as',
        'mkisofs',
        '-quiet',
        '-R',
        '-o',
        $file = "{$this->shop->folder}/shelf/names.iso",
        $tree,
    );
    $plan = $this->shop->plan($file, $stick = $this->shop->stick());
    file_put_contents($script = "{$this->shop->folder}/make-stick.sh", GuardedScript::of($plan));
    mkdir($here = "{$this->shop->folder}/here");
    foreach ([[], ['--write']] as $more) {
        (new Symfony\Component\Process\Process(
            ['bash', $script, '--image', $file, '--on', $stick->path(), ...$more],
            $here,
        ))
            ->run();
    }
    expect(scandir($here))->toBe(['.', '..']);
});
