<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Brick\Math\BigRational;
use Uplandia\Core\Chance;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\NumberText;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Marking\PlainText;
use Uplandia\Core\Marking\Verdict;

/** A number with a tolerance, and a unit if one is asked for. */
final readonly class Number extends Question
{
    /** What its one verdict is called. */
    public const WHOLE = 'number';

    /** The tolerance as a distance: max(absolute, relative·|key|). */
    public BigRational $tolerance;

    /**
     * @param  BigRational  $absolute  in the unit of the key, not negative
     * @param  BigRational  $relative  a share of |key|, not negative
     * @param  array<string, BigRational>  $units  accepted unit => factor that turns it into the key's unit; empty: no
     *   unit asked for
     * @param  list<BigRational>  $slips  wrong values that people come to
     *
     * @throws InvalidQuestion
     */
    public function __construct(
        public BigRational $key,
        BigRational $absolute,
        BigRational $relative,
        public array $units = [],
        public array $slips = [],
    ) {
        if ($absolute->getSign() < 0 || $relative->getSign() < 0) {
            throw InvalidQuestion::because('A tolerance cannot be negative.');
        }
        foreach ($units as $unit => $factor) {
            if ($factor->getSign() <= 0) {
                throw InvalidQuestion::because("The factor of unit \"{$unit}\" must be more than 0.");
            }
        }
        $share = $relative->multipliedBy($key->abs());
        $this->tolerance = $absolute->isGreaterThan($share) ? $absolute : $share;
    }

    /** The same question with another key and the same distance of tolerance. */
    public function at(BigRational $key): self
    {
        return new self(key: $key, absolute: $this->tolerance, relative: BigRational::zero(), units: $this->units);
    }

    public static function read(Kind $kind, Fields $shown, Fields $answer): self
    {
        return new self(
            key: $answer->exact('value'),
            absolute: $answer->exact('absolute'),
            relative: $answer->exact('relative'),
            units: $answer->exactMap('units'),
            slips: array_map(
                static fn (Fields $slip): BigRational => $slip->exact('value'),
                $answer->each('slips'),
            ),
        );
    }

    public function kind(): Kind
    {
        return Kind::Number;
    }

    protected function credit(array $response, ?array $rubricMarks): Credit
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
        if ($this->units !== []) {
            $factor = $this->factor($unit);
            if ($factor === null) {
                return Credit::nothing();
            }
            $value = $value->multipliedBy($factor);
        }

        return Credit::when($value->minus($this->key)->abs()->isLessThanOrEqualTo($this->tolerance));
    }

    protected function judge(array $response): array
    {
        $outcome = $this->mark($response)->outcome;
        $verdicts = [self::WHOLE => self::answered($outcome->wasAnswered(), $outcome === Outcome::Right)];
        foreach ($this->slips as $i => $slip) {
            // Who typed a slip is told so by the same rule that marks: as if the slip were the key.
            $mine =
                $outcome === Outcome::Missed &&
                $this->at($slip)->mark($response)->outcome === Outcome::Right;
            $verdicts["slip-{$i}"] = $mine ? Verdict::Wrong : Verdict::Plain;
        }

        return $verdicts;
    }

    public function right(Chance $chance): array
    {
        return $this->typed((string) $this->key);
    }

    /** A slip that people make, or something far off. */
    public function wrong(Chance $chance, array $slips = []): array
    {
        return $this->typed(
            $slips === []
                ? (string) $this->key->plus($this->tolerance)->multipliedBy(2)->plus(1)
                : $chance->one($slips),
        );
    }

    /** What turns a unit as it was typed into the key's unit; null: none that is accepted. */
    private function factor(string $unit): ?BigRational
    {
        $typed = PlainText::compatible(PlainText::trim($unit));
        foreach ($this->units as $accepted => $factor) {
            if (PlainText::compatible((string) $accepted) === $typed) {
                return $factor;
            }
        }

        return null;
    }

    /** @return array<string, string> */
    private function typed(string $text): array
    {
        foreach ($this->units as $unit => $factor) {
            if ($factor->isEqualTo(1)) {
                return ['text' => $text, 'unit' => (string) $unit];
            }
        }
        $exact = BigRational::of($text);

        return ['text' => $exact->getDenominator()->isEqualTo(1) ? (string) $exact->getNumerator() : $text];
    }
}
