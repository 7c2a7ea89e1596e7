<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/** When a page ran, by its own word and the server's clock. A page that ran without being heard was worked on. */
final readonly class Awake
{
    /**
     * @param  int|null  $since  since when it has run without a gap; null: not asked
     * @param  list<array{int, int}>  $spells  earlier ones of a device that was taken along: from when, until when
     */
    private function __construct(public ?int $since, public array $spells)
    {
    }

    public static function unknown(): self
    {
        return new self(null, []);
    }

    /** @param  list<array{int, int}>  $spells  in any order */
    public static function since(?int $since, array $spells = []): self
    {
        return new self($since, $spells);
    }
}
