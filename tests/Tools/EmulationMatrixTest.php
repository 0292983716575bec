<?php

use App\Bridge\StickRehearsal;
use App\Catalogue\CatalogueFolder;
use Cobblestone\Boot\Keys\SignatureList;
use Cobblestone\Boot\StickStart;
use Cobblestone\Media\Inspection\PeImage;
use Tests\Support\Emulator;
use Tests\Support\KeyBench;
use Tests\Support\Sticks;

/** Where sticks of the matrix are kept while this file runs: making them takes as long as starting them. */
function matrixFolder(): string
{
    static $folder = null;
    if ($folder === null) {
        $folder = sys_get_temp_dir().'/cobble-matrix-'.bin2hex(random_bytes(5));
        mkdir($folder);
        register_shutdown_function(
            static fn () => (new Symfony\Component\Process\Process(['rm', '-rf', '--', $folder]))->run(),
        );
    }

    return $folder;
}

/**
 * @param  list<string>  $keys
 * @return array<string, mixed> what the command says
 */
function rehearsedStick(string $image, string $firmware, array $keys): array
{
    $rehearsal = new StickRehearsal(CatalogueFolder::read(base_path('catalogue'))->catalogue());

    return StickStart::toArray($rehearsal->predict($image, null, $firmware, $keys, []));
}

/** One cell: the prediction, and the firmware asked again where it does not agree at once, up to three times. */
function cell(string $image, string $firmware, ?string $store = null): void
{
    $store ??= Emulator::secureStore();
    $said = rehearsedStick($image, $firmware, $firmware === 'uefi-secure' ? [$store] : []);
    $real = [];
    for ($i = 0; $i < 3 && ! in_array($said['outcome'], $real, true); $i++) {
        $emulator = new Emulator(matrixFolder());
        $real[] = $emulator->outcome($image, $firmware, $firmware === 'uefi-secure' ? $store : null);
    }
    expect($real[count($real) - 1])->toBe($said['outcome'], basename($image)." on {$firmware}: {$said['cause']}");
}

it('agrees with emulated firmware on a few sticks', function (string $kind, string $firmware) {
    cell((new Sticks(matrixFolder()))->make($kind), $firmware);
})
    ->group('slow')
    ->with([
        ['gpt-signed', 'uefi-secure'],
        ['gpt-other-signer', 'uefi-secure'],
        ['gpt-no-default-path', 'uefi'],
        ['hybrid-raw', 'bios'],
        ['bios-empty-active', 'bios'],
    ]);

it('agrees with emulated firmware on every cell of the matrix', function (string $kind, string $firmware) {
    $image = (new Sticks(matrixFolder()))->make($kind);
    cell($image, $firmware);
    $said = rehearsedStick($image, $firmware, $firmware === 'uefi-secure' ? [Emulator::secureStore()] : []);
    // The table that people read says the same.
    expect((string) file_get_contents(base_path('docs/emulation.md')))
        ->toContain("`{$kind}`")
        ->and(
            (string) preg_replace(
                '/^.*\| `'.preg_quote($kind, '/').'` \|([^\n]*)\n.*$/s',
                '$1',
                (string) file_get_contents(base_path('docs/emulation.md')),
            ),
        )
        ->toContain($said['outcome']);
})
    ->group('matrix')
    ->with(array_keys(Sticks::kinds()))
    ->with(array_keys(StickStart::KINDS));

it('lets a machine\'s own revocations decide', function () {
    $sticks = new Sticks(matrixFolder());
    $image = $sticks->make('gpt-signed');
    $loader = Tests\Support\Workshop::says('mcopy', '-n', '-i', "{$image}@@1048576", '::/EFI/BOOT/BOOTX64.EFI', '-');
    $digest = (string) PeImage::read($loader)?->digest();
    $store = matrixFolder().'/revoking.fd';
    file_put_contents(
        $store,
        KeyBench::revoking((string) file_get_contents(Emulator::secureStore()), SignatureList::ofDigest($digest)),
    );
    $said = rehearsedStick($image, 'uefi-secure', [$store]);
    expect($said['outcome'])
        ->toBe('refused-secure-boot')
        ->and($said['cause'])
        ->toContain('on the list of revocations')
        ->and($said['fix'])
        ->toContain('newer image');
    cell($image, 'uefi-secure', $store);
})->group('matrix');

it('lets a machine\'s own enrolled digest decide', function () {
    $image = (new Sticks(matrixFolder()))->make('gpt-fat32');
    $loader = Tests\Support\Workshop::says('mcopy', '-n', '-i', "{$image}@@1048576", '::/EFI/BOOT/BOOTX64.EFI', '-');
    $list = matrixFolder().'/db-of-machine';
    file_put_contents($list, "\x27\0\0\0".SignatureList::ofDigest((string) PeImage::read($loader)?->digest()));
    expect(rehearsedStick($image, 'uefi-secure', [$list])['outcome'])
        ->toBe('starts')
        ->and(rehearsedStick($image, 'uefi-secure', [Emulator::secureStore()])['outcome'])
        ->toBe('refused-secure-boot');
})->group('slow');

it('refuses a loader whose signer\'s certificate is revoked, whole or by its digest', function () {
    $image = (new Sticks(matrixFolder()))->make('gpt-signed');
    $pem = '/usr/share/ovmf/PkKek-1-snakeoil.pem';
    $der = Cobblestone\Media\Inspection\Der::ofPem((string) file_get_contents($pem));
    copy($pem, matrixFolder().'/snakeoil.pem');
    file_put_contents(matrixFolder().'/snakeoil.der', $der);
    file_put_contents(matrixFolder().'/dbx-whole', SignatureList::ofCertificate($der));
    file_put_contents(
        matrixFolder().'/dbx-digest',
        "\x92\xA4\xD2\x3B\xC0\x96\x79\x40\xB4\x20\xFC\xF9\x8E\xF1\x03\xED".
            pack('V3', 28 + 64, 0, 64).
            str_repeat("\0", 16).
            hash('sha256', Cobblestone\Media\Inspection\Der::signedPart($der), true).
            str_repeat("\0", 16),
    );
    $outcome = fn (string ...$keys): string => rehearsedStick(
        $image,
        'uefi-secure',
        array_map(fn (string $key): string => matrixFolder()."/{$key}", $keys),
    )['outcome'];
    expect($outcome('snakeoil.pem'))
        ->toBe('starts')
        ->and($outcome('snakeoil.der'))
        ->toBe('starts')
        ->and($outcome('snakeoil.pem', 'dbx-whole'))
        ->toBe('refused-secure-boot')
        ->and($outcome('snakeoil.pem', 'dbx-digest'))
        ->toBe('refused-secure-boot');
})->group('slow');
