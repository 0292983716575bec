<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Devices\PhotoFolder;
use App\Http\Asked;
use App\Models\CatalogueEntry;
use App\Models\OpeningPhoto;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final class OpeningPhotoController
{
    public function store(string $model, Request $request): RedirectResponse
    {
        CatalogueEntry::query()->where('kind', 'machines')->where('slug', $model)->firstOrFail();
        $given = $request->validate([
            'photo' => 'required|file|max:'.PhotoFolder::KILOBYTES,
            'words' => 'required|string|max:120',
        ], [
            ...PhotoFolder::MESSAGES,
            'photo.required' => 'Choose a photo.',
            'words.required' => 'Say what is seen on it: whoever opens the machine reads it first.',
        ]);
        if (OpeningPhoto::query()->where('model', $model)->count() >= OpeningPhoto::MOST) {
            throw ValidationException::withMessages([
                'photo' => 'There are '.OpeningPhoto::MOST.' already: take one away first.',
            ]);
        }
        $photo = Asked::file($request, 'photo') ?? abort(422);
        PhotoFolder::mustBePicture($photo);
        OpeningPhoto::query()->create([
            'user_id' => $request->user()?->id,
            'model' => $model,
            'photo' => PhotoFolder::keep($photo, 'The guide stands without it.'),
            'words' => trim($given['words']),
        ]);

        return redirect("/catalogue/machines/{$model}", 303);
    }

    public function show(string $model, OpeningPhoto $photo): BinaryFileResponse
    {
        abort_unless($photo->model === $model, 404, 'There is no such photo.');

        return PhotoFolder::show($photo->photo);
    }

    public function remove(string $model, OpeningPhoto $photo): RedirectResponse
    {
        abort_unless($photo->model === $model, 404, 'There is no such photo.');
        $photo->delete();
        @unlink(config('cobblestone.photos')."/{$photo->photo}");

        return redirect("/catalogue/machines/{$model}", 303);
    }
}
