<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\ExamSectionView;
use App\Assembly\Test;
use App\Question\QuestionSets;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Filter\KindFilter;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Shown;

/** Tells a candidate what they are about to sit. */
final readonly class Briefings
{
    public function __construct(
        private QuestionSets $sets,
        private Pace $pace,
        private SeriesAttempts $attempts,
    ) {
    }

    public function of(Sitting $sitting): BriefingView
    {
        $sitting->loadMissing('test.exam', 'user');
        $terms = $sitting->terms();
        $blueprint = $sitting->test->blueprint();
        $marks = $this->pace->marks($sitting);
        $sections = $blueprint === null ? [] : ExamSectionView::allOf($blueprint);
        $plan = $this->pace->of($sitting, $marks);

        return new BriefingView(
            id: $sitting->id,
            exam: $sitting->test->exam->slug,
            title: $sitting->name,
            onPaper: $sitting->on_paper,
            mode: $terms->mode,
            status: $sitting->status,
            questions: $sitting->questions,
            answered: $sitting->answered,
            marks: Shown::decimal($marks),
            limitMs: $terms->limit,
            questionMs: $terms->questionLimit,
            asksSureness: $terms->asksSureness,
            readingMs: $terms->reading,
            reserveMs: $sitting->reserve_ms,
            extraTime: $terms->extraTime,
            msPerMark: $plan?->timeFor(1),
            pausable: $terms->pausable,
            breaks: $terms->breaks,
            breakFrom: $terms->breakFrom(),
            breakMs: $terms->breakLength,
            sections: $sections,
            planMs: $plan === null || $sections === []
                ? []
                : Pace::bySection($plan, array_column($sections, 'marks'), $terms->extraTime),
            reasons: array_map(
                fn (array $reason): ReasonView => new ReasonView(...$reason),
                $sitting->test->reasons ?? [],
            ),
            // Of one section alone, what the exam says of all its parts is not so.
            rules: $blueprint === null || $sitting->test->section !== null ? [] : $sitting->test->exam->rulesInWords(),
            kinds: $this->kinds($sitting->test),
            series: $this->series($sitting),
            most: $sitting->test->adaptive,
        );
    }

    private function series(Sitting $sitting): ?SeriesPlaceView
    {
        $attempt = SeriesAttempt::query()->where('sitting_id', $sitting->id)->with('test')->first();

        return $attempt === null ? null : new SeriesPlaceView(
            used: $this->attempts->of($sitting->user)[$attempt->series_test_id]->used ?? 1,
            attempts: $attempt->test->attempts,
        );
    }

    /** @return list<Kind> those that occur, as the vocabulary lists them */
    private function kinds(Test $test): array
    {
        // An adaptive test may ask whatever the bank has, and what it asks first is not told.
        $met = $test->adaptive === null
            ? DB::table('test_items')
                ->join('question_versions', 'question_versions.id', '=', 'test_items.version_id')
                ->where('test_items.test_id', $test->id)
                ->distinct()
                ->pluck('question_versions.kind')
                ->all()
            : array_keys(array_filter($this->sets->counts($test->exam_id, KindFilter::FAMILY)));

        return array_values(array_filter(Kind::cases(), fn (Kind $kind): bool => in_array($kind->value, $met, true)));
    }
}
