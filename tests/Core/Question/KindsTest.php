<?php

declare(strict_types=1);

namespace Tests\Core\Question;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Question\Gap;
use Uplandia\Core\Question\InvalidQuestion;
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

final class KindsTest extends TestCase
{
    public function test_luck_is_one_of_the_options_for_a_single_answer_and_none_else(): void
    {
        $options = array_map(fn (string $id): array => ['id' => $id, 'text' => $id], ['a', 'b', 'c', 'd', 'e']);
        $single = Question::of(Kind::Single, ['stem' => 's', 'options' => $options], ['key' => 'b']);
        $several = Question::of(Kind::Several, ['stem' => 's', 'options' => $options], ['keys' => ['b']]);
        self::assertSame([0.2, 0.0], [$single->luck(), $several->luck()]);
    }

    /**
     * @return iterable<string, array{Kind, array<string, mixed>, array<string, mixed>, array<string, mixed>, string}>
     *   kind, shown, answer, response, credit
     */
    public static function kinds(): iterable
    {
        $ids = fn (string ...$ids): array => array_map(
            fn (string $id): array => ['id' => $id, 'text' => strtoupper($id)],
            $ids,
        );
        yield 'single' => [Kind::Single, ['options' => $ids('a', 'b', 'c')], ['key' => 'b'], ['choice' => 'b'], '1'];
        yield 'several, by hits' => [
            Kind::Several,
            ['options' => $ids('a', 'b', 'c', 'd'), 'limit' => 2],
            ['keys' => ['a', 'b'], 'rule' => 'hits'],
            ['choices' => ['a', 'c']],
            '1/2',
        ];
        yield 'several, without a rule all or nothing' => [
            Kind::Several,
            ['options' => $ids('a', 'b', 'c')],
            ['keys' => ['a', 'b']],
            ['choices' => ['a']],
            '0',
        ];
        yield 'grid with shared choices' => [
            Kind::TrueFalseGrid,
            ['rows' => $ids('p', 'q'), 'choices' => $ids('true', 'false')],
            ['keys' => ['p' => 'true', 'q' => 'false']],
            ['rows' => ['p' => 'true', 'q' => 'true']],
            '1/2',
        ];
        yield 'matching' => [
            Kind::Matching,
            ['rows' => $ids('p', 'q'), 'choices' => $ids('x', 'y', 'z')],
            ['keys' => ['p' => 'x', 'q' => 'z'], 'rule' => 'all_or_nothing'],
            ['rows' => ['p' => 'x', 'q' => 'z']],
            '1',
        ];
        yield 'groups' => [
            Kind::Grouping,
            ['rows' => $ids('p', 'q', 'r'), 'choices' => $ids('wet', 'dry')],
            ['keys' => ['p' => 'wet', 'q' => 'wet', 'r' => 'dry']],
            ['rows' => ['p' => 'wet', 'q' => 'dry', 'r' => 'dry']],
            '2/3',
        ];
        yield 'drop-down gaps with choices of their own and weights' => [
            Kind::DropdownGaps,
            ['rows' => [['id' => 'g', 'choices' => $ids('x', 'y')], ['id' => 'h', 'choices' => $ids('u', 'v')]]],
            ['keys' => ['g' => 'x', 'h' => 'v'], 'weights' => ['g' => 1, 'h' => '1/2']],
            ['rows' => ['g' => 'y', 'h' => 'v']],
            '1/3',
        ];
        yield 'ordering' => [
            Kind::Ordering,
            ['items' => $ids('a', 'b', 'c')],
            ['order' => ['c', 'a', 'b'], 'rule' => 'neighbours'],
            ['order' => ['a', 'b', 'c']],
            '1/2',
        ];
        yield 'number with units' => [
            Kind::Number,
            ['stem' => '?'],
            ['value' => '1.5', 'relative' => '0.1', 'units' => ['km' => 1, 'm' => '1/1000']],
            ['text' => '1 400', 'unit' => 'm'],
            '1',
        ];
        yield 'typed gaps' => [
            Kind::TypedGaps,
            ['stem' => '{{g}}'],
            ['gaps' => ['g' => ['accepted' => ['Prusik', 'prussik'], 'allow_slip' => true]]],
            ['gaps' => ['g' => 'prusick']],
            '1',
        ];
        yield 'a circle on a wide picture' => [
            Kind::Picture,
            ['picture' => ['file' => 'p.svg']],
            ['targets' => [['circle' => [0.5, 0.5, 0.1], 'aspect' => '1/2']]],
            ['points' => [['x' => 0.5, 'y' => 0.69]]],
            '1',
        ];
        yield 'a rectangle and a polygon' => [
            Kind::Picture,
            ['picture' => ['file' => 'p.svg']],
            ['targets' => [['rectangle' => [0, 0, 0.2, 0.2]], ['polygon' => [[0.5, 0.5], [1, 0.5], [0.5, 1]]]]],
            ['points' => [['x' => 0.1, 'y' => 0.1], ['x' => 0.9, 'y' => 0.9]]],
            '1/2',
        ];
    }

