<?php

declare(strict_types=1);

namespace App\Result;

use App\Question\Exam;
use App\Sitting\KeyGate;
use App\Sitting\Pace;
use App\Sitting\Sitting;
use App\Sitting\SittingRepository;
use Brick\Math\BigRational;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Result\Breakdown;
use Uplandia\Core\Result\Changes;
use Uplandia\Core\Result\Course;
use Uplandia\Core\Result\Headline;
use Uplandia\Core\Result\OwnTempo;
use Uplandia\Core\Result\QuestionResult;
use Uplandia\Core\Result\Striking;
use Uplandia\Core\Result\SurenessReport;
use Uplandia\Core\Result\Timing;
use Uplandia\Core\Result\Totals;
use Uplandia\Core\Shown;

/** Reads the result of a sitting that was handed in, from its outcomes. The core decides what they come to. */
final readonly class ResultReader
{
    public function __construct(
        private SatQuestions $questions,
        private Breakdowns $breakdowns,
        private Sections $sections,
        private FollowUps $followUps,
        private TellsExpected $expected,
        private Compares $compares,
        private KeyGate $gate,
        private Pace $pace,
        private SittingRepository $repository,
    ) {
    }

    public function of(Sitting $sitting): ResultView
    {
        $sitting->loadMissing('test.exam', 'user');
        $exam = $sitting->test->exam;
        $cut = BigRational::of($exam->rules['cut']);
        $sat = $this->questions->of($sitting);
        $untold = $this->gate->untold($sitting);
        $results = array_column($sat, 'result');
        $whole = Breakdown::whole($results, $cut->toFloat());
        $headline = Headline::of($results, $cut);
        $sureness = SurenessReport::of($results);
        $terms = $sitting->terms();
        $expected = $this->expected->of($sitting);
        $tally = TallyView::of($whole->totals, $whole->meanMs);
        $habits = $this->habits($results);
        $share = $whole->totals->shareOfAll();
        $another = $sitting->test->isInAnotherWay();

        return new ResultView(
            sitting: $sitting->id,
            exam: $exam->slug,
            title: $sitting->name,
            noteTitle: $sitting->note_title,
            note: $sitting->note,
            mode: $terms->mode,
            startedAt: (int) $sitting->started_ms,
            endedAt: (int) $sitting->ended_ms,
            byClock: $sitting->by_clock,
            waited: $sitting->waited,
            activeMs: $sitting->active_ms,
            limitMs: $terms->limit,
            tally: $expected === null ? $tally : $tally->withoutShares(),
            share: $expected === null && $share !== null ? Shown::wholePercent($share, $cut) : null,
            cut: Shown::percent($cut),
            counts: $sitting->counts,
            anotherWay: $another,
            clickedThrough: Headline::isClickedThrough($habits->rapidGuesses, $whole->totals),
            same: $sitting->test->isRepeatable(),
            fresh: $sitting->test->canBeFresh($sitting->user_id),
            untold: count($untold),
            scaled: $untold === [] ? $this->scaled($sitting, $exam, $whole->totals) : null,
            expected: $expected,
            opening: $expected->sentence ?? $headline->opening,
            facts: $expected === null ? $headline->facts : [],
            breakdowns: $expected === null
                ? $this->breakdowns->of(results: $results, exam: $exam, sections: $sitting->test->of_exam || $another)
                : [],
            levels: array_map(LevelView::of(...), $sureness->levels),
            footing: FootingView::of($sureness->footing),
            calibration: CalibrationView::of($sureness),
            habits: $habits,
            course: $this->course($sitting, $results, $whole->totals->possible),
            questions: $this->lines($sitting, $sat),
            reading: $this->sections->worthReading($exam, $sat),
            next: $expected === null ? $this->followUps->offer($sitting, $results) : null,
            place: $untold === [] ? $this->compares->of($sitting) : PlaceView::untold(),
        );
    }

    public function review(Sitting $sitting): ReviewView
    {
        $sitting->loadMissing('test.exam');

        return new ReviewView(
            sitting: $sitting->id,
            exam: $sitting->test->exam->slug,
            title: $sitting->name,
            items: $this->lines($sitting, $this->questions->of($sitting)),
        );
    }

    /**
     * @param  list<SatQuestion>  $sat
     * @return list<QuestionLineView>
     */
    public function lines(Sitting $sitting, array $sat): array
    {
        // Tries before the key, and what was closed before the end: only the events know of them.
        $terms = $sitting->terms();
        $state = $terms->mode === Mode::Tutor || $terms->closesQuestions() ? $this->repository->state($sitting) : null;
        $tempo = OwnTempo::of(array_column($sat, 'result'));

        return array_map(
            fn (SatQuestion $one): QuestionLineView => QuestionLineView::of(
                $one,
                $state->questions[$one->result->position] ?? null,
                $tempo,
            ),
            $sat,
        );
    }

    /** On the exam's scale: only a whole paper or rehearsal, and only when all of it is marked. */
    private function scaled(Sitting $sitting, Exam $exam, Totals $totals): ?ScaledView
    {
        $share = $totals->pending === 0 ? $totals->shareOfAll() : null;

        return $sitting->test->isWholeExam() && $share !== null
            ? ScaledView::of($exam->blueprint()->scale, $share)
            : null;
    }

    /** @param  list<QuestionResult>  $results */
    private function course(Sitting $sitting, array $results, BigRational $marks): CourseView
    {
        $course = Course::of($results, $this->pace->of($sitting, $marks));

        return CourseView::of($course, Timing::of($results), shares: $sitting->test->adaptive === null);
    }

    /** @param  list<QuestionResult>  $results */
    private function habits(array $results): HabitsView
    {
        $changes = Changes::of($results);
        $striking = Striking::of($results);

        return new HabitsView(
            wrongToRight: $changes->wrongToRight,
            rightToWrong: $changes->rightToWrong,
            wrongToWrong: $changes->wrongToWrong,
            ruledOut: $striking->questions,
            keyRuledOut: $striking->keyStruck,
            narrowedToTwo: $striking->narrowedToTwo,
            accuracyNarrowed: $striking->accuracyNarrowed,
            rapidGuesses: count(array_filter($results, fn (QuestionResult $result): bool => $result->isRapidGuess())),
        );
    }
}
