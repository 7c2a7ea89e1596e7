<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Uplandia\Core\Chance;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MalformedResponse;
use Uplandia\Core\Marking\Response;
use Uplandia\Core\Marking\Verdict;

/**
 * What marking needs to know of a question, and all that a kind of question is: its shape, what is right, luck,
 * credit, verdicts, and how somebody made up answers it. One class a kind; `Kind::home` says which
 * (docs/architecture.md, "A new kind"). Credit is exact. Source: computation.md, section 1.
 */
abstract readonly class Question
{
    /**
     * From what is stored; the shapes by kind are those of docs/question-format.md.
     *
     * @param  array<mixed>  $shown  what a candidate may see
     * @param  array<mixed>  $answer  what they may not
     *
     * @throws InvalidQuestion
     */
    final public static function of(Kind $kind, array $shown, array $answer): self
    {
        return $kind->home()::read($kind, new Fields($shown), new Fields($answer));
    }

    /** @throws InvalidQuestion */
    abstract public static function read(Kind $kind, Fields $shown, Fields $answer): self;

    abstract public function kind(): Kind;

    /** The chance c of being right by luck. Source: computation.md, section 8. */
    public function luck(): float
    {
        return 0.0;
    }

    /**
     * @param  array<mixed>|null  $response  as decoded from JSON (shapes: see Reading); null or empty: left blank
     * @param  array<string, int|float|string>|null  $rubricMarks  for written answers: criterion id => points given
     *
     * @throws MalformedResponse when the response cannot belong to this question
     */
    final public function mark(?array $response, ?array $rubricMarks = null): Credit
    {
        return $response === null || $response === [] ? Credit::leftBlank() : $this->credit($response, $rubricMarks);
    }

    /**
     * Who was right about each part of it, so that no screen has to work it out.
     *
     * @param  array<mixed>|null  $response  one that `mark` takes
     * @return array<string, Verdict> by part: option, row, item, gap, target, decoy; `number`, and `slip-0`, `slip-1`
     *   …
     *
     * @throws MalformedResponse
     */
    final public function verdicts(?array $response): array
    {
        return $this->judge(Response::orNone($response) ?? []);
    }

    /**
     * @return array<string, mixed> a made-up response that earns full credit (for a written answer: one to be marked)
     */
    abstract public function right(Chance $chance): array;

    /**
     * @param  list<string>  $slips  wrong numbers that people come to, for numbers
     * @return array<string, mixed> a made-up response that earns less than full credit, often a part of it
     */
    abstract public function wrong(Chance $chance, array $slips = []): array;

    /**
     * @param  non-empty-array<mixed>  $response
     * @param  array<string, int|float|string>|null  $rubricMarks
     *
     * @throws MalformedResponse
     */
    abstract protected function credit(array $response, ?array $rubricMarks): Credit;

    /**
     * @param  array<mixed>  $response
     * @return array<string, Verdict>
     *
     * @throws MalformedResponse
     */
    abstract protected function judge(array $response): array;

    /** Of a part that was answered or not, and rightly or not. */
    final protected static function answered(bool $answered, bool $right): Verdict
    {
        return Verdict::between(! $answered || $right, $answered);
    }

    /**
     * Of options that are keys or not, and were chosen or not.
     *
     * @param  array<string, mixed>  $options  by id
     * @param  array<string, mixed>  $keys  by id
     * @param  list<mixed>  $chosen
     * @return array<string, Verdict>
     */
    final protected static function chosen(array $options, array $keys, array $chosen): array
    {
        $verdicts = [];
        foreach (array_keys($options) as $id) {
            $verdicts[(string) $id] = Verdict::between(isset($keys[$id]), in_array((string) $id, $chosen, true));
        }

        return $verdicts;
    }

    /**
     * @param  array<array-key, mixed>  $byName
     * @return list<string>
     */
    final protected static function names(array $byName): array
    {
        return array_map(strval(...), array_keys($byName));
    }
}
