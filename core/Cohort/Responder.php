<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

use Brick\Math\BigRational;
use Uplandia\Core\Question\Number;
use Uplandia\Core\Question\Ordering;
use Uplandia\Core\Question\Picture;
use Uplandia\Core\Question\Point;
use Uplandia\Core\Question\Question;
use Uplandia\Core\Question\Rows;
use Uplandia\Core\Question\Several;
use Uplandia\Core\Question\Single;
use Uplandia\Core\Question\Target;
use Uplandia\Core\Question\TypedGaps;
use Uplandia\Core\Question\Written;

/** Puts a made-up person's right or wrong into a response that can be marked, for every kind of question. */
final readonly class Responder
{
    private const TRIES = 400;

    public function __construct(private Chance $chance)
    {
    }

    /**
     * What a simulated answer looks like on the page.
     *
     * @param  list<string>  $slips  as for `wrong`
     * @return array<string, mixed>
     */
    public function respond(SimulatedAnswer $answer, Question $question, array $slips = []): array
    {
        return match (true) {
            $answer->option !== null => ['choice' => $answer->option],
            $answer->right => $this->right($question),
            default => $this->wrong($question, $slips),
        };
    }

    /** @return array<string, mixed> a response that earns full credit (for a written answer: one to be marked) */
    public function right(Question $question): array
    {
        return match (true) {
            $question instanceof Single => ['choice' => $question->key],
            $question instanceof Several => ['choices' => self::names($question->keys)],
            $question instanceof Rows => ['rows' => $question->keys],
            $question instanceof Ordering => ['order' => self::names($question->places)],
            $question instanceof Number => self::number($question, (string) $question->key),
            $question instanceof TypedGaps => [
                'gaps' => array_map(static fn ($gap): string => $gap->accepted[0], $question->gaps),
            ],
            $question instanceof Picture => [
                'points' => array_map($this->inside(...), array_values($question->targets)),
            ],
            default => ['text' => 'We stop, think, and go on together.'],
        };
    }

    /**
     * A response that earns less than full credit, often a part of it.
     *
     * @param  list<string>  $slips  wrong numbers that people come to, for numbers
     * @return array<string, mixed>
     */
    public function wrong(Question $question, array $slips = []): array
    {
        return match (true) {
            $question instanceof Single => [
                'choice' => $this->one(array_diff(self::names($question->options), [$question->key])),
            ],
            $question instanceof Several => ['choices' => $this->severalBut($question)],
            $question instanceof Rows => ['rows' => $this->rowsBut($question)],
            $question instanceof Ordering => ['order' => $this->orderBut(self::names($question->places))],
            $question instanceof Number => self::number(
                $question,
                $slips === []
                    ? (string) $question->key->plus($question->tolerance)->multipliedBy(2)->plus(1)
                    : $this->one($slips),
            ),
            $question instanceof TypedGaps => ['gaps' => $this->gapsBut($question)],
            $question instanceof Picture => ['points' => [$this->outside(array_values($question->targets))]],
            default => ['text' => 'Go on.'],
        };
    }

    /**
     * The points a person gives their own written answer.
     *
     * @return array<string, string> by criterion
     */
    public function rubricMarks(Written $question, bool $right): array
    {
        return array_map(
            fn (BigRational $points): string => $right || $this->chance->happens(0.4) ? (string) $points : '0',
            $question->rubric,
        );
    }

    /** @return list<string> */
    private function severalBut(Several $question): array
    {
        $keys = self::names($question->keys);
        $others = array_values(array_diff(self::names($question->options), $keys));
        $kept = array_slice($this->chance->shuffled($keys), 0, max(0, count($keys) - 1));

        return $others === [] ? ($kept === [] ? $keys : $kept) : [...$kept, $this->one($others)];
    }

    /** @return array<string, string> */
    private function rowsBut(Rows $question): array
    {
        $rows = $question->keys;
        $wrong = $this->chance->between(1, max(1, intdiv(count($rows) + 1, 2)));
        foreach (array_slice($this->chance->shuffled(array_map(strval(...), array_keys($rows))), 0, $wrong) as $row) {
            $others = array_values(array_diff($question->choices[$row], [$rows[$row]]));
            $rows[$row] = $others === [] ? $rows[$row] : $this->one($others);
        }

        return $rows;
    }

    /**
     * Two neighbours swapped, or all of it shuffled.
     *
     * @param  list<string>  $order
     * @return list<string>
     */
    private function orderBut(array $order): array
    {
        if ($this->chance->happens(0.4)) {
            $shuffled = $this->chance->shuffled($order);
            if ($shuffled !== $order) {
                return $shuffled;
            }
        }
        $at = $this->chance->between(0, count($order) - 2);
        [$order[$at], $order[$at + 1]] = [$order[$at + 1], $order[$at]];

        return array_values($order);
    }

    /** @return array<string, string> */
    private function gapsBut(TypedGaps $question): array
    {
        $gaps = array_map(static fn ($gap): string => $gap->accepted[0], $question->gaps);
        $gaps[$this->one(array_map(strval(...), array_keys($gaps)))] = 'not sure';

        return $gaps;
    }

    /** @return array{x: float, y: float} */
    private function inside(Target $target): array
    {
        [$from, $to] = $target->bounds();
        for ($i = 0; $i < self::TRIES; $i++) {
            $point = new Point(
                round($from->x + ($to->x - $from->x) * $this->chance->uniform(), 4),
                round($from->y + ($to->y - $from->y) * $this->chance->uniform(), 4),
            );
            if ($target->contains($point)) {
                break;
            }
        }

        return ['x' => $point->x, 'y' => $point->y];
    }

    /**
     * @param  list<Target>  $targets
     * @return array{x: float, y: float}
     */
    private function outside(array $targets): array
    {
        for ($i = 0; $i < self::TRIES; $i++) {
            $point = new Point(round($this->chance->uniform(), 4), round($this->chance->uniform(), 4));
            $hit = array_filter($targets, static fn (Target $target): bool => $target->contains($point));
            if ($hit === []) {
                break;
            }
        }

        return ['x' => $point->x, 'y' => $point->y];
    }

    /** @return array<string, string> */
    private static function number(Number $question, string $text): array
    {
        foreach ($question->units as $unit => $factor) {
            if ($factor->isEqualTo(1)) {
                return ['text' => $text, 'unit' => (string) $unit];
            }
        }
        $exact = BigRational::of($text);

        return ['text' => $exact->getDenominator()->isEqualTo(1) ? (string) $exact->getNumerator() : $text];
    }

    /** @param  array<string>  $values  at least one */
    private function one(array $values): string
    {
        return $this->chance->shuffled(array_values($values))[0] ?? '';
    }

    /**
     * @param  array<array-key, mixed>  $byName
     * @return list<string>
     */
    private static function names(array $byName): array
    {
        return array_map(strval(...), array_keys($byName));
    }
}
