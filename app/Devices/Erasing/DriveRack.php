<?php

declare(strict_types=1);

namespace App\Devices\Erasing;

/** The drives that lie on the bench to be erased: those of the demo world, each a stand-in. */
final class DriveRack
{
    private const GIB = 1_073_741_824;

    /** Name => profile; what they hold stands as offset and length. */
    private const DRIVES = [
        'saltmarsh-old' => [
            'model' => 'Saltmarsh NV-3',
            'serial' => 'SM3-2207-7730B9',
            'bytes' => 256_060_514_304,
            'flash' => true,
            'sanitize' => true,
            'encrypts' => true,
            'holds' => [[0, 120 * self::GIB], [255_000_000_000, 1_060_514_304]],
        ],
        'kelpbed-archive' => [
            'model' => 'Kelpbed 2T',
            'serial' => 'KB-9917-4402',
            'bytes' => 2_000_398_934_016,
            'holds' => [[0, 900 * self::GIB]],
        ],
        'pebble-frozen' => [
            'model' => 'Pebble M2',
            'serial' => 'PB-0412-77E9',
            'bytes' => 512_110_190_592,
            'flash' => true,
            'sanitize' => true,
            'holds' => [[0, 60 * self::GIB]],
            'faults' => ['refused' => 'sanitize'],
        ],
        'hagstone-failing' => [
            'model' => 'Hagstone 1T',
            'serial' => 'HG-4471-20C8',
            'bytes' => 1_000_204_886_016,
            'failing' => true,
            'holds' => [[0, 400 * self::GIB]],
            'faults' => ['unreadable' => [300_000_000_000, 20_000_000_000]],
        ],
        'tern-stick' => [
            'model' => 'Tern 64',
            'serial' => null,
            'bytes' => 64_023_257_088,
            'flash' => true,
            'holds' => [[0, 30 * self::GIB]],
            'faults' => ['kept' => [20_000_000_000, 4_000_000_000]],
        ],
    ];

    /** @return array<string, EraseDevice> by name */
    public static function all(): array
    {
        return array_combine(array_keys(self::DRIVES), array_map(self::open(...), array_keys(self::DRIVES)));
    }

    public static function find(string $name): ?EraseDevice
    {
        return isset(self::DRIVES[$name]) ? self::open($name) : null;
    }

    private static function open(string $name): EraseDevice
    {
        $folder = config('cobblestone.state').'/drives';
        is_dir($folder) || @mkdir($folder, 0750, recursive: true);

        return new StandInDrive(self::DRIVES[$name], "{$folder}/{$name}.json");
    }
}
