<?php

declare(strict_types=1);

namespace Tests\Core\Marking;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MalformedResponse;
use Uplandia\Core\Marking\Marker;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Gap;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\Number;
use Uplandia\Core\Question\Ordering;
use Uplandia\Core\Question\Picture;
use Uplandia\Core\Question\Point;
use Uplandia\Core\Question\Question;
use Uplandia\Core\Question\Rows;
use Uplandia\Core\Question\Rule;
use Uplandia\Core\Question\Several;
use Uplandia\Core\Question\Single;
use Uplandia\Core\Question\Target;
use Uplandia\Core\Question\TypedGaps;
use Uplandia\Core\Question\Written;

final class MarkerTest extends TestCase
{
    /** @return iterable<string, array{Question, array<mixed>|null, string}> question, response, credit ("blank" for none) */
    public static function responses(): iterable
    {
        $single = new Single(['a', 'b', 'c', 'd'], 'b');
        yield 'single, the key' => [$single, ['choice' => 'b'], '1'];
        yield 'single, a distractor' => [$single, ['choice' => 'a'], '0'];
        yield 'single, nothing' => [$single, null, 'blank'];
        yield 'single, an empty choice' => [$single, ['choice' => null], 'blank'];

        $several = fn (Rule $rule, ?int $limit = null): Several => new Several(['a', 'b', 'c', 'd', 'e'], ['a', 'b', 'c'], $rule, $limit);
        yield 'all or nothing, all' => [$several(Rule::AllOrNothing), ['choices' => ['c', 'a', 'b']], '1'];
        yield 'all or nothing, one missing' => [$several(Rule::AllOrNothing), ['choices' => ['a', 'b']], '0'];
        yield 'net, two hits and one wrong' => [$several(Rule::Net), ['choices' => ['a', 'b', 'd']], '1/3'];
        yield 'net never falls below nothing' => [$several(Rule::Net), ['choices' => ['d', 'e']], '0'];
        yield 'hits, two of three' => [$several(Rule::Hits, 3), ['choices' => ['a', 'b', 'd']], '2/3'];
        yield 'each option, one missing' => [$several(Rule::EachOption), ['choices' => ['a', 'b']], '4/5'];
        yield 'each option, one missing and one wrong' => [$several(Rule::EachOption), ['choices' => ['a', 'b', 'd']], '3/5'];
        yield 'more than the limit is worth nothing' => [$several(Rule::Hits, 3), ['choices' => ['a', 'b', 'c', 'd']], '0'];
        yield 'more than the limit, each option too' => [$several(Rule::EachOption, 3), ['choices' => ['a', 'b', 'c', 'd']], '0'];
        yield 'no choices' => [$several(Rule::Net), ['choices' => []], 'blank'];

        $grid = fn (Rule $rule): Rows => new Rows(Kind::TrueFalseGrid, ['p' => 't', 'q' => 'f', 'r' => 't'], ['p' => ['t', 'f'], 'q' => ['t', 'f'], 'r' => ['t', 'f']], $rule);
        yield 'grid, each row' => [$grid(Rule::Each), ['rows' => ['p' => 't', 'q' => 't', 'r' => 't']], '2/3'];
        yield 'grid, a blank row is a row not right' => [$grid(Rule::Each), ['rows' => ['p' => 't']], '1/3'];
        yield 'grid, all or nothing' => [$grid(Rule::AllOrNothing), ['rows' => ['p' => 't', 'q' => 't', 'r' => 't']], '0'];
        yield 'grid, no row' => [$grid(Rule::Each), ['rows' => []], 'blank'];
        $weighted = new Rows(Kind::DropdownGaps, ['g' => 'x', 'h' => 'y'], ['g' => ['x', 'z'], 'h' => ['y', 'z']], Rule::Each, ['g' => 3]);
        yield 'gaps by weight' => [$weighted, ['rows' => ['g' => 'x', 'h' => 'z']], '3/4'];

        $ordering = fn (Rule $rule): Ordering => new Ordering(['a', 'b', 'c', 'd'], $rule);
        yield 'ordering, neighbours kept' => [$ordering(Rule::Neighbours), ['order' => ['c', 'd', 'a', 'b']], '2/3'];
        yield 'ordering, pairs kept' => [$ordering(Rule::Pairs), ['order' => ['c', 'd', 'a', 'b']], '1/3'];
        yield 'ordering, all or nothing' => [$ordering(Rule::AllOrNothing), ['order' => ['a', 'b', 'c', 'd']], '1'];

        $gaps = new TypedGaps(['g' => new Gap(['bowline'], allowSlip: true), 'h' => new Gap(['Föhn'], stripAccents: true)], Rule::Each);
        yield 'typed, with a slip and without accent' => [$gaps, ['gaps' => ['g' => ' Bowlien ', 'h' => 'FOHN']], '1'];
        yield 'typed, two slips are too many' => [$gaps, ['gaps' => ['g' => 'bolwien', 'h' => 'föhn']], '1/2'];
        yield 'typed, only spaces' => [$gaps, ['gaps' => ['g' => '  ']], 'blank'];

        $picture = new Picture([Target::circle(new Point(.5, .5), .1), Target::rectangle(new Point(0, 0), new Point(.2, .2))]);
        yield 'picture, both' => [$picture, ['points' => [['x' => .5, 'y' => .6], ['x' => .2, 'y' => .2]]], '1'];
        yield 'picture, one' => [$picture, ['points' => [['x' => .5, 'y' => .61]]], '0'];
        yield 'picture, half' => [$picture, ['points' => [['x' => .1, 'y' => .1]]], '1/2'];
        yield 'picture, extra points void it' => [$picture, ['points' => [['x' => .5, 'y' => .5], ['x' => .1, 'y' => .1], ['x' => .9, 'y' => .9]]], '0'];
    }

