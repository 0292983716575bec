<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ShelvePackage;
use App\Catalogue\CatalogueStore;
use App\Http\Asked;
use App\Models\BenchEvent;
use App\View\PackageLine;
use Cobblestone\Catalogue\DriverPackage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use RuntimeException;

/** Driver packages on the shelf: what each claims, and new ones brought as archives (rule D2). */
final class PackageController
{
    private const KILOBYTES = 63_488;

    public function index(Request $request, CatalogueStore $catalogue): View
    {
        $query = mb_strtolower(mb_substr(trim(Asked::text($request, 'q')), 0, 100));
        $lines = array_map(
            static fn (array $document): PackageLine => new PackageLine(DriverPackage::fromArray($document)),
            array_values($catalogue->kind('drivers')),
        );

        return view('shelf.packages', [
            'query' => $query,
            'total' => count($lines),
            'packages' => array_values(array_filter(
                $lines,
                static fn (PackageLine $line): bool => $query === '' || $line->holds($query),
            )),
            'mayWork' => $request->user()?->mayWork() === true,
            'lead' => $request->user()?->isLead() === true,
        ]);
    }

    public function show(string $package, CatalogueStore $catalogue): View
    {
        $document = $catalogue->kind('drivers')[$package] ?? null;
        if ($document === null) {
            abort(404);
        }

        return view('shelf.package', ['package' => new PackageLine(DriverPackage::fromArray($document))]);
    }

    public function store(Request $request, ShelvePackage $shelve): RedirectResponse
    {
        $request->validate(
            ['package' => 'required|file|max:'.self::KILOBYTES, 'source' => 'required|string|max:200'],
            [
                'package.required' => 'Choose an archive.',
                'package.max' => 'More than 62 MB do not come through this form: copy it into the folder and describe '
                    .'it with a manifest.',
                'package.uploaded' => 'The file did not arrive whole. Try it once more.',
                'source.required' => 'Say where it comes from: the maker\'s page, a disc, another computer.',
            ],
        );
        $file = $request->file('package');
        if (! $file instanceof UploadedFile) {
            throw ValidationException::withMessages(['package' => 'One archive at a time.']);
        }
        try {
            [$package, $faults] = $shelve->handle(
                $file->getPathname(),
                $file->getClientOriginalName(),
                (string) $request->input('source'),
                $request->user()?->id,
            );
        } catch (RuntimeException $e) {
            throw ValidationException::withMessages([
                'package' => "\"{$file->getClientOriginalName()}\" was not taken: {$e->getMessage()}.",
            ]);
        }

        return redirect("/packages/{$package->id}", 303)->with('left_out', array_slice($faults, 0, 40));
    }

    public function remove(string $package, Request $request, CatalogueStore $catalogue): RedirectResponse
    {
        $file = $catalogue->kind('drivers')[$package]['file'] ?? null;
        if (! is_string($file)) {
            abort(404);
        }
        $catalogue->remove('drivers', $package);
        @unlink(config('cobblestone.packages').'/'.basename($file));
        BenchEvent::note('package-removed', $package, ['file' => $file], $request->user()?->id);

        return redirect('/packages', 303);
    }
}
