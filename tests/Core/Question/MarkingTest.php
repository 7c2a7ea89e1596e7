<?php

declare(strict_types=1);

namespace Tests\Core\Question;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MalformedResponse;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Marking\Response;
use Uplandia\Core\Marking\Verdict;
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

final class MarkingTest extends TestCase
{
    /**
     * @return iterable<string, array{Question, array<mixed>|null, string}> question, response, credit ("blank" for
     *   none)
     */
    public static function responses(): iterable
    {
        $single = new Single(['a', 'b', 'c', 'd'], 'b');
        yield 'single, the key' => [$single, ['choice' => 'b'], '1'];
        yield 'single, a distractor' => [$single, ['choice' => 'a'], '0'];
        yield 'single, nothing' => [$single, null, 'blank'];
        yield 'single, an empty choice' => [$single, ['choice' => null], 'blank'];

        $several = fn (Rule $rule, ?int $limit = null): Several => new Several(
            options: ['a', 'b', 'c', 'd', 'e'],
            keys: ['a', 'b', 'c'],
            rule: $rule,
            limit: $limit,
        );
        yield 'all or nothing, all' => [$several(Rule::AllOrNothing), ['choices' => ['c', 'a', 'b']], '1'];
        yield 'all or nothing, one missing' => [$several(Rule::AllOrNothing), ['choices' => ['a', 'b']], '0'];
        yield 'net, two hits and one wrong' => [$several(Rule::Net), ['choices' => ['a', 'b', 'd']], '1/3'];
        yield 'net never falls below nothing' => [$several(Rule::Net), ['choices' => ['d', 'e']], '0'];
        yield 'hits, two of three' => [$several(Rule::Hits, 3), ['choices' => ['a', 'b', 'd']], '2/3'];
        yield 'each option, one missing' => [$several(Rule::EachOption), ['choices' => ['a', 'b']], '4/5'];
        yield 'each option, one missing and one wrong' => [
            $several(Rule::EachOption),
            ['choices' => ['a', 'b', 'd']],
            '3/5',
        ];
        yield 'more than the limit is worth nothing' => [
            $several(Rule::Hits, 3),
            ['choices' => ['a', 'b', 'c', 'd']],
            '0',
        ];
        yield 'more than the limit, each option too' => [
            $several(Rule::EachOption, 3),
            ['choices' => ['a', 'b', 'c', 'd']],
            '0',
        ];
        yield 'no choices' => [$several(Rule::Net), ['choices' => []], 'blank'];

        $grid = fn (Rule $rule): Rows => new Rows(
            kind: Kind::TrueFalseGrid,
            keys: ['p' => 't', 'q' => 'f', 'r' => 't'],
            choices: ['p' => ['t', 'f'], 'q' => ['t', 'f'], 'r' => ['t', 'f']],
            rule: $rule,
        );
        yield 'grid, each row' => [$grid(Rule::Each), ['rows' => ['p' => 't', 'q' => 't', 'r' => 't']], '2/3'];
        yield 'grid, a blank row is a row not right' => [$grid(Rule::Each), ['rows' => ['p' => 't']], '1/3'];
        yield 'grid, all or nothing' => [
            $grid(Rule::AllOrNothing),
            ['rows' => ['p' => 't', 'q' => 't', 'r' => 't']],
            '0',
        ];
        yield 'grid, no row' => [$grid(Rule::Each), ['rows' => []], 'blank'];
        $weighted = new Rows(
            kind: Kind::DropdownGaps,
            keys: ['g' => 'x', 'h' => 'y'],
            choices: ['g' => ['x', 'z'], 'h' => ['y', 'z']],
            rule: Rule::Each,
            weights: ['g' => 3],
        );
        yield 'gaps by weight' => [$weighted, ['rows' => ['g' => 'x', 'h' => 'z']], '3/4'];

        $ordering = fn (Rule $rule): Ordering => new Ordering(['a', 'b', 'c', 'd'], $rule);
        yield 'ordering, neighbours kept' => [$ordering(Rule::Neighbours), ['order' => ['c', 'd', 'a', 'b']], '2/3'];
        yield 'ordering, pairs kept' => [$ordering(Rule::Pairs), ['order' => ['c', 'd', 'a', 'b']], '1/3'];
        yield 'ordering, all or nothing' => [$ordering(Rule::AllOrNothing), ['order' => ['a', 'b', 'c', 'd']], '1'];

        $gaps = new TypedGaps(
            ['g' => new Gap(['bowline'], allowSlip: true), 'h' => new Gap(['Föhn'], stripAccents: true)],
            Rule::Each,
        );
        yield 'typed, with a slip and without accent' => [$gaps, ['gaps' => ['g' => ' Bowlien ', 'h' => 'FOHN']], '1'];
        yield 'typed, two slips are too many' => [$gaps, ['gaps' => ['g' => 'bolwien', 'h' => 'föhn']], '1/2'];
        yield 'typed, only spaces' => [$gaps, ['gaps' => ['g' => '  ']], 'blank'];

        $picture = new Picture([
            Target::circle(new Point(0.5, 0.5), 0.1),
            Target::rectangle(new Point(0, 0), new Point(0.2, 0.2)),
        ]);
        yield 'picture, both' => [$picture, ['points' => [['x' => 0.5, 'y' => 0.6], ['x' => 0.2, 'y' => 0.2]]], '1'];
        yield 'picture, one' => [$picture, ['points' => [['x' => 0.5, 'y' => 0.61]]], '0'];
        yield 'picture, half' => [$picture, ['points' => [['x' => 0.1, 'y' => 0.1]]], '1/2'];
        yield 'picture, extra points void it' => [
            $picture,
            ['points' => [['x' => 0.5, 'y' => 0.5], ['x' => 0.1, 'y' => 0.1], ['x' => 0.9, 'y' => 0.9]]],
            '0',
        ];
    }

