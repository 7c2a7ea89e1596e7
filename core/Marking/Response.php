<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

/**
 * A candidate's response as it is compared: an empty one is none, and what has no order is put into one. Shapes: see
 * Reading. Source: computation.md, section 1.
 */
final class Response
{
    /**
     * @return array<mixed>|null null when nothing is left of it: `{choices: []}`, `{text: " "}`, `{rows: {r: ""}}`
     */
    public static function orNone(mixed $response): ?array
    {
        if (! is_array($response) || $response === []) {
            return null;
        }
        if (array_key_exists('text', $response)) {
            return self::holdsText($response['text']) ? $response : null;
        }
        foreach ($response as $part) {
            if (self::holdsText($part)) {
                return $response;
            }
        }

        return null;
    }

    /**
     * Whether two responses say the same: the same set in another order does.
     *
     * @param  array<mixed>|null  $one
     * @param  array<mixed>|null  $other
     */
    public static function same(?array $one, ?array $other): bool
    {
        return self::ordered($one) === self::ordered($other);
    }

    private static function holdsText(mixed $part): bool
    {
        if (is_string($part)) {
            return ! PlainText::isEmpty($part);
        }
        if (! is_array($part)) {
            return $part !== null;
        }
        foreach ($part as $one) {
            if (self::holdsText($one)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<mixed>|null  $response
     * @return array<mixed>|null
     */
    private static function ordered(?array $response): ?array
    {
        if ($response === null) {
            return null;
        }
        foreach ($response as $name => $part) {
            if (! is_array($part) || $name === 'order') {
                continue;
            }
            if (array_is_list($part)) {
                usort($part, static fn (mixed $a, mixed $b): int => json_encode($a) <=> json_encode($b));
            } else {
                ksort($part);
            }
            $response[$name] = $part;
        }
        ksort($response);

        return $response;
    }
}
