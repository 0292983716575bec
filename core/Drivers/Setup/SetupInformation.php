<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Setup;

/** What a setup-information file says of its package: the device class, version and date, and what it is for (D2). */
final readonly class SetupInformation
{
    /**
     * @param  string|null  $date  as 2026-11-01
     * @param  list<string>  $catalogues  files that carry the signature, as it names them
     * @param  list<SetupClaim>  $claims
     * @param  list<string>  $faults  what could not be read, each with its line
     */
    public function __construct(
        public ?string $class,
        public ?string $provider,
        public ?string $version,
        public ?string $date,
        public array $catalogues,
        public array $claims,
        public array $faults,
    ) {
    }
}
