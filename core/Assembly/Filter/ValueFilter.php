<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use BackedEnum;
use Uplandia\Core\Question\Fields;

/**
 * Questions by some values of an enum, any of which will do; none: all.
 *
 * @template T of BackedEnum
 */
abstract readonly class ValueFilter implements Filter
{
    /** @var list<T> */
    public array $values;

    /** @param  T  ...$values */
    final public function __construct(BackedEnum ...$values)
    {
        $this->values = array_values($values);
    }

    /** @return T|null */
    abstract protected static function named(string $value): ?BackedEnum;

    /** What is said of a value that there is not. */
    abstract protected static function otherwise(): string;

    final public static function read(Fields $choices): static
    {
        return new static(...Values::named(
            key: static::key(),
            values: $choices->texts(static::key()),
            read: static::named(...),
            otherwise: static::otherwise(),
        ));
    }

    /** @return list<never> */
    final public static function unused(): array
    {
        return [];
    }

    /** @return list<string> */
    final public function chosen(): array
    {
        return array_map(static fn (BackedEnum $value): string => (string) $value->value, $this->values);
    }
}
