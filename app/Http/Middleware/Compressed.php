<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\AcceptHeader;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Sends longer texts compressed: a result of 500 questions is ten times as long without. */
final class Compressed
{
    /** Shorter ones fit into one packet anyway. */
    private const WORTH_IT = 1_400;

    /** Beyond it every per cent costs more time than it saves. */
    private const LEVEL = 5;

    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $text = $response instanceof BinaryFileResponse || $response instanceof StreamedResponse
            ? ''
            : (string) $response->getContent();
        $isText = preg_match('~^(application/json|text/)~', (string) $response->headers->get('Content-Type')) === 1;
        if (! $isText || strlen($text) < self::WORTH_IT) {
            return $response;
        }
        $response->setVary('Accept-Encoding', replace: false);
        $reads = AcceptHeader::fromString($request->headers->get('Accept-Encoding'))->get('gzip')?->getQuality() > 0;
        if ($reads && ! $response->headers->has('Content-Encoding')) {
            $response->setContent((string) gzencode($text, self::LEVEL));
            $response->headers->set('Content-Encoding', 'gzip');
        }

        return $response;
    }
}
