<?php

declare(strict_types=1);

namespace Tests\Core\Question;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Uplandia\Core\Question\QuestionSet;

final class QuestionSetTest extends TestCase
{
    public function test_sets_do_what_lists_do(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        $any = function () use ($chance): array {
            // Sets that lie apart, overlap, begin late, and hold nothing.
            [$from, $width, $n] = [$chance->getInt(0, 60), $chance->getInt(1, 60), $chance->getInt(0, 30)];

            return array_map(fn (): int => $from + $chance->getInt(0, $width), $n === 0 ? [] : range(1, $n));
        };
        for ($round = 0; $round < 500; $round++) {
            [$one, $other] = [$any(), $any()];
            [$a, $b] = [QuestionSet::of($one), QuestionSet::of($other)];
            self::assertSame(self::ids($one), $a->ids());
            self::assertSame(self::ids(array_intersect($one, $other)), $a->and($b)->ids());
            self::assertSame(self::ids([...$one, ...$other]), $a->or($b)->ids());
            self::assertSame(self::ids(array_diff($one, $other)), $a->without($b)->ids());
            self::assertSame(count(self::ids(array_diff($one, $other))), $a->without($b)->count());
            self::assertSame(count(self::ids($one)), QuestionSet::fromText($a->text())->count());
            self::assertSame(self::ids($one), QuestionSet::fromText($a->text())->ids());
            self::assertSame(self::ids($one), QuestionSet::idsIn($a->text()));
            self::assertSame(self::ids([...$one, ...$other]), QuestionSet::any([$a, QuestionSet::none(), $b])->ids());
            self::assertSame(
                self::ids([...$one, ...$other]),
                QuestionSet::anyOf([$a->text(), QuestionSet::none()->text(), $b->text()])->ids(),
            );
            self::assertSame(
                array_values(array_intersect([...$other, -1, PHP_INT_MAX], $one)),
                $a->among([...$other, -1, PHP_INT_MAX]),
            );
        }
    }

    public function test_a_bank_whose_ids_are_large_costs_no_more(): void
    {
        $large = QuestionSet::of([80_000_000, 80_000_005, 80_000_009]);
        self::assertLessThan(20, strlen($large->text()));
        self::assertSame([80_000_005], $large->and(QuestionSet::of([80_000_005, 80_000_100]))->ids());
        self::assertSame([], $large->and(QuestionSet::of([3]))->ids());
        self::assertSame([3], QuestionSet::of([3])->without($large)->ids());
    }

    public function test_what_is_kept_is_never_longer_than_bits_or_a_list(): void
    {
        $few = QuestionSet::of(range(1, 100_000, 1000));
        self::assertLessThan(600, strlen($few->text()));
        self::assertSame($few->ids(), QuestionSet::fromText($few->text())->ids());
        self::assertSame($few->ids(), QuestionSet::idsIn($few->text()));
        self::assertLessThan(17_000, strlen(QuestionSet::of(range(1, 100_000))->text()));
    }

    /**
     * @param  array<int>  $ids
     * @return list<int>
     */
    private static function ids(array $ids): array
    {
        $ids = array_values(array_unique($ids));
        sort($ids);

        return $ids;
    }
}
