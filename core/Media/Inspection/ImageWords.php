<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Quantity\Bytes;

/** What an image is and what it starts on, in a sentence (rule M2). */
final class ImageWords
{
    private const KINDS = [
        'empty' => 'an empty file',
        'unknown' => 'no image that is known here',
        'optical' => 'an optical image',
        'optical-hybrid' => 'a hybrid optical image: it also has a partition table',
        'raw' => 'a raw disk image',
        'fat' => 'a FAT file system without a partition table',
        'device-restore' => 'a bundle that restores a device over a cable',
        'archive' => 'an archive of files',
    ];

    public static function what(ImageReport $image): string
    {
        $packed = $image->compression === null ? '' : ", packed with {$image->compression['kind']}";

        return ucfirst(self::KINDS[$image->kind]).$packed.', '.Bytes::of($image->bytes)->decimal()
            .($image->label === null || $image->label === '' ? '' : ", labelled \"{$image->label}\"").'.';
    }

    /** @param  string  $way  raw or copied */
    public static function starts(ImageReport $image, string $way): string
    {
        if ($way === 'raw' ? ! $image->canBeRaw() : ! $image->canBeCopied()) {
            return self::notThatWay($image, $way);
        }
        $uefi = $image->architectures($way);
        $legacy = $image->legacy[$way] ?? null;
        $tail = ($legacy === null ? self::unknownLegacy($way) : '').self::faults($image, $way);
        $parts = array_filter([$uefi === [] ? '' : 'UEFI on '.implode(' and ', $uefi), $legacy ? 'legacy BIOS' : '']);
        if ($parts === []) {
            return 'Nothing on it starts a machine by UEFI'.($legacy === false ? ', and nothing the old way' : '').'.'
                .$tail;
        }

        return 'Starts by '.implode(' and by ', $parts).'.'.$tail;
    }

    private static function notThatWay(ImageReport $image, string $way): string
    {
        return match (true) {
            $way === 'copied' => 'There is no tree of files to copy.',
            $image->kind === 'optical' => 'It is not meant to be written raw: it has no partition table that firmware '
                .'would look for on a stick.',
            default => 'It is not meant to be written raw.',
        };
    }

    private static function unknownLegacy(string $way): string
    {
        return $way === 'raw'
            ? ' Whether its boot sector starts anything the old way cannot be told.'
            : ' Its legacy loader starts from a disc; from a stick only with a boot sector of its own.';
    }

    private static function faults(ImageReport $image, string $way): string
    {
        $faults = [];
        foreach ($image->loadersWhen($way) as $loader) {
            if ($loader['fault'] !== null) {
                $faults[] = "{$loader['path']} {$loader['place']}: {$loader['fault']}";
            }
        }

        return $faults === [] ? '' : ' '.ucfirst(implode('; ', $faults)).'.';
    }
}
