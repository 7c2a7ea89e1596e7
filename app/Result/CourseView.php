<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Result\Course;
use Uplandia\Core\Result\Timing;

/** Where the time went. */
#[OA\Schema(schema: 'Course')]
final readonly class CourseView
{
    /**
     * @param  list<LegView>  $legs
     * @param  list<int>  $slowest
     * @param  list<float|null>  $quarters
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: LegView::class))] public array $legs,
        #[OA\Property(nullable: true, description: 'At the end, planned less spent; null: there was no plan.')]
        public ?int $aheadMs,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'integer'),
                description: 'Positions of the five longest on screen, longest first.',
            ),
        ]
        public array $slowest,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'number', nullable: true),
                description: 'Mean credit of each quarter of the test, 0 to 1; null: nothing is marked. None of an adaptive test.',
            ),
        ]
        public array $quarters,
        #[OA\Property(description: 'The last quarter lies clearly below the first.')] public bool $fades,
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
        );
    }
}
