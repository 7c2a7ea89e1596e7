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
        $timed = $terms->limit !== null && $marks->getSign() > 0;

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
            extraTime: $terms->extraTime,
            msPerMark: $timed
                ? PacePlan::of(
                    time: (int) $terms->limit,
                    reading: $terms->reading,
                    reserve: 0,
                    marks: $marks,
                )->timeFor(1)
                : null,
            pausable: $terms->pausable,
            breaks: $terms->breaks,
            sections: $blueprint === null ? [] : ExamSectionView::allOf($blueprint),
            reasons: array_map(
                fn (array $reason): ReasonView => new ReasonView(...$reason),
                $sitting->test->reasons ?? [],
            ),
        );
    }
}
