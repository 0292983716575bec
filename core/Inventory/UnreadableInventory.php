<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use InvalidArgumentException;

/** Text that is not the output it was said to be. */
final class UnreadableInventory extends InvalidArgumentException
{
    public static function empty(): self
    {
        return new self('Nothing was pasted. Run "lsblk -J -b" on the machine and paste all of what it prints.');
    }

    public static function tooLarge(int $bytes, int $limit): self
    {
        return new self(sprintf('The pasted text is %.1f MB; the output of lsblk is never more than %.1f MB. Paste only what "lsblk -J -b" printed.', $bytes / 1e6, $limit / 1e6));
    }

    public static function notJson(int $line, string $near, string $reason): self
    {
        return new self("Line {$line} is not JSON ({$reason}) near \"{$near}\". Paste the whole output of \"lsblk -J -b\", from the first { to the last }.");
    }

    public static function notText(): self
    {
        return new self('The pasted text is not readable as UTF-8. Paste the output of "lsblk -J -b" as text, not a file of another kind.');
    }

    public static function noBlockDevices(): self
    {
        return new self('This is JSON, but has no list "blockdevices". Paste what "lsblk -J -b" printed; the output of another tool does not fit here.');
    }
}
