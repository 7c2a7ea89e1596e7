<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Uplandia\Core\Assembly\Draw;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Question\Kind;

/** Counts what a recipe leaves, and builds tests from recipes. The core decides what each topic gives. */
final readonly class TestBuilder
{
    public function __construct(
        private Bank $bank,
        private Planner $planner,
        private ShortfallWords $words,
        private HoldsBack $running,
        private Adapts $adapts,
    ) {
    }

    /**
     * @param  string|null  $seed  the same seed over the same pools gives the same test; null: a new one
     * @param  string|null  $name  null: one made of the choices
     *
     * @throws Refusal when the recipe cannot be met
     */
    public function build(
        Candidacy $candidacy,
        Recipe $recipe,
        ?string $seed = null,
        ?string $name = null,
    ): Test {
        $syllabus = $candidacy->syllabus();
        $title = $name ?? TestName::dated(TestName::of($recipe, $syllabus), $candidacy);
        if ($recipe->adapting) {
            return $this->adapts->build(
                candidacy: $candidacy,
                recipe: $recipe,
                title: $title,
                seed: new Seed($seed ?? Str::random(32)),
            );
        }
        $plan = $this->planner->plan($candidacy, $recipe);
        if ($plan->counts === null) {
            throw Refusal::unmet(
                $plan->available < $recipe->count ? 'too_few' : 'does_not_fit',
                $this->words->of($recipe, $plan, $syllabus)->sentence,
            );
        }
        $seed = new Seed($seed ?? Str::random(32));
        $pools = $this->bank->pools($plan->selection, $this->running->heldBack($candidacy->user));
        $drawn = [];
        foreach ($plan->topics as $i => $topics) {
            if ($plan->counts[$i] > 0) {
                $parts = array_map(fn (int $topic): ?Pool => $pools[$topic] ?? null, $topics);
                $pool = Pool::together(array_values(array_filter($parts)));
                $places = (new Draw($seed->stream("draw:{$i}")))->take($pool->sizes, $pool->seen, $plan->counts[$i]);
                array_push($drawn, ...array_map(fn (int $place): int => $pool->keys[$place], $places));
            }
        }
        $questions = array_merge([], ...$this->bank->questions($seed->stream('order')->shuffleArray($drawn)));
        if (count($questions) !== $recipe->count) {
            throw Refusal::conflict('bank_changed', 'The bank has just changed. Build the test again.');
        }

        return DB::transaction(
            fn (): Test => $this->save(
                candidacy: $candidacy,
                recipe: $recipe,
                seed: $seed,
                questions: $questions,
                title: $title,
            ),
        );
    }

    /** The time that the real exam would give so many questions, in whole minutes, rounded up. */
    public static function minutesFor(Exam $exam, int $questions): int
    {
        return BigRational::of((string) $exam->rules['minutesPerQuestion'])
            ->multipliedBy($questions)
            ->toScale(0, RoundingMode::UP)
            ->toInt();
    }

    /** @param  list<int>  $questions */
    private function save(Candidacy $candidacy, Recipe $recipe, Seed $seed, array $questions, string $title): Test
    {
        $saved = SavedRecipe::behind($candidacy, $recipe);
        $items = NewItems::of(
            $questions,
            fn (int $question, Kind $kind, string $marks): array => [
                'marks' => $recipe->plain ? '1' : $marks,
                'penalty' => $recipe->penalty === Recipe::AS_IN_EXAM
                    ? (string) $candidacy->exam->blueprint()->penaltyFor($kind)
                    : (string) BigRational::of($recipe->penalty)->simplified(),
                'section' => null,
            ],
        );
        $limit = $recipe->minutes ?? self::minutesFor($candidacy->exam, count($questions));

        return Test::createWith(
            [
                ...$candidacy->key(),
                'recipe_id' => $saved->id,
                'title' => $title,
                'mode' => $recipe->mode->value,
                'seconds_each' => $recipe->secondsEach,
                'shuffled' => $recipe->shuffled,
                'running_score' => $recipe->runningScore,
                'asks_sureness' => $recipe->asksSureness,
                'seed' => $seed->value,
            ],
            $items,
            $recipe->mode === Mode::Timed && $recipe->secondsEach === null ? $limit : null,
        );
    }
}
