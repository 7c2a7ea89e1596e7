<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Database\Lock;
use App\Http\Contract\Operation;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\Syllabus;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Uplandia\Core\Assembly\Recipe;

/** Recipes that a candidate keeps under names, to be run again for fresh questions. */
final readonly class RecipeController
{
    private const MOST = 100;

    #[Operation('My recipes', returns: KeptRecipesView::class)]
    public function index(Candidacy $candidacy): JsonResponse
    {
        $kept = SavedRecipe::query()
            ->where($candidacy->key())
            ->whereNotNull('name')
            ->orderBy('name')
            ->limit(self::MOST)
            ->get();

        return new JsonResponse(new KeptRecipesView(array_map(KeptRecipeView::of(...), array_values($kept->all()))));
    }

    #[Operation('Keep a recipe', returns: KeptRecipeView::class, status: 201)]
    public function store(RecipeRequest $request, Candidacy $candidacy): JsonResponse
    {
        $columns = self::columns($request, $candidacy->exam);
        $recipe = Lock::person($candidacy->user->id, function () use ($candidacy, $columns): SavedRecipe {
            if (SavedRecipe::query()->where($candidacy->key())->whereNotNull('name')->count() >= self::MOST) {
                throw Refusal::unmet('too_many', 'You keep 100 recipes already. Delete one that you do not need.');
            }

            return SavedRecipe::query()->create([...$candidacy->key(), ...$columns]);
        });

        return new JsonResponse(KeptRecipeView::of($recipe), 201);
    }

    #[Operation('Change a recipe', returns: KeptRecipeView::class)]
    public function update(RecipeRequest $request, SavedRecipe $recipe): JsonResponse
    {
        $exam = Exam::query()->findOrFail($recipe->exam_id);
        // Tests that were made from it keep what it was.
        $recipe->update(self::columns($request, $exam));

        return new JsonResponse(KeptRecipeView::of($recipe));
    }

    #[Operation('Delete a recipe')]
    public function destroy(SavedRecipe $recipe): Response
    {
        $recipe->delete();

        return response()->noContent();
    }

    /** @return array<string, mixed> */
    private static function columns(RecipeRequest $request, Exam $exam): array
    {
        $recipe = $request->recipe();
        $syllabus = Syllabus::of($exam);
        // A topic that the exam does not have is told now, and not when it is run.
        $syllabus->chosen($recipe->filters->topics());
        $syllabus->chosen($recipe->byTopic === [] ? null : array_map(strval(...), array_keys($recipe->byTopic)));

        return [
            'name' => $request->name() ?? TestName::of($recipe, $syllabus),
            'version' => Recipe::VERSION,
            'choices' => $recipe->toArray(),
        ];
    }
}
