<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Matching;

/**
 * What decides against a package that claims a device: first what it must be, in this order, then what another is
 * better at (rule D3).
 */
enum RefusedBecause: string
{
    case Architecture = 'architecture';
    case Build = 'build';
    case Model = 'model';
    case Revision = 'revision';
    case Signature = 'signature';
    case Specificity = 'specificity';
    case Channel = 'channel';
    case Date = 'date';
    case Version = 'version';

    /** How far a package came that must fail: the further, the closer it was. */
    public function reached(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
