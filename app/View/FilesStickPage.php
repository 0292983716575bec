<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\FilesForStick;
use App\Bridge\JobBridge;
use App\Bridge\StickRegister;
use App\Models\Job;
use App\Models\StickState;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Confirmation;

/** The stick of a job's firmware files or drivers: what goes onto it, and which stick takes it. */
final readonly class FilesStickPage
{
    /**
     * @param  array<string, Stick>  $sticks  that may be taken, by number in the register
     * @param  string|null  $madeOn  stick that carries exactly these, made for this job and good
     */
    private function __construct(
        private FilesForStick $of,
        public array $sticks,
        public ?Stick $chosen,
        public ?string $madeOn,
        public bool $isLaid,
        public bool $mayWork,
    ) {
    }

    /** Null where the path wants none. */
    public static function of(Job $job, StickRegister $register, bool $mayWork, string $asked): ?self
    {
        $of = FilesForStick::of($job);
        if ($of === null) {
            return null;
        }
        $sticks = array_filter(
            $register->now($job->id),
            static fn (Stick $one): bool => $one->contentsMayGo && $one->health !== 'retired'
                && ($one->keptFor === null || $one->id === $of->wanted->stick),
        );
        $chosen = $sticks[$asked] ?? $sticks[(string) $of->wanted->stick] ?? null;

        return new self(
            $of,
            $sticks,
            $chosen,
            self::made($job, $of),
            self::laid($job, $of),
            $mayWork && $job->isOpen(),
        );
    }

    private static function made(Job $job, FilesForStick $of): ?string
    {
        $mark = $of->mark();
        $made = $mark === null ? null : StickState::query()->where('content->job', $job->id)->get()->first(
            static fn (StickState $state): bool => $state->condition === StickCondition::Good
                && $state->said('drivers_mark') === $mark,
        );

        return $made?->slug;
    }

    /** Whether its stone is laid. */
    private static function laid(Job $job, FilesForStick $of): bool
    {
        $progress = app(JobBridge::class)->progress($job);
        foreach ($progress->plan->steps as $step) {
            if (in_array($of->wanted->for->proves(), $step->after, true)) {
                return $progress->state($step)->isClosed();
            }
        }

        return true;
    }

    public function title(): string
    {
        return "Stick with {$this->of->wanted->for->title()}";
    }

    /** @return list<string> why it cannot be made */
    public function lacks(): array
    {
        return $this->of->lacks;
    }

    /** @return list<array{path: string, source: string, size: string, proof: string}> */
    public function files(): array
    {
        return array_map(fn (PlannedFile $file): array => [
            'path' => $file->path,
            'source' => $file->path === $file->source ? '' : $file->source,
            'size' => Bytes::of($file->bytes)->decimal(),
            'proof' => $this->of->proofs[$file->source] ?? '',
        ], array_slice($this->of->files, 0, 60));
    }

    public function how(): string
    {
        return 'FAT32, '.strtoupper($this->of->wanted->scheme->value).' table';
    }

    public function exactBytes(): string
    {
        return number_format($this->chosen?->size()->count ?? 0, 0, '.', ' ');
    }

    public function masked(): string
    {
        return $this->chosen?->serial === null ? '' : Confirmation::mask($this->chosen->serial);
    }
}
