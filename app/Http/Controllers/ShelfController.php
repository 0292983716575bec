<?php

namespace App\Http\Controllers;

use App\Jobs\HashShelfFile;
use App\Models\CatalogueEntry;
use App\Models\ShelfFile;
use App\View\ImageCore;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** Images in the watched folder: what they are, whether they are what the publisher made. */
final class ShelfController
{
    public function index(Request $request): View
    {
        $query = mb_substr(trim((string) $request->query('q', '')), 0, 100);
        $files = ShelfFile::query()->when($query !== '', fn ($files) => $files->where(fn ($any) => $any->where('name', 'ilike', $like = '%'.addcslashes($query, '%_\\').'%')->orWhereRaw('about::text ilike ?', [$like])))
            ->orderByDesc('here')->orderBy('name')->paginate(50)->withQueryString();

        return view('shelf.index', [
            'query' => $query, 'files' => $files, 'busy' => $files->contains(fn (ShelfFile $file): bool => $file->here && ($file->report === null || in_array($file->hash_state, ['waiting', 'running'], true))),
            'images' => CatalogueEntry::query()->where('kind', 'images')->orderBy('name')->get(), 'drivers' => CatalogueEntry::query()->where('kind', 'drivers')->orderBy('name')->get(),
        ]);
    }

    public function show(ShelfFile $file): View
    {
        $report = $file->inspected();

        return view('shelf.show', ['file' => $file, 'report' => $report, 'core' => $report === null ? null : ImageCore::of($report)]);
    }

    public function update(ShelfFile $file, Request $request): RedirectResponse
    {
        $rules = ['published' => 'nullable|string|max:60000', 'published_by' => 'nullable|string|max:200'];
        foreach (array_keys(ShelfFile::ABOUT) as $field) {
            $rules[$field] = $field === 'as_of' ? 'nullable|date_format:Y-m-d' : 'nullable|string|max:120';
        }
        $given = $request->validate($rules, ['as_of.date_format' => 'Write the day as 2026-11-25.']);
        $file->about = array_filter(array_intersect_key($given, ShelfFile::ABOUT), fn (?string $value): bool => $value !== null && $value !== '');
        $file->published_sha256 = self::published((string) ($given['published'] ?? ''), $file->name);
        $file->published_by = $file->published_sha256 === null ? null : ($given['published_by'] ?? null);
        $file->save();

        return redirect("/shelf/{$file->id}", 303);
    }

    public function hash(ShelfFile $file, string $action): RedirectResponse
    {
        if ($action === 'stop') {
            ShelfFile::query()->whereKey($file->id)->whereIn('hash_state', ['waiting', 'running'])->update(['hash_state' => 'stopped']);
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
            if (preg_match('/^\\\\?([0-9a-f]{64})\s+[ *]?(.+?)\s*$/i', $line, $match) === 1 && basename($match[2]) === $name) {
                return strtolower($match[1]);
            }
        }
        throw ValidationException::withMessages(['published' => preg_match('/\b[0-9a-f]{64}\b/i', $text) === 1
            ? "There are checksums in it, but none for {$name}. Paste the line of this file, or the checksum alone."
            : 'That is no SHA-256: it has 64 digits from 0 to 9 and a to f. Paste the checksum, or the publisher\'s SHA256SUMS file.']);
    }
}
