<?php

declare(strict_types=1);

namespace Tests\Core\Question;

use PHPUnit\Framework\TestCase;
use Uplandia\Core\Chance;
use Uplandia\Core\Cohort\SimulatedAnswer;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Marking\Verdict;
use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\Question;
use Uplandia\Core\Question\Reading;
use Uplandia\Core\Sitting\Sureness;

/** A kind of question is one class: one that is made up here is marked, judged and answered like any other. */
final class NewKindTest extends TestCase
{
    public function test_a_new_kind_is_one_class(): void
    {
        $question = Echoed::read(Kind::Written, new Fields([]), new Fields(['word' => 'north']));

        self::assertSame(Outcome::LeftBlank, $question->mark([])->outcome);
        self::assertSame(Outcome::Right, $question->mark(['text' => 'NORTH'])->outcome);
        self::assertSame(Outcome::Missed, $question->mark(['text' => 'south'])->outcome);
        self::assertSame(['word' => Verdict::Missing], $question->verdicts(['text' => ' ']));
        self::assertSame(['word' => Verdict::Wrong], $question->verdicts(['text' => 'south']));
        self::assertSame(0.5, $question->luck());
        $chance = (new Simulator('echo'))->chance;
        foreach ([[true, Outcome::Right], [false, Outcome::Missed]] as [$right, $outcome]) {
            $answer = new SimulatedAnswer(
                item: 0,
                right: $right,
                option: null,
                ms: 9_000,
                sureness: Sureness::Sure,
                struck: [],
            );
            self::assertSame($outcome, $question->mark($answer->response($question, $chance))->outcome);
        }
    }

    public function test_each_kind_has_a_home_that_knows_its_name(): void
    {
        foreach (Kind::cases() as $kind) {
            self::assertTrue(is_subclass_of($kind->home(), Question::class));
        }
    }
}

final readonly class Echoed extends Question
{
    private function __construct(private string $word)
    {
    }

    public static function read(Kind $kind, Fields $shown, Fields $answer): self
    {
        return new self($answer->text('word'));
    }

    public function kind(): Kind
    {
        return Kind::Written;
    }

    public function luck(): float
    {
        return 0.5;
    }

    public function right(Chance $chance): array
    {
        return ['text' => $this->word];
    }

    public function wrong(Chance $chance, array $slips = []): array
    {
        return ['text' => "not {$this->word}"];
    }

    protected function credit(array $response, ?array $rubricMarks): Credit
    {
        return Credit::when(strtolower(Reading::text($response, 'text')) === $this->word);
    }

    protected function judge(array $response): array
    {
        $said = Reading::text($response, 'text');

        return ['word' => self::answered($said !== '', strtolower($said) === $this->word)];
    }
}
