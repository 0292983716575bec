<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;

beforeEach(function () {
    $this->folder = sys_get_temp_dir().'/drivers-command-'.bin2hex(random_bytes(6));
    mkdir("{$this->folder}/shelf/loose", 0777, true);
});
afterEach(fn () => File::deleteDirectory($this->folder));

/** @return array<string, mixed> */
function matchedBy(string $folder, array $more = []): array
{
    $status = Artisan::call('cobblestone:drivers', [
        'what' => 'match',
        '--devices' => "{$folder}/devices.csv",
        '--shelf' => "{$folder}/shelf",
        '--system' => 'tansy-desktop-7',
        '--json' => true,
        ...$more,
    ]);
    expect($status)->toBe(0);

    return json_decode(Artisan::output(), true, 512, JSON_THROW_ON_ERROR);
}

function packed(string $folder, string $archive, array $files): void
{
    $work = "{$folder}/work-".bin2hex(random_bytes(4));
    mkdir($work);
    foreach ($files as $name => $text) {
        File::ensureDirectoryExists(dirname("{$work}/{$name}"));
        file_put_contents("{$work}/{$name}", $text);
    }
    (new Process(['7zz', 'a', '-bd', "{$folder}/shelf/{$archive}", '.'], $work))->mustRun();
}

it('matches devices with packages out of real archives, folders and manifests, and says what decided', function () {
    $wide = fn (string $stamp, string $end = 'NTamd64'): string => setupFile([
        'Manufacturer' => ["%Quarrel%=M,{$end}"],
        "M.{$end}" => ['%W2%=I,PCI\VEN_51A2&DEV_0202'],
    ], $stamp, 'CatalogFile=W2.cat');
    $narrow = "\xFF\xFE".iconv('UTF-8', 'UTF-16LE', setupFile([
        'Manufacturer' => ['%Quarrel%=M,NTamd64.10.0...7100'],
        'M.NTamd64.10.0...7100' => ['%W2%=I,PCI\VEN_51A2&DEV_0202&SUBSYS_00134E52'],
    ], '01/02/2026, 21.0', 'CatalogFile=w2.cat'));
    packed($this->folder, 'narrow.zip', ['x64/w2.inf' => $narrow, 'x64/W2.CAT' => 'x', 'readme.txt' => 'x']);
    packed($this->folder, 'newer.7z', ['w2.inf' => $wide('09/09/2026, 23.0'), 'w2.cat' => 'x']);
    packed($this->folder, 'arm.zip', ['w2.inf' => $wide('09/09/2026, 23.0', 'NTarm64'), 'w2.cat' => 'x']);
    packed($this->folder, 'unsigned.zip', ['w2.inf' => $wide('09/10/2026, 23.1')]);
    packed($this->folder, 'later.zip', ['w2.inf' => $wide('09/10/2026, 23.1', 'NTamd64.10.0...9000'), 'w2.cat' => 'x']);
    packed($this->folder, 'empty.zip', ['readme.txt' => 'x']);
    $stub = 'MZ'.str_repeat("\0", 3000);
    file_put_contents("{$this->folder}/shelf/itself.exe", $stub.file_get_contents("{$this->folder}/shelf/newer.7z"));
    file_put_contents("{$this->folder}/shelf/loose/w2.inf", $wide('02/02/2026, 22.0'));
    file_put_contents("{$this->folder}/shelf/loose/w2.cat", 'x');
    file_put_contents("{$this->folder}/shelf/broken.zip", 'no archive');
    copy(base_path('catalogue/drivers/quarrel-w2-wireless.yaml'), "{$this->folder}/shelf/w2.yaml");
    file_put_contents("{$this->folder}/shelf/bad.yaml", "id: bad\n");
    symlink('/etc', "{$this->folder}/shelf/link");
    file_put_contents("{$this->folder}/devices.csv", "Name,Hardware IDs,Status\r\n"
        .'W2,"PCI\VEN_51A2&DEV_0202&SUBSYS_00134E52&REV_02;PCI\VEN_51A2&DEV_0202",Error'."\r\n"
        .'A1,HDAUDIO\FUNC_01&VEN_46E1&DEV_0A10,OK'."\r\n".'X,PCI\VEN_9999&DEV_0001,Error'."\r\n");
    $found = matchedBy($this->folder, ['--enforced' => true]);
    [$wireless, $sound, $unknown] = $found['devices'];
    expect($wireless['package'])->toBe([
        'id' => 'narrow',
        'source' => 'narrow.zip',
        'setup_file' => 'x64/w2.inf',
        'version' => '21.0',
        'date' => '2026-01-02',
        'identifier' => 'pci:51a2:0202/4e52:0013',
    ])
        ->and(array_column($wireless['refused'], 'why', 'source'))->toBe([
            'arm.zip' => 'architecture',
            'itself.exe' => 'specificity',
            'later.zip' => 'build',
            'loose' => 'specificity',
            'newer.7z' => 'specificity',
            'unsigned.zip' => 'signature',
            'w2.yaml' => 'specificity',
        ])
        ->and([$sound['brings'], $sound['package'], $sound['missing']])->toBe([true, null, false])
        ->and([$unknown['brings'], $unknown['package'], $unknown['missing']])->toBe([false, null, true])
        ->and(array_unique(array_column($found['unreadable'], 'source')))
        ->toBe(['bad.yaml', 'broken.zip', 'empty.zip']);
    $older = matchedBy($this->folder, ['--build' => '7099'])['devices'][0];
    expect($older['package']['source'])->toBe('unsigned.zip')
        ->and(array_column($older['refused'], 'why', 'source')['narrow.zip'])->toBe('build');
});

it('says what is wrong with what it is given', function (array $options, string $words) {
    $command = new Process(['php', base_path('artisan'), 'cobblestone:drivers', 'match', ...$options]);
    $command->run();
    expect($command->getExitCode())->toBe(1)->and($command->getErrorOutput())->toContain($words);
})->with([
    [[], 'Name a system of the catalogue by --system='],
    [['--system=heron'], 'heron'],
    [['--system=tansy-desktop-7', '--shelf=/nowhere'], '/nowhere: there is no such folder.'],
    [['--system=tansy-desktop-7', '--shelf=/tmp'], 'Name a device list by --devices='],
    [['--system=tansy-desktop-7', '--shelf=/tmp', '--devices=/nowhere'], '/nowhere: there is no such file.'],
    [
        ['--system=tansy-desktop-7', '--shelf='.__DIR__, '--devices='.__FILE__, '--build=x'],
        'no device was found in it',
    ],
]);

it('recounts devices from one list to the next', function () {
    file_put_contents("{$this->folder}/a.csv", "Name,Hardware IDs,Status\nW2,PCI\\VEN_51A2&DEV_0202,28\n");
    file_put_contents("{$this->folder}/b.csv", "Name,Hardware IDs,Status\nW2,PCI\\VEN_51A2&DEV_0202,OK\n");
    Artisan::call('cobblestone:drivers', [
        'what' => 'audit',
        'readings' => ["{$this->folder}/a.csv", "{$this->folder}/b.csv"],
        '--json' => true,
    ]);
    $audit = json_decode(Artisan::output(), true, 512, JSON_THROW_ON_ERROR);
    expect($audit['coverage'])->toBe('1 device: 0 → 1')
        ->and($audit['steps'][0]['cleared'])->toBe([['name' => 'W2', 'id' => 'pci:51a2:0202']])
        ->and($audit['left'])->toBe([]);
});
