<?php

use Cobblestone\Media\Inspection\Compression;
use Cobblestone\Media\Inspection\ElTorito;
use Cobblestone\Media\Inspection\OpticalVolume;
use Cobblestone\Media\Inspection\PeImage;
use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\TableReader;
use Tests\Support\Images;
use Tests\Support\MutatedSource;
use Tests\Support\Tables;

pest()->group('slow');

/**
 * Every reader over mutated inputs: no warning, no exception, a bounded amount of reading.
 *
 * @param  list<array{int, int}>  $hot  ranges where a changed byte means something: from, length
 * @param  Closure(ByteSource): mixed  $read
 */
function fuzz(string $base, array $hot, int $rounds, Closure $read, int $most, ?Closure $mend = null): void
{
    mt_srand(20_261_125);
    $words = [
        "\0\0\0\0",
        "\xFF\xFF\xFF\xFF",
        "\xFF\xFF\xFF\xFF\xFF\xFF\xFF\xFF",
        "\x01\0\0\0",
        "\0\0\0\x80",
        "\xFF\xFF\xFF\x7F",
        "\0\0\0\0\0\0\0\x80",
        "\xFF\xFF\xFF\xFF\xFF\xFF\xFF\x7F",
    ];
    set_error_handler(fn (int $level, string $text) => throw new ErrorException($text, 0, $level));
    $worst = 0;
    try {
        for ($round = 0; $round < $rounds; $round++) {
            $patches = [];
            for ($i = mt_rand(1, 6); $i > 0; $i--) {
                [$from, $length] = $hot[mt_rand(0, count($hot) - 1)];
                $patches[$from + mt_rand(0, $length - 1)] =
                    mt_rand(0, 2) === 0 ? $words[mt_rand(0, 7)] : chr(mt_rand(0, 255));
            }
            $size = mt_rand(0, 9) === 0 ? mt_rand(0, strlen($base)) : strlen($base);
            $source = new MutatedSource(
                $base,
                $mend !== null && mt_rand(0, 1) === 1 ? $mend($base, $patches) : $patches,
                $size,
            );
            $read($source);
            $worst = max($worst, $source->bytesRead);
        }
    } finally {
        restore_error_handler();
    }
    expect($worst)->toBeLessThan($most);
}

it('reads 40 000 mutated partition tables', function () {
    $layout = Tables::layout(Cobblestone\Storage\Scheme::Gpt, mebi: 40);
    $gpt = Tables::bytes($layout);
    $end = strlen($gpt) - 512;
    // With the checksums set right again, so that what lies behind them is reached.
    $mend = function (string $base, array $patches): array {
        $source = new MutatedSource($base, $patches, strlen($base));
        $entries = $source->read(1024, 16_384);
        $header = substr_replace($source->read(512, 512), pack('V', crc32($entries)), 88, 4);
        $size = max(20, min(512, unpack('V', $header, 12)[1]));
        $header = substr_replace(
            $header,
            pack('V', crc32(substr_replace(substr($header, 0, $size), "\0\0\0\0", 16, 4))),
            16,
            4,
        );

        return [446 => $source->read(446, 66), 512 => $header, 1024 => $entries];
    };
    fuzz($gpt, [[446, 66], [512, 92], [1024, 400], [$end, 92]], 25_000, TableReader::read(...), 8_000_000, $mend);
    $mbr = Tables::mbr(
        [
            ['type' => 0x83, 'first' => 1, 'count' => 5, 'flag' => 0x80],
            ['type' => 0x0F, 'first' => 10, 'count' => 90],
            ['type' => 0x0C, 'first' => 110, 'count' => 9],
        ],
        131_072,
        'code',
    );
    foreach ([10 => 20, 30 => 40, 50 => 60] as $at => $next) {
        $mbr = substr_replace(
            $mbr,
            substr(
                Tables::mbr([
                    ['type' => 7, 'first' => 1, 'count' => 4],
                    ['type' => 5, 'first' => $next, 'count' => 9],
                ]),
                0,
                512,
            ),
            $at * 512,
            512,
        );
    }
    fuzz(
        $mbr,
        [[446, 66], [10 * 512 + 446, 66], [30 * 512 + 446, 66], [50 * 512 + 446, 66]],
        15_000,
        TableReader::read(...),
        1_000_000,
    );
});

it('reads 30 000 mutated boot catalogues and optical descriptors', function () {
    $iso = Images::bytes('hybrid-gpt.iso');
    $catalogue = unpack('V', $iso, 17 * 2048 + 71)[1] * 2048;
    $mend = function (string $base, array $patches) use ($catalogue): array {
        $entry = (new MutatedSource($base, $patches, strlen($base)))->read($catalogue, 2048);
        $entry = substr_replace($entry, "\0\0", 28, 2);
        $sum = array_sum(unpack('v16', $entry)) & 0xFFFF;

        return [$catalogue => substr_replace($entry, pack('v', (0x10000 - $sum) & 0xFFFF), 28, 2)] + $patches;
    };
    fuzz(
        $iso,
        [[$catalogue, 200], [17 * 2048, 80], [16 * 2048, 200], [35 * 2048, 64]],
        30_000,
        function (ByteSource $source) {
            ElTorito::read($source);
            OpticalVolume::read($source);
        },
        2_000_000,
        $mend,
    );
});

it('reads 30 000 mutated loaders', function () {
    $loader = Images::bytes('first-signed.efi');
    fuzz(
        $loader,
        [[0, 600], [strlen($loader) - 1400, 300]],
        30_000,
        function (ByteSource $source) {
            $pe = PeImage::read($source->read(0, $source->size()));
            $pe?->isWhole();
            $pe?->digest();
            $pe?->statedDigest();
            $pe?->section('.text');
        },
        1_000_000,
    );
});

it('reads 6000 mutated file systems and 6000 packed files', function () {
    $fat = Images::bytes('fat12.img');
    fuzz(
        $fat,
        [[0, 64], [512, 600], [19 * 512, 400], [33 * 512, 20_000]],
        6000,
        function (ByteSource $source) {
            $volume = FatVolume::open($source);
            $volume?->label();
            foreach ($volume?->files(500) ?? [] as $file) {
                $volume->contents($file, 4096);
            }
        },
        40_000_000,
    );
    foreach (['disk.img.xz', 'disk.img.zst', 'disk.zip'] as $name) {
        $packed = Images::bytes($name);
        fuzz($packed, [[0, 40], [strlen($packed) - 120, 120]], 2000, Compression::detect(...), 5_000_000);
    }
});
