<?php

declare(strict_types=1);

namespace App\Sitting;

use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Section;
use Uplandia\Core\Shown;
use Uplandia\Core\Sitting\PacePlan;

/** Tells a candidate what they are about to sit. */
final class Briefings
{
    public function of(Sitting $sitting): BriefingView
    {
        $sitting->loadMissing('test.exam', 'user');
        $terms = $sitting->terms();
        $marks = BigRational::zero();
        foreach (DB::table('test_items')->where('test_id', $sitting->test_id)->pluck('marks') as $worth) {
            $marks = $marks->plus(is_string($worth) ? $worth : 0);
        }
        $timed = $terms->limit !== null && $marks->getSign() > 0;

        return new BriefingView(
            id: $sitting->id,
            exam: $sitting->test->exam->slug,
            title: $sitting->test->title,
            mode: $terms->mode,
            status: $sitting->status,
            questions: $sitting->questions,
            answered: $sitting->answered,
            marks: Shown::decimal($marks),
            limitMs: $terms->limit,
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
            sections: $this->sections($sitting),
        );
    }

    /** @return list<SectionBriefView> */
    private function sections(Sitting $sitting): array
    {
        if ($sitting->test->paper_id === null) {
            return [];
        }

        return array_map(
            fn (Section $section): SectionBriefView => new SectionBriefView(
                name: $section->name,
                questions: $section->questions,
                marks: Shown::decimal($section->scheme->marks),
                penalty: $section->scheme->penalty->getSign() === 0 ? null : (string) $section->scheme->penalty,
            ),
            $sitting->test->exam->blueprint()->sections,
        );
    }
}