    /** @param  array<mixed>|null  $response */
    #[DataProvider('responses')]
    public function test_each_rule_gives_its_credit(Question $question, ?array $response, string $expected): void
    {
        $credit = (new Marker)->mark($question, $response);

        self::assertSame($expected, $expected === 'blank' && $credit->outcome === Outcome::LeftBlank ? 'blank' : (string) $credit->share);
    }

    public function test_one_point_in_an_overlap_hits_one_target_only(): void
    {
        $overlap = new Picture([Target::circle(new Point(.5, .5), .2), Target::circle(new Point(.6, .5), .2)]);

        self::assertSame('1/2', (string) (new Marker)->mark($overlap, ['points' => [['x' => .55, 'y' => .5]]])->share);
        // The first point could take either; it must leave the second point the one it needs.
        self::assertSame('1', (string) (new Marker)->mark($overlap, ['points' => [['x' => .55, 'y' => .5], ['x' => .35, 'y' => .5]]])->share);
    }

    public function test_the_edge_of_a_polygon_counts_as_inside(): void
    {
        $triangle = Target::polygon([new Point(0, 0), new Point(1, 0), new Point(0, 1)]);

        self::assertTrue($triangle->contains(new Point(.5, .5)));
        self::assertTrue($triangle->contains(new Point(0, 0)));
        self::assertTrue($triangle->contains(new Point(.2, .2)));
        self::assertFalse($triangle->contains(new Point(.51, .5)));
    }

    /** @return iterable<string, array{string, string, array<string, string>, string, string}> key, tolerance, units, text, unit */
    public static function numbers(): iterable
    {
        yield 'exact decimals: 0.4 is within 0.3 ± 0.1' => ['0.3', '0.1', [], '0.4', '', true];
        yield 'a hair outside is outside' => ['0.3', '0.1', [], '0.4000001', '', false];
        yield 'comma for thousands' => ['1250.5', '0', [], '1,250.5', '', true];
        yield 'comma for decimals' => ['1250.5', '0', [], '1 250,5', '', true];
        yield 'exponent' => ['1250.5', '0', [], '1.2505e3', '', true];
        yield 'fraction' => ['1.25', '0', [], '5/4', '', true];
        yield 'minus sign' => ['-2.6', '0', [], '−2,6', '', true];
        yield 'a unit with its factor' => ['1.5', '0', ['km' => '1', 'm' => '1/1000'], '1500', 'm', true];
        yield 'a missing unit is nothing' => ['1.5', '0', ['km' => '1'], '1.5', '', false];
        yield 'an unknown unit is nothing' => ['1.5', '0', ['km' => '1'], '1.5', 'mi', false];
        yield 'not a number' => ['1.5', '0', [], 'about two', '', false];
    }

    /** @param  array<string, string>  $units */
    #[DataProvider('numbers')]
    public function test_numbers_are_read_and_compared_exactly(string $key, string $tolerance, array $units, string $text, string $unit, bool $right): void
    {
        $number = new Number(BigRational::of($key), BigRational::of($tolerance), BigRational::zero(), array_map(BigRational::of(...), $units));

        self::assertSame($right ? Outcome::Right : Outcome::Missed, (new Marker)->mark($number, ['text' => $text, 'unit' => $unit])->outcome);
    }

    public function test_a_relative_tolerance_grows_with_the_key(): void
    {
        $number = new Number(BigRational::of(-200), BigRational::of(1), BigRational::of('0.05'));

        self::assertSame(Outcome::Right, (new Marker)->mark($number, ['text' => '-210'])->outcome);
        self::assertSame(Outcome::Missed, (new Marker)->mark($number, ['text' => '-210.1'])->outcome);
    }

    public function test_a_written_answer_waits_for_its_rubric(): void
    {
        $written = new Written(['danger' => BigRational::of(1), 'call' => BigRational::of(2), 'warm' => BigRational::of(1)]);
        $marker = new Marker;

        self::assertSame(Outcome::Pending, $marker->mark($written, ['text' => 'Make safe.'])->outcome);
        self::assertSame('5/8', (string) $marker->mark($written, ['text' => 'Make safe.'], ['danger' => 1, 'call' => '1.5'])->share);
        self::assertSame(Outcome::LeftBlank, $marker->mark($written, ['text' => ' '])->outcome);
    }

