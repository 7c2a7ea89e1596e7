<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Exception\SuspiciousOperationException;
use Symfony\Component\HttpFoundation\Response;

/** Answers only to names that are this server's: a page under a foreign name could be made to speak to it. */
final class KnownHosts
{
    private const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

    public function handle(Request $request, Closure $next): Response
    {
        try {
            $host = $request->getHost();
        } catch (SuspiciousOperationException) {
            $host = '';
        }

        return in_array($host, self::known(), true)
            ? $next($request)
            : response("This server is not known by that name.\n", 421, ['Content-Type' => 'text/plain; charset=utf-8']);
    }

    /** @return array<mixed> */
    private static function known(): array
    {
        $own = (string) parse_url((string) config('app.url'), PHP_URL_HOST);

        return [$own, ...(array) config('app.hosts'), ...in_array($own, self::LOOPBACK, true) ? self::LOOPBACK : []];
    }
}
