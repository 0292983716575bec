<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Decision;
use Cobblestone\Storage\Scheme;

/** The stick's partition scheme; it says nothing about the internal drive (rule M4). */
final class SchemeChoice
{
    /** @return array{0: Scheme, 1: Decision} */
    public static function decide(Machine $machine, Image $image, string $school): array
    {
        return $image->besideStorage
            ? [Scheme::Gpt, self::beside($image)]
            : self::byFirmware($machine, $image, $school);
    }

    /** @return array{0: Scheme, 1: Decision} */
    private static function byFirmware(Machine $machine, Image $image, string $school): array
    {
        $firmware = $machine->fact('firmware.kind');
        $uefiOnly = $firmware->is('uefi');
        $scheme = match ($school) {
            'widest' => Scheme::Mbr,
            'modern' => Scheme::Gpt,
            default => $uefiOnly ? Scheme::Gpt : Scheme::Mbr,
        };
        $source = "firmware.kind = {$firmware->spoken()} ({$firmware->origin})";
        $legacy = $image->hasLegacyLoader()
            ? 'The image also brings a legacy loader, so both start paths work.'
            : 'The image brings no legacy loader: the stick starts by UEFI only.';
        $reasons = match (true) {
            $school === 'modern' => ['The bench policy is "modern".'],
            $school === 'widest' => ['The bench policy is "widest": one stick for the most machines.', $legacy],
            $uefiOnly => ['This machine starts by UEFI, and the bench policy is "match the machine".'],
            default => [
                'It is not certain how this machine starts, so the stick carries the table that both can read.',
                $legacy,
            ],
        };
        $against =
            self::refused($scheme, $uefiOnly, $school);

        return [
            $scheme,
            new Decision(
                'media.scheme',
                'Partition scheme of the stick',
                $scheme->title(),
                $reasons,
                $against,
                [$source, "policy scheme = {$school}"],
                'M4',
            ),
        ];
    }

    private static function beside(Image $image): Decision
    {
        return new Decision(
            'media.scheme',
            'Partition scheme of the stick',
            Scheme::Gpt->title(),
            ["{$image->name} stands on a partition of its own beside storage, and its machine reads a GUID table."],
            ['MBR' => ['The machine does not offer an installer from it.']],
            [$image->dated()],
            'M4, M16',
        );
    }

    /**
     * @return array<string, list<string>>
     */
    private static function refused(Scheme $scheme, bool $uefiOnly, string $school): array
    {
        return $scheme === Scheme::Gpt
            ? [
                'MBR' => [
                    $uefiOnly
                        ? 'Only older machines need it, and this one is not one.'
                        : 'The policy keeps older machines on their own stick.',
                ],
            ]
            : [
                'GPT' => [
                    $school === 'widest'
                        ? 'A machine with older firmware would not start from it.'
                        : 'If this machine starts the old way, it would find nothing to start.',
                ],
            ];
    }
}
