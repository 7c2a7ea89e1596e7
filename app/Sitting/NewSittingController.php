<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\OtherWays;
use App\Assembly\Paper;
use App\Assembly\PaperTests;
use App\Assembly\RecipeRequest;
use App\Assembly\Rehearsals;
use App\Assembly\SavedRecipe;
use App\Assembly\TestBuilder;
use App\Http\Contract\Operation;
use App\Http\Refusal;
use App\Question\Candidacy;
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
        private Retakes $retakes,
        private Sharing $sharing,
    ) {
    }

    #[Operation('Build a test', returns: BuiltView::class, status: 201)]
    public function build(RecipeRequest $request, Candidacy $candidacy): JsonResponse
    {
        $recipe = $request->recipe();
        $sitting = DB::transaction(
            fn (): Sitting => Sitting::createFor(
                $this->builder->build(candidacy: $candidacy, recipe: $recipe, name: $request->name()),
                $candidacy->user,
            ),
        );

        return self::built($sitting);
    }

    #[Operation('Sit a fixed paper', returns: BuiltView::class, status: 201)]
    public function paper(OneSectionRequest $request, Candidacy $candidacy, string $paper): JsonResponse
    {
        $found =
            Paper::query()->with('exam')->where('exam_id', $candidacy->exam->id)->where('code', $paper)->first() ??
            throw Refusal::notFound();

        $sitting = DB::transaction(fn (): Sitting => Sitting::createFor(
            OtherWays::of($this->papers->of($found, $request->section()), way: $request->way(), candidacy: $candidacy),
            $candidacy->user,
        ));

        return self::built($sitting);
    }

    #[Operation('Rehearse the exam', returns: BuiltView::class, status: 201)]
    public function rehearsal(OneSectionRequest $request, Candidacy $candidacy): JsonResponse
    {
        $sitting = DB::transaction(fn (): Sitting => Sitting::createFor(
            OtherWays::of(
                test: $this->rehearsals->build(candidacy: $candidacy, section: $request->section()),
                way: $request->way(),
                candidacy: $candidacy,
            ),
            $candidacy->user,
        ));

        return self::built($sitting);
    }

    #[Operation('Sit a test of a series', returns: BuiltView::class, status: 201)]
    public function series(Candidacy $candidacy, string $series, string $test): JsonResponse
    {
        return self::built($this->attempts->next($candidacy, series: $series, test: $test));
    }

    #[Operation('Run a recipe again', returns: BuiltView::class, status: 201)]
    public function recipe(SavedRecipe $recipe, #[CurrentUser] User $user): JsonResponse
    {
        return self::built($this->retakes->byRecipe($recipe, $user));
    }

    #[Operation('Sit it again', returns: BuiltView::class, status: 201)]
    public function again(AgainRequest $request, Sitting $sitting): JsonResponse
    {
        return self::built($this->retakes->sit($sitting, $request->how()));
    }

    #[Operation('Answer a question anew', returns: BuiltView::class, status: 201)]
    public function anew(Candidacy $candidacy, int $question): JsonResponse
    {
        return self::built($this->retakes->anew($candidacy, $question));
    }

    #[Operation('Join a shared test', returns: BuiltView::class, status: 201)]
    public function join(JoinRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return self::built($this->sharing->join($user, $request->string('code')->value()));
    }

    private static function built(Sitting $sitting): JsonResponse
    {
        return new JsonResponse(BuiltView::of($sitting), 201);
    }
}
