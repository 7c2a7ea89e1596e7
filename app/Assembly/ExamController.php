<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Handbook\HandbookSection;
use App\Handbook\SectionLinkView;
use App\Http\Contract\Operation;
use App\Question\Exam;
use App\Question\QuestionSets;
use App\Question\Syllabus;
use App\Question\SyllabusTopic;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Filter\KindFilter;
use Uplandia\Core\Shown;

final readonly class ExamController
{
    /** Sections of the handbook beside a subtopic. */
    private const MOST_READ = 3;

    public function __construct(private QuestionSets $sets)
    {
    }

    #[Operation('What the exam is', returns: ExamView::class)]
    public function show(Exam $exam): JsonResponse
    {
        $blueprint = $exam->blueprint();
        $syllabus = Syllabus::of($exam);
        $read = self::read($exam);
        $topics = array_map(
            fn (SyllabusTopic $top): ExamTopicView => self::topic($syllabus, top: $top, read: $read),
            $syllabus->tops(),
        );

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

    /** @param  array<int, list<SectionLinkView>>  $read  by topic */
    private static function topic(Syllabus $syllabus, SyllabusTopic $top, array $read): ExamTopicView
    {
        return new ExamTopicView(
            code: $top->code,
            name: $top->name,
            weight: $top->weight,
            questions: $syllabus->questionsOf($top),
            subtopics: array_map(
                fn (SyllabusTopic $one): ExamSubtopicView => new ExamSubtopicView(
                    code: $one->code,
                    name: $one->name,
                    questions: $one->questions,
                    sections: $read[$one->id] ?? [],
                ),
                $syllabus->under($top),
            ),
        );
    }

    /** @return array<int, list<SectionLinkView>> by topic: what most of its questions refer to, the most first */
    private static function read(Exam $exam): array
    {
        $sections = HandbookSection::query()
            ->where('exam_id', $exam->id)
            ->get(['code', 'chapter', 'title', 'lesson'])
            ->keyBy('code');
        $rows = DB::table('topic_sections')
            ->join('topics', 'topics.id', '=', 'topic_sections.topic_id')
            ->where('topics.exam_id', $exam->id)
            ->orderByDesc('topic_sections.questions')
            ->orderBy('section')
            ->get(['topic_id', 'section']);
        $read = [];
        foreach ($rows as $row) {
            $section = $sections[(string) $row->section] ?? null;
            if ($section !== null && count($read[(int) $row->topic_id] ?? []) < self::MOST_READ) {
                $read[(int) $row->topic_id][] = SectionLinkView::of($section);
            }
        }

        return $read;
    }
}
