<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\Paper;
use App\Assembly\PaperTests;
use App\Assembly\RecipeRequest;
use App\Assembly\TestBuilder;
use App\Http\Contract\Post;
use App\Http\Refusal;
use App\Question\Exam;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Where sittings come from: a test built from a recipe, or a fixed paper. */
final readonly class NewSittingController
{
    public function __construct(private TestBuilder $builder, private PaperTests $papers)
    {
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
        $sitting = DB::transaction(fn (): Sitting => Sitting::ready(
            $this->builder->build(exam: $exam, user: $user, recipe: $recipe, name: $request->name()),
            $user,
        ));

        return new JsonResponse(new BuiltView($sitting->id), 201);
    }

    #[Post('/api/exams/{exam}/papers/{paper}/sittings', 'Sit a fixed paper', returns: BuiltView::class, status: 201)]
    public function paper(Exam $exam, string $paper, #[CurrentUser] User $user): JsonResponse
    {
        $found =
            Paper::query()->with('exam')->where('exam_id', $exam->id)->where('code', $paper)->first() ??
            throw Refusal::notFound();

        return new JsonResponse(new BuiltView(Sitting::ready($this->papers->of($found), $user)->id), 201);
    }
}
