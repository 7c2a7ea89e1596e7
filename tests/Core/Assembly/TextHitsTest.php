<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Assembly\SearchText;
use Uplandia\Core\Assembly\TextHits;

final class TextHitsTest extends TestCase
{
    private const TEXT = "The wind-chill of a *cold* front,\nand what the lee side makes of it. Föhn is warm.";

    #[TestWith(['wind chill', true])]
    #[TestWith(['"wind chill"', true])]
    #[TestWith(['"chill wind"', false])]
    #[TestWith(['COLD föhn', true])]
    #[TestWith(['col', false])]
    #[TestWith(['col*', true])]
    #[TestWith(['cold -warm', false])]
    #[TestWith(['cold -storm', true])]
    #[TestWith(['-storm', false])]
    #[TestWith(['', false])]
    #[TestWith(['?!', false])]
    public function test_it_finds_words_phrases_beginnings_and_not_what_is_unwanted(string $search, bool $found): void
    {
        self::assertSame($found, (new TextHits(SearchText::of($search)))->finds(self::TEXT));
    }

    public function test_it_shows_words_around_the_first_hit(): void
    {
        $long = str_repeat('before it all ', 20).'here is the cairn on the ridge '.str_repeat('and after that ', 20);
        $around = (new TextHits(SearchText::of('-fog cairn')))->around($long);
        self::assertStringStartsWith('…', $around);
        self::assertStringEndsWith('…', $around);
        self::assertStringContainsString('here is the cairn on the ridge', $around);
        self::assertLessThanOrEqual(162, mb_strlen($around));
        self::assertStringNotContainsString('…efore', $around);
        self::assertSame('Short.', (new TextHits(SearchText::of('nowhere')))->around("  Short.\n"));
    }
}
