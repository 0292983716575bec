<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Answers\AnswerFault;
use App\Catalogue\CatalogueStore;
use App\Devices\DriverFolders;
use App\Models\BenchPolicy;
use App\Models\Job;
use App\Models\ShelfFile;
use App\Models\StickState;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Machine\Port;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\ImageFit;
use Cobblestone\Media\ShelfImage;
use Cobblestone\Media\StickChoice;
use Cobblestone\Media\StickContent;
use Cobblestone\Media\SticksAtHand;
use Cobblestone\Media\StoneProof;
use Cobblestone\Media\WantedStick;
use Cobblestone\Media\Ways\Way;
use Cobblestone\Quantity\Bytes;
use Illuminate\Database\Eloquent\Collection;

/** The stick of a job between path and workshop: what it must carry, what is there already, what makes it. */
final readonly class JobStick
{
    public function __construct(
        private StickRegister $register,
        private WayBridge $ways,
        private JobBridge $bridge,
        private CatalogueStore $catalogue,
    ) {
    }

    /** Null where the path of the job needs no stick. */
    public function wanted(Job $job): ?WantedStick
    {
        return WantedStick::of($job->currentPlan()->typed());
    }

    /** Whether every stone that a proven stick lays is laid. */
    public function isLaid(Job $job): bool
    {
        $progress = $this->bridge->progress($job);
        foreach ($progress->plan->steps as $step) {
            $proves = array_intersect(StoneProof::PROVES, $step->after) !== [];
            if ($proves && ! $progress->state($step)->isClosed()) {
                return false;
            }
        }

        return true;
    }

    /** The kind of computer that makes it; empty where this bench does. */
    public function hostName(WantedStick $wanted): string
    {
        return $wanted->host === null ? ''
            : $this->catalogue->catalogue()->hosts()[$wanted->host]->name ?? $wanted->host;
    }

    /** The catalogue's entry of the image that the path goes by; null where it holds none. */
    public function imageOf(Job $job): ?string
    {
        $names = array_column($this->catalogue->kind('images'), 'name', 'id');
        $id = array_search($job->currentPlan()->typed()->job->image, $names, true);

        return is_string($id) ? $id : null;
    }

    public function name(string $slug): ?string
    {
        return $this->register->find($slug)?->name;
    }

    /** @return Collection<string, ShelfFile> images of the job's system on the shelf, by name */
    public function shelf(WantedStick $wanted): Collection
    {
        /** @var Collection<string, ShelfFile> */
        return ShelfFile::query()
            ->where('here', true)
            ->where(fn ($query) => $query
                ->where('about->line', $wanted->system)
                ->orWhere('name', $wanted->file))
            ->orderBy('name')
            ->limit(60)
            ->get()
            ->keyBy('name');
    }

    /**
     * @param  Collection<string, ShelfFile>  $shelf
     * @return list<ImageFit> those that fit first
     */
    public function images(WantedStick $wanted, Collection $shelf): array
    {
        $told = $shelf->map(static fn (ShelfFile $file): ShelfImage => ShelfImage::told(
            $file->name,
            $file->about,
            $file->sha256,
            $file->published_sha256,
            $file->inspected()->damage[0] ?? null,
        ));

        return ImageFit::all($wanted, array_values($told->all()));
    }

    /** The way that the path has planned, from that file; null where the file does not allow it. */
    public function way(WantedStick $wanted, ShelfFile $file, ?string $drivers): ?Way
    {
        $report = $file->inspected();
        if ($report === null) {
            return null;
        }
        foreach ($this->ways->compare($file, $report, null, $drivers)->ways as $way) {
            $planned = $way->mode === $wanted->mode && ($wanted->scheme === null || $way->scheme === $wanted->scheme);
            if ($planned && $way->isPossible() && $way->buildable && $way->storage === $wanted->storage) {
                return $way;
            }
        }

        return null;
    }

    /** The folder with the drivers of this job; null where none travels on this stick, or none is unpacked yet. */
    public function drivers(Job $job, WantedStick $wanted): ?string
    {
        $folder = DriverFolders::ofJob($job->id);

        return $wanted->driverPackages > 0 && DriverFolders::path($folder) !== null ? $folder : null;
    }

    /**
     * Every stick of the register as this job sees it: the one to take first, then those that could be made.
     *
     * @param  Bytes|null  $need  what the way needs; null where nothing can be made
     * @return list<StickForJob>
     */
    public function sticks(Job $job, WantedStick $wanted, ?Bytes $need): array
    {
        $sticks = $this->register->now($job->id);
        $need ??= Bytes::of(1);
        $choice = $this->choice($job, $sticks, $need);
        // The path's own stick goes before a better one: its stones name it.
        $own = $sticks[$wanted->stick ?? ''] ?? null;
        $proposed = $own !== null && ! isset(StickChoice::against($own, $need)[0]) && $own->keptFor === null
            ? $own->id
            : $choice->stick?->id;
        $along = $this->along($job, $wanted);
        $states = StickState::query()->get()->keyBy('slug');
        $rows = [];
        foreach ($sticks as $slug => $stick) {
            [$condition, $lacks] = $this->held($slug, $states->get($slug), $wanted, $along);
            $rows[] = new StickForJob(
                $stick,
                $condition,
                $lacks,
                StickChoice::against($stick, $need)
                    ?: ($slug === $proposed ? [] : $choice->decision->refused[$stick->name] ?? []),
                $slug === $proposed,
            );
        }
        usort($rows, static fn (StickForJob $a, StickForJob $b): int => [$b->isReady(), $b->proposed, $b->mayBeMade()]
            <=> [$a->isReady(), $a->proposed, $a->mayBeMade()]);

        return $rows;
    }

    /** @return list<string> what a stick lacks to be the one that the job wants */
    public function lacks(Job $job, string $slug): array
    {
        $wanted = $this->wanted($job);
        if ($wanted === null) {
            return ['the path of this job needs no stick'];
        }
        $state = StickState::query()->find($slug);

        return $this->held($slug, $state, $wanted, $this->along($job, $wanted))[1]
            ?? ['nothing was built on it'];
    }

    /**
     * @param  array{string|null, string|null}  $along
     * @return array{StickCondition, list<string>|null} what it is worth, and what it lacks; null where nothing was
     *     built on it
     */
    private function held(string $slug, ?StickState $state, WantedStick $wanted, array $along): array
    {
        $content = StickContent::read($state?->content, $this->published());
        // What is good is read anew: something may have written to it since.
        $state = $content === null ? $state : $this->register->look($slug);
        $condition = $this->register->condition($state ?? StickState::unrecorded($slug));

        return [$condition, $content?->lacks($wanted, ...$along)];
    }

    /** @return array{string|null, string|null} mark of the drivers and SHA-256 of the answers that the job wants */
    private function along(Job $job, WantedStick $wanted): array
    {
        $folder = DriverFolders::path($this->drivers($job, $wanted));
        $mark = match (true) {
            $folder !== null => StickContent::mark(StickBridge::folder($folder)),
            $wanted->driverPackages > 0 => 'not unpacked yet',
            default => null,
        };

        return [$mark, $this->answers($job)];
    }

    /** @param  array<string, Stick>  $sticks */
    private function choice(Job $job, array $sticks, Bytes $need): StickChoice
    {
        $connectors = array_map(
            static fn (Port $port): string => $port->connector,
            $this->bridge->machine($job)->ports,
        );

        return StickChoice::decide('media.stick', 'Which stick', new SticksAtHand(
            array_values($sticks),
            BenchPolicy::present()->school('stick'),
            array_values(array_unique($connectors)),
        ), $need);
    }

    /** @return array<string, string> image on the shelf => the publisher's checksum of it */
    public function published(): array
    {
        return once(static fn (): array => ShelfFile::query()
            ->whereNotNull('published_sha256')
            ->pluck('published_sha256', 'name')
            ->all());
    }

    /** SHA-256 of the job's file of answers; null where it has none. One that cannot be made now is on no stick. */
    private function answers(Job $job): ?string
    {
        try {
            return JobAnswers::of($job->currentPlan()->typed(), $this->catalogue)?->sha256();
        } catch (AnswerFault) {
            return 'cannot be made now';
        }
    }
}
