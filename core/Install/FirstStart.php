<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Brief\FirstBootBlock;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Policy\Policy;

/** The first start of a system on this job: what is answered, by whose word, and how it gets online. */
final readonly class FirstStart
{
    /**
     * @param  string  $online  why its network adapter works, where that is known
     * @param  list<string>  $inFile  ids of the questions that a file on the stick answers
     */
    public function __construct(
        public SystemProfile $system,
        public Policy $policy,
        public FirstBootBlock $said = new FirstBootBlock(),
        public string $online = '',
        public array $inFile = [],
    ) {
    }

    /** @return list<FirstAnswer> */
    public function answers(): array
    {
        return FirstAnswers::of($this->system, $this->said, $this->policy, $this->inFile);
    }
}
