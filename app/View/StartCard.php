<?php

declare(strict_types=1);

namespace App\View;

use App\Models\BootObservation;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Model\PassedEntry;
use Cobblestone\Boot\Model\Stone;
use Cobblestone\Boot\OtherEnd;
use Cobblestone\Boot\Reality;
use Cobblestone\Boot\StartFound;
use Cobblestone\Runbook\Wants;
use Cobblestone\Text\Lowered;

/** One power-on of the rehearsal: where it leads, what would be seen, what was, and what else it could have been. */
final readonly class StartCard
{
    /**
     * @param  list<BootObservation>  $seen  what was seen at it
     * @param  bool  $again  whether it fails as the one before
     * @param  ProvingLine|null  $startedHere  this very medium on a machine set as this one is then
     * @param  ProvingLine|null  $afterHere  its next power-on, from the drive that an installer wrote there
     */
    public function __construct(
        private int $job,
        public StartFound $start,
        private array $seen,
        public bool $again,
        public ?ProvingLine $startedHere = null,
        public ?ProvingLine $afterHere = null,
    ) {
    }

    /** Whether an emulated machine is like this one at this power-on. */
    public function canBeStarted(): bool
    {
        return $this->start->as !== null;
    }

    public function isIntoSetup(): bool
    {
        return $this->start->wants === Wants::Setup;
    }

    public function comesThrough(): bool
    {
        return $this->start->succeeds;
    }

    /** What the drawing of its crossing is scattered by. */
    public function seed(): string
    {
        return "{$this->job}-{$this->start->step}-{$this->start->number}";
    }

    public function heading(): string
    {
        return ucfirst($this->start->outcome->title()).'.';
    }

    public function sameOnceMore(): string
    {
        return 'The same once more: '.Lowered::of($this->start->outcome->title()).'.';
    }

    /** Whom the way out takes besides the technician; empty where it takes nobody. */
    public function takes(): string
    {
        return in_array($this->start->who, [null, 'technician'], true) ? '' : "takes the {$this->start->who}";
    }

    /** Ends that are possible too, in words; empty where nothing is left open. */
    public function others(): string
    {
        $others = $this->start->settledBy === null
            ? []
            : array_filter($this->start->possible, fn (Outcome $one): bool => $one !== $this->start->outcome);

        return implode(', or ', array_map(static fn (Outcome $one): string => $one->title(), $others));
    }

    /** What would settle it, as people say it. */
    public function settledBy(): string
    {
        return Words::fact((string) $this->start->settledBy);
    }

    /** Whether only a look into the image settles it. */
    public function isSettledOnTheShelf(): bool
    {
        return preg_match('/^(loader|legacy)/', (string) $this->start->settledBy) === 1;
    }

    /** @return list<array{fact: string, value: string, end: string}> what comes of it if something assumed is not so */
    public function otherwise(): array
    {
        return array_map(static fn (OtherEnd $other): array => [
            'fact' => Words::fact($other->fact),
            'value' => $other->value,
            'end' => $other->outcome->title(),
        ], $this->start->otherwise);
    }

    public function ground(): string
    {
        return $this->startedHere?->isDone() === true && $this->startedHere->differs() !== null
            ? 'started in emulation, this very medium'
            : $this->start->ground->title($this->start->times);
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
        $stones = array_map(static fn (Stone $stone): array => [
            'name' => $stone->name,
            'class' => $stone->holds ? '' : 'bad',
            'holds' => $stone->holds ? 'holds' : 'missing',
            'words' => $stone->words,
        ], $this->start->stones);
        $passed = array_map(static fn (PassedEntry $one): array => [
            'name' => 'tried before',
            'class' => 'bad',
            'holds' => 'left',
            'words' => "{$one->title} {$one->words}",
        ], $this->start->passed);

        return [...$stones, ...$passed];
    }

    /** @return list<Outcome> what else may have been seen */
    public function choices(): array
    {
        return Reality::choices($this->start->wants, $this->start->outcome, $this->start->possible);
    }
}
