<?php

namespace App\Bridge;

use App\Catalogue\CatalogueStore;
use App\Devices\Build\BuildFailure;
use App\Devices\Build\Fingerprint;
use App\Devices\Inspection\FileSource;
use App\Devices\Stick\StandInStick;
use App\Devices\Stick\StickLock;
use App\Models\ShelfFile;
use App\Models\StickEvent;
use App\Models\StickState;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\Staleness;
use Cobblestone\Media\Build\StickCondition;
use Illuminate\Database\Eloquent\Collection;

/** The sticks of the bench: register entry, stand-in, and what each is worth now. */
final class StickRegister
{
    /** @var Collection<int, ShelfFile>|null */
    private ?Collection $shelf = null;

    /** @var list<StickEvent> what the last question told of images and of the line */
    private array $images = [];

    public function __construct(private readonly CatalogueStore $catalogue)
    {
    }

    /** @return array<string, Stick> */
    public function all(): array
    {
        return array_map(Stick::fromArray(...), $this->catalogue->kind('sticks'));
    }

    public function find(string $slug): ?Stick
    {
        return $this->all()[$slug] ?? null;
    }

    /** @throws BuildFailure where the register has no such stick */
    public function device(string $slug): StandInStick
    {
        $stick = $this->find($slug) ?? throw BuildFailure::of('gone', "The register has no stick \"{$slug}\".");

        return StandInStick::open((string) config('cobblestone.sticks'), $slug, [
            'serial' => $stick->serial,
            'bytes' => $stick->size()->count,
            'sector_bytes' => $stick->sectorBytes,
            'write_mb_s' => $stick->writeMbS,
            'faults' => $stick->standIn?->toArray() ?? [],
        ]);
    }

    /** Whether a stand-in has vanished and waits to be plugged in again. */
    public function isGone(string $slug): bool
    {
        $note = config('cobblestone.sticks')."/{$slug}.json";

        return is_file($note) && (json_decode((string) file_get_contents($note), true)['gone'] ?? false);
    }

    /**
     * Labels that other sticks carry (rule M15).
     *
     * @return list<string>
     */
    public function labels(string $except): array
    {
        return array_values(
            array_filter(
                StickState::query()
                    ->where('slug', '!=', $except)
                    ->get()
                    ->map(static fn (StickState $state): ?string => $state->content['label'] ?? null)
                    ->all(),
            ),
        );
    }

    /**
     * The register with what is known of each stick now: retired is retired, its contents are what was proven, and
     * what another job has is kept for it. Two questions to the database, however many sticks there are.
     *
     * @param  int|null  $job  number of the job that asks: what it has is free for it
     * @param  bool  $named  whether other jobs are called by their titles, and not by number alone
     * @return array<string, Stick>
     */
    public function now(?int $job = null, bool $named = true): array
    {
        $this->images = [];
        $states = StickState::query()->get()->keyBy('slug');
        $events = $wanting = [];
        foreach (self::told() as $row) {
            if ($row->kind === 'wanted') {
                $wanting[$row->slug][] = KeptStick::told((array) $row->data);
            } elseif ($row->kind === ImagesAtHand::SHELVED || $row->kind === ImagesAtHand::LINE) {
                $this->images[] = $row;
            } else {
                $events[$row->slug][] = $row;
            }
        }

        return array_map(function (Stick $stick) use ($states, $events, $wanting, $job, $named): Stick {
            [$state, $jobs] = [$states->get($stick->id), $wanting[$stick->id] ?? []];
            $now = $state !== null || isset($events[$stick->id])
                ? $this->asChoice($stick, $state, $events[$stick->id] ?? [])
                : $stick;
            $kept = $jobs === [] ? null : KeptStick::among($jobs, $state);

            return $kept === null || ($job !== null && $kept->isFor($job))
                ? $now
                : $now->keptFor($named ? $kept->words() : $kept->number());
        }, $this->all());
    }

