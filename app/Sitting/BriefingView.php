<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\ExamSectionView;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Question\Kind;

/** What a candidate should know before a sitting, and where it stands. */
final readonly class BriefingView
{
    /**
     * @param  bool  $onPaper  Its answers come from paper.
     * @param  string  $marks  Exact, as a decimal.
     * @param  int|null  $limitMs  With extra time.
     * @param  int|null  $questionMs  For each question, with extra time; then there is no going back.
     * @param  bool  $asksSureness  Whether each question asks how sure one is.
     * @param  int  $readingMs  Of the limit, for reading before the clock begins.
     * @param  int  $reserveMs  What the candidate means to have left at the end.
     * @param  int|null  $msPerMark  By the pace plan.
     * @param  bool  $pausable  A pause stops the clock.
     * @param  int  $breaks  How many breaks may be taken; a break does not stop the clock.
     * @param  int|null  $breakFrom  Position of the last question that must have been seen first; null: at any time.
     * @param  int  $breakMs  How long a break is meant to be.
     * @param  list<ExamSectionView>  $sections  of a paper or a rehearsal
     * @param  list<int>  $planMs  Section by section, its time by the pace plan: with reading and reserve they add up
     *     to the limit. None without a plan.
     * @param  list<ReasonView>  $reasons  none: it is not made of weak spots
     * @param  list<string>  $rules  In the words of the exam; none: it is not sat under its rules.
     * @param  list<Kind>  $kinds  Kinds of question that occur, in no order of the test.
     * @param  SeriesPlaceView|null  $series  Null: it is no attempt at a test of a series.
     * @param  int|null  $most  Of an adaptive test, at most so many questions are asked, and each depends on the
     *     answer before; null: it is a fixed list.
     */
    public function __construct(
        public string $id,
        public string $exam,
        public string $title,
        public bool $onPaper,
        public Mode $mode,
        public Stage $status,
        public int $questions,
        public int $answered,
        public string $marks,
        public ?int $limitMs,
        public ?int $questionMs,
        public bool $asksSureness,
        public int $readingMs,
        public int $reserveMs,
        public string $extraTime,
        public ?int $msPerMark,
        public bool $pausable,
        public int $breaks,
        public ?int $breakFrom,
        public int $breakMs,
        public array $sections,
        public array $planMs,
        public array $reasons,
        public array $rules,
        public array $kinds,
        public ?SeriesPlaceView $series,
        public ?int $most,
    ) {
    }
}
