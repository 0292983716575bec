<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Session\NullSessionHandler;
use Illuminate\Session\Store;
use Illuminate\Validation\ValidationException;
use SessionHandlerInterface;
use Symfony\Component\HttpFoundation\Response;

/**
 * For a look beside a form that somebody is filling in: it reads who they are and writes nothing, so that what the form
 * itself has to tell (its faults, what was typed) is still there. What cannot be looked at yet shows nothing.
 */
final class ReadsSession
{
    private const KEPT = 'session.handler';

    public function handle(Request $request, Closure $next): Response
    {
        $session = $request->session();
        if ($session instanceof Store) {
            $request->attributes->set(self::KEPT, [$session->getHandler(), $session->all()]);
            $session->setHandler(new NullSessionHandler);
        }
        try {
            $response = $next($request);
        } catch (ValidationException) {
            return response()->noContent();
        }

        return isset($response->exception) && $response->exception instanceof ValidationException
            ? response()->noContent()
            : $response;
    }

    /** Whoever uses the same store afterwards finds it as it was, and writes again. */
    public function terminate(Request $request): void
    {
        $session = $request->session();
        [$handler, $held] = $request->attributes->get(self::KEPT) ?? [null, []];
        if ($session instanceof Store && $handler instanceof SessionHandlerInterface) {
            $session->setHandler($handler);
            $session->flush();
            $session->put($held);
        }
    }
}
