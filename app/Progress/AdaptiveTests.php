<?php

declare(strict_types=1);

namespace App\Progress;

use App\Assembly\Adapts;
use App\Assembly\Bank;
use App\Assembly\NewItems;
use App\Assembly\SavedRecipe;
use App\Assembly\Test;
use App\Assembly\TestBuilder;
use App\Assembly\TestItems;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Sitting\Closing;
use App\Sitting\Sitting;
use App\Sitting\SittingRepository;
use App\Sitting\TabLock;
use Closure;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Progress\Adaptive;
use Uplandia\Core\Progress\AdaptiveAnswer;
use Uplandia\Core\Progress\AdaptiveEnding;
use Uplandia\Core\Progress\AdaptiveItem;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\State;
use Uplandia\Core\Sitting\Status;

/**
 * Tests that choose their next question by the answers so far: computation.md, section 13.
 *
 * @phpstan-import-type Item from Test
 */
final readonly class AdaptiveTests implements Adapts
{
    /** Lengths to choose from. */
    public const LENGTHS = [30, 45, 60, Recipe::MOST_ADAPTING];

    public function __construct(
        private SittingRepository $repository,
        private TabLock $tabLock,
        private Closing $closing,
        private TestItems $items,
        private Bank $bank,
    ) {
    }

    public function build(Candidacy $candidacy, Recipe $recipe, string $title, Seed $seed): Test
    {
        $bank = AdaptiveBank::of($this->bank->selection($candidacy, $recipe->filters));
        $first = $this->chosen(
            bank: $bank,
            adaptive: $bank->test($recipe->count),
            answers: [],
            test: null,
            seed: $seed,
        ) ?? throw Refusal::unmet('too_few', 'These choices leave no question that such a test could ask.');
        $minutes = $recipe->minutes ?? TestBuilder::minutesFor($candidacy->exam, $recipe->count);

        return DB::transaction(
            fn (): Test => Test::createWith(
                [
                    ...$candidacy->key(),
                    'recipe_id' => SavedRecipe::behind($candidacy, $recipe)->id,
                    'title' => $title,
                    'mode' => $recipe->mode->value,
                    'adaptive' => $recipe->count,
                    'shuffled' => $recipe->shuffled,
                    'asks_sureness' => $recipe->asksSureness,
                    'seed' => $seed->value,
                ],
                self::asItem($first, 0),
                $recipe->mode === Mode::Timed ? $minutes : null,
            ),
        );
    }

    /** What a test chooses from. */
    public function bankOf(Sitting $sitting): AdaptiveBank
    {
        $sitting->loadMissing('test.exam', 'user');

        return AdaptiveBank::of($this->bank->selection($sitting->candidacy(), self::filtersOf($sitting)));
    }

    /** What it may ask: all of the bank, too, where a topic that was chosen is none of the exam's any more. */
    public static function filtersOf(Sitting $sitting): Filters
    {
        $filters = $sitting->test->filters();
        $known = array_column($sitting->candidacy()->syllabus()->all(), 'code');

        return array_diff($filters->topics() ?? [], $known) === [] ? $filters : new Filters();
    }

    /**
     * Asks what comes after a question: the same however often it is asked. Where nothing does, the sitting is over.
     *
     * @param  int  $after  position of the question that is left behind
     *
     * @throws Refusal
     */
    public function goOn(Sitting $sitting, string $tab, int $after, Awake $awake): void
    {
        $ending = $this->repository->writeOptimistically(
            $sitting,
            fn (Sitting $sitting, int $now): Closure => $this->prepare(
                sitting: $sitting,
                tab: $tab,
                after: $after,
                now: $now,
            ),
        );
        if ($ending instanceof AdaptiveEnding) {
            $this->closing->end(sitting: $sitting, tab: $tab, awake: $awake, why: $ending->value);
        }
        $sitting->refresh();
    }

    /**
     * What has come of each question that was on screen.
     *
     * @return list<AdaptiveAnswer>
     */
    public function answers(Sitting $sitting, AdaptiveBank $bank, State $state): array
    {
        $questions = $this->items->of($sitting->test_id);
        $answers = [];
        foreach ($bank->askedBy($sitting->test) as $position => $item) {
            $known = $state->questions[$position];
            if ($known->seen) {
                $credit = $questions[$position]->question->mark($known->response);
                $answers[] = new AdaptiveAnswer($item, $credit->share?->toFloat() ?? 0.0);
            }
        }

        return $answers;
    }

    /**
     * @return Closure(): (AdaptiveEnding|null)
     *
     * @throws Refusal
     */
    private function prepare(Sitting $sitting, string $tab, int $after, int $now): Closure
    {
        $this->repository->refuseHandedIn($sitting);
        $sitting->loadMissing('test.exam', 'user');
        $most = $sitting->test->adaptive ?? throw Refusal::conflict('not_adaptive', 'All its questions are known.');
        if (! $sitting->hasBegun()) {
            throw Refusal::unmet('not_started', 'Begin the sitting first.');
        }
        $this->tabLock->check($sitting, $tab);
        if ($after >= $sitting->questions) {
            throw Refusal::unmet('unknown_question', 'This question has not been asked yet.');
        }
        if ($after < $sitting->questions - 1) {
            return fn (): null => null;
        }
        $state = $this->repository->state($sitting, $now);
        self::refuseUnlessAtIt($state, $after);
        $bank = $this->bankOf($sitting);
        $adaptive = $bank->test($most);
        $answers = $this->answers($sitting, $bank, $state);
        $ending = $adaptive->ending($answers);
        $next = $ending !== null ? null : $this->chosen(
            bank: $bank,
            adaptive: $adaptive,
            answers: $answers,
            test: $sitting->test,
            seed: new Seed($sitting->test->seed),
        );
        if ($next === null) {
            return fn (): ?AdaptiveEnding => $ending ?? $adaptive->ending($answers, more: false);
        }
        $items = self::asItem($next, $sitting->questions);
        $sitting->questions++;

        return function () use ($sitting, $items): null {
            DB::table('test_items')->insert(['test_id' => $sitting->test_id] + $items[0]);
            DB::table('tests')->where('id', $sitting->test_id)->update(['questions' => $sitting->questions]);

            return null;
        };
    }

    /** @throws Refusal */
    private static function refuseUnlessAtIt(State $state, int $position): void
    {
        if ($state->status === Status::HandedIn) {
            throw Refusal::conflict('handed_in', 'Time is up: this sitting is over.');
        }
        if ($state->status !== Status::Active) {
            throw Refusal::conflict('not_active', 'The sitting is paused. Go on with it first.');
        }
        if (! $state->questions[$position]->seen) {
            throw Refusal::conflict('not_seen', 'Look at the question before you go on from it.');
        }
    }

    /** @param  list<AdaptiveAnswer>  $answers */
    private function chosen(
        AdaptiveBank $bank,
        Adaptive $adaptive,
        array $answers,
        ?Test $test,
        Seed $seed,
    ): ?AdaptiveItem {
        return $adaptive->next(
            $answers,
            fn (int $place): array => $bank->items($place, $test),
            $seed->stream('adaptive:'.count($answers)),
        );
    }

    /** @return list<Item> one */
    private static function asItem(AdaptiveItem $item, int $position): array
    {
        $items = NewItems::of([$item->id], fn (): array => ['marks' => '1', 'penalty' => '0', 'section' => null]);

        return [['position' => $position] + $items[0]];
    }
}
