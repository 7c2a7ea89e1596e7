<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\Paper;
use App\Assembly\PaperTests;
use App\Assembly\RecipeRequest;
use App\Assembly\Rehearsals;
use App\Assembly\SavedRecipe;
use App\Assembly\TestBuilder;
use App\Http\Contract\Post;
use App\Http\Refusal;
use App\Question\Exam;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/**
 * Where sittings come from: a test built from a recipe, a paper, a rehearsal, a series, what was sat or shared
 * before.
 */
final readonly class NewSittingController
{
    public function __construct(
        private TestBuilder $builder,
        private PaperTests $papers,
        private Rehearsals $rehearsals,
        private SeriesAttempts $attempts,
        private Again $again,
        private Sharing $sharing,
    ) {
    }

    #[
        Post(
            '/api/exams/{exam}/tests',
            'Build a test',
            takes: RecipeRequest::class,
            returns: BuiltView::class,
            status: 201,
        ),
    ]
    public function build(RecipeRequest $request, Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        $recipe = $request->recipe();
        $sitting = DB::transaction(
            fn (): Sitting => Sitting::ready(
                $this->builder->build(exam: $exam, user: $user, recipe: $recipe, name: $request->name()),
                $user,
            ),
        );

        return self::built($sitting);
    }

    #[
        Post(
            '/api/exams/{exam}/papers/{paper}/sittings',
            'Sit a fixed paper',
            takes: OneSectionRequest::class,
            returns: BuiltView::class,
            status: 201,
        ),
    ]
    public function paper(
        OneSectionRequest $request,
        Exam $exam,
        string $paper,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $found =
            Paper::query()->with('exam')->where('exam_id', $exam->id)->where('code', $paper)->first() ??
            throw Refusal::notFound();

        return self::built(Sitting::ready($this->papers->of($found, $request->section()), $user));
    }

    #[
        Post(
            '/api/exams/{exam}/rehearsals',
            'Rehearse the exam',
            takes: OneSectionRequest::class,
            returns: BuiltView::class,
            status: 201,
        ),
    ]
    public function rehearsal(OneSectionRequest $request, Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        $test = $this->rehearsals->build(exam: $exam, user: $user, section: $request->section());

        return self::built(Sitting::ready($test, $user));
    }

    #[
        Post(
            '/api/exams/{exam}/series/{series}/tests/{test}/sittings',
            'Sit a test of a series',
            returns: BuiltView::class,
            status: 201,
        ),
    ]
    public function series(Exam $exam, string $series, string $test, #[CurrentUser] User $user): JsonResponse
    {
        return self::built($this->attempts->next(exam: $exam, user: $user, series: $series, test: $test));
    }

    #[Post('/api/recipes/{recipe}/sittings', 'Run a recipe again', returns: BuiltView::class, status: 201)]
    public function recipe(SavedRecipe $recipe, #[CurrentUser] User $user): JsonResponse
    {
        return self::built($this->again->byRecipe($recipe, $user));
    }

    #[
        Post(
            '/api/sittings/{sitting}/again',
            'Sit it again',
            takes: AgainRequest::class,
            returns: BuiltView::class,
            status: 201,
        ),
    ]
    public function again(AgainRequest $request, Sitting $sitting): JsonResponse
    {
        return self::built($this->again->sit($sitting, $request->how()));
    }

    #[Post('/api/shared', 'Join a shared test', takes: JoinRequest::class, returns: BuiltView::class, status: 201)]
    public function join(JoinRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return self::built($this->sharing->join($user, $request->string('code')->value()));
    }

    private static function built(Sitting $sitting): JsonResponse
    {
        return new JsonResponse(new BuiltView($sitting->id), 201);
    }
}
