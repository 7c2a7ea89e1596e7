<?php

declare(strict_types=1);

namespace Tests\Core\Marking;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Marking\NumberText;
use Uplandia\Core\Question\TypedText;

final class NumberTextTest extends TestCase
{
    #[TestWith(['1,250', '1250'])]
    #[TestWith(['0,125', '1/8'])]
    #[TestWith(['12,5', '25/2'])]
    #[TestWith(['1.250.000', '1250000'])]
    #[TestWith(['1.250,5', '2501/2'])]
    #[TestWith(["1'250", '1250'])]
    #[TestWith(['+7', '7'])]
    #[TestWith(['.5', '1/2'])]
    #[TestWith(['3.', '3'])]
    #[TestWith(['-1/4', '-1/4'])]
    #[TestWith(['1e60', '1'.'000000000000000000000000000000000000000000000000000000000000'])]
    #[TestWith(["4\u{2009}300", '4300'])]
    #[TestWith(['6,02E23', '602000000000000000000000'])]
    public function test_it_reads_what_people_write(string $text, string $value): void
    {
        self::assertSame($value, (string) NumberText::parse($text)?->simplified());
    }

    #[TestWith([''])]
    #[TestWith(['1/0'])]
    #[TestWith(['1/2/3'])]
    #[TestWith(['12,34,5'])]
    #[TestWith(['1..2'])]
    #[TestWith(['twelve'])]
    #[TestWith(['1e999'])]
    #[TestWith(['1e61'])]
    #[TestWith(['1e-61'])]
    #[TestWith(['NaN'])]
    #[TestWith(['--3'])]
    public function test_what_is_no_number_is_nothing(string $text): void
    {
        self::assertNull(NumberText::parse($text));
    }

    #[TestWith(['karabiner', 'karabiner', true])]
    #[TestWith(['karabner', 'karabiner', true])]
    #[TestWith(['karabiiner', 'karabiner', true])]
    #[TestWith(['karbainer', 'karabiner', true])]
    #[TestWith(['karabinxr', 'karabiner', true])]
    #[TestWith(['karbaniner', 'karabiner', false])]
    #[TestWith(['kbrxbiner', 'karabiner', false])]
    public function test_one_slip_is_one_edit_or_one_swap(string $typed, string $answer, bool $within): void
    {
        self::assertSame($within, TypedText::withinOneSlip($typed, $answer));
        self::assertSame($within, TypedText::withinOneSlip($answer, $typed));
    }

    public function test_composed_and_decomposed_letters_are_the_same(): void
    {
        self::assertSame(TypedText::normal("Fo\u{0308}hn"), TypedText::normal('  FÖHN '));
        self::assertSame('strasse', TypedText::normal('Straße'));
    }
}
