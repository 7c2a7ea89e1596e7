<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use App\Http\Contract\Get;
use App\Http\Contract\Post;
use App\Http\Refusal;
use App\Question\Exam;
use App\Question\Topic;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

final class BuilderController
{
    #[Get('/api/exams/{exam}/builder', 'What can I build from', returns: BuilderView::class)]
    public function show(Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        $syllabus = Syllabus::of($exam);
        $bank = new Bank($exam, $user);
        $all = $bank->all();
        $met = $bank->met();
        $counted = fn (Topic $topic): CountsView => CountsView::of($all[$topic->id] ?? 0, $met[$topic->id] ?? []);
        $topics = $syllabus->tops()->map(function (Topic $top) use ($syllabus, $counted): TopicCountsView {
            $subtopics = $syllabus->under($top)->map(fn (Topic $sub) => new TopicCountsView($sub->code, $sub->name, null, $counted($sub), []))->values()->all();

            return new TopicCountsView($top->code, $top->name, $top->weight, CountsView::sum([$counted($top), ...array_column($subtopics, 'counts')]), $subtopics);
        })->values()->all();

        return new JsonResponse(new BuilderView($exam->slug, $exam->name, CountsView::sum(array_column($topics, 'counts')), $topics, (float) $exam->rules['minutesPerQuestion'], $user->extra_time, $this->papers($exam, $user)));
    }

    #[Post('/api/exams/{exam}/papers/{paper}/sittings', 'Sit a fixed paper', returns: BuiltView::class, status: 201)]
    public function sit(Exam $exam, string $paper, #[CurrentUser] User $user, PaperTests $tests): JsonResponse
    {
        $found = Paper::query()->with('exam')->where('exam_id', $exam->id)->where('code', $paper)->first() ?? throw Refusal::notFound();

        return new JsonResponse(new BuiltView($tests->of($found)->sittingFor($user)->id), 201);
    }

    /** @return list<PaperView> */
    private function papers(Exam $exam, User $user): array
    {
        $papers = DB::table('papers')->join('paper_items', 'paper_items.paper_id', '=', 'papers.id')
            ->leftJoin('standings', fn ($join) => $join->on('standings.question_id', '=', 'paper_items.question_id')->where('standings.user_id', $user->id))
            ->where('papers.exam_id', $exam->id)->groupBy('papers.code', 'papers.title')->orderBy('papers.code')
            ->selectRaw('papers.code as code, papers.title as title, count(*) as questions, count(standings.question_id) as met')->get();

        return $papers->map(fn (object $row): PaperView => new PaperView((string) $row->code, (string) $row->title, (int) $row->questions, $exam->blueprint()->minutes, (int) $row->met))->values()->all();
    }

    #[Post('/api/exams/{exam}/count', 'How many questions are there', takes: RecipeRequest::class, returns: CountView::class)]
    public function count(RecipeRequest $request, Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        $choices = $request->choices();
        $syllabus = Syllabus::of($exam);
        $available = array_sum((new Bank($exam, $user))->available(array_merge(...array_values($syllabus->chosen($choices->topics))), $choices->pools));

        return new JsonResponse(new CountView(
            $available,
            $available < $choices->count ? (new ShortfallWords($exam, $user, $syllabus))->sentence($choices, $available) : null,
            TestBuilder::minutesFor($exam, $choices->count),
        ));
    }

    #[Post('/api/exams/{exam}/tests', 'Build a test', takes: RecipeRequest::class, returns: BuiltView::class, status: 201)]
    public function store(RecipeRequest $request, Exam $exam, #[CurrentUser] User $user, TestBuilder $builder): JsonResponse
    {
        return new JsonResponse(new BuiltView($builder->build($exam, $user, $request->choices())->id), 201);
    }
}
