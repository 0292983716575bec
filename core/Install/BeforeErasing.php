<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Runbook\Gate;

/** What has to be so before a drive is erased, and whose it is. */
final readonly class BeforeErasing
{
    /**
     * @param  list<Gate>  $gates
     * @param  list<string>  $waitsFor  facts that hold first
     * @param  TryLive|null  $live  null where it is not tried from the stick
     * @param  string  $licence  how it is licensed; empty where nobody has said
     */
    public function __construct(
        public array $gates,
        public array $waitsFor,
        public string $owner,
        public ?string $edition = null,
        public string $licence = '',
        public ?TryLive $live = null,
    ) {
    }
}
