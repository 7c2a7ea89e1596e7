<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Contract\Operation;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\QuestionView;
use App\Question\SyllabusTopic;
use Illuminate\Http\JsonResponse;
use Uplandia\Core\Assembly\Filter\PoolFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Pool;

final readonly class BuilderController
{
    public function __construct(
        private Bank $bank,
        private Counting $counting,
        private Facets $facets,
        private Picks $picks,
    ) {
    }

    #[Operation('What can I build from', returns: BuilderView::class)]
    public function show(Candidacy $candidacy): JsonResponse
    {
        $syllabus = $candidacy->syllabus();

        return new JsonResponse(
            new BuilderView(
                exam: $candidacy->exam->slug,
                examName: $candidacy->exam->name,
                counts: $this->bank->counts($candidacy),
                topics: $this->topics($candidacy),
                minutesPerQuestion: (float) $candidacy->exam->rules['minutesPerQuestion'],
                extraTime: $candidacy->user->extra_time,
            ),
        );
    }

    #[Operation('How many questions are there', returns: CountView::class)]
    public function count(RecipeRequest $request, Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->counting->count($candidacy, $request->recipe()));
    }

    #[Operation('What would each filter leave', returns: FacetsView::class)]
    public function facets(RecipeRequest $request, Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->facets->of($candidacy, $request->recipe()));
    }

    #[Operation('Which questions are there', returns: PicksView::class)]
    public function questions(PickRequest $request, Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse(
            $this->picks->of(
                candidacy: $candidacy,
                recipe: $request->recipe(),
                order: $request->order(),
                down: $request->boolean('down'),
                page: $request->integer('page', 1),
            ),
        );
    }

    #[Operation('Look at a question', returns: QuestionView::class)]
    public function question(Exam $exam, int $question): JsonResponse
    {
        return new JsonResponse($this->picks->look($exam, $question));
    }

    /** @return list<TopicCountsView> */
    private function topics(Candidacy $candidacy): array
    {
        $syllabus = $candidacy->syllabus();
        $all = array_map(fn (SyllabusTopic $topic): int => $topic->questions, $syllabus->all());
        $new = $this->bank->byTopic(
            $this->bank->selection($candidacy, new Filters(new PoolFilter(Pool::NewToMe))),
        );

        return array_map(
            fn (SyllabusTopic $top): TopicCountsView => self::counted(
                topic: $top,
                parts: array_map(
                    fn (SyllabusTopic $sub): TopicCountsView => self::counted(
                        topic: $sub,
                        parts: [],
                        all: $all,
                        new: $new,
                    ),
                    $syllabus->under($top),
                ),
                all: $all,
                new: $new,
            ),
            $syllabus->tops(),
        );
    }

    /**
     * @param  list<TopicCountsView>  $parts
     * @param  array<int, int>  $all  by topic id
     * @param  array<int, int>  $new  by topic id
     */
    private static function counted(SyllabusTopic $topic, array $parts, array $all, array $new): TopicCountsView
    {
        return new TopicCountsView(
            code: $topic->code,
            name: $topic->name,
            weight: $topic->weight,
            all: ($all[$topic->id] ?? 0) + array_sum(array_column($parts, 'all')),
            new: ($new[$topic->id] ?? 0) + array_sum(array_column($parts, 'new')),
            subtopics: $parts,
        );
    }
}
