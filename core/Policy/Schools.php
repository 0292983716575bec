<?php

declare(strict_types=1);

namespace Cobblestone\Policy;

/** Where good technicians disagree: every school, once (rule M, introduction); the first option is the default. */
final class Schools
{
    /** @return array<string, School> by name */
    public static function all(): array
    {
        return array_column(
            [...self::media(), ...self::drivers(), ...self::machine(), ...self::firstStart(), ...self::keys()],
            null,
            'name',
        );
    }

    /** @return list<School> */
    private static function media(): array
    {
        return [
            new School('scheme', 'Partition scheme of a stick', 'M4', [
                'match' => 'Match the machine: GPT for a machine known to start by UEFI, MBR with both start paths '
                    .'otherwise.',
                'widest' => 'Widest: always MBR, so that one stick starts the most machines.',
                'modern' => 'Modern: always GPT; older machines get their own stick.',
            ]),
            new School('stick', 'Which stick', 'M7', [
                'smallest' => 'Smallest that fits: large sticks stay free for large jobs.',
                'next-up' => 'Next size up: room for drivers and the next version.',
            ]),
        ];
    }

    /** @return list<School> */
    private static function drivers(): array
    {
        return [
            new School('driver_order', 'Order of drivers', 'D4', [
                'chipset-first' => 'Chipset first: its packages make other devices appear.',
                'network-first' => 'Network first: the machine can fetch the rest itself.',
                'graphics-first' => 'Graphics first: a readable screen for everything after.',
                'free' => 'Free, one restart: any order that needs the fewest restarts.',
            ]),
            new School('driver_channel', 'Which drivers come first', 'D3', [
                'stable' => 'Stable: what its maker calls finished, the preview only where there is no other.',
                'preview' => 'Preview: the newest that its maker gives out to try.',
            ]),
            new School('card_family', 'A new graphics card of the same maker', 'D6', [
                'over' => 'The new driver goes over the old one: no start in safe mode.',
                'remove' => 'The old driver is removed first, as with a card of another maker.',
            ]),
        ];
    }

    /** @return list<School> */
    private static function machine(): array
    {
        return [
            new School('boot', 'How the stick is started', 'F1', [
                'one-time-menu' => 'One-time menu: nothing is left to put back.',
                'permanent-order' => 'Permanent order: stick first until the job is done, then put back.',
            ]),
            new School('firmware_start', 'Where firmware settings start from', 'F3', [
                'as-is' => 'What is set now: only what must change is changed.',
                'defaults' => 'The firmware\'s defaults, once what was set is recorded; then what must differ.',
            ]),
            new School('bypass', 'Bypassing requirements', 'A2', [
                'off' => 'Off: a system is installed only where the machine meets what its publisher asks for.',
                'recorded' => 'Allowed, with a record: where only a bypassable need is missed, the owner is told the '
                    .'consequences and signs.',
            ]),
            new School('try_live', 'Trying a system from its stick', 'T6', [
                'where-offered' => 'Where the medium offers it: what fails is seen before anything is written.',
                'where-known' => 'Only where something is known not to work on the model.',
                'never' => 'Never: the bench knows its machines.',
            ]),
            new School('extras', 'What comes from elsewhere', 'A15', [
                'off' => 'Off: nothing that does not come from the publisher or maker.',
                'recorded' => 'Allowed, with a record: source, checksum and reason, signed by the owner.',
            ]),
            new School('swap', 'Room that memory may be moved to', 'I3', [
                'file' => 'A file as large as memory, 8 GiB at most.',
                'none' => 'None.',
                'hibernation' => 'Room to hibernate, where the system can.',
            ]),
        ];
    }

    /** @return list<School> */
    private static function firstStart(): array
    {
        return [
            new School('account', 'Account at the first start', 'I4', [
                'local-first' => 'Local first: an account of the machine where a way to it is known for the build; '
                    .'connecting it is the owner\'s later choice.',
                'online-first' => 'Online first: the owner\'s account with the publisher, as the system asks '
                    .'for it.',
            ]),
            new School('answers', 'How the first start is answered', 'I4', [
                'file' => 'By a file on the stick, where the system takes one and files are copied; the rest from '
                    .'the list.',
                'list' => 'From the list alone, by hand.',
            ]),
            new School('diagnostics', 'Diagnostic data', 'I4', [
                'least' => 'As little as the system allows.',
                'full' => 'All that it asks for; the owner has agreed.',
            ]),
            new School('offers', 'Offers and advertising', 'I4', [
                'no' => 'No offers, no advertising.',
                'yes' => 'As the system proposes.',
            ]),
            new School('setup_updates', 'Updates during set-up', 'I4', [
                'later' => 'Later: after the network and its drivers, where they are counted.',
                'during' => 'During set-up, where the system offers it.',
            ]),
        ];
    }

    /** @return list<School> */
    private static function keys(): array
    {
        return [
            new School('auto_encryption', 'Automatic drive encryption', 'A7', [
                'owner-keeps-key' => 'On: new systems encrypt their drive where they do so by themselves, and the '
                    .'owner keeps the key.',
                'off' => 'Off: it is switched off during the first start.',
            ]),
            new School('keys', 'Recovery and licence keys', 'A7, A8', [
                'place-only' => 'Where the owner keeps it: the key itself is never written down here.',
                'sealed' => 'Sealed: a key may be kept here encrypted until the handover, every showing logged.',
            ]),
        ];
    }
}
