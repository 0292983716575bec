<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Which needs an installer can be made to overlook, and what that costs later (rule A2). */
final readonly class Bypass
{
    private const NEEDS = [
        'memory',
        'cores',
        'clock_mhz',
        'uefi',
        'secure_boot',
        'security_chip',
        'graphics_feature',
        'display_pixels',
    ];

    /**
     * @param  list<string>  $of
     * @param  list<string>  $consequences
     */
    public function __construct(public array $of, public array $consequences)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('of', 'consequences');

        return new self($fields->strings('of', self::NEEDS), $fields->strings('consequences'));
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
