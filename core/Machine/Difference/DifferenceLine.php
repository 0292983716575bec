<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Difference;

/** One thing of a machine that is otherwise than it was. */
final readonly class DifferenceLine
{
    public const WENT = 'went';

    public const CAME = 'came';

    public const CHANGED = 'changed';

    /**
     * @param  string  $part  device, drive, memory, setting, machine or program
     * @param  string  $kind  one of the constants above
     * @param  string  $was  empty where it came
     * @param  string  $is  empty where it went
     */
    public function __construct(
        public string $part,
        public string $kind,
        public string $name,
        public string $was = '',
        public string $is = '',
    ) {
    }

    /** "Memory in B2 came: 16 GiB." */
    public function sentence(): string
    {
        return ucfirst(match ($this->kind) {
            self::WENT => "{$this->name} went".($this->was === '' ? '' : ": {$this->was}"),
            self::CAME => "{$this->name} came".($this->is === '' ? '' : ": {$this->is}"),
            default => "{$this->name}: was {$this->was}, is {$this->is}",
        }).'.';
    }

    /** @return array{part: string, change: string, name: string, was: string, is: string, words: string} */
    public function toArray(): array
    {
        return [
            'part' => $this->part,
            'change' => $this->kind,
            'name' => $this->name,
            'was' => $this->was,
            'is' => $this->is,
            'words' => $this->sentence(),
        ];
    }
}
