<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Assembly\InvalidRecipe;

/** Reads the values that are chosen of a filter. */
final class Values
{
    public const MOST = 50;

    /**
     * Each once.
     *
     * @param  list<string>  $values
     * @return list<string>
     *
     * @throws InvalidRecipe for more than can be combined
     */
    public static function few(array $values, int $most = self::MOST): array
    {
        $values = array_map(strval(...), array_keys(array_flip($values)));

        return count($values) <= $most
            ? $values
            : throw InvalidRecipe::because('So many choices cannot be combined.', 'too_many');
    }

    /**
     * Each once, as what it names.
     *
     * @template T
     *
     * @param  list<string>  $values
     * @param  callable(string): (T|null)  $read
     * @return list<T>
     *
     * @throws InvalidRecipe
     */
    public static function named(string $key, array $values, callable $read, string $otherwise): array
    {
        return array_map(
            static fn (string $value): mixed => $read($value) ?? throw InvalidRecipe::because($otherwise, $key),
            self::few($values),
        );
    }
}
