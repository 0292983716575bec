<?php

namespace App\Providers;

use App\Database\Grants;
use App\View\Frame;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ServiceProvider;
use Illuminate\Support\Str;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        RateLimiter::for('sign-in', fn (Request $request): Limit => Limit::perMinute(6)->by(Str::lower((string) $request->input('login')).'|'.$request->ip())
            ->response(fn () => back(303)->withInput($request->only('login'))->withErrors(['login' => 'Too many tries. Wait a minute, then try again.'])));
        Event::listen(MigrationsEnded::class, fn () => Grants::give(DB::connection()));
        View::composer('layout', Frame::class);
        Blade::directive('words', fn (string $text): string => "<?php echo \\App\\View\\Words::html({$text}); ?>");
    }
}
