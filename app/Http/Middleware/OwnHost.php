<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Only the configured host name is served: no page, link or redirect is ever made from a name that somebody else
 * sent.
 */
final class OwnHost
{
    private const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

    public function handle(Request $request, Closure $next): Response
    {
        $own = strtolower((string) parse_url((string) config('app.url'), PHP_URL_HOST));
        $names = in_array($own, self::LOOPBACK, true) ? self::LOOPBACK : [$own];
        $sent = strtolower((string) preg_replace('/:\d+$/', '', (string) $request->headers->get('HOST')));
        if (! in_array($sent, $names, true)) {
            return response("This computer serves {$own} only.\n", 421, [
                'Content-Type' => 'text/plain; charset=utf-8',
            ]);
        }
        // "Back" means back to a page of ours; where somebody else's page led here, it means the Bench.
        $from = parse_url((string) $request->headers->get('referer'));
        if (! is_array($from) || strtolower($from['host'] ?? '') !== $sent) {
            $request->headers->remove('referer');
        }

        return $next($request);
    }
}
