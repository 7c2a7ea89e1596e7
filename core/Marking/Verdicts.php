<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

use Uplandia\Core\Question\Number;
use Uplandia\Core\Question\Ordering;
use Uplandia\Core\Question\Picture;
use Uplandia\Core\Question\Question;
use Uplandia\Core\Question\Rows;
use Uplandia\Core\Question\Several;
use Uplandia\Core\Question\Single;
use Uplandia\Core\Question\TypedGaps;

/** Who was right about each part of a question, so that no screen has to work it out. */
final readonly class Verdicts
{
    /** The one part of a number. */
    public const NUMBER = 'number';

    public function __construct(private Marker $marker)
    {
    }

    /**
     * @param  array<mixed>|null  $response  one that the marker takes
     * @return array<string, Verdict> by part: option, row, item, gap, target, decoy; `number`, and `slip-0`, `slip-1`
     *   …
     *
     * @throws MalformedResponse
     */
    public function of(Question $question, ?array $response): array
    {
        $response = Response::orNone($response) ?? [];

        return match (true) {
            $question instanceof Single => self::options(
                $question->options,
                [$question->key => 0],
                [$response['choice'] ?? null],
            ),
            $question instanceof Several => self::options(
                $question->options,
                $question->keys,
                Reading::ids($response, 'choices', $question->options),
            ),
            $question instanceof Rows => self::rows($question, Reading::textById($response, 'rows', $question->keys)),
            $question instanceof Ordering => self::ordering(
                $question,
                Reading::ids($response, 'order', $question->places),
            ),
            $question instanceof TypedGaps => self::gaps(
                $question,
                Reading::textById($response, 'gaps', $question->gaps),
            ),
            $question instanceof Number => $this->number($question, $response),
            $question instanceof Picture => $this->picture($question, $response),
            default => [],
        };
    }

    /**
     * @param  array<string, mixed>  $options
     * @param  array<string, mixed>  $keys
     * @param  list<mixed>  $chosen
     * @return array<string, Verdict>
     */
    private static function options(array $options, array $keys, array $chosen): array
    {
        $verdicts = [];
        foreach (array_keys($options) as $id) {
            $verdicts[(string) $id] = Verdict::between(isset($keys[$id]), in_array((string) $id, $chosen, true));
        }

        return $verdicts;
    }

    /**
     * @param  array<string, string>  $chosen
     * @return array<string, Verdict>
     */
    private static function rows(Rows $question, array $chosen): array
    {
        $verdicts = [];
        foreach ($question->keys as $row => $key) {
            $verdicts[$row] = self::answered(isset($chosen[$row]), ($chosen[$row] ?? null) === $key);
        }

        return $verdicts;
    }

    /**
     * @param  list<string>  $order
     * @return array<string, Verdict>
     */
    private static function ordering(Ordering $question, array $order): array
    {
        $mine = array_flip($order);
        $verdicts = [];
        foreach ($question->places as $item => $place) {
            $verdicts[$item] = self::answered(isset($mine[$item]), ($mine[$item] ?? null) === $place);
        }

        return $verdicts;
    }

    /**
     * @param  array<string, string>  $typed
     * @return array<string, Verdict>
     */
    private static function gaps(TypedGaps $question, array $typed): array
    {
        $verdicts = [];
        foreach ($question->gaps as $id => $gap) {
            $right = isset($typed[$id]) && TypedText::matches($typed[$id], $gap);
            $verdicts[(string) $id] = self::answered(isset($typed[$id]), $right);
        }

        return $verdicts;
    }

    /**
     * @param  array<mixed>  $response
     * @return array<string, Verdict>
     */
    private function number(Number $question, array $response): array
    {
        $outcome = $this->marker->mark($question, $response)->outcome;
        $verdicts = [self::NUMBER => self::answered($outcome->wasAnswered(), $outcome === Outcome::Right)];
        foreach ($question->slips as $i => $slip) {
            // Who typed a slip is told so by the same rule that marks: as if the slip were the key.
            $mine =
                $outcome === Outcome::Missed &&
                $this->marker->mark($question->at($slip), $response)->outcome === Outcome::Right;
            $verdicts["slip-{$i}"] = $mine ? Verdict::Wrong : Verdict::Plain;
        }

        return $verdicts;
    }

    /**
     * @param  array<mixed>  $response
     * @return array<string, Verdict>
     */
    private function picture(Picture $question, array $response): array
    {
        $points = Reading::points($response);
        $hit = $this->marker->targetsHit($question, $points);
        $verdicts = [];
        foreach (array_keys($question->targets) as $id) {
            $verdicts[(string) $id] = Verdict::between(true, isset($hit[$id]));
        }
        foreach ($question->decoys as $id => $region) {
            $pointed = array_filter($points, $region->contains(...)) !== [];
            $verdicts[(string) $id] = Verdict::between(false, $pointed);
        }

        return $verdicts;
    }

    private static function answered(bool $answered, bool $right): Verdict
    {
        return Verdict::between(! $answered || $right, $answered);
    }
}
