<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Fields;

/** Questions that their author finds easy, moderate or hard. */
final readonly class DifficultyFilter implements Filter
{
    public const FAMILY = '_difficulty';

    /** @var list<Difficulty> any of which will do */
    public array $difficulties;

    public function __construct(Difficulty ...$difficulties)
    {
        $this->difficulties = array_values($difficulties);
    }

    public static function key(): string
    {
        return 'difficulties';
    }

    public static function read(Fields $choices): self
    {
        return new self(...Values::named(
            key: self::key(),
            values: $choices->texts(self::key()),
            read: Difficulty::tryFrom(...),
            otherwise: 'A question is easy, moderate or hard.',
        ));
    }

    /** @return list<never> */
    public static function unused(): array
    {
        return [];
    }

    public static function wayOut(): string
    {
        return 'any difficulty';
    }

    /** @return list<string> */
    public function chosen(): array
    {
        return array_column($this->difficulties, 'value');
    }

    public function passing(BankSets $bank): array
    {
        return [self::FAMILY => $bank->having(self::FAMILY, $this->chosen())];
    }
}
