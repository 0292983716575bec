<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

/** How a person is asked for a fact, and what may be answered without typing (rule A1). */
final readonly class Asking
{
    /**
     * @param  string  $question  with what only the job knows in braces: "Does {system} bring a driver?"
     * @param  string  $hint  where the answer is found; empty where it needs no telling
     * @param  array<string, string>  $offers  value => words; empty where it is typed
     */
    public function __construct(public string $question, public string $hint = '', public array $offers = [])
    {
    }

    /** @param  array<string, string>  $names  what stands in braces => what it is in this job */
    public function text(array $names = []): string
    {
        $braced = [];
        foreach ($names as $name => $is) {
            $braced["{{$name}}"] = $is;
        }

        return trim(strtr($this->question, $braced)." {$this->hint}");
    }
}
