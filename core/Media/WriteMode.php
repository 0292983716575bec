<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Runbook\Decision;

/** How an image gets onto a stick (rule M3). */
enum WriteMode: string
{
    case Raw = 'raw';
    case FilesCopied = 'files-copied';

    public function title(): string
    {
        return $this === self::Raw ? 'written raw, byte for byte' : 'files copied';
    }

    /** @param  bool  $wantsMore whether the stick has to carry drivers as well */
    public static function decide(Image $image, bool $wantsMore): Decision
    {
        $mode = self::for($image);
        $words =
            self::names()[$image->kind] ?? 'of a kind nobody has named';
        if ($image->kind === 'device-restore') {
            return new Decision(
                'media.write-mode',
                'How the stick is written',
                'not at all',
                ["{$image->name} is {$words}: it is sent from a helper and starts from no stick."],
                [],
                [$image->dated()],
                'M3',
            );
        }
        if ($mode === self::FilesCopied) {
            return new Decision(
                'media.write-mode',
                'How the stick is written',
                $mode->title(),
                [
                    "{$image->name} is {$words}.",
                    $wantsMore
                        ? 'The stick also carries the drivers that get this machine online.'
                        : 'Copied files can be checked one by one.',
                ],
                [self::Raw->title() => ['Written raw it has no table a firmware would start from a stick.']],
                [$image->dated()],
                'M3',
            );
        }

        return self::decision($mode, $image, $words);
    }

    /**
     * @return array<string, string>  kind of image => words
     */
    private static function names(): array
    {
        return [
            'optical' => 'an optical image that is not hybrid',
            'optical-hybrid' => 'a hybrid optical image',
            'raw' => 'a raw disk image',
            'raw-compressed' => 'a compressed raw disk image',
            'device-restore' => 'a restore bundle for a cable',
        ];
    }

    private static function decision(WriteMode $mode, Image $image, string $words): Decision
    {
        return new Decision(
            'media.write-mode',
            'How the stick is written',
            $mode->title(),
            [
                $image->kindAssumed
                    ? "{$image->name} is taken for {$words} until someone says otherwise."
                    : "{$image->name} is {$words} and brings its own partition table.",
            ],
            [
                self::FilesCopied->title() => [
                    $image->hasFileTree()
                        ? 'The image is meant to be written as it is; a copy would lose its second start path.'
                        : 'A disk image is partitions, not a tree of files.',
                ],
            ],
            [$image->dated()],
            'M3',
        );
    }

    public static function for(Image $image): self
    {
        return $image->isHybrid() ? self::Raw : self::FilesCopied;
    }
}
