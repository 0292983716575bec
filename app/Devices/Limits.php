<?php

declare(strict_types=1);

namespace App\Devices;

/** What a program of Debian's may use: it reads what strangers made, and must end whatever that does to it. */
final readonly class Limits
{
    /**
     * @param  int  $memory  bytes of address space
     * @param  int  $output  bytes it may print
     * @param  int|null  $file  bytes of the largest file it may write
     */
    public function __construct(
        public int $memory = 1_610_612_736,
        public int $output = 67_108_864,
        public ?int $file = null,
    ) {
    }

    /** Lists of what is inside a file somebody brought. */
    public static function listing(): self
    {
        return new self(402_653_184, 268_435_456, 0);
    }

    /**
     * In a session of its own, so that its children can be ended with it; gone when this process is gone; within its
     * memory.
     *
     * @param  list<string>  $arguments
     * @return list<string>
     */
    public function around(array $arguments): array
    {
        return [
            'setpriv',
            '--pdeathsig',
            'KILL',
            'setsid',
            'prlimit',
            "--as={$this->memory}",
            '--core=0',
            ...$this->file === null ? [] : ["--fsize={$this->file}"],
            ...$arguments,
        ];
    }
}
