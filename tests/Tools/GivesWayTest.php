<?php

use Symfony\Component\Process\Process;

/** What a program started by another is called in the kernel's shares, read while it runs. */
function patienceOfStarted(int $patience): array
{
    $script = <<<'PHP'
    require $argv[1].'/vendor/autoload.php';
    $process = App\Devices\Command::of(['sleep', '20']);
    $process->start();
    for ($i = 0; $i < 20; $i++) {
        usleep(50_000);
        $process->giveWay();
    }
    $at = "/proc/{$process->getPid()}";
    $own = explode(' ', preg_replace('/^.*\) /s', '', file_get_contents("{$at}/stat")))[16];
    preg_match('/nice (-?\d+)/', (string) @file_get_contents("{$at}/autogroup"), $group);
    preg_match('/nice (-?\d+)/', (string) @file_get_contents('/proc/self/autogroup'), $starter);
    $process->stop(0);
    echo json_encode([(int) $own, $group[1] ?? null, $starter[1] ?? null]);
    PHP;
    $said = new Process(['setsid', 'nice', '-n', (string) $patience, PHP_BINARY, '-r', $script, '--', base_path()]);

    return json_decode($said->mustRun()->getOutput(), true, flags: JSON_THROW_ON_ERROR);
}

it('starts what gives way where it gives way itself, in the session of its own too, and nowhere else', function () {
    $shared = is_file('/proc/self/autogroup');
    // Whoever runs the tests may have made them patient already.
    $own = max(0, (int) pcntl_getpriority());
    $group = static fn (int $patience): ?string => $shared ? (string) $patience : null;
    expect(patienceOfStarted(5))->toBe([min(19, $own + 5), $group(min(19, $own + 5)), $group(0)])
        ->and(patienceOfStarted(0))->toBe([$own, $group($own), $group(0)]);
});

it('lets the workers of long jobs give way to the pages, and nothing that somebody waits for', function () {
    preg_match_all('/^command = (nice -n 5 )?.*--queue=(\w+)/m', (string) file_get_contents(
        base_path('deploy/supervisord.conf'),
    ), $found, PREG_SET_ORDER);
    expect(array_map(static fn (array $one): array => [$one[2], $one[1] !== ''], $found))->toEqualCanonicalizing([
        ['default', false], ['hash', true], ['builds', true], ['starts', true],
    ]);
});
