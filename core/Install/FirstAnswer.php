<?php

declare(strict_types=1);

namespace Cobblestone\Install;

/** What a system asks at its first start, in its words, and what this job answers (rule I4). */
final readonly class FirstAnswer
{
    /**
     * @param  string  $id  which question it is; empty where only the profile knows it
     * @param  string  $because  where the answer comes from
     * @param  bool  $inFile  whether a file on the stick gives it, so that nobody is asked
     */
    public function __construct(
        public string $id,
        public string $ask,
        public string $answer,
        public string $because,
        public bool $inFile = false,
    ) {
    }

    /** As it is ticked off at the machine; separators of lists are left out of it. */
    public function tick(): string
    {
        return trim((string) preg_replace('/[,;\n.]+/', ' ', $this->ask));
    }
}