    /** @param  array<mixed>|null  $response */
    #[DataProvider('responses')]
    public function test_each_rule_gives_its_credit(Question $question, ?array $response, string $expected): void
    {
        $credit = $question->mark($response);

        self::assertSame(
            $expected,
            $expected === 'blank' && $credit->outcome === Outcome::LeftBlank ? 'blank' : (string) $credit->share,
        );
    }

    public function test_one_point_in_an_overlap_hits_one_target_only(): void
    {
        $overlap = new Picture([Target::circle(new Point(0.5, 0.5), 0.2), Target::circle(new Point(0.6, 0.5), 0.2)]);

        self::assertSame(
            '1/2',
            (string) $overlap->mark(['points' => [['x' => 0.55, 'y' => 0.5]]])->share,
        );
        // The first point could take either; it must leave the second point the one it needs.
        self::assertSame(
            '1',
            (string) $overlap->mark([
                'points' => [['x' => 0.55, 'y' => 0.5], ['x' => 0.35, 'y' => 0.5]],
            ])->share,
        );
    }

    public function test_the_edge_of_a_polygon_counts_as_inside(): void
    {
        $triangle = Target::polygon([new Point(0, 0), new Point(1, 0), new Point(0, 1)]);

        self::assertTrue($triangle->contains(new Point(0.5, 0.5)));
        self::assertTrue($triangle->contains(new Point(0, 0)));
        self::assertTrue($triangle->contains(new Point(0.2, 0.2)));
        self::assertFalse($triangle->contains(new Point(0.51, 0.5)));
    }

    /**
     * @return iterable<string, array{string, string, array<string, string>, string, string}> key, tolerance, units,
     *   text, unit
     */
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
    public function test_numbers_are_read_and_compared_exactly(
        string $key,
        string $tolerance,
        array $units,
        string $text,
        string $unit,
        bool $right,
    ): void {
        $number = new Number(
            key: BigRational::of($key),
            absolute: BigRational::of($tolerance),
            relative: BigRational::zero(),
            units: array_map(BigRational::of(...), $units),
        );

        self::assertSame(
            $right ? Outcome::Right : Outcome::Missed,
            $number->mark(['text' => $text, 'unit' => $unit])->outcome,
        );
    }

    public function test_a_relative_tolerance_grows_with_the_key(): void
    {
        $number = new Number(BigRational::of(-200), BigRational::of(1), BigRational::of('0.05'));

        self::assertSame(Outcome::Right, $number->mark(['text' => '-210'])->outcome);
        self::assertSame(Outcome::Missed, $number->mark(['text' => '-210.1'])->outcome);
    }

