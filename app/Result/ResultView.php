<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\Mode;

/** All that the result screen shows. */
#[OA\Schema(schema: 'Result')]
final readonly class ResultView
{
    /**
     * @param  list<string>  $facts
     * @param  list<BreakdownView>  $breakdowns
     * @param  list<LevelView>  $levels
     * @param  list<QuestionLineView>  $questions
     * @param  list<WorthReadingView>  $reading
     */
    public function __construct(
        #[OA\Property] public string $sitting,
        #[OA\Property] public string $exam,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Mode::class)] public Mode $mode,
        #[OA\Property] public int $startedAt,
        #[OA\Property] public int $endedAt,
        #[OA\Property(description: 'Time ran out.')] public bool $byClock,
        #[OA\Property(description: 'The same while its device had no contact: it counts for its candidate alone.')]
        public bool $waited,
        #[OA\Property] public int $activeMs,
        #[OA\Property(nullable: true)] public ?int $limitMs,
        #[OA\Property(ref: TallyView::class)] public TallyView $tally,
        #[
            OA\Property(
                description: 'Questions that are left out of all of this: a test whose clock is not over still asks them.',
            ),
        ]
        public int $untold,
        #[
            OA\Property(
                nullable: true,
                description: 'Of all marks, as a percentage: whole, unless that would hide on which side of the cut it lies.',
            ),
        ]
        public ?string $share,
        #[OA\Property(description: 'The share that passes the real exam, as a percentage.')] public string $cut,
        #[OA\Property(description: 'At least 80 % answered, so that it counts in statistics.')] public bool $counts,
        #[
            OA\Property(
                description: 'So many answers came faster than the questions can be read that it says little of what one knows.',
            ),
        ]
        public bool $clickedThrough,
        #[OA\Property(description: 'Whether its questions can be sat again as they are.')] public bool $same,
        #[OA\Property(description: 'Whether fresh questions can be had in the same way.')] public bool $fresh,
        #[
            OA\Property(
                ref: ScaledView::class,
                nullable: true,
                description: 'Of a fixed paper whose answers are all marked.',
            ),
        ]
        public ?ScaledView $scaled,
        #[
            OA\Property(
                ref: ExpectedView::class,
                nullable: true,
                description: 'Of an adaptive test; then shares of what it asked say nothing, and are not told.',
            ),
        ]
        public ?ExpectedView $expected,
        #[OA\Property(description: 'Where the result stands, in a sentence.')] public string $opening,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'At most two, the most useful first.',
            ),
        ]
        public array $facts,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: BreakdownView::class),
                description: 'By topic first; by anything else only where it differs. None of an adaptive test.',
            ),
        ]
        public array $breakdowns,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LevelView::class))] public array $levels,
        #[OA\Property(ref: FootingView::class)] public FootingView $footing,
        #[OA\Property(ref: CalibrationView::class, nullable: true)] public ?CalibrationView $calibration,
        #[OA\Property(ref: HabitsView::class)] public HabitsView $habits,
        #[OA\Property(ref: CourseView::class)] public CourseView $course,
        #[OA\Property(type: 'array', items: new OA\Items(ref: QuestionLineView::class))] public array $questions,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: WorthReadingView::class),
                description: 'Those that would have saved most first, and only a few.',
            ),
        ]
        public array $reading,
        #[
            OA\Property(
                ref: FollowUpView::class,
                nullable: true,
                description: 'A test that can be begun at once, made of what this one showed.',
            ),
        ]
        public ?FollowUpView $next,
        #[OA\Property(ref: PlaceView::class)] public PlaceView $place,
    ) {
    }
}
