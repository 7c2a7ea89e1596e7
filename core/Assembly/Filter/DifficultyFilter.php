<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Question\Difficulty;

/**
 * Questions that their author finds easy, moderate or hard.
 *
 * @extends ValueFilter<Difficulty>
 */
final readonly class DifficultyFilter extends ValueFilter
{
    public const FAMILY = '_difficulty';

    public static function key(): string
    {
        return 'difficulties';
    }

    public static function wayOut(): string
    {
        return 'any difficulty';
    }

    public function passing(BankSets $bank): array
    {
        return [self::FAMILY => $bank->having(self::FAMILY, $this->chosen())];
    }

    protected static function named(string $value): ?Difficulty
    {
        return Difficulty::tryFrom($value);
    }

    protected static function otherwise(): string
    {
        return 'A question is easy, moderate or hard.';
    }
}
