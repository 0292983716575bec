<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Runbook\Contribution;

/** What the path of one kind of job is made of, before it is put in order. */
final readonly class PathDraft
{
    /**
     * @param  array<string, mixed>  $layouts
     * @param  array<string, mixed>  $assessment  what the assessment found, for the page
     * @param  string|null  $stick  name of the stick
     */
    public function __construct(
        public Contribution $contribution,
        public array $layouts = ['stick' => null, 'target' => null],
        public array $assessment = [],
        public ?string $stick = null,
    ) {
    }
}
