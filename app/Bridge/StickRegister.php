<?php

namespace App\Bridge;

use App\Catalogue\CatalogueStore;
use App\Devices\Build\BuildFailure;
use App\Devices\Build\Fingerprint;
use App\Devices\Inspection\FileSource;
use App\Devices\Stick\StandInStick;
use App\Models\ShelfFile;
use App\Models\StickState;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\Staleness;
use Cobblestone\Media\Build\StickCondition;
use Illuminate\Database\Eloquent\Collection;

/** The sticks of the bench: register entry, stand-in, and what each is worth now. */
final class StickRegister
{
    /** @var Collection<int, ShelfFile>|null */
    private ?Collection $shelf = null;

    public function __construct(private readonly CatalogueStore $catalogue)
    {
    }

    /** @return array<string, Stick> */
    public function all(): array
    {
        return array_map(static fn (array $document): Stick => new Stick($document), $this->catalogue->kind('sticks'));
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
            'serial' => $stick->serial(), 'bytes' => $stick->size()->count, 'sector_bytes' => $stick->sectorBytes(), 'write_mb_s' => $stick->entry['write_mb_s'], 'faults' => $stick->entry['stand_in'] ?? [],
        ]);
    }

    /** As recorded, unless the shelf has something newer of the same line. */
    public function condition(StickState $state): StickCondition
    {
        if ($state->condition !== StickCondition::Good || ($state->content['about']['line'] ?? null) === null) {
            return $state->condition;
        }
        $this->shelf ??= ShelfFile::query()->where('here', true)->get(['id', 'about']);
        foreach ($this->shelf as $file) {
            if (Staleness::isNewer($file->about, $state->content['about'])) {
                return StickCondition::Stale;
            }
        }

        return $state->condition;
    }

    /** Looks at the stick itself: what was proven on it and has changed since is spoiled (rule M12). */
    public function look(string $slug): StickState
    {
        $state = StickState::of($slug);
        $path = $this->device($slug)->path();
        if ($state->condition === StickCondition::Good && is_file($path) && Fingerprint::of(new FileSource($path)) !== ($state->content['fingerprint'] ?? null)) {
            $state->fill(['condition' => StickCondition::Spoiled])->save();
        }

        return $state;
    }
}
