<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Where an installed system shows what a finished machine is read for: the cheapest way to a reading (rule T1). */
final readonly class SystemReads
{
    /** What can be read of a finished machine. */
    public const OF = [
        'processor',
        'memory',
        'memory_rate',
        'drives',
        'devices',
        'system',
        'activation',
        'encryption',
        'clock',
        'firmware',
        'updates',
    ];

    /**
     * @param  bool  $collector  whether the bench's collector runs on it
     * @param  array<string, string>  $pages  what is read => where the system's own pages show it, in words
     */
    public function __construct(public bool $collector = false, public array $pages = [])
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->optionalBool('collector') ?? false, $fields->words('pages'));
    }

    /**
     * @param  string  $what  one of OF
     * @param  bool  $collected  whether the collector reads it at all
     */
    public function way(string $what, bool $collected): string
    {
        return implode(', or: ', array_filter([
            $this->collector && $collected ? 'the collector' : '',
            $this->pages[$what] ?? '',
        ]));
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
