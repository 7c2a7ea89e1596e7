<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\ExamSectionView;
use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Shown;
use Uplandia\Core\Sitting\PacePlan;

/** Tells a candidate what they are about to sit. */
final class Briefings
{
    public function of(Sitting $sitting): BriefingView
    {
        $sitting->loadMissing('test.exam', 'user');
        $terms = $sitting->terms();
        $blueprint = $sitting->test->blueprint();
        $marks = BigRational::zero();
        foreach (DB::table('test_items')->where('test_id', $sitting->test_id)->pluck('marks') as $worth) {
            $marks = $marks->plus(is_string($worth) ? $worth : 0);
        }
        $sections = $blueprint === null ? [] : ExamSectionView::allOf($blueprint);
        $plan = $terms->limit !== null && $marks->getSign() > 0
            ? PacePlan::of(
                time: $terms->limit,
                reading: $terms->reading,
                reserve: min($sitting->reserve_ms, $this->mostReserve($sitting)),
                marks: $marks,
            )
            : null;

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
            sections: $sections,
            planMs: $plan === null
                ? []
                : array_map(fn (ExamSectionView $section): int => $plan->timeFor($section->marks), $sections),
            reasons: array_map(
                fn (array $reason): ReasonView => new ReasonView(...$reason),
                $sitting->test->reasons ?? [],
            ),
        );
    }

    /** The most that may be left at the end, in milliseconds: half of the time for answering. */
    public function mostReserve(Sitting $sitting): int
    {
        return intdiv($sitting->terms()->answering() ?? 0, 2);
    }
}
