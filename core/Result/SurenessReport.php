<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Uplandia\Core\Sitting\Sureness;
use Uplandia\Core\Statistics\Interval;
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
     * @param  float|null  $brier  mean squared distance of stated value and credit (Brier 1950)
     * @param  array<string, int>  $footing  by Footing value
     */
    private function __construct(
        public int $n,
        public array $levels,
        public ?float $calibration,
        public ?float $brier,
        public array $footing,
    ) {
    }

    /** @param  list<QuestionResult>  $answers */
    public static function of(array $answers): self
    {
        $stated = $credit = ['sure' => [], 'leaning' => [], 'guess' => []];
        $footing = array_fill_keys(array_column(Footing::cases(), 'value'), 0);
        $off = $square = 0.0;
        $n = 0;
        foreach ($answers as $answer) {
            if ($answer->sureness === null || $answer->credit->share === null || $answer->isRapidGuess()) {
                continue;
            }
            $level = $answer->sureness->value;
            $value = self::STATED[$level] ?? $answer->luck;
            $stated[$level][] = $value;
            $credit[$level][] = $answer->share();
            $off += $value - $answer->share();
            $square += ($value - $answer->share()) ** 2;
            $n++;
            $step = Footing::of($answer->sureness, $answer->credit->outcome);
            if ($step !== null) {
                $footing[$step->value]++;
            }
        }

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
            calibration: $n === 0 ? null : $off / $n,
            brier: $n === 0 ? null : $square / $n,
            footing: $footing,
        );
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
