<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Contract\Operation;
use App\Question\Exam;
use App\Question\QuestionSets;
use App\Question\Syllabus;
use App\Question\SyllabusTopic;
use Illuminate\Http\JsonResponse;
use Uplandia\Core\Assembly\Filter\KindFilter;
use Uplandia\Core\Shown;

final readonly class ExamController
{
    public function __construct(private QuestionSets $sets)
    {
    }

    #[Operation('What the exam is', returns: ExamView::class)]
    public function show(Exam $exam): JsonResponse
    {
        $blueprint = $exam->blueprint();
        $syllabus = Syllabus::of($exam);
        $topics = array_map(fn (SyllabusTopic $top): ExamTopicView => self::topic($syllabus, $top), $syllabus->tops());

        return new JsonResponse(
            new ExamView(
                exam: $exam->slug,
                name: $exam->name,
                summary: $exam->summary,
                minutes: $blueprint->minutes,
                readingMinutes: $blueprint->readingMinutes,
                breakAfter: $blueprint->breakAfter === null
                    ? null
                    : $blueprint->section($blueprint->breakAfter)?->name,
                breakMinutes: $blueprint->breakMinutes,
                pausable: $blueprint->pausable,
                cut: Shown::percent($blueprint->scale->cut),
                scaleLow: $blueprint->scale->low,
                scaleHigh: $blueprint->scale->high,
                scaleCut: $blueprint->scale->cutScore,
                questions: $blueprint->questions(),
                marks: Shown::decimal($blueprint->possible()),
                bank: array_sum(array_column($topics, 'questions')),
                sections: ExamSectionView::allOf($blueprint),
                topics: $topics,
                kinds: (object) $this->sets->counts($exam->id, KindFilter::FAMILY),
            ),
        );
    }

    private static function topic(Syllabus $syllabus, SyllabusTopic $top): ExamTopicView
    {
        $under = $syllabus->under($top);

        return new ExamTopicView(
            code: $top->code,
            name: $top->name,
            weight: $top->weight,
            questions: $top->questions + array_sum(array_column($under, 'questions')),
            subtopics: array_column($under, 'name'),
        );
    }
}