    /**
     * @param  array<string, mixed>  $shown
     * @param  array<string, mixed>  $answer
     * @param  array<string, mixed>  $response
     */
    #[DataProvider('kinds')]
    public function test_what_is_stored_becomes_a_question_that_can_be_marked(
        Kind $kind,
        array $shown,
        array $answer,
        array $response,
        string $credit,
    ): void {
        $question = Question::of($kind, $shown, $answer);

        self::assertSame($kind, $question->kind());
        self::assertSame($credit, (string) $question->mark($response)->share);
    }

    public function test_a_rubric_without_points_gives_one_for_each_criterion(): void
    {
        $written = Question::of(
            Kind::Written,
            [],
            [
                'rubric' => [
                    ['id' => 'safe', 'text' => 'Makes safe'],
                    ['id' => 'call', 'text' => 'Calls', 'points' => '3/2'],
                ],
            ],
        );
        assert($written instanceof Written);

        self::assertSame('5/2', (string) $written->possible);
    }

    /** @return iterable<string, array{callable(): mixed, string}> */
    public static function faults(): iterable
    {
        $define = fn (Kind $kind, array $shown, array $answer): callable => fn () => Question::of(
            $kind,
            $shown,
            $answer,
        );
        yield 'a single with one option' => [fn () => new Single(['a'], 'a'), 'at least two options'];
        yield 'a single with two options of one id' => [fn () => new Single(['a', 'a'], 'a'), 'ids of their own'];
        yield 'a key that is no option' => [fn () => new Single(['a', 'b'], 'c'), 'The key "c"'];
        yield 'hits without a limit' => [fn () => new Several(['a', 'b'], ['a'], Rule::Hits), 'needs a limit'];
        yield 'several without a key' => [fn () => new Several(['a', 'b'], [], Rule::Net), 'one or more'];
        yield 'a limit of nothing' => [
            fn () => new Several(options: ['a', 'b'], keys: ['a'], rule: Rule::Net, limit: 0),
            'at least 1',
        ];
        yield 'more than forty options' => [
            fn () => new Several(array_map(fn (int $i): string => "o{$i}", range(1, 41)), ['o1'], Rule::Net),
            '2 to 40',
        ];
        yield 'a rule for another kind' => [fn () => new Several(['a', 'b'], ['a'], Rule::Pairs), 'does not fit'];
        yield 'rows of a kind without rows' => [
            fn () => new Rows(kind: Kind::Single, keys: ['r' => 'x'], choices: ['r' => ['x']], rule: Rule::Each),
            'no rows',
        ];
        yield 'no rows' => [
            fn () => new Rows(kind: Kind::Matching, keys: [], choices: [], rule: Rule::Each),
            'at least one row',
        ];
        yield 'a row key that is no choice' => [
            fn () => new Rows(kind: Kind::Matching, keys: ['r' => 'z'], choices: ['r' => ['x']], rule: Rule::Each),
            'Row "r"',
        ];
        yield 'a weight of nothing' => [
            fn () => new Rows(
                kind: Kind::DropdownGaps,
                keys: ['r' => 'x'],
                choices: ['r' => ['x']],
                rule: Rule::Each,
                weights: ['r' => 0],
            ),
            'more than 0',
        ];
        yield 'an ordering of one' => [fn () => new Ordering(['a'], Rule::Pairs), 'at least two items'];
        yield 'an ordering by hits' => [fn () => new Ordering(['a', 'b'], Rule::Hits), 'does not fit'];
        yield 'a negative tolerance' => [
            fn () => new Number(BigRational::one(), BigRational::of(-1), BigRational::zero()),
            'cannot be negative',
        ];
        yield 'a unit that counts for nothing' => [
            fn () => new Number(
                key: BigRational::one(),
                absolute: BigRational::zero(),
                relative: BigRational::zero(),
                units: ['m' => BigRational::zero()],
            ),
            'factor of unit "m"',
        ];
        yield 'a gap that accepts nothing' => [fn () => new Gap([]), 'at least one accepted'];
        yield 'a gap that accepts emptiness' => [fn () => new Gap([' ']), 'cannot be empty'];
        yield 'gaps without a gap' => [fn () => new TypedGaps([], Rule::Each), 'at least one gap'];
        yield 'a picture without targets' => [fn () => new Picture([]), 'at least one target'];
        yield 'a circle without a radius' => [fn () => Target::circle(new Point(0.5, 0.5), 0.0), 'a radius'];
        yield 'a polygon of two corners' => [
            fn () => Target::polygon([new Point(0, 0), new Point(1, 1)]),
            'three corners',
        ];
        yield 'a rubric of nothing' => [fn () => new Written([]), 'needs a rubric'];
        yield 'a criterion worth nothing' => [
            fn () => new Written(['a' => BigRational::zero()]),
            'more than 0 points',
        ];
        yield 'options that are no list' => [
            $define(Kind::Single, ['options' => 'a, b'], ['key' => 'a']),
            '"options" must be a list.',
        ];
        yield 'an option without an id' => [
            $define(Kind::Single, ['options' => [['text' => 'A']]], ['key' => 'a']),
            '"id" must be text.',
        ];
        yield 'an unknown rule' => [
            $define(Kind::Ordering, [], ['order' => ['a', 'b'], 'rule' => 'luck']),
            'no rule "luck"',
        ];
        yield 'a row without a key' => [
            $define(
                Kind::Matching,
                ['rows' => [['id' => 'p', 'text' => 'P']], 'choices' => [['id' => 'x', 'text' => 'X']]],
                ['keys' => []],
            ),
            'Every row needs a key',
        ];
        yield 'a float for an exact number' => [
            $define(Kind::Number, [], ['value' => 1.5]),
            'must be an exact number, written as text',
        ];
        yield 'a number that is none' => [$define(Kind::Number, [], ['value' => 'about 2']), 'such as "0.25"'];
        yield 'a circle of two numbers' => [
            $define(Kind::Picture, [], ['targets' => [['circle' => [0.5, 0.5]]]]),
            'needs 3 numbers',
        ];
        yield 'a limit in words' => [
            $define(Kind::Several, ['options' => [['id' => 'a'], ['id' => 'b']], 'limit' => 'two'], ['keys' => ['a']]),
            '"limit" must be a whole number.',
        ];
    }

    /** @param  callable(): mixed  $make */
    #[DataProvider('faults')]
    public function test_a_question_that_cannot_be_marked_is_refused_with_a_sentence(
        callable $make,
        string $words,
    ): void {
        $this->expectException(InvalidQuestion::class);
        $this->expectExceptionMessage($words);

        $make();
    }

    public function test_weights_are_shares_of_one(): void
    {
        $rows = new Rows(
            kind: Kind::DropdownGaps,
            keys: ['a' => 'x', 'b' => 'x', 'c' => 'x'],
            choices: ['a' => ['x'], 'b' => ['x'], 'c' => ['x']],
            rule: Rule::Each,
            weights: ['a' => '1/2', 'b' => 2],
        );

        self::assertSame(['1/7', '4/7', '2/7'], array_values(array_map(strval(...), $rows->weights)));
    }
}
