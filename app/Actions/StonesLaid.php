<?php

declare(strict_types=1);

namespace App\Actions;

/** What a proven stick laid of its job, and what waits for something else first. */
final readonly class StonesLaid
{
    /**
     * @param  list<string>  $done  titles of stones
     * @param  array<string, string>  $waits  title of a stone => why it is not laid
     */
    public function __construct(public array $done, public array $waits)
    {
    }

    /** @return array{laid: list<string>, waits: array<string, string>} as a build keeps it */
    public function toArray(): array
    {
        return ['laid' => $this->done, 'waits' => $this->waits];
    }

    public function words(): string
    {
        $laid = $this->done === [] ? 'No stone was laid.' : 'Laid: '.implode(', ', $this->done).'.';
        $waits = array_map(
            static fn (string $stone, string $why): string => " {$stone} waits: {$why}",
            array_keys($this->waits),
            $this->waits,
        );

        return $laid.implode('', $waits);
    }
}
