<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as LaravelStartSession;
use Symfony\Component\HttpFoundation\Response;

/**
 * Keeps sessions only of those who will come back to them: who brings one, signs in, or asks who they are, which every
 * page does first. Whoever only knocks leaves no file behind.
 */
final class StartSession extends LaravelStartSession
{
    private bool $kept = true;

    protected function addCookieToResponse(Response $response, Session $session): void
    {
        $this->kept = $this->kept || auth()->check();
        if ($this->kept) {
            parent::addCookieToResponse($response, $session);
        }
    }

    /** @param  Request  $request */
    protected function saveSession($request): void
    {
        if ($this->kept) {
            parent::saveSession($request);
        }
    }

    /** @param  Session  $session */
    protected function startSession(Request $request, $session): Session
    {
        $this->kept = $request->cookies->get($session->getName()) !== null || $request->is('api/session');

        return parent::startSession($request, $session);
    }
}
