<?php

use Illuminate\Support\Facades\Artisan;

beforeEach(function () {
    $this->bundle = sys_get_temp_dir().'/finished-'.bin2hex(random_bytes(5)).'.tar.gz';
    $this->brief = fn (string $name): string => base_path("docs/guide/briefs/{$name}.yaml");
    $this->stand = function (string $brief, array $faults = []): void {
        expect(Artisan::call('cobblestone:stand-in-machine', [
            'brief' => ($this->brief)($brief), 'out' => $this->bundle, '--fault' => $faults,
        ]))->toBe(0);
    };
    $this->accept = function (string $brief, array $with = []): array {
        $status = Artisan::call('cobblestone:accept', [
            'brief' => ($this->brief)($brief), '--after' => [$this->bundle], '--json' => true, ...$with,
        ]);

        return [$status, (array) json_decode(Artisan::output(), true)];
    };
});

afterEach(fn () => @unlink($this->bundle));

it('reads of every kind of job what tools can read, and leaves open what they cannot', function (string $brief) {
    ($this->stand)($brief);
    [$status, $said] = ($this->accept)($brief);
    $verdicts = array_column($said['rows'], 'verdict', 'row');
    expect($status)->toBe(0)
        ->and($said['not_read'])->toBe([])
        ->and($said['counts']['differs'])->toBe(0)
        ->and($said['counts']['equal'])->toBeGreaterThan($brief === 'unknown-laptop' ? 0 : 2)
        ->and(array_intersect($verdicts, ['differs']))->toBe([]);
    foreach ($verdicts as $row => $verdict) {
        $read = preg_match('/^(drive\.|device\.|link\.|cores|memory_|firmware_version|build)/', $row) === 1;
        expect($read ? $verdict !== 'open' : true)->toBeTrue("{$row} of {$brief}");
    }
    foreach (['sound', 'wireless', 'sleep', 'clock', 'sockets'] as $row) {
        isset($verdicts[$row]) && expect($verdicts[$row])->toBe('open');
    }
})->with([
    'fairlead-13', 'capstan-t3', 'pocket-lantern', 'new-capstan', 'drive-swap', 'factory-restore', 'firmware-update',
    'card-swap', 'repair', 'cable-restore', 'upgrade', 'sealed-stick', 'unknown-laptop', 'locked-capstan',
]);

it('finds what is wrong with a machine, and says what to do', function (
    string $brief,
    string $fault,
    string $row,
    string $observed,
    string $remedy,
) {
    ($this->stand)($brief, [$fault]);
    [$status, $said] = ($this->accept)($brief);
    $is = array_column($said['rows'], null, 'row')[$row];
    expect($status)->toBe(2)
        ->and($is['verdict'])->toBe('differs')
        ->and($is['observed_words'])->toContain($observed)
        ->and($is['remedy'])->toContain($remedy);
})->with([
    ['fairlead-13', 'half-memory', 'memory_installed', '8.6 GB (8.0 GiB)', 'Reseat the modules'],
    ['fairlead-13', 'half-memory', 'memory_usable', '8.', 'Count the modules'],
    ['fairlead-13', 'no-driver', 'device.pci:4f51:0c80', 'without a driver', 'install its package once more'],
    ['fairlead-13', 'no-driver', 'without_driver', 'Ostler C8 chipset', 'identifier'],
    ['fairlead-13', 'old-driver', 'device.pci:4f51:0c80', '0.1', '"4.1.0" expected'],
    ['fairlead-13', 'secure-boot', 'setting.secure_boot', 'off', 'Set it as the path says'],
    ['fairlead-13', 'clock', 'clock', 'its clock says 2019', 'Set them'],
    ['capstan-t3', 'drive-gone', 'drive.KB-9917-4488', 'no drive of this serial', 'cable'],
    ['new-capstan', 'slow-memory', 'memory_rate', '3000 MT/s', 'memory profile'],
    ['card-swap', 'no-driver', 'device.pci:4f51:4100', 'without a driver', 'Drivers page'],
]);

