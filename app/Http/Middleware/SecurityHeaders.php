<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Everything comes from this server and nothing runs inline. */
final class SecurityHeaders
{
    public const ALWAYS = [
        // What is not named goes by default-src: scripts, styles, fonts, sounds and requests.
        'Content-Security-Policy' => "default-src 'self'; img-src 'self' data:; object-src 'none'; ".
            "base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
        'X-Content-Type-Options' => 'nosniff',
        'X-Frame-Options' => 'DENY',
        'Referrer-Policy' => 'same-origin',
        'Permissions-Policy' => 'camera=(), microphone=(), geolocation=()',
        'Cross-Origin-Opener-Policy' => 'same-origin',
    ];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $headers = self::ALWAYS;
        if ($request->isSecure()) {
            $headers['Strict-Transport-Security'] = 'max-age=31536000; includeSubDomains';
        }
        if ($request->is('api/*')) {
            // What one person may see must not be kept for the next at the same machine.
            $headers['Cache-Control'] = 'no-store, private';
        }
        foreach ($headers as $name => $value) {
            // A drawing has a stricter policy of its own.
            $response->headers->set(
                $name,
                $value,
                ! ($name === 'Content-Security-Policy' && $response->headers->has($name)),
            );
        }

        return $response;
    }
}
