<?php

use Cobblestone\Inventory\InventoryReader;
use Cobblestone\Inventory\LsblkReader;
use Symfony\Component\Process\Process;
use Tests\Support\Demo;

/** What the tool prints on the machine the tests run on, in the language of scripts. */
function printedBy(string ...$command): string
{
    $process = new Process(
        array_values($command),
        env: ['LC_ALL' => 'C', 'PATH' => getenv('PATH').':/usr/sbin:/sbin'],
    );
    $process->run();

    return $process->getOutput().$process->getErrorOutput();
}

it('reads the real output of this machine', function (array $command, string $tool) {
    $text = printedBy(...$command);
    if (trim($text) === '') {
        $this->markTestSkipped("{$command[0]} finds nothing on this machine.");
    }
    $reading = InventoryReader::read($text, 'here', '2026-11-24T16:00Z');
    expect($reading->tool)->toBe($tool);
    foreach ($reading->notes as $note) {
        expect($note)->not->toContain('was not understood');
    }
})
    ->with([
        [['lsblk', '-J', '-b'], 'lsblk'],
        [
            [
                'lsblk',
                '-J',
                '-b',
                '-o',
                '+SERIAL,WWN,MODEL,START,LOG-SEC,PHY-SEC,PTTYPE,PARTTYPE,PARTUUID,FSTYPE,FSUSED,LABEL,TRAN,RM',
            ],
            'lsblk',
        ],
        [['lshw', '-json', '-quiet'], 'lshw'],
        [['lspci', '-vmmnnk'], 'lspci'],
        [['lspci', '-nn'], 'lspci'],
        [['lsusb'], 'lsusb'],
        [['dmidecode'], 'dmidecode'],
        [['smartctl', '-j', '--scan'], 'smartctl'],
    ])
    ->group('tools');

it('finds this machine\'s memory, cores and drives in its own words', function () {
    $lshw = InventoryReader::read(printedBy('lshw', '-json', '-quiet'), 'here', null);
    $kernel =
        (int) preg_replace('/\D/', '', (string) (preg_grep('/^MemTotal/', file('/proc/meminfo') ?: [])[0] ?? '')) *
        1024;
    expect($lshw->facts['memory_bytes'])
        ->toBeGreaterThan((int) ($kernel * 0.9))
        ->toBeLessThan($kernel * 2);
    $drives = LsblkReader::read(printedBy('lsblk', '-J', '-b'))->drives;
    foreach ($drives as $drive) {
        expect($drive->size->count)->toBe(
            (int) trim((string) file_get_contents("/sys/block/{$drive->path}/size")) * 512,
        );
    }
    expect($drives)->not->toBe([]);
})->group('tools');

it('makes a bundle that shellcheck accepts and every reader reads', function () {
    $script = Demo::root().'/collector/cobblestone-collect';
    expect(printedBy('shellcheck', $script))->toBe('');
    $folder = sys_get_temp_dir().'/collect-'.bin2hex(random_bytes(4));
    mkdir($folder);
    $bundle = trim(printedBy('sh', $script, $folder));
    expect($bundle)->toEndWith('.tar.gz');
    $names = array_filter(
        explode("\n", printedBy('tar', '-tzf', $bundle)),
        fn (string $name): bool => $name !== '' && ! str_ends_with($name, '/'),
    );
    $tools = [];
    foreach ($names as $name) {
        $tools[] = InventoryReader::read(printedBy('tar', '-xzOf', $bundle, $name), basename($name), null)->tool;
    }
    expect($tools)->toContain('collector')->toContain('lsblk');
    array_map(unlink(...), glob("{$folder}/*") ?: []);
    rmdir($folder);
})->group('tools');

it('collects what it may where nearly every tool is missing', function () {
    $bin = sys_get_temp_dir().'/few-'.bin2hex(random_bytes(4));
    mkdir($bin);
    foreach (['sh', 'date', 'uname', 'mktemp', 'mkdir', 'rm', 'cat', 'tar', 'gzip'] as $tool) {
        symlink(trim(printedBy('sh', '-c', "command -v {$tool}")), "{$bin}/{$tool}");
    }
    // Its own path to the system's folders is cut off too, so that really nothing else is found.
    $script = str_replace(
        'PATH=$PATH:/usr/sbin:/sbin',
        "PATH={$bin}",
        (string) file_get_contents(Demo::root().'/collector/cobblestone-collect'),
    );
    file_put_contents("{$bin}/collect", $script);
    $process = new Process(["{$bin}/sh", "{$bin}/collect", $bin], env: ['PATH' => $bin]);
    $process->run();
    expect($process->getExitCode())->toBe(0);
    $note = printedBy('tar', '-xzOf', trim($process->getOutput()), '--wildcards', '*/system.txt');
    expect(InventoryReader::read($note, 'system.txt', null)->notes)->toContain(
        'The collector found no lsblk on that system, so nothing is known from it.',
    );
    array_map(unlink(...), glob("{$bin}/*") ?: []);
    rmdir($bin);
})->group('tools');
