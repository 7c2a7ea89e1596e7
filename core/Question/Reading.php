<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Uplandia\Core\Marking\MalformedResponse;
use Uplandia\Core\Marking\PlainText;

/**
 * Reads the parts of a raw response and refuses what has the wrong shape. A response is what JSON decodes to:
 * `{choice}`, `{choices: []}`, `{rows: {row: choice}}`, `{order: []}`, `{text, unit}`, `{gaps: {gap: text}}`,
 * `{points: [{x, y}]}` or `{text}`.
 */
final class Reading
{
    private const LONGEST_TEXT = 20_000;

    private const MOST_PARTS = 500;

    /**
     * @param  array<mixed>  $response
     *
     * @throws MalformedResponse
     */
    public static function text(array $response, string $part): string
    {
        $text = $response[$part] ?? '';
        if (! is_string($text)) {
            throw MalformedResponse::because("The response's \"{$part}\" must be text.");
        }
        if (strlen($text) > self::LONGEST_TEXT) {
            throw MalformedResponse::because('The answer is longer than 20,000 bytes: shorten it.');
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw MalformedResponse::because("The response's \"{$part}\" is not valid UTF-8 text.");
        }

        return $text;
    }

    /**
     * Ids, each at most once.
     *
     * @param  array<mixed>  $response
     * @param  array<string, mixed>  $known  by id
     * @return list<string>
     *
     * @throws MalformedResponse
     */
    public static function ids(array $response, string $part, array $known): array
    {
        $seen = [];
        foreach (self::parts($response, $part) as $id) {
            if (! is_string($id) || ! isset($known[$id])) {
                throw MalformedResponse::unknown('an option', is_string($id) ? $id : get_debug_type($id));
            }
            if (isset($seen[$id])) {
                throw MalformedResponse::because("The response names \"{$id}\" twice.");
            }
            $seen[$id] = true;
        }

        return array_map(strval(...), array_keys($seen));
    }

    /**
     * Text by id; empty texts are left out.
     *
     * @param  array<mixed>  $response
     * @param  array<string, mixed>  $known  by id
     * @return array<string, string>
     *
     * @throws MalformedResponse
     */
    public static function textById(array $response, string $part, array $known): array
    {
        $texts = [];
        foreach (self::parts($response, $part) as $id => $text) {
            if (! isset($known[$id])) {
                throw MalformedResponse::unknown('a row', (string) $id);
            }
            $read = self::text([$part => $text], $part);
            if (! PlainText::isEmpty($read)) {
                $texts[(string) $id] = $read;
            }
        }

        return $texts;
    }

    /**
     * @param  array<mixed>  $response
     * @return list<Point>
     *
     * @throws MalformedResponse
     */
    public static function points(array $response): array
    {
        $points = [];
        foreach (self::parts($response, 'points') as $point) {
            $x = is_array($point) ? $point['x'] ?? null : null;
            $y = is_array($point) ? $point['y'] ?? null : null;
            // NaN fails every comparison, so it is refused here too.
            if (
                (! is_float($x) && ! is_int($x)) ||
                (! is_float($y) && ! is_int($y)) ||
                ! ($x >= 0 && $x <= 1 && $y >= 0 && $y <= 1)
            ) {
                throw MalformedResponse::because('A point needs x and y between 0 and 1.');
            }
            $points[] = new Point((float) $x, (float) $y);
        }

        return $points;
    }

    /**
     * @param  array<mixed>  $response
     * @return array<mixed>
     */
    private static function parts(array $response, string $part): array
    {
        $parts = $response[$part] ?? [];
        if (! is_array($parts)) {
            throw MalformedResponse::because("The response's \"{$part}\" must be a list.");
        }
        if (count($parts) > self::MOST_PARTS) {
            throw MalformedResponse::because("The response's \"{$part}\" has more than 500 parts.");
        }

        return $parts;
    }
}
