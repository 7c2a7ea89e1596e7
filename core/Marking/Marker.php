<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

use Brick\Math\BigRational;
use Uplandia\Core\Question\Number;
use Uplandia\Core\Question\Ordering;
use Uplandia\Core\Question\Picture;
use Uplandia\Core\Question\Point;
use Uplandia\Core\Question\Question;
use Uplandia\Core\Question\Rows;
use Uplandia\Core\Question\Rule;
use Uplandia\Core\Question\Several;
use Uplandia\Core\Question\Single;
use Uplandia\Core\Question\TypedGaps;
use Uplandia\Core\Question\Written;

/**
 * Gives credit for one response to one question, by the rule the question names. Exact.
 * Source: computation.md, section 1.
 *
 * Example: keys a, b of options a–e, rule `net`, response {choices: [a, c]} → max(0, (1 − 1)/2) = 0.
 */
final class Marker
{
    /**
     * @param  array<mixed>|null  $response  as decoded from JSON (shapes: see Reading); null or empty: left blank
     * @param  array<string, int|float|string>|null  $rubricMarks  for written answers: criterion id => points given
     *
     * @throws MalformedResponse when the response cannot belong to this question
     */
    public function mark(Question $question, ?array $response, ?array $rubricMarks = null): Credit
    {
        if ($response === null || $response === []) {
            return Credit::leftBlank();
        }

        return match (true) {
            $question instanceof Single => $this->single($question, $response),
            $question instanceof Several => $this->several($question, $response),
            $question instanceof Rows => $this->rows($question, $response),
            $question instanceof Ordering => $this->ordering($question, $response),
            $question instanceof Number => $this->number($question, $response),
            $question instanceof TypedGaps => $this->typedGaps($question, $response),
            $question instanceof Picture => $this->picture($question, $response),
            $question instanceof Written => $this->written($question, $response, $rubricMarks),
            default => throw MalformedResponse::because(
                "No rule marks questions of kind \"{$question->kind()->value}\".",
            ),
        };
    }

    /** @param  array<mixed>  $response */
    private function single(Single $question, array $response): Credit
    {
        $choice = $response['choice'] ?? null;
        if ($choice === null || (is_string($choice) && PlainText::isEmpty($choice))) {
            return Credit::leftBlank();
        }
        if (! is_string($choice) || ! isset($question->options[$choice])) {
            throw MalformedResponse::unknown('an option', is_string($choice) ? $choice : get_debug_type($choice));
        }

        return $choice === $question->key ? Credit::full() : Credit::nothing();
    }

    /** @param  array<mixed>  $response */
    private function several(Several $question, array $response): Credit
    {
        $chosen = Reading::ids($response, 'choices', $question->options);
        if ($chosen === []) {
            return Credit::leftBlank();
        }
        if ($question->limit !== null && count($chosen) > $question->limit) {
            return Credit::nothing();
        }
        $hits = count(array_intersect_key(array_flip($chosen), $question->keys));
        $wrong = count($chosen) - $hits;
        $keys = count($question->keys);
        $options = count($question->options);

        return match ($question->rule) {
            Rule::Net => Credit::ratio(max(0, $hits - $wrong), $keys),
            Rule::Hits => Credit::ratio($hits, $keys),
            Rule::EachOption => Credit::ratio($options - $wrong - ($keys - $hits), $options),
            default => Credit::when($hits === $keys && $wrong === 0),
        };
    }

    /** @param  array<mixed>  $response */
    private function rows(Rows $question, array $response): Credit
    {
        $chosen = Reading::textById($response, 'rows', $question->keys);
        if ($chosen === []) {
            return Credit::leftBlank();
        }
        $right = [];
        foreach ($chosen as $row => $choice) {
            if (! in_array($choice, $question->choices[$row], true)) {
                throw MalformedResponse::unknown('a choice', $choice);
            }
            if ($choice === $question->keys[$row]) {
                $right[] = $row;
            }
        }

        return $this->parts($question->rule, $right, $question->weights);
    }

    /** @param  array<mixed>  $response */
    private function typedGaps(TypedGaps $question, array $response): Credit
    {
        $typed = Reading::textById($response, 'gaps', $question->gaps);
        if ($typed === []) {
            return Credit::leftBlank();
        }
        $right = [];
        foreach ($typed as $gap => $text) {
            if (TypedText::matches($text, $question->gaps[$gap])) {
                $right[] = $gap;
            }
        }

        return $this->parts($question->rule, $right, $question->weights);
    }

    /**
     * @param  list<string>  $right
     * @param  array<string, BigRational>  $weights
     */
    private function parts(Rule $rule, array $right, array $weights): Credit
    {
        if ($rule === Rule::AllOrNothing) {
            return Credit::when(count($right) === count($weights));
        }
        $share = BigRational::zero();
        foreach ($right as $id) {
            $share = $share->plus($weights[$id]);
        }

        return Credit::of($share->simplified());
    }

