<?php

declare(strict_types=1);

namespace App\Bench;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Says with each answer how much memory it took; in benches only. */
final class TellsPeak
{
    public const HEADER = 'X-Peak-Memory';

    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $response->headers->set(self::HEADER, (string) memory_get_peak_usage());

        return $response;
    }
}
