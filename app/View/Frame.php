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

    /** How pages are swapped: an answer that says what is wrong is shown like any other. */
    private const HTMX = [
        'includeIndicatorStyles' => false,
        'historyCacheSize' => 0,
        'refreshOnHistoryMiss' => true,
        'allowEval' => false,
        'responseHandling' => [['code' => '204', 'swap' => false], ['code' => '[2345]..', 'swap' => true]],
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
        $bell = Auth::check() ? BellStrip::of($this->bell->items(), (int) now()->timestamp) : null;
        $view->with([
            'places' => self::PLACES,
            'here' => $here,
            'bell' => $bell,
            'htmx' => json_encode(self::HTMX, JSON_THROW_ON_ERROR),
        ]);
    }
}
