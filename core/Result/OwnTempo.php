<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Uplandia\Core\Statistics\Sample;

/**
 * How fast somebody was on a question, for them: their time against the cohort's median, less how much longer or
 * shorter than others they took over the whole test. Source: computation.md, section 5.
 */
final readonly class OwnTempo
{
    /** From so many answers on a tempo is told from chance. */
    private const FROM = 5;

    /** That much longer than one's own tempo is slow, that much shorter fast. */
    private const APART = 1.5;

    /** Exactly so much is neither. */
    private const ROUNDING = 1e-12;

    /** A tempo is spoken of where it differs from that of others by more than this. */
    private const SPOKEN_OF = 1.15;

    /**
     * @param  float  $tau  median of ln(own time / cohort's median); 0: too little is known
     * @param  int  $answers  that it goes by
     */
    private function __construct(private float $tau, public int $answers)
    {
    }

    /** @param  list<QuestionResult>  $results */
    public static function of(array $results): self
    {
        $ratios = [];
        foreach ($results as $result) {
            $ratio = self::ratio($result);
            if ($ratio !== null) {
                $ratios[] = $ratio;
            }
        }

        return new self(
            count($ratios) < self::FROM ? 0.0 : Sample::quantile($ratios, 0.5) ?? 0.0,
            count($ratios),
        );
    }

    /** @return Tempo|null null: neither, or it was not answered, or the others' time is not known */
    public function on(QuestionResult $result): ?Tempo
    {
        $ratio = self::ratio($result);

        return match (true) {
            $ratio === null => null,
            $ratio - $this->tau > log(self::APART) + self::ROUNDING => Tempo::Slow,
            $ratio - $this->tau < -log(self::APART) - self::ROUNDING => Tempo::Fast,
            default => null,
        };
    }

    /** How many times as long as others they took, e^τ; null: about as long, or too little is known. */
    public function asLong(): ?float
    {
        return abs($this->tau) > log(self::SPOKEN_OF) ? exp($this->tau) : null;
    }

    private static function ratio(QuestionResult $result): ?float
    {
        return $result->credit->wasAnswered() && $result->ms > 0 && $result->cohortMedianMs > 0
            ? log($result->ms / $result->cohortMedianMs)
            : null;
    }
}
