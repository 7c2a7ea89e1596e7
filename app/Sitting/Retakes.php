<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\Bank;
use App\Assembly\HoldsBack;
use App\Assembly\Rehearsals;
use App\Assembly\SavedRecipe;
use App\Assembly\TestBuilder;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Filter\PickFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Marking\Outcome;

/** Sits something once more: the same questions, fresh ones by the same recipe, or only those that went wrong. */
final readonly class Retakes
{
    public function __construct(
        private TestBuilder $builder,
        private Rehearsals $rehearsals,
        private Bank $bank,
        private HoldsBack $running,
    ) {
    }

    /** @throws Refusal when it cannot be sat that way */
    public function sit(Sitting $sitting, HowAgain $how): Sitting
    {
        $sitting->loadMissing('test.exam', 'user');

        return match ($how) {
            HowAgain::Same => $this->same($sitting),
            HowAgain::Fresh => $this->fresh($sitting),
            HowAgain::Missed => $this->missed($sitting),
        };
    }

    /** @throws Refusal when the recipe cannot be met any more */
    public function byRecipe(SavedRecipe $kept, User $user): Sitting
    {
        $exam = Exam::query()->findOrFail($kept->exam_id);

        return DB::transaction(
            fn (): Sitting => Sitting::createFor(
                $this->builder->build(new Candidacy($user, $exam), recipe: $kept->recipe(), name: $kept->name),
                $user,
            ),
        );
    }

    /** @throws Refusal */
    private function same(Sitting $sitting): Sitting
    {
        if ($sitting->test->series_test_id !== null) {
            throw Refusal::conflict(
                'of_series',
                'Attempts at the tests of a series are counted. Begin the next one from its series.',
            );
        }
        $sitting->test->refuseAdaptive(
            'An adaptive test chooses its questions as it goes, so there are no two alike. Begin a new one instead.',
        );

        return Sitting::createFor($sitting->test, $sitting->user, like: $sitting->name);
    }

    /** @throws Refusal */
    private function fresh(Sitting $sitting): Sitting
    {
        $test = $sitting->test;
        if ($test->of_exam && $test->paper_id === null) {
            return Sitting::createFor(
                $this->rehearsals->build($sitting->candidacy(), section: $test->section),
                $sitting->user,
            );
        }
        $kept =
            SavedRecipe::query()->where('user_id', $sitting->user_id)->find($test->recipe_id) ??
            throw Refusal::conflict('no_recipe', 'This test was not made by a recipe of yours.');

        return $this->byRecipe($kept, $sitting->user);
    }

    /** @throws Refusal */
    private function missed(Sitting $sitting): Sitting
    {
        if (! $sitting->isHandedIn()) {
            throw Refusal::notHandedIn();
        }
        $wrong = DB::table('outcomes')
            ->join('questions', 'questions.id', '=', 'outcomes.question_id')
            ->where('sitting_id', $sitting->id)
            ->whereNull('questions.retired_at')
            ->whereIn('outcome', [Outcome::Missed->value, Outcome::Partly->value, Outcome::LeftBlank->value])
            ->pluck('outcomes.question_id')
            ->all();
        if ($wrong === []) {
            throw Refusal::unmet('none_missed', 'Nothing of this test was missed or left blank.');
        }

        return $this->tutor(
            candidacy: $sitting->candidacy(),
            questions: array_map(intval(...), array_values($wrong)),
            name: mb_substr($sitting->test->title, 0, 100).', missed',
        );
    }

    /**
     * One question that was met before, to be answered with its key covered; with it the whole of what it belongs to.
     *
     * @throws Refusal when it was never met, is asked no more, or a running clock asks it
     */
    public function anew(Candidacy $candidacy, int $question): Sitting
    {
        $met = DB::table('standings')
            ->join('questions', 'questions.id', '=', 'standings.question_id')
            ->where('standings.user_id', $candidacy->user->id)
            ->where('standings.exam_id', $candidacy->exam->id)
            ->where('standings.question_id', $question)
            ->whereNotNull('standings.outcome')
            ->first(['questions.retired_at']) ?? throw Refusal::notFound();
        if ($met->retired_at !== null) {
            throw Refusal::conflict('retired', 'This question is asked no more.');
        }
        if (in_array($question, $this->running->heldBack($candidacy->user), true)) {
            throw Refusal::conflict(
                'held_back',
                'A test of yours whose clock is not over asks this question. Answer it there, and anew after that.',
            );
        }

        return $this->tutor($candidacy, questions: [$question], name: null);
    }

    /**
     * @param  non-empty-list<int>  $questions
     * @param  string|null  $name  null: as its choices say
     */
    private function tutor(Candidacy $candidacy, array $questions, ?string $name): Sitting
    {
        $filters = new Filters(new PickFilter($questions));
        $selection = $this->bank
            ->selection(candidacy: $candidacy, filters: $filters)
            ->without($this->running->heldBack($candidacy->user));
        $recipe = new Recipe(
            filters: $filters,
            count: max(1, min(Recipe::MOST_QUESTIONS, $this->bank->available($selection))),
            mode: Mode::Tutor,
        );

        return Sitting::createFor(
            $this->builder->build(candidacy: $candidacy, recipe: $recipe, name: $name),
            $candidacy->user,
        );
    }
}
