<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\ExamSectionView;
use App\Assembly\PaperView;
use App\Question\Candidacy;
use App\Question\Exam;
use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Shown;

/** What an exam has that can be sat as it is, and what a candidate has made of it so far. */
final readonly class ReadyTests
{
    public function __construct(private SeriesAttempts $attempts)
    {
    }

    public function of(Candidacy $candidacy): ReadyView
    {
        $blueprint = $candidacy->exam->hasBlueprint() ? $candidacy->exam->blueprint() : null;

        return new ReadyView(
            exam: $candidacy->exam->slug,
            examName: $candidacy->exam->name,
            minutes: $blueprint->minutes ?? 0,
            questions: $blueprint?->questions() ?? 0,
            extraTime: $candidacy->user->extra_time,
            sections: $blueprint === null ? [] : ExamSectionView::allOf($blueprint),
            papers: $this->papers($candidacy),
            series: $this->series($candidacy),
        );
    }

    /** @return list<SeriesView> */
    private function series(Candidacy $candidacy): array
    {
        $rows = DB::table('series_tests')
            ->join('series', 'series.id', '=', 'series_tests.series_id')
            ->where('series.exam_id', $candidacy->exam->id)
            ->orderBy('series.position')
            ->orderBy('series_tests.position')
            ->select(['series.code as series', 'series.title as of', 'series.about', 'series_tests.*'])
            ->selectSub(
                DB::table('series_items')->selectRaw('count(*)')->whereColumn('series_test_id', 'series_tests.id'),
                'questions',
            )
            ->get();
        $attempts = $this->attempts->of($candidacy->user);
        $views = [];
        foreach ($rows->groupBy('series') as $code => $tests) {
            $first = $tests->firstOrFail();
            $views[] = new SeriesView(
                code: (string) $code,
                title: (string) $first->of,
                about: (string) $first->about,
                tests: array_values(
                    $tests->map(
                        fn (stdClass $row): SeriesTestView => self::test(
                            row: $row,
                            attempts: $attempts[(int) $row->id] ?? null,
                            cut: BigRational::of((string) $candidacy->exam->rules['cut']),
                        ),
                    )->all(),
                ),
            );
        }

        return $views;
    }

    private static function test(stdClass $row, ?Attempts $attempts, BigRational $cut): SeriesTestView
    {
        return new SeriesTestView(
            code: (string) $row->code,
            title: (string) $row->title,
            questions: (int) $row->questions,
            mode: Mode::from((string) $row->mode),
            minutes: $row->minutes === null ? null : (int) $row->minutes,
            attempts: $row->attempts === null ? null : (int) $row->attempts,
            used: $attempts->used ?? 0,
            best: $attempts?->best === null ? null : Shown::wholePercent($attempts->best, $cut),
            waiting: $attempts?->waiting,
        );
    }

    /** @return list<PaperView> */
    private function papers(Candidacy $candidacy): array
    {
        $papers = DB::table('papers')
            ->join('paper_items', 'paper_items.paper_id', '=', 'papers.id')
            ->leftJoin(
                'standings',
                fn ($join) => $join
                    ->on('standings.question_id', '=', 'paper_items.question_id')
                    ->where('standings.user_id', $candidacy->user->id)
                    ->whereNotNull('standings.outcome'),
            )
            ->where('papers.exam_id', $candidacy->exam->id)
            ->groupBy('papers.code', 'papers.title')
            ->orderBy('papers.code')
            ->selectRaw('papers.code, papers.title, count(*) as questions, count(standings.question_id) as met')
            ->get();
        $views = [];
        foreach ($papers as $row) {
            $views[] = new PaperView(
                code: (string) $row->code,
                title: (string) $row->title,
                questions: (int) $row->questions,
                minutes: $candidacy->exam->blueprint()->minutes,
                met: (int) $row->met,
            );
        }

        return $views;
    }
}
