<?php

use App\Devices\Emulated\EmulatedMachine;
use App\Devices\Emulated\MediumProof;
use App\Devices\StandIn\LoaderFile;
use Illuminate\Support\Facades\Artisan;
use Tests\Support\LeftBehind;
use Tests\Support\Sticks;
use Tests\Support\Worked;
use Tests\Support\Workshop;

pest()->group('slow');

beforeEach(function () {
    $this->shop = new Workshop;
    config(['cobblestone.state' => "{$this->shop->folder}/state"]);
    $this->before = LeftBehind::now();
});
afterEach(function () {
    $this->shop->clear();
    // Nothing is left running, whatever happened, and nothing lies about.
    expect(array_diff(LeftBehind::now(), $this->before))->toBe([]);
});

/** @return array<string, mixed> */
function startedHere(string $image, array $options): array
{
    $status = Artisan::call('cobblestone:start', ['image' => $image, '--json' => true, '--for' => '240', ...$options]);
    $said = Artisan::output();
    expect($status)->toBe(0, $said);

    return json_decode($said, true, flags: JSON_THROW_ON_ERROR);
}

it('starts a medium in an emulated machine, and leaves it as it was', function (
    string $kind,
    array $options,
    string $outcome,
    string $text,
) {
    $image = (new Sticks($this->shop->folder))->make($kind);
    // A name as somebody may bring it.
    rename($image, $image = "{$this->shop->folder}/it's, a=stick; \$x.img");
    $before = hash_file('sha256', $image);
    $said = startedHere($image, [...$options, '--picture' => "{$this->shop->folder}/picture.png"]);
    expect($said['outcome'])->toBe($outcome, $said['text'])
        ->and($said['text'])->toContain($text)
        ->and($said['seconds'])->toBeGreaterThan(0.1)
        ->and(hash_file('sha256', $image))->toBe($before)
        ->and($said['picture'])->toBe("{$this->shop->folder}/picture.png")
        ->and(getimagesize("{$this->shop->folder}/picture.png")['mime'])->toBe('image/png');
})->with([
    'signed by a key that is trusted' => ['gpt-signed', ['--firmware' => 'uefi-secure'], 'starts', 'COBBLE-STARTED'],
    'the old way' => ['hybrid-raw', ['--firmware' => 'bios'], 'starts', 'boot:'],
    'the old way, a sector that starts nothing' => [
        'bios-empty-active', ['--firmware' => 'bios'], 'loader-stopped', 'not a bootable disk',
    ],
]);

it('finds nothing on a file that is no medium, and says so when time is over', function () {
    $image = "{$this->shop->folder}/noise.img";
    file_put_contents($image, random_bytes(2_000_000));
    expect(startedHere($image, ['--firmware' => 'bios'])['outcome'])->toBe('no-boot-device')
        ->and(startedHere($image, ['--firmware' => 'uefi', '--for' => '1'])['outcome'])->toBe('cannot-tell');
});

it('says what it was not told, or cannot do', function (array $options, string $words) {
    file_put_contents($image = "{$this->shop->folder}/a.img", 'x');
    expect(Artisan::call('cobblestone:start', ['image' => $image, ...$options]))->toBe(1)
        ->and(Artisan::output())->toContain($words);
})->with([
    'no firmware' => [[], 'Name either --machine=MODEL or --firmware'],
    'both' => [['--firmware' => 'uefi', '--machine' => 'norrel-fairlead-13'], 'Name either'],
    'another' => [['--firmware' => 'open'], '--firmware=open: it can be'],
    'no such model' => [['--machine' => 'heron'], 'heron'],
    'for ever' => [['--firmware' => 'uefi', '--for' => '86400'], '--for=86400: seconds, from 1 to 600'],
    'no such keys' => [['--firmware' => 'uefi-secure', '--keys' => '/no/such'], '/no/such: there is no such file'],
    'no such file' => [['image' => '/no/such.img', '--firmware' => 'uefi'], 'there is no such file'],
]);

it('starts as many at once as this computer has processors, and no more', function () {
    $held = [];
    $processors = (int) shell_exec('nproc');
    for ($i = 1; $i <= $processors; $i++) {
        $held[] = App\Devices\Lease::take("emulated-{$i}");
    }
    file_put_contents($image = "{$this->shop->folder}/a.img", str_repeat('x', 4096));
    expect(Artisan::call('cobblestone:start', ['image' => $image, '--firmware' => 'bios']))->toBe(1)
        ->and(Artisan::output())->toContain('As many machines are being emulated');
    array_map(fclose(...), $held);
});

it('knows that nothing is missing here', function () {
    expect(EmulatedMachine::missing())->toBe('');
});

it('goes by the signers that a model trusts as it is delivered', function (string $signer, string $outcome) {
    config(['cobblestone.signers' => base_path('database/demo/signers')]);
    $folder = $this->shop->folder;
    $image = "{$folder}/signed.img";
    file_put_contents("{$folder}/loader.efi", LoaderFile::make('CREW INSTALLER STARTED'));
    $key = base_path("database/demo/signers/{$signer}");
    $signed = ['--cert', "{$key}.pem", '--output', "{$folder}/l.efi", "{$folder}/loader.efi"];
    Workshop::says('sbsign', '--key', "{$key}.key", ...$signed);
    Workshop::says('truncate', '-s', '64M', $image);
    Workshop::says('sgdisk', '-n', '1:2048:0', '-t', '1:ef00', $image);
    Workshop::says('mkfs.vfat', '--offset', '2048', $image, (string) (62 * 1024));
    Workshop::says('mmd', '-i', "{$image}@@1048576", '::/EFI', '::/EFI/BOOT');
    Workshop::says('mcopy', '-i', "{$image}@@1048576", "{$folder}/l.efi", '::/EFI/BOOT/BOOTX64.EFI');
    $said = startedHere($image, ['--machine' => 'brackwater-capstan-t3']);
    expect($said['firmware'])->toBe('uefi-secure')->and($said['outcome'])->toBe($outcome, $said['text']);
})->with([['platform', 'starts'], ['third-party', 'refused-secure-boot']]);

it('proves a large medium in many places, without reading it whole', function () {
    $file = "{$this->shop->folder}/large.img";
    Workshop::says('truncate', '-s', '20G', $file);
    $worked = Worked::calmly(function () use ($file, &$before): void {
        $before = MediumProof::of($file);
    });
    // Read whole, it takes a minute and more.
    expect($worked)->toBeLessThan(10.0)->and($before->sha256)->toBeNull()
        ->and(MediumProof::of($file)->isSameAs($before))->toBeTrue();
    $handle = fopen($file, 'r+b');
    fseek($handle, 20 * 2 ** 30 - 5);
    fwrite($handle, 'x');
    fclose($handle);
    touch($file, filemtime($file) - 100);
    expect(MediumProof::of($file)->isSameAs($before))->toBeFalse();
    file_put_contents($small = "{$this->shop->folder}/small.img", 'abc');
    expect(MediumProof::of($small)->sha256)->toBe(hash('sha256', 'abc'));
});
