<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\EarlierVisits;
use App\Models\Job;

/** That a machine was on this bench before: how often, and when and for what. */
final readonly class SeenBefore
{
    private function __construct(private EarlierVisits $visits, private string $zone)
    {
    }

    /** Null where it was not here before. */
    public static function of(?EarlierVisits $visits): ?self
    {
        return $visits === null ? null : new self($visits, (string) config('cobblestone.timezone'));
    }

    public function sentence(): string
    {
        return 'Seen here before: '.match ($this->visits->many) {
            1 => 'once',
            2 => 'twice',
            default => "{$this->visits->many} times",
        }.'.';
    }

    /**
     * @return list<array{job: int, title: string, when: string, again: bool}> again: what is known of it can be taken
     *     over
     */
    public function visits(): array
    {
        return array_map(fn (Job $job): array => [
            'job' => $job->id,
            'title' => sprintf('job %04d, %s', $job->id, $job->title),
            'when' => $job->created_at->copy()->timezone($this->zone)->format('j M Y').
                ($job->isOpen() ? ', still open' : ''),
            'again' => $job->contents_removed_at === null,
        ], $this->visits->named);
    }

    public function notNamed(): int
    {
        return $this->visits->many - count($this->visits->named);
    }
}