    public function test_a_written_answer_waits_for_its_rubric(): void
    {
        $written = new Written([
            'danger' => BigRational::of(1),
            'call' => BigRational::of(2),
            'warm' => BigRational::of(1),
        ]);

        self::assertSame(Outcome::Pending, $written->mark(['text' => 'Make safe.'])->outcome);
        self::assertSame(
            '5/8',
            (string) $written->mark(['text' => 'Make safe.'], ['danger' => 1, 'call' => '1.5'])->share,
        );
        self::assertSame(Outcome::LeftBlank, $written->mark(['text' => ' '])->outcome);
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
        yield 'an unknown row' => [
            new Rows(kind: Kind::Matching, keys: ['r' => 'x'], choices: ['r' => ['x', 'y']], rule: Rule::Each),
            ['rows' => ['s' => 'x']],
        ];
        yield 'a choice of another row' => [
            new Rows(kind: Kind::Matching, keys: ['r' => 'x'], choices: ['r' => ['x', 'y']], rule: Rule::Each),
            ['rows' => ['r' => 'z']],
        ];
        $picture = new Picture([Target::circle(new Point(0.5, 0.5), 0.1)]);
        yield 'a point off the picture' => [$picture, ['points' => [['x' => 1.2, 'y' => 0]]]];
        yield 'not a number for a coordinate' => [$picture, ['points' => [['x' => NAN, 'y' => 0]]]];
        yield 'an infinite coordinate' => [$picture, ['points' => [['x' => INF, 'y' => 0]]]];
        yield 'text for a coordinate' => [$picture, ['points' => [['x' => '0.5', 'y' => 0]]]];
        yield 'ten megabytes of text' => [
            new TypedGaps(['g' => new Gap(['x'])], Rule::Each),
            ['gaps' => ['g' => str_repeat('x', 10_000_000)]],
        ];
        yield 'broken UTF-8' => [new TypedGaps(['g' => new Gap(['x'])], Rule::Each), ['gaps' => ['g' => "\xff\xfe"]]];
        yield 'a list for a number' => [
            new Number(BigRational::one(), BigRational::zero(), BigRational::zero()),
            ['text' => ['1']],
        ];
    }

    /** @param  array<mixed>  $response */
    #[DataProvider('malformed')]
    public function test_what_cannot_belong_to_the_question_is_refused_not_marked(
        Question $question,
        array $response,
    ): void {
        $this->expectException(MalformedResponse::class);

        $question->mark($response);
    }

    public function test_rubric_marks_outside_the_rubric_are_refused(): void
    {
        $written = new Written(['a' => BigRational::of(2)]);
        foreach ([['a' => -1], ['a' => 3], ['b' => 1], ['a' => NAN]] as $marks) {
            try {
                $written->mark(['text' => 'x'], $marks);
                self::fail('Accepted '.json_encode(array_keys($marks)));
            } catch (MalformedResponse) {
                self::addToAssertionCount(1);
            }
        }
    }

