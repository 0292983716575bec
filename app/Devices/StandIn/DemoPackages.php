<?php

declare(strict_types=1);

namespace App\Devices\StandIn;

use App\Devices\Command;
use Illuminate\Support\Facades\File;

/**
 * Driver packages of the demo world, as real archives that 7-Zip makes: makers, devices and files are invented.
 */
final class DemoPackages
{
    /**
     * Archive => what stands in it; a setup file is head and claims, anything else is bytes.
     *
     * @var array<string, array{files: array<string, array<string, mixed>>, said?: array<string, mixed>}>
     */
    private const PACKAGES = [
        'quarrel-w2-23.4.zip' => ['files' => [
            'w2/quarrel-w2.inf' => ['stamp' => '09/21/2026, 23.4', 'maker' => 'Quarrel', 'class' => 'Net', 'claims' => [
                'NTamd64.10.0...7100' => ['Quarrel W2 wireless' => ['PCI\VEN_51A2&DEV_0202']],
                'NTarm64' => ['Quarrel W2 wireless' => ['PCI\VEN_51A2&DEV_0202']],
            ]],
        ]],
        'quarrel-w2-21.0.zip' => ['files' => [
            'quarrel-w2.inf' => ['stamp' => '02/11/2025, 21.0', 'maker' => 'Quarrel', 'class' => 'Net', 'claims' => [
                'NTamd64' => ['Quarrel W2 wireless' => ['PCI\VEN_51A2&DEV_0202']],
            ]],
        ]],
        'quarrel-n1-and-w3.7z' => ['files' => [
            'n1/quarrel-n1.inf' => ['stamp' => '06/02/2026, 12.6', 'maker' => 'Quarrel', 'class' => 'Net', 'claims' => [
                'NTamd64' => ['Quarrel N1 wired network' => ['PCI\VEN_51A2&DEV_0101']],
            ]],
            'w3/quarrel-w3.inf' => ['stamp' => '06/02/2026, 23.0', 'maker' => 'Quarrel', 'class' => 'Net', 'claims' => [
                'NTamd64' => ['Quarrel W3 wireless' => ['PCI\VEN_51A2&DEV_0303']],
            ]],
        ]],
        'norrel-v5-graphics.zip' => [
            'files' => [
                'v5.inf' => ['stamp' => '05/05/2026, 31.2', 'maker' => 'Norrel', 'class' => 'Display', 'claims' => [
                    'NTamd64' => ['Ostler V5 graphics, as Norrel fits it' => ['PCI\VEN_4F51&DEV_5500&SUBSYS_00134E52']],
                ]],
            ],
            'said' => ['models' => ['norrel-fairlead-13']],
        ],
        'fennick-g7-unsigned.zip' => ['files' => [
            'g7.inf' => ['stamp' => '11/15/2026, 561.0', 'maker' => 'Fennick', 'class' => 'Display', 'unsigned' => true,
                'claims' => ['NTamd64' => ['Fennick G7 graphics' => ['PCI\VEN_46E1&DEV_7700']]]],
        ]],
        'ostler-c8-next.zip' => ['files' => [
            'c8.inf' => ['stamp' => '11/20/2026, 5.0', 'maker' => 'Ostler', 'class' => 'System', 'claims' => [
                'NTamd64.10.0...8000' => [
                    'Ostler C8 chipset' => ['PCI\VEN_4F51&DEV_0C80'],
                    'Ostler C8 power device' => ['ACPI\OSTL0C81'],
                ],
            ]],
        ]],
        'ostler-storage.zip' => ['files' => [
            'disk/ostler-s2.inf' => ['stamp' => '03/30/2026, 9.1', 'maker' => 'Ostler', 'class' => 'SCSIAdapter',
                'claims' => ['NTamd64' => ['Ostler S2 drive controller' => ['PCI\VEN_4F51&DEV_2A00']]]],
            'disk/ostler-s2-old.inf' => ['stamp' => '03/30/2024, 8.0', 'maker' => 'Ostler', 'class' => 'SCSIAdapter',
                'claims' => ['NTx86' => ['Ostler S2 drive controller' => ['PCI\VEN_4F51&DEV_2A00']]]],
        ]],
        'wickley-pad.zip' => ['files' => [
            'pad.inf' => ['stamp' => '08/08/2026, 2.2', 'maker' => 'Wickley', 'class' => 'HIDClass', 'claims' => [
                'NTamd64' => ['Wickley pad' => ['USB\VID_5749&PID_0001']],
            ]],
        ]],
    ];

    /**
     * Makes them in a folder.
     *
     * @return array<string, array<string, mixed>> path of each archive => what a person says of it besides
     */
    public static function make(string $folder): array
    {
        $made = [];
        foreach (self::PACKAGES as $name => $package) {
            $work = sys_get_temp_dir().'/demo-package-'.bin2hex(random_bytes(6));
            foreach ($package['files'] as $path => $file) {
                $catalogue = pathinfo($path, PATHINFO_FILENAME).'.cat';
                File::ensureDirectoryExists(dirname("{$work}/{$path}"));
                file_put_contents("{$work}/{$path}", self::setup($file, $catalogue));
                file_put_contents(substr("{$work}/{$path}", 0, -4).'.sys', str_repeat("{$name} ", 4000));
                if (($file['unsigned'] ?? false) === false) {
                    file_put_contents(dirname("{$work}/{$path}")."/{$catalogue}", 'stand-in of a signature');
                }
            }
            @unlink("{$folder}/{$name}");
            Command::run(['7zz', 'a', '-bd', '-y', "{$folder}/{$name}", "{$work}/."]);
            File::deleteDirectory($work);
            $made["{$folder}/{$name}"] = $package['said'] ?? [];
        }

        return $made;
    }

    /** @param  array<string, mixed>  $file */
    private static function setup(array $file, string $catalogue): string
    {
        $ends = array_keys($file['claims']);
        $text = "[Version]\r\nClass={$file['class']}\r\nProvider=%Maker%\r\nDriverVer={$file['stamp']}\r\n"
            ."CatalogFile={$catalogue}\r\n\r\n[Manufacturer]\r\n%Maker%=Models,".implode(',', $ends)."\r\n";
        $words = "[Strings]\r\nMaker=\"{$file['maker']}\"\r\n";
        foreach ($file['claims'] as $end => $models) {
            $text .= "\r\n[Models.{$end}]\r\n";
            foreach ($models as $device => $identifiers) {
                $text .= "\"{$device}\"=Install,".implode(',', $identifiers)."\r\n";
            }
        }

        return "{$text}\r\n{$words}";
    }
}
