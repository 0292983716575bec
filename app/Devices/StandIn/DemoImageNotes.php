<?php

namespace App\Devices\StandIn;

/** What somebody at the demo bench wrote down of each image on its shelf. */
final class DemoImageNotes
{
    private const ORRIN = [
        'line' => 'Orrin Desktop 3',
        'edition' => 'Counter',
        'language' => 'all',
        'architecture' => 'x86-64',
        'channel' => 'stable',
        'source' => 'project\'s download page',
        'as_of' => '2026-11-12',
    ];

    /** @return array<string, array<string, string>> file => what is known of it */
    public static function all(): array
    {
        return [
            'orrin-counter-3.0.iso' => [
                ...self::ORRIN,
                'version' => '3.0',
                'as_of' => '2026-09-02',
                'published' => 'same',
            ],
            'orrin-counter-3.1.iso' => [...self::ORRIN, 'version' => '3.1', 'published' => 'same'],
            'orrin-counter-3.1-broken-off.iso' => [
                ...self::ORRIN,
                'version' => '3.1',
                'source' => 'a mirror of the project',
                'published' => 'other',
            ],
            'tansy-counter-7.2-en.iso' => self::tansyImage('Counter'),
            'corvane-lounge-2.4-stable.img.xz' => self::corvaneImage(),
            'skerry-counter-2026.11.img' => self::skerryImage(),
            'halden-28.1-desk.restore' => self::haldenImage(),
            'tansy-dock-7.2-en.iso' => self::tansyImage('Dock'),
            'nf13-114.cap' => self::firmware('1.14', '2026-03-02'),
            'nf13-116.cap' => self::firmware('1.16', '2026-10-12'),
        ];
    }

    /** @return array<string, string> */
    private static function firmware(string $version, string $day): array
    {
        return [
            'line' => 'Norrel Fairlead 13 firmware',
            'version' => $version,
            'source' => "maker's support page",
            'as_of' => $day,
            'published' => 'same',
        ];
    }

    /**
     * @return array<string, string>
     */
    private static function tansyImage(string $edition): array
    {
        return [
            'line' => 'Tansy Desktop 7',
            'version' => '7.2',
            'edition' => $edition,
            'language' => 'English',
            'architecture' => 'x86-64',
            'source' => 'publisher\'s download page',
            'as_of' => '2026-11-02',
            'published' => 'same',
        ];
    }

    /**
     * @return array<string, string>
     */
    private static function corvaneImage(): array
    {
        return [
            'line' => 'Corvane Play 2',
            'version' => '2.4',
            'edition' => 'Lounge',
            'language' => 'all',
            'architecture' => 'x86-64',
            'channel' => 'stable',
            'source' => 'publisher\'s download page',
            'as_of' => '2026-11-05',
        ];
    }

    /**
     * @return array<string, string>
     */
    private static function skerryImage(): array
    {
        return [
            'line' => 'Skerry Rolling',
            'version' => '2026.11',
            'edition' => 'Counter',
            'language' => 'all',
            'architecture' => 'x86-64',
            'source' => 'project\'s download page',
            'as_of' => '2026-11-10',
            'published' => 'same',
        ];
    }

    /**
     * @return array<string, string>
     */
    private static function haldenImage(): array
    {
        return [
            'line' => 'Halden One 28',
            'version' => '28.1',
            'language' => 'all',
            'architecture' => 'arm-64',
            'source' => 'maker\'s restore page',
            'as_of' => '2026-11-08',
        ];
    }
}
