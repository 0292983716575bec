<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

/**
 * What the word that tools print for a file system says of encryption: encrypted, plain, or nothing that this bench
 * knows, which is not the same as plain (rules A7, U3).
 */
final readonly class VolumeWords
{
    /** As util-linux (blkid) prints them. What only holds others, such as LVM2_member, tells nothing of its inside. */
    private const ENCRYPTED = ['crypto_luks'];

    private const PLAIN = [
        'ext2', 'ext3', 'ext4', 'xfs', 'btrfs', 'f2fs', 'jfs', 'reiserfs', 'nilfs2', 'bcachefs', 'vfat', 'exfat',
        'ntfs', 'fat', 'fat12', 'fat16', 'fat32', 'msdos', 'iso9660', 'udf', 'squashfs', 'erofs', 'swap', 'swsuspend',
        'minix', 'ufs',
    ];

    /** @var array<string, true> */
    private array $encrypted;

    /** @param  list<string>  $encrypted  further words of this bench, in any case */
    public function __construct(array $encrypted = [])
    {
        $this->encrypted = array_fill_keys([...self::ENCRYPTED, ...array_map(mb_strtolower(...), $encrypted)], true);
    }

    /** Whether a volume of that word is encrypted; null where the word is not known. */
    public function encrypted(string $word): ?bool
    {
        $word = mb_strtolower(trim($word));

        return match (true) {
            isset($this->encrypted[$word]) => true,
            in_array($word, self::PLAIN, true) => false,
            default => null,
        };
    }
}
