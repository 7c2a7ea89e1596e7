<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Uplandia\Core\Marking\Outcome;

/** Where the time went, and whether accuracy faded. Source: computation.md, section 5. */
final readonly class Timing
{
    private const SLOWEST = 5;

    private const QUARTERS = 4;

    /** A change between the first and the last quarter smaller than this is no fading. */
    private const FADES_BY = 0.15;

    /**
     * @param  list<int>  $slowest  positions of the five longest on screen, longest first
     * @param  list<float|null>  $quarters  mean credit of each quarter of the test; null: none of it was
     *   reached and marked
     * @param  list<int>  $fastAndMissed  positions missed faster than is one's own tempo
     * @param  float|null  $asLong  how many times as long as others the answers took; null: about as long
     */
    private function __construct(
        public array $slowest,
        public array $quarters,
        public array $fastAndMissed,
        public ?float $asLong,
    ) {
    }

    /** @param  list<QuestionResult>  $answers  in the order of the test */
    public static function of(array $answers): self
    {
        $times = $fast = [];
        $own = OwnTempo::of($answers);
        $sums = $counts = array_fill(0, self::QUARTERS, 0.0);
        $n = max(1, count($answers));
        foreach ($answers as $i => $answer) {
            $times[$answer->position] = $answer->ms;
            $quarter = intdiv($i * self::QUARTERS, $n);
            if (! in_array($answer->credit->outcome, [Outcome::Pending, Outcome::NotReached], true)) {
                $sums[$quarter] += $answer->share();
                $counts[$quarter]++;
            }
            if ($own->on($answer) === Tempo::Fast && $answer->credit->outcome === Outcome::Missed) {
                $fast[] = $answer->position;
            }
        }
        arsort($times);

        return new self(
            slowest: array_slice(array_keys(array_filter($times)), 0, self::SLOWEST),
            quarters: array_map(
                static fn (float $sum, float $count): ?float => $count > 0 ? $sum / $count : null,
                $sums,
                $counts,
            ),
            fastAndMissed: $fast,
            asLong: $own->asLong(),
        );
    }

    /** Accuracy in the last quarter lies clearly below that in the first. */
    public function fades(): bool
    {
        $first = $this->quarters[0] ?? null;
        $last = $this->quarters[self::QUARTERS - 1] ?? null;

        return $first !== null && $last !== null && $first - $last >= self::FADES_BY;
    }
}
