<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use InvalidArgumentException;

/** Text that is not the output it was said to be. */
final class UnreadableInventory extends InvalidArgumentException
{
    public static function empty(string $command = 'lsblk -J -b'): self
    {
        return new self("Nothing was pasted. Run \"{$command}\" on the machine and paste all of what it prints.");
    }

    public static function tooLarge(int $bytes, int $limit, string $command = 'lsblk -J -b'): self
    {
        $tool = explode(' ', $command)[0];

        return new self(
            sprintf(
                'The pasted text is %.1f MB; the output of %s is never more than %.1f MB. Paste only what "%s" '
                    .'printed.',
                $bytes / 1e6,
                $tool,
                $limit / 1e6,
                $command,
            ),
        );
    }

    public static function notJson(int $line, string $near, string $reason, string $command = 'lsblk -J -b'): self
    {
        return new self(
            "Line {$line} is not JSON ({$reason}) near \"{$near}\". Paste the whole output of \"{$command}\", from "
                .'the first bracket to the last.',
        );
    }

    public static function notText(string $command = 'lsblk -J -b'): self
    {
        return new self(
            "The pasted text is not readable as UTF-8. Paste the output of \"{$command}\" as text, not a file of "
                .'another kind.',
        );
    }

    public static function noBlockDevices(): self
    {
        return new self(
            'This is JSON, but has no list "blockdevices". Paste what "lsblk -J -b" printed; the output of another '
                .'tool does not fit here.',
        );
    }

    /** @param  list<string>  $known */
    public static function unrecognised(array $known): self
    {
        return new self(
            'This is not the output of a tool that can be read here. Readable are: '.
                implode(', ', $known).
                ', and the bundle that cobblestone-collect makes.',
        );
    }
}
