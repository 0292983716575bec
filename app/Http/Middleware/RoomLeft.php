<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Faults;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * A drive that is nearly full takes no more files: said in words before anything of them is kept. Small texts still
 * go through.
 */
final class RoomLeft
{
    private const LEAST = 50_000_000;

    public function handle(Request $request, Closure $next): Response
    {
        if (
            ! $request->isMethodSafe() &&
            $request->files->count() > 0 &&
            (int) @disk_free_space(storage_path()) < (int) config('cobblestone.least_free', self::LEAST)
        ) {
            return Faults::page(
                507,
                'This computer\'s drive is full',
                'The files were not taken, and nothing that was stored before is lost. Tell the lead: room must be '
                    .'made on this computer first.',
                $request,
            );
        }

        return $next($request);
    }
}
