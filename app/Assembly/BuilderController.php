<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use App\Http\Contract\Get;
use App\Http\Contract\Post;
use App\Question\Exam;
use App\Question\Syllabus;
use App\Question\SyllabusTopic;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

final readonly class BuilderController
{
    public function __construct(private Bank $bank, private TestBuilder $builder)
    {
    }

    #[Get('/api/exams/{exam}/builder', 'What can I build from', returns: BuilderView::class)]
    public function show(Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        $topics = $this->topics($exam, $user);

        return new JsonResponse(
            new BuilderView(
                exam: $exam->slug,
                examName: $exam->name,
                counts: CountsView::sum(array_column($topics, 'counts')),
                topics: $topics,
                minutesPerQuestion: (float) $exam->rules['minutesPerQuestion'],
                extraTime: $user->extra_time,
                papers: $this->papers($exam, $user),
            ),
        );
    }

    #[
        Post(
            '/api/exams/{exam}/count',
            'How many questions are there',
            takes: RecipeRequest::class,
            returns: CountView::class,
        ),
    ]
    public function count(RecipeRequest $request, Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->builder->count($exam, $user, $request->recipe()));
    }

    /** @return list<TopicCountsView> */
    private function topics(Exam $exam, User $user): array
    {
        $syllabus = Syllabus::of($exam);
        $met = $this->bank->met($exam, $user);
        $counted = fn (SyllabusTopic $topic): CountsView => CountsView::of($topic->questions, $met[$topic->id] ?? []);
        $topics = [];
        foreach ($syllabus->tops() as $top) {
            $subtopics = array_map(
                fn (SyllabusTopic $sub) => new TopicCountsView(
                    code: $sub->code,
                    name: $sub->name,
                    weight: null,
                    counts: $counted($sub),
                    subtopics: [],
                ),
                $syllabus->under($top),
            );
            $sum = CountsView::sum([$counted($top), ...array_column($subtopics, 'counts')]);
            $topics[] = new TopicCountsView(
                code: $top->code,
                name: $top->name,
                weight: $top->weight,
                counts: $sum,
                subtopics: $subtopics,
            );
        }

        return $topics;
    }

    /** @return list<PaperView> */
    private function papers(Exam $exam, User $user): array
    {
        $papers = DB::table('papers')
            ->join('paper_items', 'paper_items.paper_id', '=', 'papers.id')
            ->leftJoin(
                'standings',
                fn ($join) => $join
                    ->on('standings.question_id', '=', 'paper_items.question_id')
                    ->where('standings.user_id', $user->id)
                    ->whereNotNull('standings.outcome'),
            )
            ->where('papers.exam_id', $exam->id)
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
                minutes: $exam->blueprint()->minutes,
                met: (int) $row->met,
            );
        }

        return $views;
    }
}
