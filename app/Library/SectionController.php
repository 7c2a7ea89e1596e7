<?php

declare(strict_types=1);

namespace App\Library;

use App\Handbook\HandbookSection;
use App\Http\Contract\Operation;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\OwnStandings;
use App\Sitting\BuiltView;
use App\Sitting\QuickTest;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Filter\TagFilter;
use Uplandia\Core\Assembly\Filters;

/** What is asked on a section of the handbook. */
final readonly class SectionController
{
    /** As long as a quiz at the end of a page may be. */
    private const QUIZ = 5;

    public function __construct(private QuickTest $quick)
    {
    }

    #[Operation('Count the questions on a section', returns: SectionQuestionsView::class)]
    public function show(Candidacy $candidacy, string $section): JsonResponse
    {
        $this->refuseUnknown($candidacy->exam, $section);
        $row = OwnStandings::beside(DB::table('question_tags')
            ->join('questions', 'questions.id', '=', 'question_tags.question_id'), $candidacy->user->id)
            ->where('family', TagFilter::READS)
            ->where('value', $section)
            ->where('questions.exam_id', $candidacy->exam->id)
            ->whereNull('questions.retired_at')
            ->selectRaw('count(*) as n, count(standings.outcome) as seen')
            ->selectRaw("coalesce(sum(standings.outcome = 'right'), 0) as ok")
            ->selectRaw('coalesce(sum(standings.gap_open), 0) as gaps')
            ->first();

        return new JsonResponse(new SectionQuestionsView(
            all: (int) $row?->n,
            seen: (int) $row?->seen,
            right: (int) $row?->ok,
            gaps: (int) $row?->gaps,
        ));
    }

    #[Operation('Begin a short quiz on a section', returns: BuiltView::class, status: 201)]
    public function quiz(Candidacy $candidacy, string $section): JsonResponse
    {
        $title = $this->refuseUnknown($candidacy->exam, $section);
        $sitting = $this->quick->begin(
            candidacy: $candidacy,
            filters: new Filters(new TagFilter([TagFilter::READS => [$section]])),
            most: self::QUIZ,
            otherwise: 'There is nothing to ask on this section, or it is in a test whose clock runs.',
            name: mb_strimwidth("Quiz: {$title}", 0, 120, '…'),
        );

        return new JsonResponse(BuiltView::of($sitting), 201);
    }

    /**
     * @return string its title
     *
     * @throws Refusal when the handbook has no such section
     */
    private function refuseUnknown(Exam $exam, string $section): string
    {
        $title = HandbookSection::query()->where('exam_id', $exam->id)->where('code', $section)->value('title');

        return is_string($title) ? $title : throw Refusal::notFound();
    }
}
