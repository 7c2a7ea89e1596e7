<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\Kind;

/** Questions of some kinds. */
final readonly class KindFilter implements Filter
{
    public const FAMILY = '_kind';

    /** @var list<Kind> any of which will do */
    public array $kinds;

    public function __construct(Kind ...$kinds)
    {
        $this->kinds = array_values($kinds);
    }

    public static function key(): string
    {
        return 'kinds';
    }

    public static function read(Fields $choices): self
    {
        return new self(...Values::named(
            key: self::key(),
            values: $choices->texts(self::key()),
            read: Kind::tryFrom(...),
            otherwise: 'There is no such kind of question.',
        ));
    }

    /** @return list<never> */
    public static function unused(): array
    {
        return [];
    }

    public static function wayOut(): string
    {
        return 'any kind';
    }

    /** @return list<string> */
    public function chosen(): array
    {
        return array_column($this->kinds, 'value');
    }

    public function passing(BankSets $bank): array
    {
        return [self::FAMILY => $bank->having(self::FAMILY, $this->chosen())];
    }
}
