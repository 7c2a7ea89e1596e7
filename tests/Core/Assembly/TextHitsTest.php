<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use PHPUnit\Framework\TestCase;
use Uplandia\Core\Assembly\SearchText;
use Uplandia\Core\Assembly\TextHits;

final class TextHitsTest extends TestCase
{
    public function test_it_shows_words_around_the_first_hit(): void
    {
        $long = str_repeat('before it all ', 20).'here is the cairn on the ridge '.str_repeat('and after that ', 20);
        $around = (new TextHits(SearchText::of('-fog cairn')))->around($long);
        self::assertStringStartsWith('…', $around);
        self::assertStringEndsWith('…', $around);
        self::assertStringContainsString('here is the cairn on the ridge', $around);
        self::assertLessThanOrEqual(162, mb_strlen($around));
        self::assertStringNotContainsString('…efore', $around);
        // A word of the same stem, where the very word is not there.
        self::assertStringContainsString('the cairn', (new TextHits(SearchText::of('cairns')))->around($long));
        self::assertSame('Short.', (new TextHits(SearchText::of('nowhere')))->around("  Short.\n"));
    }
}
