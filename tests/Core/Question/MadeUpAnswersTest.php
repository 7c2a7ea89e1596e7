<?php

declare(strict_types=1);

namespace Tests\Core\Question;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\Question;

final class MadeUpAnswersTest extends TestCase
{
    /** @return iterable<string, array{Question}> */
    public static function questions(): iterable
    {
        $options = ['options' => array_map(static fn (string $id): array => ['id' => $id], ['a', 'b', 'c', 'd'])];
        $choices = [
            'choices' => [['id' => 'x'], ['id' => 'y'], ['id' => 'z']],
            'rows' => [['id' => 'r1'], ['id' => 'r2'], ['id' => 'r3']],
        ];
        $keys = ['keys' => ['r1' => 'x', 'r2' => 'y', 'r3' => 'z']];
        yield 'single' => [Question::of(Kind::Single, $options, ['key' => 'b'])];
        yield 'several, net' => [
            Question::of(Kind::Several, $options, ['keys' => ['a', 'c'], 'rule' => 'net']),
        ];
        yield 'several, with a limit' => [
            Question::of(Kind::Several, ['limit' => 2] + $options, ['keys' => ['a', 'c'], 'rule' => 'hits']),
        ];
        yield 'several, all of them' => [
            Question::of(Kind::Several, $options, ['keys' => ['a', 'b', 'c', 'd'], 'rule' => 'each_option']),
        ];
        yield 'matching' => [Question::of(Kind::Matching, $choices, $keys)];
        yield 'grouping, all or nothing' => [
            Question::of(Kind::Grouping, $choices, $keys + ['rule' => 'all_or_nothing']),
        ];
        yield 'ordering' => [
            Question::of(Kind::Ordering, [], ['order' => ['a', 'b', 'c', 'd'], 'rule' => 'pairs']),
        ];
        yield 'number' => [Question::of(Kind::Number, [], ['value' => '4.5', 'absolute' => '0.1'])];
        yield 'number, a fraction' => [
            Question::of(Kind::Number, [], ['value' => '1/3', 'absolute' => '0.01']),
        ];
        yield 'number with a unit' => [
            Question::of(Kind::Number, [], ['value' => 4, 'units' => ['m' => '1/1000', 'km' => '1']]),
        ];
        yield 'typed gaps' => [
            Question::of(
                Kind::TypedGaps,
                [],
                ['gaps' => ['g' => ['accepted' => ['handrail']], 'h' => ['accepted' => ['catching']]]],
            ),
        ];
        yield 'picture' => [
            Question::of(
                Kind::Picture,
                [],
                [
                    'targets' => [
                        ['circle' => [0.05, 0.5, 0.1], 'aspect' => '3/4'],
                        ['polygon' => [[0.5, 0.5], [0.9, 0.5], [0.9, 0.55], [0.55, 0.55], [0.55, 0.9], [0.5, 0.9]]],
                    ],
                ],
            ),
        ];
    }

    #[DataProvider('questions')]
    public function test_right_is_marked_right_and_wrong_is_not(Question $question): void
    {
        $chance = (new Simulator('responder'))->chance;
        for ($i = 0; $i < 40; $i++) {
            self::assertSame(Outcome::Right, $question->mark($question->right($chance))->outcome);
            self::assertContains($question->mark($question->wrong($chance))->outcome, [
                Outcome::Partly,
                Outcome::Missed,
            ]);
        }
    }

    public function test_a_wrong_number_is_one_of_the_usual_slips(): void
    {
        $question = Question::of(Kind::Number, [], ['value' => 80]);
        $chance = (new Simulator('slips'))->chance;

        self::assertContains($question->wrong($chance, ['60', '89'])['text'], ['60', '89']);
    }

    public function test_a_written_answer_waits_to_be_marked(): void
    {
        $question = Question::of(Kind::Written, [], ['rubric' => [['id' => 'p1', 'points' => 2]]]);
        $chance = (new Simulator('written'))->chance;

        self::assertSame(Outcome::Pending, $question->mark($question->right($chance))->outcome);
        self::assertTrue(BigRational::of(2)->isEqualTo($question->possible));
    }
}
