<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Account\SessionTable;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as Start;
use Illuminate\Session\Store;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Response;

/**
 * The session changes with what people do, not with every page: "Back" follows the page that the browser names, and the
 * one word of what was just done travels with the browser to the page that says it, instead of being written twice.
 */
final class StartSession extends Start
{
    private const DID = 'did';

    private const COOKIE = 'cobblestone_did';

    /** @param  Session  $session */
    protected function storeCurrentUrl(Request $request, $session): void
    {
    }

    /** @param  Session  $session */
    protected function startSession(Request $request, $session): Session
    {
        $session = parent::startSession($request, $session);
        $did = $request->cookies->get(self::COOKIE);
        if (is_string($did) && $did !== '' && $session instanceof Store) {
            $session->now(self::DID, $did);
        }

        return $session;
    }

    protected function addCookieToResponse(Response $response, Session $session): void
    {
        if (! $this->isKnown($session)) {
            parent::addCookieToResponse($response, $session);
        }
        $new = (array) $session->get('_flash.new', []);
        $did = in_array(self::DID, $new, true) ? $session->get(self::DID) : null;
        if (is_string($did)) {
            $session->forget(self::DID);
            $session->put('_flash.new', array_values(array_diff($new, [self::DID])));
            $response->headers->setCookie($this->cookie($did));
        } elseif (in_array(self::DID, (array) $session->get('_flash.old', []), true)) {
            $response->headers->setCookie($this->cookie(null));
        }
    }

    /** Whether the browser came with this session, and was told within the minute how long it lasts. */
    private function isKnown(Session $session): bool
    {
        $table = $session->getHandler();

        return $table instanceof SessionTable
            && request()->cookies->get($session->getName()) === $session->getId()
            && $table->isRecent($session->getId());
    }

    private function cookie(?string $did): Cookie
    {
        $config = $this->manager->getSessionConfig();

        return new Cookie(
            self::COOKIE,
            $did,
            $did === null ? 1 : 0,
            $config['path'],
            $config['domain'],
            $config['secure'],
            $config['http_only'],
            false,
            $config['same_site'],
        );
    }
}