    /** @return Collection<int, StickEvent> what counts of what happened, oldest first, and who wants which stick */
    private static function told(): Collection
    {
        /** @var Collection<int, StickEvent> */
        return StickEvent::query()
            ->select(['id', 'slug', 'kind', 'data'])
            ->whereIn('kind', ['built', 'proven', 'failed', 'booted-badly', StickEvent::BLAMED, 'taken-back'])
            ->unionAll(KeptStick::holding())
            ->unionAll(ImagesAtHand::rows())
            ->orderBy('id')
            ->get();
    }

    /** @param  list<StickEvent>  $events  oldest first */
    private function asChoice(Stick $stick, ?StickState $state, array $events): Stick
    {
        $built = array_filter($events, static fn (StickEvent $event): bool => $event->kind === 'built');
        $rates = WayBridge::speeds($built);
        $content = $state->content['title'] ?? null;

        return $stick->asNow(
            match (true) {
                $state?->condition === StickCondition::Retired => 'retired',
                StickEvent::failures(array_reverse($events)) !== [] => 'watch',
                default => $stick->health,
            },
            $state !== null && is_string($content)
                ? $content.', '.explode(':', $this->condition($state)->title())[0]
                : $stick->contents,
            $rates->write(),
            $rates->read(),
        );
    }

    /**
     * A catalogue whose sticks are as they are now, and whose images say whether the shelf has them; sticks of which
     * nothing has been recorded stay as they are.
     */
    public function over(Catalogue $catalogue, ?int $job = null): Catalogue
    {
        $changed = [];
        foreach ($this->now($job, false) as $slug => $stick) {
            $entry = $catalogue->all('sticks')[$slug] ?? null;
            $now = $stick->toArray();
            if ($entry !== null && $now !== Stick::fromArray($entry)->toArray()) {
                $changed[$slug] = $now;
            }
        }

        $catalogue = $changed === [] ? $catalogue : $catalogue->with('sticks', $changed);

        return ImagesAtHand::over($catalogue, $this->images);
    }

    /** The stick on record whose contents carry that mark. */
    public function withMark(string $fingerprint): ?StickState
    {
        return StickState::query()->where('content->fingerprint', $fingerprint)->first();
    }

    /** As recorded, unless the shelf has something newer of the same line. */
    public function condition(StickState $state): StickCondition
    {
        $about = $state->content['about'] ?? null;
        if ($state->condition !== StickCondition::Good || ($about['line'] ?? null) === null) {
            return $state->condition;
        }
        $this->shelf ??= ShelfFile::query()
            ->where('here', true)
            ->get(['id', 'about']);
        foreach ($this->shelf as $file) {
            if (Staleness::isNewer($file->about, $about)) {
                return StickCondition::Stale;
            }
        }

        return $state->condition;
    }

    /**
     * The stick as it is itself: what was proven on it and has changed since is spoiled (rule M12). Looking changes
     * nothing.
     */
    public function look(string $slug): StickState
    {
        $state = StickState::of($slug);
        $path = $this->device($slug)->path();
        if (
            $state->condition === StickCondition::Good &&
            is_file($path) &&
            Fingerprint::of(new FileSource($path)) !== ($state->content['fingerprint'] ?? null)
        ) {
            $state->condition = StickCondition::Spoiled;
        }

        return $state;
    }

    /** Puts on record which good sticks have changed; only those that were written since are read. */
    public function keepWhatChanged(): void
    {
        foreach (StickState::query()->where('condition', StickCondition::Good->value)->get() as $state) {
            if ($this->find($state->slug) === null || ! StickLock::isFree($state->slug)) {
                continue;
            }
            clearstatcache();
            $path = $this->device($state->slug)->path();
            if (
                is_file($path) &&
                filemtime($path) > $state->updated_at->timestamp &&
                $this->look($state->slug)->condition === StickCondition::Spoiled
            ) {
                StickState::become($state->slug, StickCondition::Spoiled, $state->content);
            }
        }
    }
}
