<?php

use Symfony\Component\Process\Process;
use Tests\Support\Demo;

/** @param  list<string>  $arguments */
function walking(array $arguments): Process
{
    $environment = [
        'DB_PORT' => '1',
        'APP_ENV' => 'testing',
        'APP_CONFIG_CACHE' => 'bootstrap/cache/config.testing.php',
    ];
    $process = new Process([PHP_BINARY, 'artisan', 'cobblestone:walk', ...$arguments], base_path(), $environment);
    $process->run();

    return $process;
}

/** @return array{verdict: string, steps: list<array{id: string, one_way: bool, laid: bool, refused: string|null}>} */
function walkedJson(Process $process): array
{
    return json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
}

it('walks a brief without a database, stone by stone in the order of the path', function () {
    $walked = walkedJson($process = walking(['docs/guide/briefs/fairlead-13.yaml', '--json']));
    $plan = Demo::plan('fairlead-13');
    expect($process->getExitCode())
        ->toBe(0)
        ->and(array_keys($walked))
        ->toBe(['verdict', 'steps'])
        ->and($walked['verdict'])
        ->toBe('go')
        ->and(array_column($walked['steps'], 'id'))
        ->toBe(array_map(fn ($step) => $step->id, $plan->steps));
    foreach ($walked['steps'] as $step) {
        expect(array_keys($step))
            ->toBe(['id', 'one_way', 'laid', 'refused'])
            ->and($step['laid'])
            ->toBeTrue()
            ->and($step['refused'])
            ->toBeNull()
            ->and($step['one_way'])
            ->toBe($plan->step($step['id'])->isOneWay());
    }
});

it('lays nothing after a stone that was left out and that others wait for', function () {
    $walked = walkedJson(
        walking(['docs/guide/briefs/fairlead-13.yaml', '--except=protect.check-backup, updates.system', '--json']),
    );
    $by = array_column($walked['steps'], null, 'id');
    expect($by['protect.check-backup'])
        ->toMatchArray(['laid' => false])
        ->and($by['target.erase']['laid'])
        ->toBeFalse()
        ->and($by['target.erase']['refused'])
        ->toContain('the backup is verified')
        ->and($by['hand-over.give-back']['laid'])
        ->toBeFalse();
});

it('walks a plan as JSON like its brief', function () {
    $file = tempnam(sys_get_temp_dir(), 'plan');
    file_put_contents($file, json_encode(Demo::plan('card-swap')->toArray()));
    $of = walking([$file, '--json']);
    unlink($file);
    expect($of->getOutput())
        ->toBe(walking(['docs/guide/briefs/card-swap.yaml', '--json'])->getOutput())
        ->and(walkedJson($of)['verdict'])
        ->toBe('go');
});

it('refuses every stone that a stop covers, in words too', function () {
    $file = tempnam(sys_get_temp_dir(), 'plan');
    $plan = Demo::plan('card-swap', ['card' => ['leads' => []]]);
    file_put_contents($file, json_encode($plan->toArray()));
    $spoken = walking([$file])->getOutput();
    unlink($file);
    expect($spoken)
        ->toStartWith("verdict stop\n")
        ->toContain('refused  hardware.swap-card: ')
        ->toContain('laid     intake.take-in')
        ->not->toContain('laid     hand-over');
});

it('says what is wrong with what it was given, and ends with 1', function (array $arguments, string $words) {
    $process = walking($arguments);
    expect($process->getExitCode())
        ->toBe(1)
        ->and($process->getErrorOutput())
        ->toContain($words)
        ->not->toContain('Stack trace')
        ->and($process->getOutput())
        ->toBe('');
})->with([
    'no such stone' => [
        ['docs/guide/briefs/fairlead-13.yaml', '--except=target.burn'],
        'This path has no stone "target.burn". Its stones: intake.take-in,',
    ],
    'no such file' => [['nowhere.yaml'], 'nowhere.yaml'],
    'no brief' => [['README.md'], 'README.md'],
    'no such catalogue' => [['docs/guide/briefs/fairlead-13.yaml', '--catalogue=nowhere'], 'nowhere'],
]);

it('walks a brief on a catalogue of one\'s own', function () {
    $brief = 'docs/guide/briefs/fairlead-13.yaml';
    expect(walking([$brief, '--catalogue=catalogue', '--json'])->getOutput())->toBe(
        walking([$brief, '--json'])->getOutput(),
    );
});
