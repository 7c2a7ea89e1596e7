<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Question\Fields;

/** Questions by what the candidate has to do with them: new, missed, starred, due. */
final readonly class PoolFilter implements Filter
{
    public const FAMILY = '_pools';

    /** @var list<Pool> any of which will do */
    public array $pools;

    public function __construct(Pool ...$pools)
    {
        $this->pools = array_values($pools);
    }

    public static function key(): string
    {
        return 'pools';
    }

    public static function read(Fields $choices): self
    {
        return new self(...Values::named(
            key: self::key(),
            values: $choices->texts(self::key()),
            read: Pool::tryFrom(...),
            otherwise: 'There is no such pool of questions.',
        ));
    }

    /** @return list<never> */
    public static function unused(): array
    {
        return [];
    }

    public static function wayOut(): string
    {
        return 'include all pools';
    }

    /** @return list<string> */
    public function chosen(): array
    {
        return array_column($this->pools, 'value');
    }

    public function passing(BankSets $bank): array
    {
        return [self::FAMILY => $bank->inAnyOf($this->pools)];
    }
}
