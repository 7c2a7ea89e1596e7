<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Question\Kind;

/**
 * Questions of some kinds.
 *
 * @extends ValueFilter<Kind>
 */
final readonly class KindFilter extends ValueFilter
{
    public const FAMILY = '_kind';

    public static function key(): string
    {
        return 'kinds';
    }

    public static function wayOut(): string
    {
        return 'any kind';
    }

    public function passing(BankSets $bank): array
    {
        return [self::FAMILY => $bank->having(self::FAMILY, $this->chosen())];
    }

    protected static function named(string $value): ?Kind
    {
        return Kind::tryFrom($value);
    }

    protected static function otherwise(): string
    {
        return 'There is no such kind of question.';
    }
}
