<?php

namespace App\Http\Controllers;

use App\Actions\EditedMeanwhile;
use App\Catalogue\CatalogueStore;
use App\Http\Asked;
use App\Jobs\HashShelfFile;
use App\Models\BenchEvent;
use App\Models\ShelfFile;
use App\View\ImageCore;
use App\View\ProofLine;
use App\View\ShelfLine;
use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\ImageOrigin;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Images in the watched folder: what they are, whether they are what the publisher made. */
final class ShelfController
{
    public function index(Request $request, CatalogueStore $catalogue): View
    {
        $query = mb_substr(trim(Asked::text($request, 'q')), 0, 100);
        $files = ShelfFile::query()
            ->when(
                $query !== '',
                fn ($files) => $files->where(
                    fn ($any) => $any
                        ->where('name', 'ilike', $like = '%'.addcslashes($query, '%_\\').'%')
                        ->orWhereRaw('about::text ilike ?', [$like]),
                ),
            )
            ->orderByDesc('here')
            ->orderBy('name')
            ->paginate(50)
            ->withQueryString();

        return view('shelf.index', [
            'query' => $query,
            'busy' => $files->contains(
                fn (ShelfFile $file): bool => $file->here &&
                    ($file->report === null || in_array($file->hash_state, ['waiting', 'running'], true)),
            ),
            'files' => $files->through(ShelfLine::of(...)),
            'images' => self::byName(array_map(Image::fromArray(...), $catalogue->kind('images'))),
            'drivers' => self::byName(array_map(DriverPackage::fromArray(...), $catalogue->kind('drivers'))),
        ]);
    }

    /**
     * @template T of Image|DriverPackage
     *
     * @param  array<string, T>  $entries
     * @return list<T>
     */
    private static function byName(array $entries): array
    {
        usort($entries, static fn (Image|DriverPackage $a, Image|DriverPackage $b): int => strcmp($a->name, $b->name));

        return $entries;
    }

    public function show(ShelfFile $file, Request $request): View
    {
        $report = $file->inspected();

        return view('shelf.show', [
            'file' => $file,
            'report' => $report,
            'core' => $report === null ? null : ImageCore::of($report),
            'proof' => ProofLine::of($file),
            'mayWork' => $request->user()?->mayWork() === true,
            'events' => BenchEvent::query()
                ->with('user')
                ->whereIn('kind', ['checksum-changed', 'image-described'])
                ->where('subject', mb_substr($file->name, 0, 200))
                ->latest('id')
                ->limit(12)
                ->get(),
        ]);
    }

    /** @return array<string, string> */
    private static function rules(): array
    {
        $rules = ['published' => 'nullable|string|max:60000', 'published_by' => 'nullable|string|max:200'];
        foreach (array_keys(ShelfFile::ABOUT) as $field) {
            $rules[$field] = match ($field) {
                'as_of' => 'nullable|date_format:Y-m-d',
                'origin' => 'nullable|in:'.implode(',', array_keys(ImageOrigin::KINDS)),
                default => 'nullable|string|max:120',
            };
        }

        return $rules;
    }

    public function update(ShelfFile $file, Request $request): RedirectResponse
    {
        $given = $request->validate(self::rules(), [
            'as_of.date_format' => 'Write the day as 2026-11-25.',
            'origin.in' => 'Write "third-party" or "modified", or leave it empty where it is the publisher\'s own.',
        ]);
        $about = array_filter(
            array_intersect_key($given, ShelfFile::ABOUT),
            fn (?string $value): bool => $value !== null && $value !== '',
        );
        $lead = self::mayDecide($request);
        $published = $lead ? self::published((string) ($given['published'] ?? ''), $file->name) : null;
        DB::transaction(function () use ($file, $request, $given, $about, $lead, $published): void {
            $row = ShelfFile::query()->whereKey($file->id);
            $row->getQuery()->lockForUpdate();
            $now = $row->firstOrFail();
            EditedMeanwhile::check($request->input('as_seen'), $now->version(), $now->name, "/shelf/{$now->id}", [
                ...array_filter($now->about),
                'published SHA-256' => $now->published_sha256 ?? 'none',
                'published by' => $now->published_by ?? 'nobody named',
            ]);
            $this->describe($now, $about, $request);
            // Whether an image is the publisher's stands on this line: it is the lead's, and on record.
            if ($lead) {
                $this->publish(
                    $now,
                    $published,
                    $published === null ? null : $given['published_by'] ?? null,
                    $request,
                );
            }
        });

        return redirect("/shelf/{$file->id}", 303);
    }

    private static function mayDecide(Request $request): bool
    {
        $lead = $request->user()?->isLead() === true;
        if (! $lead && ($request->has('published') || $request->has('published_by'))) {
            throw ValidationException::withMessages([
                'published' => 'What the publisher\'s checksum is, only a lead says: it decides whether an image is '
                    .'trusted.',
            ]);
        }

        return $lead;
    }

    /** @param  array<string, string|null>  $about */
    private function describe(ShelfFile $file, array $about, Request $request): void
    {
        $before = $file->about;
        if ($before != $about) {
            $file->update(['about' => $about]);
            BenchEvent::note(
                'image-described',
                $file->name,
                ['before' => $before, 'after' => $about],
                $request->user()?->id,
            );
        }
    }

    private function publish(ShelfFile $file, ?string $sum, ?string $by, Request $request): void
    {
        $before = ['checksum' => $file->published_sha256, 'published by' => $file->published_by];
        $after = ['checksum' => $sum, 'published by' => $by];
        if ($before !== $after) {
            $file->update(['published_sha256' => $sum, 'published_by' => $by]);
            BenchEvent::note(
                'checksum-changed',
                $file->name,
                ['before' => $before, 'after' => $after],
                $request->user()?->id,
            );
        }
    }

    public function hash(ShelfFile $file, string $action): RedirectResponse
    {
        if ($action === 'stop') {
            ShelfFile::query()
                ->whereKey($file->id)
                ->whereIn('hash_state', ['waiting', 'running'])
                ->update(['hash_state' => 'stopped']);
        } elseif (! in_array($file->hash_state, ['waiting', 'running'], true)) {
            $file->update(['hash_state' => 'waiting', 'hashed_bytes' => 0]);
            HashShelfFile::dispatch($file->id);
        }

        return back(303);
    }

    /** One checksum, or a whole SHA256SUMS file in which this file's line is looked for. */
    private static function published(string $text, string $name): ?string
    {
        $text = trim($text);
        if ($text === '') {
            return null;
        }
        if (preg_match('/^[0-9a-f]{64}$/i', $text) === 1) {
            return strtolower($text);
        }
        foreach (preg_split('/\R/', $text) ?: [] as $line) {
            if (
                preg_match('/^\\\\?([0-9a-f]{64})\s+[ *]?(.+?)\s*$/i', $line, $match) === 1 &&
                basename($match[2]) === $name
            ) {
                return strtolower($match[1]);
            }
        }
        throw ValidationException::withMessages([
            'published' => preg_match('/\b[0-9a-f]{64}\b/i', $text) === 1
                    ? "There are checksums in it, but none for {$name}. Paste the line of this file, or the "
                        .'checksum alone.'
                    : 'That is no SHA-256: it has 64 digits from 0 to 9 and a to f. Paste the checksum, or the '
                        .'publisher\'s SHA256SUMS file.',
        ]);
    }
}
