<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Assembly\Mode;

/** All that the result screen shows. */
final readonly class ResultView
{
    /**
     * @param  string  $noteTitle  Of what was written of it as a whole.
     * @param  string  $note  That; empty: nothing.
     * @param  bool  $byClock  Time ran out.
     * @param  bool  $waited  The same while its device had no contact: it counts for its candidate alone.
     * @param  int  $untold  Questions that are left out of all of this: a test whose clock is not over still asks
     *     them.
     * @param  string|null  $share  Of all marks, as a percentage: whole, unless that would hide on which side of
     *     the cut it lies.
     * @param  string  $cut  The share that passes the real exam, as a percentage.
     * @param  bool  $counts  At least 80 % answered, so that it counts in statistics.
     * @param  bool  $anotherWay  A paper or a rehearsal, not sat as in the exam: no whole exam is compared with it.
     * @param  bool  $clickedThrough  So many answers came faster than the questions can be read that it says little
     *     of what one knows.
     * @param  bool  $same  Whether its questions can be sat again as they are.
     * @param  bool  $fresh  Whether fresh questions can be had in the same way.
     * @param  ScaledView|null  $scaled  Of a fixed paper whose answers are all marked.
     * @param  ExpectedView|null  $expected  Of an adaptive test; then shares of what it asked say nothing, and are
     *     not told.
     * @param  string  $opening  Where the result stands, in a sentence.
     * @param  list<string>  $facts  At most two, the most useful first.
     * @param  list<BreakdownView>  $breakdowns  By topic first; by anything else only where it differs. None of an
     *     adaptive test.
     * @param  list<LevelView>  $levels
     * @param  list<QuestionLineView>  $questions
     * @param  list<WorthReadingView>  $reading  Those that would have saved most first, and only a few.
     * @param  FollowUpView|null  $next  A test that can be begun at once, made of what this one showed.
     */
    public function __construct(
        public string $sitting,
        public string $exam,
        public string $title,
        public string $noteTitle,
        public string $note,
        public Mode $mode,
        public int $startedAt,
        public int $endedAt,
        public bool $byClock,
        public bool $waited,
        public int $activeMs,
        public ?int $limitMs,
        public TallyView $tally,
        public int $untold,
        public ?string $share,
        public string $cut,
        public bool $counts,
        public bool $clickedThrough,
        public bool $anotherWay,
        public bool $same,
        public bool $fresh,
        public ?ScaledView $scaled,
        public ?ExpectedView $expected,
        public string $opening,
        public array $facts,
        public array $breakdowns,
        public array $levels,
        public FootingView $footing,
        public ?CalibrationView $calibration,
        public HabitsView $habits,
        public CourseView $course,
        public array $questions,
        public array $reading,
        public ?FollowUpView $next,
        public PlaceView $place,
    ) {
    }
}
