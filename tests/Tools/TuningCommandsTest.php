<?php

use Illuminate\Support\Facades\Artisan;

beforeEach(function () {
    $this->folder = sys_get_temp_dir().'/cobble-frames-'.bin2hex(random_bytes(6));
    mkdir($this->folder);
    $this->log = function (string $name, string $text): string {
        file_put_contents("{$this->folder}/{$name}", $text);

        return "{$this->folder}/{$name}";
    };
    $this->asked = function (string $command, array $with): array {
        $ended = Artisan::call($command, [...$with, '--json' => true]);

        return [$ended, json_decode(Artisan::output(), true)];
    };
});
afterEach(fn () => array_map(unlink(...), glob("{$this->folder}/*") ?: []) && rmdir($this->folder));

it('prints frames, interval and comparison', function () {
    $of = fn (float $ms): string => "frame_ms\n".implode("\n", array_map(
        fn (int $i): string => (string) round($ms * (1 + 0.02 * sin($i * 7.1)), 3),
        range(1, 600),
    ));
    [$before, $after] = [($this->log)('before.csv', $of(20)), ($this->log)('after.csv', $of(16))];
    [$ended, $found] = ($this->asked)('cobblestone:frames', [
        'file' => [$after], '--against' => [$before], '--settings' => 'high', '--power' => '15 W',
    ]);
    expect($ended)->toBe(0)
        ->and($found['frames'])->toBe(600)
        ->and($found['comparable'])->toBeTrue()
        ->and($found['why'])->toBe([])
        ->and(round($found['change'][1], 2))->toBe(0.25)
        ->and($found['interval'][0])->toBeLessThan($found['rate'])
        ->and(array_keys($found))->toContain('seconds', 'low_1_percent');
    [, $found] = ($this->asked)('cobblestone:frames', [
        'file' => [$after], '--against' => [$before], '--settings' => 'high', '--power' => '15 W',
        '--power-then' => '10 W',
    ]);
    expect($found['comparable'])->toBeFalse()->and($found['why'])->toBe(['Power mode: 10 W then, 15 W now.']);
    $this->artisan('cobblestone:frames', ['file' => [$after], '--against' => [$before]])
        ->expectsOutputToContain('Not comparable. Nobody said the settings')
        ->assertExitCode(0);
});

it('says what a log lacks', function () {
    expect(($this->asked)('cobblestone:frames', ['file' => [($this->log)('a.csv', "heat,fan\n60,900\n")]])[0])->toBe(1)
        ->and(($this->asked)('cobblestone:frames', ['file' => ["{$this->folder}/none.csv"]])[0])->toBe(1);
});

it('prints the hours of a battery', function () {
    [$ended, $found] = ($this->asked)('cobblestone:battery', [
        '--wh' => '40', '--health' => '0.9', '--charge-limit' => '0.8', '--base' => '5', '--load' => '0.8',
        '--limits' => '15', '--hours' => '3',
    ]);
    expect($ended)->toBe(0)
        ->and($found)->toMatchArray(['usable_wh' => 27.0, 'learned_from' => 0, 'highest_w' => 5.0])
        ->and($found['limits'])->toBe([['limit_w' => 15.0, 'draw_w' => 17.0, 'hours' => 1.59]]);
    [, $found] = ($this->asked)('cobblestone:battery', ['--wh' => '40', '--drained' => ['10:6.5:30', '20:10.5:30']]);
    expect($found)->toMatchArray(['base_w' => 5.0, 'load' => 0.8, 'learned_from' => 2, 'highest_w' => null]);
    $this->artisan('cobblestone:battery', ['--wh' => '40', '--base' => '5', '--hours' => '2'])
        ->expectsOutputToContain('can be used')
        ->assertExitCode(0);
    $this->artisan('cobblestone:battery', ['--wh' => '40', '--base' => '30', '--hours' => '2'])
        ->expectsOutputToContain('No limit gives')
        ->assertExitCode(0);
});

it('refuses a battery that says nothing', function (array $with) {
    expect(($this->asked)('cobblestone:battery', $with)[0])->toBe(1);
})->with([
    [['--base' => '5']], [['--wh' => 'much', '--base' => '5']], [['--wh' => '40']],
    [['--wh' => '40', '--drained' => ['10:6']]], [['--wh' => '40', '--base' => '5', '--limits' => '0']],
    [['--wh' => '40', '--base' => '5', '--hours' => '0']], [['--wh' => '40', '--base' => '5', '--limits' => 'a,b']],
]);
