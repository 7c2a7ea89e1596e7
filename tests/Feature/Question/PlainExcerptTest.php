<?php

declare(strict_types=1);

namespace Tests\Feature\Question;

use App\Question\PlainExcerpt;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PlainExcerptTest extends TestCase
{
    private const TABLE = "| leg | walking |\n|-----|--------:|\n| saddle | 1 h |\n";

    #[TestWith(['How **steep** is it? $\\tan$ of [[a]]', 'How steep is it? \\tan of …'])]
    #[TestWith(["# Head\n\n![A map](/media/x.svg \"big\") What  now?", 'Head What now?'])]
    #[TestWith([self::TABLE."\nAdd ten minutes for each 100 m.", 'Add ten minutes for each 100 m.'])]
    #[TestWith([self::TABLE, 'leg walking saddle 1 h'])]
    #[TestWith(['', ''])]
    public function test_a_stem_in_one_line(string $markdown, string $line): void
    {
        self::assertSame($line, PlainExcerpt::of($markdown));
    }

    public function test_what_is_long_ends_in_dots_and_the_whole_has_its_tables(): void
    {
        self::assertSame('Walk on…', PlainExcerpt::of('Walk on along the ridge', 8));
        self::assertSame('Before leg walking saddle 1 h after', PlainExcerpt::whole("Before\n\n".self::TABLE."\nafter"));
    }
}
