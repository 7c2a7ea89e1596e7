<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Result\Course;
use Uplandia\Core\Result\Timing;

/** Where the time went. */
final readonly class CourseView
{
    /**
     * @param  list<LegView>  $legs
     * @param  int|null  $aheadMs  At the end, planned less spent; null: there was no plan.
     * @param  list<int>  $slowest  Positions of the five longest on screen, longest first.
     * @param  list<float|null>  $quarters  Mean credit of each quarter of the test, 0 to 1; null: nothing is
     *     marked. None of an adaptive test.
     * @param  bool  $fades  The last quarter lies clearly below the first.
     * @param  float|null  $asLong  How many times as long as others the answers took in all; null: about as long, or
     *     too little is known.
     */
    public function __construct(
        public array $legs,
        public ?int $aheadMs,
        public array $slowest,
        public array $quarters,
        public bool $fades,
        public ?float $asLong,
    ) {
    }

    /** @param  bool  $shares  whether shares say anything: an adaptive test asks more of whoever knows more */
    public static function of(Course $course, Timing $timing, bool $shares): self
    {
        return new self(
            legs: array_map(LegView::of(...), $course->legs),
            aheadMs: $course->ahead(),
            slowest: $timing->slowest,
            quarters: $shares ? $timing->quarters : [],
            fades: $shares && $timing->fades(),
            asLong: $timing->asLong,
        );
    }
}
