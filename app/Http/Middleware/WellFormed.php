<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problem;
use Closure;
use Illuminate\Http\Request;
use JsonException;
use Symfony\Component\HttpFoundation\Response;

/**
 * Turns away, before anything else sees it, what no honest browser sends: bytes that are no text, texts with NUL,
 * numbers
 * beyond all numbers, nesting without end. What comes after may take every string for a string.
 */
final class WellFormed
{
    /** Deeper than any response goes. */
    private const DEPTH = 32;

    public function handle(Request $request, Closure $next): Response
    {
        // A cookie is one text; what PHP reads as a list of them was never set by us.
        foreach ($request->cookies->all() as $name => $value) {
            if (! is_string($value) || ! self::isText($value) || ! self::isText((string) $name)) {
                $request->cookies->remove($name);
            }
        }
        $path = rawurldecode($request->getPathInfo());
        if (! self::isText($path) || ! self::isSound($request->query->all())) {
            return $this->refusal($request);
        }
        if ($request->isJson() && $request->getContent() !== '') {
            try {
                $body = json_decode($request->getContent(), true, self::DEPTH, JSON_THROW_ON_ERROR);
            } catch (JsonException) {
                return $this->refusal($request);
            }

            return is_array($body) && self::isSound($body) ? $next($request) : $this->refusal($request);
        }

        return self::isSound($request->request->all()) ? $next($request) : $this->refusal($request);
    }

    /** @param  array<mixed>  $values */
    private static function isSound(array $values, int $depth = 1): bool
    {
        foreach ($values as $name => $value) {
            $sound = match (true) {
                is_array($value) => $depth < self::DEPTH && self::isSound($value, $depth + 1),
                is_string($value) => self::isText($value),
                is_float($value) => is_finite($value),
                default => true,
            };
            if (! $sound || (is_string($name) && ! self::isText($name))) {
                return false;
            }
        }

        return true;
    }

    private static function isText(string $value): bool
    {
        return ! str_contains($value, "\0") && mb_check_encoding($value, 'UTF-8');
    }

    private function refusal(Request $request): Response
    {
        $words = 'This request holds something that is no text or no number. Nothing was done.';

        return $request->is('api/*')
            ? Problem::of(400, $words, 'malformed')
            : response($words, 400, ['Content-Type' => 'text/plain; charset=utf-8']);
    }
}
