<?php

declare(strict_types=1);

namespace Tests\Core\Revisit;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Revisit\CardFaces;
use Uplandia\Core\Revisit\CardText;
use Uplandia\Core\Revisit\Grade;
use Uplandia\Core\Revisit\InvalidCards;
use Uplandia\Core\Revisit\Remembered;
use Uplandia\Core\Revisit\Repetition;

final class CardTextTest extends TestCase
{
    public function test_cards_are_read_from_lines_that_begin_with_front_and_back(): void
    {
        $cards = CardText::read("\n\nFront: How far?\r\nBack: 3 km,\n\nas counted.\nFront:Next\nBack:\tYes\n");
        self::assertSame(
            [['How far?', "3 km,\n\nas counted."], ['Next', 'Yes']],
            array_map(fn (CardFaces $card): array => [$card->front, $card->back], $cards),
        );
        self::assertSame([], CardText::read(" \n"));
    }

    public function test_what_is_written_is_read_as_it_was(): void
    {
        $cards = [
            CardFaces::of("Front: a\nBack: b\n\\Back: c\n\\\\Front:", "  1. x\n  Front: indented\nBackpack: no"),
            CardFaces::of('\\Front: first line', '$a_1$ \\\\ und | Ü'),
        ];
        self::assertEquals($cards, CardText::read(CardText::write($cards)));
    }

    #[TestWith(["Hello\nFront: a\nBack: b", 'Line 1: A card begins with "Front:".'])]
    #[TestWith(["Front: a\nBack: b\n\nBack: c", 'Line 4: Here a "Front:" with its "Back:" is missing.'])]
    #[TestWith(["Front: a\nFront: b\nBack: c", 'Line 1: Here a "Front:" with its "Back:" is missing.'])]
    #[TestWith(['Front: a', 'Line 1: Here a "Front:" with its "Back:" is missing.'])]
    #[TestWith(["Front: a\nBack: b\nFront:  \nBack: c", 'Line 3: The front of a card cannot be empty.'])]
    #[TestWith(["Front: a\nBack:\u{200B}", 'Line 1: The back of a card cannot be empty.'])]
    public function test_what_cannot_be_read_says_where(string $text, string $sentence): void
    {
        $this->expectException(InvalidCards::class);
        $this->expectExceptionMessage($sentence);
        CardText::read($text);
    }

    public function test_a_side_has_up_to_four_thousand_letters(): void
    {
        self::assertSame(4000, mb_strlen(CardFaces::of(str_repeat('ü', 4000), 'b')->front));
        $this->expectExceptionMessage('The back of a card has up to 4,000 letters.');
        CardFaces::of('a', str_repeat('ü', 4001));
    }

    public function test_looks_at_a_card_make_the_schedule_of_the_worked_example(): void
    {
        $looks = [];
        $day = 100;
        $seen = [];
        foreach ([[3, 0], [3, 3], [4, 10], [1, 30], [2, 2], [3, 5]] as [$grade, $after]) {
            $looks[] = new Repetition($day += $after, Grade::from($grade));
            $remembered = Remembered::after($looks);
            self::assertNotNull($remembered);
            $seen[] = [round($remembered->memory->stability, 4), $remembered->day, $remembered->dueDay()];
        }
        self::assertSame([
            [2.3065, 100, 102], [13.8269, 103, 117], [76.8034, 113, 190], [3.4429, 143, 146], [5.833, 145, 151],
            [12.0914, 150, 162],
        ], $seen);
        self::assertNull(Remembered::after([]));
    }
}
