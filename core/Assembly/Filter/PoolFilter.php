<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Assembly\Pool;

/**
 * Questions by what the candidate has to do with them: new, missed, starred, due.
 *
 * @extends ValueFilter<Pool>
 */
final readonly class PoolFilter extends ValueFilter
{
    public const FAMILY = '_pools';

    public static function key(): string
    {
        return 'pools';
    }

    public static function wayOut(): string
    {
        return 'include all pools';
    }

    public function passing(BankSets $bank): array
    {
        return [self::FAMILY => $bank->inAnyOf($this->values)];
    }

    protected static function named(string $value): ?Pool
    {
        return Pool::tryFrom($value);
    }

    protected static function otherwise(): string
    {
        return 'There is no such pool of questions.';
    }
}
