<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Uplandia\Core\Sitting\Sureness;
use Uplandia\Core\Statistics\Interval;
use Uplandia\Core\Statistics\Sample;
use Uplandia\Core\Statistics\Wilson;

/** How well stated sureness agrees with what came of it. Source: computation.md, section 6. */
final readonly class SurenessReport
{
    /** Fewer stated answers say little of how well somebody knows what they know. */
    private const FEWEST = 20;

    private const STATED = ['sure' => 0.95, 'leaning' => 0.65];

    /**
     * @param  list<Level>  $levels  sure, leaning, guess
     * @param  float|null  $calibration  mean stated less mean credit; positive: over-confident; null: nothing was
     *   stated
     * @param  Interval|null  $calibrationWithin  95 % of the calibration: mean ± 1.96 s/√n of the differences; null:
     *   fewer than two were stated
     * @param  float|null  $brier  mean squared distance of stated value and credit (Brier 1950)
     * @param  array<string, int>  $footing  by Footing value
     */
    private function __construct(
        public int $n,
        public array $levels,
        public ?float $calibration,
        public ?Interval $calibrationWithin,
        public ?float $brier,
        public array $footing,
    ) {
    }

    /** @param  list<QuestionResult>  $answers */
    public static function of(array $answers): self
    {
        $stated = $credit = ['sure' => [], 'leaning' => [], 'guess' => []];
        $footing = array_fill_keys(array_column(Footing::cases(), 'value'), 0);
        $differences = [];
        foreach ($answers as $answer) {
            if ($answer->sureness === null || $answer->credit->share === null || $answer->isRapidGuess()) {
                continue;
            }
            $level = $answer->sureness->value;
            $value = self::STATED[$level] ?? $answer->luck;
            $stated[$level][] = $value;
            $credit[$level][] = $answer->share();
            $differences[] = $value - $answer->share();
            $step = Footing::of($answer->sureness, $answer->credit->outcome);
            if ($step !== null) {
                $footing[$step->value]++;
            }
        }

        $n = count($differences);
        $squares = array_map(static fn (float $difference): float => $difference ** 2, $differences);

        return new self(
            n: $n,
            levels: array_map(
                static fn (Sureness $sureness): Level => self::level(
                    $sureness,
                    $stated[$sureness->value],
                    $credit[$sureness->value],
                ),
                Sureness::cases(),
            ),
            calibration: Sample::mean($differences),
            calibrationWithin: self::within($differences),
            brier: Sample::mean($squares),
            footing: $footing,
        );
    }

    /** What all stated answers together say; called only where the interval excludes 0, and on enough of them. */
    public function leaning(): Leaning
    {
        return match (true) {
            $this->calibrationWithin === null || $this->isThin() => Leaning::Neither,
            $this->calibrationWithin->low > 0 => Leaning::OverConfident,
            $this->calibrationWithin->high < 0 => Leaning::UnderConfident,
            default => Leaning::Neither,
        };
    }

    /** @param  list<float>  $differences */
    private static function within(array $differences): ?Interval
    {
        $mean = Sample::mean($differences);
        $variance = Sample::variance($differences);
        if ($mean === null || $variance === null) {
            return null;
        }
        $half = Wilson::Z95 * sqrt($variance / count($differences));

        return new Interval($mean - $half, $mean + $half);
    }

    /** Whether too few answers were stated to say much. */
    public function isThin(): bool
    {
        return $this->n < self::FEWEST;
    }

    /**
     * @param  list<float>  $stated
     * @param  list<float>  $credit
     */
    private static function level(Sureness $sureness, array $stated, array $credit): Level
    {
        $n = count($stated);
        if ($n === 0) {
            return new Level(
                sureness: $sureness,
                n: 0,
                stated: null,
                accuracy: null,
                interval: new Interval(0.0, 1.0),
                leaning: Leaning::Neither,
            );
        }
        $interval = Wilson::interval(array_sum($credit), $n);
        $value = array_sum($stated) / $n;

        return new Level(
            sureness: $sureness,
            n: $n,
            stated: $value,
            accuracy: array_sum($credit) / $n,
            interval: $interval,
            leaning: match (true) {
                $interval->high < $value => Leaning::OverConfident,
                $interval->low > $value => Leaning::UnderConfident,
                default => Leaning::Neither,
            },
        );
    }
}