    public function test_credit_lies_between_nothing_and_all_for_any_response(): void
    {
        $chance = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(1));
        for ($round = 0; $round < 600; $round++) {
            $options = array_map(fn (int $i): string => "o{$i}", range(1, $chance->getInt(2, 12)));
            $keys = array_slice($chance->shuffleArray($options), 0, $chance->getInt(1, count($options)));
            $rule = [Rule::AllOrNothing, Rule::Net, Rule::Hits, Rule::EachOption][$chance->getInt(0, 3)];
            $chosen = array_slice($chance->shuffleArray($options), 0, $chance->getInt(0, count($options)));
            $question = new Several(
                options: $options,
                keys: $keys,
                rule: $rule,
                limit: $rule === Rule::Hits ? count($keys) : null,
            );
            $credit = $question->mark(['choices' => $chosen]);
            $share = $credit->share?->toFloat() ?? 0.0;
            self::assertGreaterThanOrEqual(0.0, $share);
            self::assertLessThanOrEqual(1.0, $share);
            // Neither the order of the options nor that of the choices matters.
            $permuted = new Several(
                options: $chance->shuffleArray($options),
                keys: $chance->shuffleArray($keys),
                rule: $rule,
                limit: $question->limit,
            );
            self::assertSame(
                (string) $credit->share,
                (string) $permuted->mark(['choices' => $chance->shuffleArray($chosen)])->share,
            );
        }
    }

    public function test_pairs_and_neighbours_agree_on_the_right_order_and_its_reverse(): void
    {
        $chance = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(2));
        for ($n = 2; $n <= 12; $n++) {
            $right = $chance->shuffleArray(array_map(fn (int $i): string => "i{$i}", range(1, $n)));
            foreach ([Rule::Pairs, Rule::Neighbours] as $rule) {
                $question = new Ordering($right, $rule);
                self::assertSame(Outcome::Right, $question->mark(['order' => $right])->outcome);
                self::assertSame(
                    Outcome::Missed,
                    $question->mark(['order' => array_reverse($right)])->outcome,
                );
            }
        }
    }

    public function test_a_share_outside_nothing_to_all_is_no_credit(): void
    {
        $this->expectException(MalformedResponse::class);
        Credit::of(BigRational::of('5/4'));
    }

    public function test_five_hundred_parts_are_read_and_one_more_is_not(): void
    {
        $rows = array_fill_keys(array_map(fn (int $i): string => "r{$i}", range(1, 501)), 'x');
        $question = new Rows(
            kind: Kind::Matching,
            keys: $rows,
            choices: array_map(fn (): array => ['x', 'y'], $rows),
            rule: Rule::Each,
        );
        self::assertSame(
            '500/501',
            (string) $question->mark(['rows' => array_slice($rows, 0, 500)])->share,
        );
        $this->expectException(MalformedResponse::class);
        $this->expectExceptionMessage('more than 500 parts');
        $question->mark(['rows' => $rows]);
    }

    public function test_a_slip_is_forgiven_from_five_letters_on(): void
    {
        $gap = fn (string $accepted): TypedGaps => new TypedGaps(
            ['g' => new Gap([$accepted], allowSlip: true)],
            Rule::Each,
        );
        $outcome = fn (string $accepted, string $typed): Outcome => $gap($accepted)->mark([
            'gaps' => ['g' => $typed],
        ])->outcome;
        self::assertSame([Outcome::Right, Outcome::Missed], [$outcome('cairn', 'cairm'), $outcome('rope', 'ropa')]);
        // Letters, not characters: four letters and a figure are still four.
        self::assertSame(Outcome::Missed, $outcome('rope2', 'ropa2'));
    }

    public function test_a_point_on_the_edge_hits_and_one_a_hair_outside_does_not(): void
    {
        $circle = Target::circle(new Point(0.5, 0.5), 0.1);
        $rectangle = Target::rectangle(new Point(0.1, 0.1), new Point(0.3, 0.3));
        self::assertSame(
            [true, true, false],
            [
                $circle->contains(new Point(0.6, 0.5)),
                $circle->contains(new Point(0.6 + 9e-10, 0.5)),
                $circle->contains(new Point(0.600001, 0.5)),
            ],
        );
        self::assertSame(
            [true, true, false],
            [
                $rectangle->contains(new Point(0.3, 0.2)),
                $rectangle->contains(new Point(0.3 + 9e-10, 0.2)),
                $rectangle->contains(new Point(0.300001, 0.2)),
            ],
        );
    }

    public function test_points_of_a_rubric_lie_between_nothing_and_what_it_gives(): void
    {
        $written = new Written(['a' => BigRational::of(2), 'b' => BigRational::of(1)]);
        $share = fn (array $marks): string => (string) $written->mark(['text' => 'x'], $marks)->share;
        self::assertSame(
            ['0', '1', '2/3'],
            [$share(['a' => '0', 'b' => '0']), $share(['a' => '2', 'b' => '1']), $share(['a' => '2', 'b' => '0'])],
        );
        // One point too few elsewhere would hide one below nothing.
        $this->expectException(MalformedResponse::class);
        $this->expectExceptionMessage('Criterion "b" gives 0 to 1.00 points.');
        $share(['a' => '2', 'b' => '-0.5']);
    }

    /** @return iterable<string, array{string}> */
    public static function nothings(): iterable
    {
        yield 'no-break space' => ["\u{00A0}"];
        yield 'zero-width space' => ["\u{200B}"];
        yield 'a separator of vowels' => ["\u{180E}"];
        yield 'a joiner of words' => ["\u{2060}"];
        yield 'a mark of byte order' => ["\u{FEFF}"];
        yield 'a new line of old' => ["\u{85}"];
        yield 'zero-width joiner and no-break' => ["\u{200D}\u{FEFF}"];
        yield 'ideographic space and line separator' => ["\u{3000}\u{2028}"];
        yield 'word joiner' => [" \u{2060}\t"];
    }

    #[DataProvider('nothings')]
    public function test_what_nobody_can_see_is_no_answer(string $nothing): void
    {
        $blank = fn (Question $question, array $response): Outcome => $question->mark($response)
            ->outcome;
        $number = new Number(
            key: BigRational::of(3),
            absolute: BigRational::zero(),
            relative: BigRational::zero(),
            units: ['km' => BigRational::one()],
        );
        self::assertSame(Outcome::LeftBlank, $blank($number, ['text' => $nothing, 'unit' => 'km']));
        self::assertSame(
            Outcome::LeftBlank,
            $blank(new TypedGaps(['g' => new Gap(['x'])], Rule::Each), ['gaps' => ['g' => $nothing]]),
        );
        self::assertSame(Outcome::LeftBlank, $blank(new Written(['a' => BigRational::one()]), ['text' => $nothing]));
        self::assertNull(Response::orNone(['text' => $nothing]));
        self::assertSame(
            Outcome::Right,
            $blank($number, ['text' => "{$nothing}3{$nothing}", 'unit' => "{$nothing}km"]),
        );
    }

    public function test_units_and_words_are_compared_whatever_their_letters_are_made_of(): void
    {
        $micro = new Number(
            key: BigRational::of(5),
            absolute: BigRational::zero(),
            relative: BigRational::zero(),
            units: ["\u{00B5}m" => BigRational::one(), 'm²' => BigRational::of(2)],
        );
        $right = fn (string $text, string $unit): Outcome => $micro->mark([
            'text' => $text,
            'unit' => $unit,
        ])->outcome;
        self::assertSame(
            [Outcome::Right, Outcome::Right, Outcome::Missed],
            [$right('5', "\u{03BC}m"), $right('2.5', 'm2'), $right('5', 'nm')],
        );
        self::assertSame(
            Outcome::Right,
            (new TypedGaps(['g' => new Gap(["\u{FB01}rn"])], Rule::Each))->mark([
                'gaps' => ['g' => 'FIRN'],
            ])->outcome,
        );
    }

    public function test_each_part_has_its_verdict(): void
    {
        $verdicts = fn (Question $question, ?array $response): array => array_map(
            fn (Verdict $verdict): string => $verdict->value,
            $question->verdicts($response),
        );
        $options = ['a', 'b', 'c', 'd'];
        self::assertSame(
            ['a' => 'plain', 'b' => 'missing', 'c' => 'wrong', 'd' => 'plain'],
            $verdicts(new Single($options, 'b'), ['choice' => 'c']),
        );
        self::assertSame(
            ['a' => 'right', 'b' => 'missing', 'c' => 'wrong', 'd' => 'plain'],
            $verdicts(new Several($options, ['a', 'b'], Rule::Net), ['choices' => ['a', 'c']]),
        );
        $rows = new Rows(
            kind: Kind::Matching,
            keys: ['p' => 'x', 'q' => 'y', 'r' => 'x'],
            choices: ['p' => ['x', 'y'], 'q' => ['x', 'y'], 'r' => ['x', 'y']],
            rule: Rule::Each,
        );
        self::assertSame(
            ['p' => 'right', 'q' => 'wrong', 'r' => 'missing'],
            $verdicts($rows, ['rows' => ['p' => 'x', 'q' => 'x']]),
        );
        self::assertSame(
            ['a' => 'wrong', 'b' => 'wrong', 'c' => 'right'],
            $verdicts(new Ordering(['a', 'b', 'c'], Rule::Pairs), ['order' => ['b', 'a', 'c']]),
        );
        self::assertSame(
            ['g' => 'right', 'h' => 'missing'],
            $verdicts(new TypedGaps(['g' => new Gap(['x']), 'h' => new Gap(['y'])], Rule::Each), [
                'gaps' => ['g' => 'X'],
            ]),
        );
        $number = new Number(
            key: BigRational::of(80),
            absolute: BigRational::one(),
            relative: BigRational::zero(),
            units: [],
            slips: [BigRational::of(60), BigRational::of(40)],
        );
        self::assertSame(
            ['number' => 'wrong', 'slip-0' => 'wrong', 'slip-1' => 'plain'],
            $verdicts($number, ['text' => '60,5']),
        );
        self::assertSame(['number' => 'missing', 'slip-0' => 'plain', 'slip-1' => 'plain'], $verdicts($number, null));
        $picture = new Picture(
            ['t' => Target::circle(new Point(0.5, 0.5), 0.1), 'u' => Target::circle(new Point(0.1, 0.1), 0.1)],
            Rule::Hits,
            ['z' => Target::circle(new Point(0.9, 0.9), 0.1)],
        );
        self::assertSame(
            ['t' => 'right', 'u' => 'missing', 'z' => 'wrong'],
            $verdicts($picture, ['points' => [['x' => 0.5, 'y' => 0.5], ['x' => 0.9, 'y' => 0.9]]]),
        );
    }
}
