<?php

declare(strict_types=1);

namespace App\View;

use App\Models\BootObservation;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Reality;
use Cobblestone\Runbook\Wants;

/** One power-on of the rehearsal: where it leads, what would be seen, what was, and what else it could have been. */
final readonly class StartCard
{
    public Wants $wants;

    public Outcome $outcome;

    /**
     * @param  array<string, mixed>  $start  as the plan keeps it
     * @param  list<BootObservation>  $seen  what was seen at it
     * @param  bool  $again  whether it fails as the one before
     */
    public function __construct(private int $job, public array $start, private array $seen, public bool $again)
    {
        $this->wants = Wants::from($start['wants']);
        $this->outcome = Outcome::from($start['outcome']);
    }

    public function isIntoSetup(): bool
    {
        return $this->wants === Wants::Setup;
    }

    public function comesThrough(): bool
    {
        return $this->start['succeeds'];
    }

    /** What the drawing of its crossing is scattered by. */
    public function seed(): string
    {
        return "{$this->job}-{$this->start['step']}-{$this->start['number']}";
    }

    public function heading(): string
    {
        return ucfirst($this->outcome->title()).'.';
    }

    public function sameOnceMore(): string
    {
        return 'The same once more: '.lcfirst($this->outcome->title()).'.';
    }

    /** Whom the way out takes besides the technician; empty where it takes nobody. */
    public function takes(): string
    {
        return $this->start['who'] === 'technician' ? '' : "takes the {$this->start['who']}";
    }

    /** Ends that are possible too, in words; empty where nothing is left open. */
    public function others(): string
    {
        $others = $this->start['settled_by'] === null
            ? []
            : array_diff($this->start['possible'], [$this->start['outcome']]);

        return implode(', or ', array_map(static fn (string $one): string => Outcome::from($one)->title(), $others));
    }

    /** What would settle it, as people say it. */
    public function settledBy(): string
    {
        return Words::fact((string) $this->start['settled_by']);
    }

    /** Whether only a look into the image settles it. */
    public function isSettledOnTheShelf(): bool
    {
        return preg_match('/^(loader|legacy)/', (string) $this->start['settled_by']) === 1;
    }

    /** @return list<array{fact: string, value: string, end: string}> what comes of it if something assumed is not so */
    public function otherwise(): array
    {
        return array_values(array_map(static fn (array $other): array => [
            'fact' => Words::fact($other['fact']),
            'value' => (string) $other['value'],
            'end' => Outcome::from($other['outcome'])->title(),
        ], $this->start['otherwise']));
    }

    public function ground(): string
    {
        return Ground::from($this->start['ground'])->title($this->start['times']);
    }

    /** @return list<array{class: string, words: string, by: string, at: string}> */
    public function said(): array
    {
        return array_map(static fn (BootObservation $one): array => [
            'class' => ! $one->looked ? '' : ($one->seen === $one->predicted ? 'holds' : 'bad'),
            'words' => match (true) {
                ! $one->looked => 'nothing said against it',
                $one->seen === $one->predicted => 'went as predicted',
                default => 'went otherwise: '.Outcome::from($one->seen)->title(),
            },
            'by' => $one->user->title,
            'at' => Words::time($one->created_at),
        ], $this->seen);
    }

    /** @return list<array{name: string, class: string, holds: string, words: string}> stone by stone */
    public function stones(): array
    {
        $stones = array_map(static fn (array $stone): array => [
            'name' => $stone['name'],
            'class' => $stone['holds'] ? '' : 'bad',
            'holds' => $stone['holds'] ? 'holds' : 'missing',
            'words' => $stone['words'],
        ], $this->start['stones']);
        $passed = array_map(static fn (array $one): array => [
            'name' => 'tried before',
            'class' => 'bad',
            'holds' => 'left',
            'words' => "{$one['title']} {$one['words']}",
        ], $this->start['passed']);

        return array_values([...$stones, ...$passed]);
    }

    /** @return list<Outcome> what else may have been seen */
    public function choices(): array
    {
        $possible = array_values(array_map(Outcome::from(...), $this->start['possible']));

        return Reality::choices($this->wants, $this->outcome, $possible);
    }
}
