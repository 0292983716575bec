<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** One piece of evidence, compared (rule K3). */
final readonly class Finding
{
    /**
     * @param  string  $expected  in words; empty where nothing is expected or no page may show it
     * @param  string  $words  by how much it differs, or that it does not
     */
    public function __construct(
        public Evidence $wanted,
        public FindingVerdict $verdict,
        public string $observed,
        public string $expected = '',
        public string $words = '',
    ) {
    }

    /** "Files in the copy: 11 838 written down, 11 840 expected, 2 fewer." */
    public function sentence(): string
    {
        $wanted = $this->wanted;
        $words = $this->verdict === FindingVerdict::NotRead ? 'not read' : $this->words;

        return "{$wanted->label}: {$words}.".($wanted->remedy === '' ? '' : " {$wanted->remedy}");
    }

    /**
     * @return array{verdict: string, expected: string, observed: string, words: string, source: string} what the log
     *     keeps
     */
    public function toArray(): array
    {
        return [
            'verdict' => $this->verdict->value,
            'expected' => $this->expected,
            'observed' => $this->observed,
            'words' => $this->words,
            'source' => $this->wanted->expected->source ?? '',
        ];
    }
}