    /** @param  array<mixed>  $response */
    private function ordering(Ordering $question, array $response): Credit
    {
        $order = Reading::ids($response, 'order', $question->places);
        if ($order === []) {
            return Credit::leftBlank();
        }
        $n = count($question->places);
        if (count($order) !== $n) {
            throw MalformedResponse::because('An ordering must name every item once.');
        }
        $places = array_map(static fn (string $id): int => $question->places[$id], $order);

        return match ($question->rule) {
            Rule::Neighbours => Credit::ratio($this->neighboursKept($places), $n - 1),
            Rule::Pairs => Credit::ratio($this->pairsKept($places), intdiv($n * ($n - 1), 2)),
            default => Credit::when($places === range(0, $n - 1)),
        };
    }

    /** @param  list<int>  $places */
    private function neighboursKept(array $places): int
    {
        $kept = 0;
        for ($i = 1; $i < count($places); $i++) {
            $kept += $places[$i] === $places[$i - 1] + 1 ? 1 : 0;
        }

        return $kept;
    }

    /** @param  list<int>  $places */
    private function pairsKept(array $places): int
    {
        $kept = 0;
        foreach ($places as $i => $place) {
            for ($j = $i + 1; $j < count($places); $j++) {
                $kept += $place < $places[$j] ? 1 : 0;
            }
        }

        return $kept;
    }

    /** @param  array<mixed>  $response */
    private function number(Number $question, array $response): Credit
    {
        $text = Reading::text($response, 'text');
        $unit = Reading::text($response, 'unit');
        if (PlainText::isEmpty($text)) {
            return Credit::leftBlank();
        }
        $value = NumberText::parse($text);
        if ($value === null) {
            return Credit::nothing();
        }
        if ($question->units !== []) {
            $factor = self::factor($question, $unit);
            if ($factor === null) {
                return Credit::nothing();
            }
            $value = $value->multipliedBy($factor);
        }

        return Credit::when($value->minus($question->key)->abs()->isLessThanOrEqualTo($question->tolerance));
    }

    /** What turns a unit as it was typed into the key's unit; null: none that is accepted. */
    private static function factor(Number $question, string $unit): ?BigRational
    {
        $typed = PlainText::compatible(PlainText::trim($unit));
        foreach ($question->units as $accepted => $factor) {
            if (PlainText::compatible((string) $accepted) === $typed) {
                return $factor;
            }
        }

        return null;
    }

    /** @param  array<mixed>  $response */
    private function picture(Picture $question, array $response): Credit
    {
        $points = Reading::points($response);
        $targets = count($question->targets);
        if ($points === []) {
            return Credit::leftBlank();
        }
        if (count($points) > $targets) {
            return Credit::nothing();
        }
        $hit = count($this->targetsHit($question, $points));

        return $question->rule === Rule::AllOrNothing
            ? Credit::when($hit === $targets)
            : Credit::ratio($hit, $targets);
    }

    /**
     * The targets that different points can be matched with, as many as possible, so that one point in an overlap does
     * not hit twice (augmenting paths, Kuhn 1955).
     *
     * @param  list<Point>  $points
     * @return array<array-key, int> target => point
     */
    public function targetsHit(Picture $question, array $points): array
    {
        $pointOf = [];
        foreach (array_keys($points) as $point) {
            $tried = [];
            $this->place(question: $question, points: $points, point: $point, pointOf: $pointOf, tried: $tried);
        }

        return $pointOf;
    }

    /**
     * @param  list<Point>  $points
     * @param  array<array-key, int>  $pointOf  target => point
     * @param  array<array-key, true>  $tried
     */
    private function place(Picture $question, array $points, int $point, array &$pointOf, array &$tried): bool
    {
        foreach ($question->targets as $target => $region) {
            if (isset($tried[$target]) || ! $region->contains($points[$point])) {
                continue;
            }
            $tried[$target] = true;
            if (
                ! isset($pointOf[$target]) ||
                $this->place(
                    question: $question,
                    points: $points,
                    point: $pointOf[$target],
                    pointOf: $pointOf,
                    tried: $tried,
                )
            ) {
                $pointOf[$target] = $point;

                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<mixed>  $response
     * @param  array<string, int|float|string>|null  $rubricMarks
     */
    private function written(Written $question, array $response, ?array $rubricMarks): Credit
    {
        if (PlainText::isEmpty(Reading::text($response, 'text'))) {
            return Credit::leftBlank();
        }
        if ($rubricMarks === null) {
            return Credit::pending();
        }
        $given = BigRational::zero();
        foreach ($rubricMarks as $criterion => $points) {
            $possible =
                $question->rubric[$criterion] ?? throw MalformedResponse::unknown('a criterion', (string) $criterion);
            $exact = is_float($points) && ! is_finite($points) ? null : NumberText::parse((string) $points);
            if ($exact === null || $exact->getSign() < 0 || $exact->isGreaterThan($possible)) {
                throw MalformedResponse::because(
                    "Criterion \"{$criterion}\" gives 0 to {$possible->toScale(
                        2,
                        \Brick\Math\RoundingMode::HALF_UP,
                    )} points.",
                );
            }
            $given = $given->plus($exact);
        }

        return Credit::of($given->dividedBy($question->possible));
    }
}
