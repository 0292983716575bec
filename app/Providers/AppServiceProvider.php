<?php

namespace App\Providers;

use App\Account\PeopleProvider;
use App\Account\SessionTable;
use App\Actions\ImageWasFetched;
use App\Actions\StickWasProven;
use App\Bridge\Experience;
use App\Bridge\StickRegister;
use App\Catalogue\CatalogueStore;
use App\Catalogue\CompiledCatalogue;
use App\Database\Grants;
use App\Devices\Publisher\Publisher;
use App\Devices\Publisher\StandInPublisher;
use App\Health\Workers;
use App\Jobs\WhenFetched;
use App\Jobs\WhenProven;
use App\View\Frame;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Foundation\Application;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // One catalogue for all of a request, or of a worker.
        $this->app->singleton(CompiledCatalogue::class, static fn (): CompiledCatalogue => new CompiledCatalogue(
            (string) config('cobblestone.compiled'),
        ));
        // They keep nothing of their own, and half of all others ask for them.
        $this->app->singleton(CatalogueStore::class);
        $this->app->singleton(Experience::class);
        $this->app->bind(WhenProven::class, StickWasProven::class);
        $this->app->bind(WhenFetched::class, ImageWasFetched::class);
        $this->app->bind(Publisher::class, static fn (): Publisher => new StandInPublisher(
            (string) config('cobblestone.publisher'),
        ));
        $this->app->scoped(SessionTable::class, static fn (Application $app): SessionTable => new SessionTable(
            $app->make('db')->connection(),
            (string) config('session.table'),
            (int) config('session.lifetime'),
            $app,
        ));
    }

    public function boot(): void
    {
        // Only proxies that the shop has named are believed.
        TrustProxies::at(array_values(array_filter(explode(',', (string) config('cobblestone.proxies')))));
        TrustProxies::withHeaders(Request::HEADER_X_FORWARDED_FOR | Request::HEADER_X_FORWARDED_PROTO);
        if ($this->app->runningInConsole() && is_string($name = getenv('COBBLESTONE_WORKER'))) {
            Workers::began($name);
        }
        Event::listen(MigrationsEnded::class, fn () => Grants::give(DB::connection()));
        Session::extend('bench', static fn (Application $app): SessionTable => $app->make(SessionTable::class));
        Auth::provider('bench', static fn (Application $app): PeopleProvider => $app->make(PeopleProvider::class));
        $this->app->terminating(fn () => $this->app->make(CompiledCatalogue::class)->askAnew());
        // A stick that the register does not have is no address. Said here: the bench reads its routes from a cache.
        Route::bind('stick', fn (string $stick): string => $this->app->make(StickRegister::class)->find($stick)->id
            ?? abort(404, 'The register has no such stick.'));
        View::composer('layout', Frame::class);
        // Whatever a page says: signs that would steer how it is shown are written out as what they are.
        Blade::setEchoFormat('e(\\App\\View\\Words::shown(%s))');
        Blade::directive('words', fn (string $text): string => "<?php echo \\App\\View\\Words::html({$text}); ?>");
    }
}
