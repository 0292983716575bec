<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build\Script;

use Cobblestone\Catalogue\HostCommands;

/** Commands of another computer as words of a script: what is given stands in their places, all else is quoted. */
final readonly class HostCall
{
    public function __construct(private HostCommands $commands)
    {
    }

    /**
     * @param  array<string, string>  $given  place => a word of the script, quoted already
     * @return string empty where that computer has no such command
     */
    public function line(string $name, array $given = []): string
    {
        return implode(' ', array_map(
            static fn (string $word): string => $given[$word] ?? ShellText::command([$word]),
            $this->commands->of($name),
        ));
    }
}