it('refuses the readings of another machine', function () {
    $before = sys_get_temp_dir().'/before-'.bin2hex(random_bytes(5)).'.tar.gz';
    ($this->stand)('fairlead-13');
    rename($this->bundle, $before);
    ($this->stand)('fairlead-13', ['other-machine']);
    $status = Artisan::call('cobblestone:accept', [
        'brief' => ($this->brief)('fairlead-13'), '--before' => [$before], '--after' => [$this->bundle],
    ]);
    expect($status)->toBe(1);
    ($this->stand)('fairlead-13');
    expect(($this->accept)('fairlead-13', ['--before' => [$before]])[0])->toBe(0);
    @unlink($before);
});

it('expects what was read before the job', function () {
    $before = sys_get_temp_dir().'/before-'.bin2hex(random_bytes(5)).'.tar.gz';
    ($this->stand)('fairlead-13', ['half-memory']);
    rename($this->bundle, $before);
    ($this->stand)('fairlead-13');
    [$status, $said] = ($this->accept)('fairlead-13', ['--before' => [$before]]);
    $rows = array_column($said['rows'], null, 'row');
    expect($rows['memory_installed']['expected'])->toBe('8589934592')
        ->and($rows['memory_installed']['source'])->toBe('reading')
        ->and($status)->toBe(2);
    @unlink($before);
});

it('takes no file that is not there, and no job without a machine at its end', function (array $with, string $brief) {
    expect(Artisan::call('cobblestone:accept', ['brief' => ($this->brief)($brief), ...$with]))->toBe(1);
})->with([
    [['--after' => ['/nowhere/x.tar.gz']], 'fairlead-13'],
    [[], 'stick-for-any'],
    [['--after' => [__FILE__]], 'fairlead-13'],
]);

it('says in words what it found', function () {
    ($this->stand)('fairlead-13', ['old-driver']);
    Artisan::call('cobblestone:accept', [
        'brief' => ($this->brief)('fairlead-13'), '--after' => [$this->bundle],
    ]);
    expect(Artisan::output())
        ->toContain('equal    Cores: expected 8, read 8')
        ->toContain('open     Sound: expected works or it has none (one of them)')
        ->toContain('differs  Ostler C8 chipset, pci:4f51:0c80: version of its driver: expected 4.1.0, read 0.1')
        ->toContain('1 differ, 13 open.');
});

it('tells what differs between two bundles', function () {
    $before = sys_get_temp_dir().'/before-'.bin2hex(random_bytes(5)).'.tar.gz';
    ($this->stand)('fairlead-13', ['half-memory', 'no-driver', 'secure-boot']);
    rename($this->bundle, $before);
    ($this->stand)('fairlead-13');
    Artisan::call('cobblestone:difference', ['before' => $before, 'after' => $this->bundle, '--json' => true]);
    $said = (array) json_decode(Artisan::output(), true);
    $words = array_column($said['differences'], 'words');
    expect($words)->toContain('Ostler C8 chipset (pci:4f51:0c80): was no driver, is driver 4.1.0.')
        ->toContain('Secure Boot: was off, is on.')
        ->toContain('Memory in Slot 1: was empty, is 8.0 GiB.')
        ->and($said['same_machine'])->toBeTrue();
    Artisan::call('cobblestone:difference', ['before' => $before, 'after' => $before]);
    expect(Artisan::output())->toContain('Nothing differs of what both say.');
    expect(Artisan::call('cobblestone:difference', ['before' => '/nowhere', 'after' => $before]))->toBe(1);
    @unlink($before);
});

it('stands in for no machine with a fault it does not know, and writes only bundles', function (array $with) {
    expect(Artisan::call('cobblestone:stand-in-machine', [
        'brief' => ($this->brief)('fairlead-13'), 'out' => $this->bundle, ...$with,
    ]))->toBe(1)->and(is_file($this->bundle))->toBeFalse();
})->with([[['--fault' => ['rust']]], [['out' => '/nowhere/x.tar.gz']], [['out' => '/tmp/x.zip']]]);
