<?php

use Symfony\Component\Process\Process;

/** Runs code where processes share memory, as those of the server do. */
function withSharedMemory(string $code): string
{
    $autoload = base_path('vendor/autoload.php');
    $process = new Process(
        [
            PHP_BINARY, '-d', 'apc.enable_cli=1', '-d', 'apc.serializer=igbinary', '-r',
            "require '{$autoload}'; use App\Database\Kept; {$code}",
        ],
    );

    return $process->mustRun()->getOutput();
}

it('works a thing out once for each name, where there is memory to keep it in', function () {
    $made = withSharedMemory(<<<'CODE'
        $n = 0;
        $make = function () use (&$n) { $n++; return "made {$n}"; };
        echo Kept::of('one', $make), ', ', Kept::of('one', $make), ', ', Kept::of('other', $make), ', ', $n;
        CODE);
    expect($made)->toBe('made 1, made 1, made 2, 2');
});

it('works it out each time where there is none', function () {
    $process = new Process([PHP_BINARY, '-d', 'apc.enable_cli=0', '-r', sprintf(
        'require %s; $n = 0; foreach ([1, 2] as $_) { App\Database\Kept::of("one", function () use (&$n) '
            .'{ $n++; return "x"; }); } echo $n;',
        var_export(base_path('vendor/autoload.php'), true),
    )]);
    expect($process->mustRun()->getOutput())->toBe('2');
});

it('gives back the path that was kept, whole', function () {
    $plan = Tests\Support\Demo::plan('fairlead-13');
    $file = tempnam(sys_get_temp_dir(), 'path');
    file_put_contents($file, json_encode($plan->toArray()));
    $same = withSharedMemory(sprintf(<<<'CODE'
        $stored = json_decode(file_get_contents('%s'), true);
        $read = fn () => Cobblestone\Runbook\Plan::fromArray($stored);
        Kept::of('path', $read);
        $kept = Kept::of('path', fn () => exit('was not kept'));
        echo json_encode($kept->toArray()) === json_encode($read()->toArray()) ? 'the same' : 'another';
        CODE, $file));
    unlink($file);
    expect($same)->toBe('the same');
});