    /** @return iterable<string, array{Question, array<mixed>}> */
    public static function malformed(): iterable
    {
        $single = new Single(['a', 'b'], 'a');
        yield 'unknown option' => [$single, ['choice' => 'z']];
        yield 'a list for a choice' => [$single, ['choice' => ['a']]];
        yield 'a number for a choice' => [$single, ['choice' => 0]];
        $several = new Several(['a', 'b', 'c'], ['a'], Rule::Net);
        yield 'the same option twice' => [$several, ['choices' => ['a', 'a']]];
        yield 'text for a list' => [$several, ['choices' => 'a']];
        yield 'null among the choices' => [$several, ['choices' => [null]]];
        yield 'an order with an item missing' => [new Ordering(['a', 'b', 'c'], Rule::Pairs), ['order' => ['a', 'b']]];
        yield 'an unknown row' => [new Rows(Kind::Matching, ['r' => 'x'], ['r' => ['x', 'y']], Rule::Each), ['rows' => ['s' => 'x']]];
        yield 'a choice of another row' => [new Rows(Kind::Matching, ['r' => 'x'], ['r' => ['x', 'y']], Rule::Each), ['rows' => ['r' => 'z']]];
        $picture = new Picture([Target::circle(new Point(.5, .5), .1)]);
        yield 'a point off the picture' => [$picture, ['points' => [['x' => 1.2, 'y' => 0]]]];
        yield 'not a number for a coordinate' => [$picture, ['points' => [['x' => NAN, 'y' => 0]]]];
        yield 'an infinite coordinate' => [$picture, ['points' => [['x' => INF, 'y' => 0]]]];
        yield 'text for a coordinate' => [$picture, ['points' => [['x' => '0.5', 'y' => 0]]]];
        yield 'ten megabytes of text' => [new TypedGaps(['g' => new Gap(['x'])], Rule::Each), ['gaps' => ['g' => str_repeat('x', 10_000_000)]]];
        yield 'broken UTF-8' => [new TypedGaps(['g' => new Gap(['x'])], Rule::Each), ['gaps' => ['g' => "\xff\xfe"]]];
        yield 'a list for a number' => [new Number(BigRational::one(), BigRational::zero(), BigRational::zero()), ['text' => ['1']]];
    }

    /** @param  array<mixed>  $response */
    #[DataProvider('malformed')]
    public function test_what_cannot_belong_to_the_question_is_refused_not_marked(Question $question, array $response): void
    {
        $this->expectException(MalformedResponse::class);

        (new Marker)->mark($question, $response);
    }

    public function test_rubric_marks_outside_the_rubric_are_refused(): void
    {
        $written = new Written(['a' => BigRational::of(2)]);
        foreach ([['a' => -1], ['a' => 3], ['b' => 1], ['a' => NAN]] as $marks) {
            try {
                (new Marker)->mark($written, ['text' => 'x'], $marks);
                self::fail('Accepted '.json_encode(array_keys($marks)));
            } catch (MalformedResponse) {
                self::addToAssertionCount(1);
            }
        }
    }

    public function test_credit_lies_between_nothing_and_all_for_any_response(): void
    {
        $chance = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(1));
        $marker = new Marker;
        for ($round = 0; $round < 600; $round++) {
            $options = array_map(fn (int $i): string => "o{$i}", range(1, $chance->getInt(2, 12)));
            $keys = array_slice($chance->shuffleArray($options), 0, $chance->getInt(1, count($options)));
            $rule = [Rule::AllOrNothing, Rule::Net, Rule::Hits, Rule::EachOption][$chance->getInt(0, 3)];
            $chosen = array_slice($chance->shuffleArray($options), 0, $chance->getInt(0, count($options)));
            $question = new Several($options, $keys, $rule, $rule === Rule::Hits ? count($keys) : null);
            $credit = $marker->mark($question, ['choices' => $chosen]);
            $share = $credit->share?->toFloat() ?? 0.0;
            self::assertGreaterThanOrEqual(0.0, $share);
            self::assertLessThanOrEqual(1.0, $share);
            // Neither the order of the options nor that of the choices matters.
            $permuted = new Several($chance->shuffleArray($options), $chance->shuffleArray($keys), $rule, $question->limit);
            self::assertSame((string) $credit->share, (string) $marker->mark($permuted, ['choices' => $chance->shuffleArray($chosen)])->share);
        }
    }

    public function test_pairs_and_neighbours_agree_on_the_right_order_and_its_reverse(): void
    {
        $chance = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(2));
        for ($n = 2; $n <= 12; $n++) {
            $right = $chance->shuffleArray(array_map(fn (int $i): string => "i{$i}", range(1, $n)));
            foreach ([Rule::Pairs, Rule::Neighbours] as $rule) {
                $question = new Ordering($right, $rule);
                self::assertSame(Outcome::Right, (new Marker)->mark($question, ['order' => $right])->outcome);
                self::assertSame(Outcome::Missed, (new Marker)->mark($question, ['order' => array_reverse($right)])->outcome);
            }
        }
    }

    public function test_a_share_outside_nothing_to_all_is_no_credit(): void
    {
        $this->expectException(MalformedResponse::class);
        Credit::of(BigRational::of('5/4'));
    }
}
