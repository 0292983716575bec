<?php

namespace App\View;

use App\Bridge\BellBridge;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Facades\Auth;

/** What every page carries: the bell strip and the kerb. */
final class Frame
{
    /** Place => [path, key, width class]. */
    public const PLACES = [
        'Bench' => ['/', 'b', 'k3'],
        'Jobs' => ['/jobs', 'j', 'k1'],
        'Sticks' => ['/sticks', 's', 'k3'],
        'Shelf' => ['/shelf', 'f', 'k1'],
        'Catalogue' => ['/catalogue', 'c', 'k4'],
        'Logbook' => ['/logbook', 'l', 'k3'],
        'Policy' => ['/policy', 'p', 'k2'],
        'Find' => ['/find', '/', 'k4'],
    ];

    public function __construct(private readonly BellBridge $bell)
    {
    }

    public function compose(View $view): void
    {
        $path = '/'.ltrim(request()->path(), '/');
        $here =
            array_key_first(
                array_filter(
                    self::PLACES,
                    static fn (array $place): bool => $place[0] !== '/' && str_starts_with($path, $place[0]),
                ),
            ) ?? ($path === '/' ? 'Bench' : null);
        $view->with(['places' => self::PLACES, 'here' => $here, 'bell' => Auth::check() ? BellStrip::of($this->bell->items(), (int) now()->timestamp) : null]);
    }
}
