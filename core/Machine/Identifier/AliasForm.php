<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Identifier;

/**
 * The kernel's alias of a module, as `modalias` files and `lsmod` tools print it, read and written (rule D1):
 * "pci:v000051A2d00000202sv00004E52sd00000013bc02sc80i00", "usb:v5749p0001d0110dc00dsc00dp00ic03isc01ip01in02",
 * "hdaudio:v46E10A10r00100000a01", "acpi:FNCK0704:PNP0C50:".
 */
final class AliasForm
{
    private const PCI = '/^pci:v0000([0-9a-f]{4})d0000([0-9a-f]{4})(?:sv0000([0-9a-f]{4})sd0000([0-9a-f]{4}))?'
        .'(?:bc([0-9a-f]{2})sc([0-9a-f]{2})i([0-9a-f]{2}))?$/';

    private const USB = '/^usb:v([0-9a-f]{4})p([0-9a-f]{4})d([0-9a-f]{4})'
        .'(?:dc([0-9a-f]{2})dsc([0-9a-f]{2})dp([0-9a-f]{2}))?'
        .'(?:ic([0-9a-f]{2})isc([0-9a-f]{2})ip([0-9a-f]{2}))?(?:in([0-9a-f]{2}))?$/';

    private const AUDIO = '/^hdaudio:v([0-9a-f]{4})([0-9a-f]{4})r[0-9a-f]{2}([0-9a-f]{4})[0-9a-f]{2}a[0-9a-f]{2}$/';

    /** What nobody has read: no written figure fits it, an asterisk does. */
    private const UNREAD = '?';

    /**
     * @param  string  $word  in small letters
     * @return list<HardwareIdentifier>
     */
    public static function read(string $word): array
    {
        return match (true) {
            preg_match(self::PCI, $word, $part, PREG_UNMATCHED_AS_NULL) === 1 => [self::pci($part)],
            preg_match(self::USB, $word, $part, PREG_UNMATCHED_AS_NULL) === 1 => self::usb($part),
            preg_match(self::AUDIO, $word, $part) === 1 => [
                new HardwareIdentifier(Bus::Audio, $part[1], $part[2], revision: $part[3]),
            ],
            preg_match('/^acpi:[a-z0-9:]+:$/', $word) === 1 => array_merge(
                ...array_map(KeyedForm::platform(...), explode(':', substr($word, 5, -1))),
            ),
            default => [],
        };
    }

    /**
     * What the kernel would call it. Every part that is not known is "?": an alias that wants a figure there does not
     * fit, one with an asterisk does.
     */
    public static function of(HardwareIdentifier $identifier): string
    {
        $pair = static fn (?string $digits, int $from): string => strtoupper(
            substr((string) $digits, $from, 2) ?: self::UNREAD,
        );
        $class = $identifier->class;
        $named = static fn (?string $digits): string => strtoupper($digits ?? self::UNREAD);
        [$by, $as] = explode(':', $identifier->subsystem ?? ':');
        $long = static fn (?string $digits): string => ($digits ?? '') === ''
            ? self::UNREAD
            : '0000'.strtoupper((string) $digits);

        return match ($identifier->bus) {
            Bus::Pci => 'pci:v'.$long($identifier->vendor).'d'.$long($identifier->device)
                .'sv'.$long($by).'sd'.$long($as)
                .'bc'.$pair($class, 0).'sc'.$pair($class, 2).'i'.$pair($class, 4),
            Bus::Usb => 'usb:v'.$named($identifier->vendor).'p'.$named($identifier->device)
                .'d'.$named($identifier->revision).'dc'.self::UNREAD.'dsc'.self::UNREAD.'dp'.self::UNREAD
                .'ic'.$pair($class, 0).'isc'.$pair($class, 2).'ip'.$pair($class, 4)
                .'in'.$named($identifier->interface),
            Bus::Audio => 'hdaudio:v'.$named($identifier->vendor).$named($identifier->device)
                .'r00'.$named($identifier->revision).'00a01',
            Bus::Platform => 'acpi:'.strtoupper($identifier->vendor.$identifier->device).':',
            Bus::Other => 'other:'.$identifier->other,
        };
    }

    /** @param  array<array-key, string|null>  $part */
    private static function pci(array $part): HardwareIdentifier
    {
        return new HardwareIdentifier(
            Bus::Pci,
            $part[1],
            $part[2],
            $part[3] === null ? null : "{$part[3]}:{$part[4]}",
            class: $part[5] === null ? null : $part[5].$part[6].$part[7],
        );
    }

    /**
     * The kernel speaks of each interface and does not say whether it is the only one: the part and the whole.
     *
     * @param  array<array-key, string|null>  $part
     * @return list<HardwareIdentifier>
     */
    private static function usb(array $part): array
    {
        $class = $part[7] !== null ? $part[7].$part[8].$part[9] : null;
        $whole = new HardwareIdentifier(Bus::Usb, $part[1], $part[2], revision: $part[3], class: $class);

        return $part[10] === null
            ? [$whole]
            : [
                new HardwareIdentifier(
                    Bus::Usb,
                    $part[1],
                    $part[2],
                    revision: $part[3],
                    class: $class,
                    interface: $part[10],
                ),
                $whole,
            ];
    }
}
