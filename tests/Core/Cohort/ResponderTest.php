<?php

declare(strict_types=1);

namespace Tests\Core\Cohort;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Cohort\Responder;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Marking\Marker;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Definition;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\Question;

final class ResponderTest extends TestCase
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
        yield 'single' => [Definition::question(Kind::Single, $options, ['key' => 'b'])];
        yield 'several, net' => [
            Definition::question(Kind::Several, $options, ['keys' => ['a', 'c'], 'rule' => 'net']),
        ];
        yield 'several, with a limit' => [
            Definition::question(Kind::Several, ['limit' => 2] + $options, ['keys' => ['a', 'c'], 'rule' => 'hits']),
        ];
        yield 'several, all of them' => [
            Definition::question(Kind::Several, $options, ['keys' => ['a', 'b', 'c', 'd'], 'rule' => 'each_option']),
        ];
        yield 'matching' => [Definition::question(Kind::Matching, $choices, $keys)];
        yield 'grouping, all or nothing' => [
            Definition::question(Kind::Grouping, $choices, $keys + ['rule' => 'all_or_nothing']),
        ];
        yield 'ordering' => [
            Definition::question(Kind::Ordering, [], ['order' => ['a', 'b', 'c', 'd'], 'rule' => 'pairs']),
        ];
        yield 'number' => [Definition::question(Kind::Number, [], ['value' => '4.5', 'absolute' => '0.1'])];
        yield 'number, a fraction' => [
            Definition::question(Kind::Number, [], ['value' => '1/3', 'absolute' => '0.01']),
        ];
        yield 'number with a unit' => [
            Definition::question(Kind::Number, [], ['value' => 4, 'units' => ['m' => '1/1000', 'km' => '1']]),
        ];
        yield 'typed gaps' => [
            Definition::question(
                Kind::TypedGaps,
                [],
                ['gaps' => ['g' => ['accepted' => ['handrail']], 'h' => ['accepted' => ['catching']]]],
            ),
        ];
        yield 'picture' => [
            Definition::question(
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
        $responder = new Responder((new Simulator('responder'))->chance);
        $marker = new Marker();
        for ($i = 0; $i < 40; $i++) {
            self::assertSame(Outcome::Right, $marker->mark($question, $responder->right($question))->outcome);
            self::assertContains($marker->mark($question, $responder->wrong($question))->outcome, [
                Outcome::Partly,
                Outcome::Missed,
            ]);
        }
    }

    public function test_a_wrong_number_is_one_of_the_usual_slips(): void
    {
        $question = Definition::question(Kind::Number, [], ['value' => 80]);
        $responder = new Responder((new Simulator('slips'))->chance);

        self::assertContains($responder->wrong($question, ['60', '89'])['text'], ['60', '89']);
    }

    public function test_a_written_answer_waits_to_be_marked(): void
    {
        $question = Definition::question(Kind::Written, [], ['rubric' => [['id' => 'p1', 'points' => 2]]]);
        $responder = new Responder((new Simulator('written'))->chance);

        self::assertSame(Outcome::Pending, (new Marker())->mark($question, $responder->right($question))->outcome);
        self::assertTrue(BigRational::of(2)->isEqualTo($question->possible));
    }
}
