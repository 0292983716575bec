<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use Cobblestone\Machine\Device;

/** Reads `lsusb`, one line a device; hubs of the machine itself want no driver (rules A1, D1). */
final class LsusbReader
{
    private const LINE = '/^Bus [0-9]{3} Device [0-9]{3}: ID ([0-9a-f]{4}):([0-9a-f]{4})(?:\s+(.*))?$/i';

    /** Vendor number under which the kernel lists its own root hubs. */
    private const ROOT_HUB = '1d6b';

    public static function read(string $text): Reading
    {
        $devices = [];
        $notes = [];
        foreach (explode("\n", $text) as $index => $line) {
            $line = trim($line);
            if ($line === '') {
                continue;
            }
            if (preg_match(self::LINE, $line, $match) !== 1) {
                $notes[] =
                    'lsusb, line '.
                    ($index + 1).
                    ': "'.
                    mb_substr($line, 0, 40).
                    '" does not read "Bus … Device …: ID …"; left out.';

                continue;
            }
            if (strtolower($match[1]) !== self::ROOT_HUB) {
                $name = trim($match[3] ?? '');
                $devices[] = new Device(
                    $name === '' ? 'USB device' : mb_substr($name, 0, 120),
                    strtolower("usb:{$match[1]}:{$match[2]}"),
                    self::family($name),
                );
            }
        }

        return new Reading('lsusb', 'pasted', devices: $devices, notes: $notes);
    }

    /** lsusb prints no class, so the name is all there is to go by. */
    private static function family(string $name): string
    {
        foreach (
            [
                'camera' => '/cam(era)?\b/i',
                'network' => '/wireless|ethernet|wlan|bluetooth|modem|network/i',
                'audio' => '/audio|sound|headset|microphone/i',
                'input' => '/keyboard|mouse|pointer|touch|pad\b|controller|receiver/i',
                'storage' => '/storage|disk|reader|stick|drive/i',
                'hub' => '/hub/i',
                'sensor' => '/fingerprint|sensor/i',
            ] as $family => $pattern
        ) {
            if (preg_match($pattern, $name) === 1) {
                return $family;
            }
        }

        return 'other';
    }
}
