<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Uplandia\Core\Exact;

/**
 * A scaled score: two straight lines that meet at the cut. Below the cut it is rounded down, from the cut on half up,
 * so that a rounded score never passes what the raw share fails. Source: computation.md, section 2.
 *
 * Example (200..800, cut 0.65 at 500): 0.6499 → 499, 0.65 → 500, 0.8 → 629.
 */
final readonly class Scale
{
    /** The share that passes. */
    public BigRational $cut;

    private BigRational $step;

    /**
     * @param  int  $low  score of a share of 0 (or less)
     * @param  int  $high  score of a share of 1
     * @param  BigRational|int|string  $cut  the share that passes, between 0 and 1
     * @param  int  $cutScore  score of the cut, between low and high
     * @param  int  $step  scores are low plus a multiple of this; the cut score must be one
     *
     * @throws InvalidScheme
     */
    public function __construct(
        public int $low,
        public int $high,
        BigRational|int|string $cut,
        public int $cutScore,
        int $step = 1,
    ) {
        $this->cut =
            Exact::parse($cut) ?? throw InvalidScheme::because('The cut must be an exact number.', 'not_exact');
        $this->step = BigRational::of($step);
        if (! ($low < $cutScore && $cutScore < $high)) {
            throw InvalidScheme::because('The score of the cut must lie between the lowest and the highest score.');
        }
        if ($this->cut->getSign() <= 0 || $this->cut->isGreaterThanOrEqualTo(1)) {
            throw InvalidScheme::because('The cut must be a share between 0 and 1.');
        }
        if ($step < 1 || ($cutScore - $low) % $step !== 0 || ($high - $low) % $step !== 0) {
            throw InvalidScheme::because(
                'The step must divide the way from the lowest score to the cut score and to the highest.',
            );
        }
    }

    /** @param  BigRational  $share  of all marks; outside 0 to 1 it is taken as 0 or 1 */
    public function score(BigRational $share): int
    {
        if ($share->getSign() < 0) {
            $share = BigRational::zero();
        }
        if ($share->isGreaterThan(1)) {
            $share = BigRational::one();
        }
        [$exact, $mode] = $share->isLessThan($this->cut)
            ? [$share->dividedBy($this->cut)->multipliedBy($this->cutScore - $this->low), RoundingMode::DOWN]
            : [
                $share
                    ->minus($this->cut)
                    ->dividedBy(BigRational::one()->minus($this->cut))
                    ->multipliedBy($this->high - $this->cutScore)
                    ->plus($this->cutScore - $this->low),
                RoundingMode::HALF_UP,
            ];

        return $this->low + $exact->dividedBy($this->step)->toScale(0, $mode)->toInt() * $this->step->toInt();
    }

    /** Whether a share passes: exactly, never by rounding. */
    public function passes(BigRational $share): bool
    {
        return $share->isGreaterThanOrEqualTo($this->cut);
    }
}
