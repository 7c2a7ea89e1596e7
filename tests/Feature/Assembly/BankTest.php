<?php

declare(strict_types=1);

namespace Tests\Feature\Assembly;

use App\Account\User;
use App\Assembly\Bank;
use App\Assembly\Counting;
use App\Assembly\CountView;
use App\Assembly\Selection;
use App\Assembly\TestBuilder;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\Syllabus;
use App\Question\Tallies;
use App\Workshop\BankLoader;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Feature\TestCase;
use Uplandia\Core\Assembly\Filter\DifficultyFilter;
use Uplandia\Core\Assembly\Filter\PoolFilter;
use Uplandia\Core\Assembly\Filter\TagFilter;
use Uplandia\Core\Assembly\Filter\TopicFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Spread;
use Uplandia\Core\Assembly\Supply;
use Uplandia\Core\Question\Difficulty;

/** Pools are counted in SQL: rightly, and by indices only, so that a bank of 100,000 costs what is asked for. */
final class BankTest extends TestCase
{
    private Exam $exam;

    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        $this->exam = $this->exam();
        $this->user = $this->candidate();
        $ids = DB::table('questions')
            ->orderBy('id')
            ->get(['id', 'topic_id'])
            ->all();
        $met = [
            ['right', false],
            ['right', true],
            ['missed', true],
            ['partly', false],
            ['left_blank', false],
            ['missed', false],
            ['pending', false],
        ];
        foreach ($met as $i => [$outcome, $flagged]) {
            $this->stand((int) $ids[$i]->id, [
                'outcome' => $outcome,
                'flagged' => $flagged,
                'seen' => 1,
                'seen_ms' => 1000 * $i,
            ]);
        }
    }

    /** @param  array<string, mixed>  $standing */
    private function stand(int $question, array $standing): void
    {
        DB::table('standings')->updateOrInsert(
            ['user_id' => $this->user->id, 'question_id' => $question],
            [
                'exam_id' => $this->exam->id,
                'topic_id' => DB::table('questions')->where('id', $question)->value('topic_id'),
            ] + $standing,
        );
    }

    /** @return array<int, Supply> */
    private function supplies(Filters $filters): array
    {
        return app(Bank::class)->supplies($this->selection($filters));
    }

    private function selection(Filters $filters): Selection
    {
        return app(Bank::class)->selection(
            candidacy: new Candidacy($this->user, $this->exam),
            filters: $filters,
        );
    }

    /** @param  list<Pool>  $pools */
    private function inPools(array $pools): int
    {
        return Supply::together(array_values($this->supplies(new Filters(new PoolFilter(...$pools)))))->total;
    }

    public function test_each_pool_holds_what_its_name_says(): void
    {
        $id = (int) DB::table('questions')->where('code', 'water.ford-4')->value('id');
        $this->stand($id, [
            'starred' => true,
            'noted' => true,
            'false_footing' => true,
            'gap_open' => true,
            'due_day' => 20_000,
        ]);
        $counts = array_map(fn (Pool $pool): int => $this->inPools([$pool]), Pool::cases());

        self::assertEquals(
            [
                'new' => 5,
                'got_it' => 2,
                'partly' => 1,
                'missed' => 2,
                'left_blank' => 1,
                'to_be_marked' => 1,
                'flagged' => 2,
                'starred' => 1,
                'with_notes' => 1,
                'false_footing' => 1,
                'in_gap_book' => 1,
                'due' => 1,
            ],
            array_combine(array_column(Pool::cases(), 'value'), $counts),
        );
    }

    public function test_every_live_question_is_in_exactly_one_outcome_state(): void
    {
        $states = [Pool::NewToMe, Pool::GotIt, Pool::Partly, Pool::Missed, Pool::LeftBlank, Pool::ToBeMarked];

        self::assertSame(12, array_sum(array_map(fn (Pool $pool): int => $this->inPools([$pool]), $states)));
        self::assertSame(12, $this->inPools($states));
    }

    public function test_mixed_pools_are_united_and_nothing_counts_twice(): void
    {
        self::assertSame(3, $this->inPools([Pool::Missed, Pool::Flagged]));
        self::assertSame(7, $this->inPools([Pool::NewToMe, Pool::Missed]));
        self::assertSame(12, $this->inPools([]));
        self::assertSame(12, $this->inPools(Pool::cases()));
    }

    public function test_a_retired_question_is_in_no_pool(): void
    {
        DB::table('questions')
            ->orderBy('id')
            ->limit(3)
            ->update(['retired_at' => now()]);
        app(Tallies::class)->renew($this->exam->id);

        self::assertSame(
            [9, 1, 0],
            [$this->inPools([]), $this->inPools([Pool::Missed]), $this->inPools([Pool::GotIt])],
        );
    }

    public function test_what_is_due_tomorrow_is_not_due_today_unless_the_exam_is_near(): void
    {
        $this->travelTo('2026-06-01 09:00:00');
        $id = (int) DB::table('questions')->orderByDesc('id')->value('id');
        $today = intdiv(now()->timestamp, 86_400);
        foreach ([[$today, 1], [$today + 1, 0]] as [$day, $due]) {
            $this->stand($id, ['due_day' => $day]);
            self::assertSame($due, $this->inPools([Pool::Due]));
        }
        DB::table('enrolments')->insert([
            'user_id' => $this->user->id,
            'exam_id' => $this->exam->id,
            'exam_date' => '2026-06-01',
        ]);

        self::assertSame(1, $this->inPools([Pool::Due]));
    }

    public function test_a_question_that_moves_to_another_topic_is_counted_there(): void
    {
        $folder = sys_get_temp_dir().'/uplandia-move-'.getmypid();
        @mkdir("{$folder}/questions", 0777, true);
        copy(__DIR__.'/../exam/exam.yaml', "{$folder}/exam.yaml");
        $text = (string) file_get_contents(__DIR__.'/../exam/questions/all.yaml');
        file_put_contents(
            "{$folder}/questions/all.yaml",
            str_replace('subtopic: ridge.path', 'subtopic: water.ford', $text),
        );
        app(BankLoader::class)->load($folder);
        $ford = (int) DB::table('topics')->where('code', 'water.ford')->value('id');
        $met = app(Bank::class)->met(new Candidacy($this->user, $this->exam))[$ford];

        self::assertEquals(['missed' => 1, 'flagged' => 2, 'partly' => 1, 'right' => 2], array_filter($met));
    }

    public function test_what_is_counted_is_what_can_be_drawn_for_every_choice_of_pools(): void
    {
        DB::table('questions')
            ->where('code', 'ridge.rock-1')
            ->update(['retired_at' => now()]);
        app(Tallies::class)->renew($this->exam->id);
        $this->unit(['ridge.rock-2', 'water.ford-1', 'ridge.path-3']);
        $pools = Pool::cases();
        $bank = app(Bank::class);
        for ($choice = 0; $choice < 2 ** count($pools); $choice += 3) {
            $chosen = array_values(
                array_filter(
                    $pools,
                    fn (Pool $pool, int $i): bool => (($choice >> $i) & 1) === 1,
                    ARRAY_FILTER_USE_BOTH,
                ),
            );
            $filters = new Filters(new PoolFilter(...$chosen));
            $drawn = array_map(
                fn (\App\Assembly\Pool $units): array => array_count_values($units->sizes),
                $bank->pools($this->selection($filters)),
            );
            $counted = array_map(fn (Supply $supply): array => $supply->units, $this->supplies($filters));
            self::assertEquals($drawn, $counted, implode(', ', array_column($chosen, 'value')));
        }
    }

    /** @param  list<string>  $codes */
    private function unit(array $codes): int
    {
        $unit = DB::table('units')->insertGetId([
            'exam_id' => $this->exam->id,
            'code' => "case-{$codes[0]}",
            'kind' => 'case',
            'questions' => count($codes),
        ]);
        foreach ($codes as $place => $code) {
            DB::table('questions')
                ->where('code', $code)
                ->update(['unit_id' => $unit, 'unit_place' => $place]);
        }
        app(Tallies::class)->renew($this->exam->id);

        return $unit;
    }

    public function test_what_belongs_together_is_one_unit_under_the_subtopic_that_was_asked_for(): void
    {
        $codes = ['ridge.rock-2', 'water.ford-1', 'ridge.path-3'];
        $unit = $this->unit($codes);
        $ford = (int) DB::table('topics')->where('code', 'water.ford')->value('id');
        $ids = array_map(
            fn (string $code): int => (int) DB::table('questions')->where('code', $code)->value('id'),
            $codes,
        );

        self::assertEquals(
            [$ford => [1 => 3, 3 => 1]],
            array_map(
                fn (Supply $supply): array => $supply->units,
                $this->supplies(new Filters(new TopicFilter(['water.ford']))),
            ),
        );
        self::assertSame([$ids, [$ids[0]]], app(Bank::class)->questions([-$unit, $ids[0]]));
    }

    public function test_a_unit_found_by_a_tag_is_filed_under_the_first_of_its_questions_that_has_it(): void
    {
        $codes = ['water.ford-1', 'ridge.rock-2', 'ridge.path-3'];
        $this->unit($codes);
        DB::table('question_tags')->where('family', 'hut')->delete();
        foreach (array_slice($codes, 1) as $code) {
            $id = DB::table('questions')->where('code', $code)->value('id');
            DB::table('question_tags')->insert(['question_id' => $id, 'family' => 'hut', 'value' => 'stone']);
        }
        app(Tallies::class)->renew($this->exam->id);
        $found = $this->supplies(new Filters(new TagFilter(['hut' => ['stone']])));
        $rock = DB::table('questions')->where('code', 'ridge.rock-2')->value('topic_id');
        self::assertSame([(int) $rock => [3 => 1]], array_map(fn (Supply $supply): array => $supply->units, $found));
    }

    public function test_a_missed_question_of_a_passage_counts_and_builds_with_its_fellow(): void
    {
        DB::table('standings')->delete();
        $this->unit(['ridge.path-1', 'ridge.path-2']);
        $this->stand((int) DB::table('questions')->where('code', 'ridge.path-2')->value('id'), [
            'outcome' => 'missed',
            'seen' => 1,
        ]);
        $this->actingAs($this->user);
        $ask = ['topics' => null, 'pools' => ['missed'], 'mode' => 'tutor'];

        $this->postJson('/api/exams/small-hills/count', $ask + ['count' => 2])
            ->assertJsonPath('available', 2)
            ->assertJsonPath('shortfall', null);
        $this->postJson('/api/exams/small-hills/tests', $ask + ['count' => 1])
            ->assertStatus(422)
            ->assertJsonPath(
                'message',
                'Some of these questions come together, as cases or sets, so exactly 1 cannot be made up. Ask for 2.',
            );
        $this->postJson('/api/exams/small-hills/tests', $ask + ['count' => 2])->assertCreated();
        self::assertSame(2, DB::table('test_items')->count());
    }

    /** The count and the drawing of a test may never disagree, whatever the bank, the states and the choices are. */
    public function test_what_the_count_says_can_be_built_builds(): void
    {
        $chance = new Randomizer(new Mt19937(8));
        $codes = DB::table('questions')->pluck('code')->all();
        $tried = ['built' => 0, 'refused' => 0, 'by hand' => 0];
        for ($round = 0; $round < 160; $round++) {
            DB::beginTransaction();
            $this->scramble($chance, $codes);
            $recipe = $this->anyRecipe($chance);
            $says = app(Counting::class)->count(new Candidacy($this->user, $this->exam), $recipe);
            $this->checkFits($says, $recipe->filters, $round);
            try {
                $test = $this->buildFrom($recipe, "seed {$round}");
                $built = DB::table('test_items')->where('test_id', $test)->distinct()->count('question_id');
                self::assertSame([null, $recipe->count], [$says->shortfall, $built], "round {$round}");
                $this->checkDrawn($says, $test, $recipe->filters, $round);
                $tried['built']++;
            } catch (Refusal $refusal) {
                self::assertSame($says->shortfall?->sentence, $refusal->getMessage(), "round {$round}");
                $nearest = $says->shortfall->below ?? $says->shortfall?->above;
                if ($nearest !== null) {
                    $this->buildFrom(
                        new Recipe(
                            filters: $recipe->filters,
                            count: $nearest,
                            mode: Mode::Tutor,
                            spread: $recipe->spread,
                        ),
                        'again',
                    );
                }
                $offered = array_filter(
                    array_column($says->shortfall->topics ?? [], 'n', 'code') + $recipe->byTopic,
                );
                if (($says->shortfall->topics ?? []) !== [] && $offered !== []) {
                    // What each topic is said to give by hand, it gives.
                    $this->buildFrom($this->byHand($recipe, $offered), 'by hand');
                    $tried['by hand']++;
                }
                $tried['refused']++;
            }
            DB::rollBack();
        }
        self::assertGreaterThan(20, min($tried['built'], $tried['refused']));
        self::assertGreaterThan(8, $tried['by hand']);
    }

    /** @param  array<string, int>  $byTopic */
    private function byHand(Recipe $recipe, array $byTopic): Recipe
    {
        return new Recipe(
            filters: $recipe->filters,
            count: array_sum($byTopic),
            mode: Mode::Tutor,
            spread: Spread::ByHand,
            byTopic: $byTopic,
        );
    }

    private function anyRecipe(Randomizer $chance): Recipe
    {
        $filters = new Filters(
            ...$chance->getInt(0, 1) === 0 ? [] : [new TopicFilter(['ridge'])],
            ...[new PoolFilter(...array_slice($chance->shuffleArray(Pool::cases()), 0, $chance->getInt(0, 3)))],
            ...$chance->getInt(0, 3) === 0 ? [new DifficultyFilter(Difficulty::Easy)] : [],
        );
        $spread = $chance->shuffleArray(Spread::cases())[0];
        $byTopic = [];
        foreach (['ridge', 'ridge.rock', 'ridge.path', 'water'] as $code) {
            if ($spread === Spread::ByHand && ($chance->getInt(0, 1) === 0 || $code === 'ridge.path')) {
                $byTopic[$code] = $chance->getInt(1, 3);
            }
        }

        return new Recipe(
            filters: $filters,
            count: $byTopic === [] ? $chance->getInt(1, 9) : array_sum($byTopic),
            mode: Mode::Tutor,
            spread: $spread,
            byTopic: $byTopic,
        );
    }

    private function buildFrom(Recipe $recipe, string $seed): string
    {
        return app(TestBuilder::class)->build(
            candidacy: new Candidacy($this->user, $this->exam),
            recipe: $recipe,
            seed: $seed,
        )->id;
    }

    /** What fits, worked out question by question. */
    private function checkFits(CountView $says, Filters $filters, int $round): void
    {
        $syllabus = Syllabus::of($this->exam);
        $questions = DB::table('questions')->whereNull('retired_at')->orderBy('unit_place')->orderBy('id')->get();
        $expected = [];
        $passing = $questions->filter(fn (object $one): bool => $this->passes($one, $filters));
        foreach ($passing as $question) {
            // A question belongs to its own topic, whatever comes with it.
            foreach ([$syllabus->get($question->topic_id), $syllabus->topOf($question->topic_id)] as $topic) {
                $expected[$topic->code] = ($expected[$topic->code] ?? 0) + 1;
            }
        }
        self::assertSame($passing->count(), $says->passing, "round {$round}");
        $units = $passing->pluck('unit_id')->filter();
        self::assertSame(
            $passing->whereNull('unit_id')->count() + $questions->whereIn('unit_id', $units)->count(),
            $says->available,
            "round {$round}",
        );
        $fits = array_filter(array_column($says->topics, 'fits', 'code'));
        ksort($expected);
        ksort($fits);
        self::assertSame($expected, $fits, "round {$round}");
    }

    /** Where the count says how many a topic gives, it gives exactly so many, each unit filed where it begins. */
    private function checkDrawn(CountView $says, string $test, Filters $filters, int $round): void
    {
        $syllabus = Syllabus::of($this->exam);
        $rows = DB::table('test_items')
            ->join('questions', 'questions.id', '=', 'test_items.question_id')
            ->where('test_id', $test)
            ->orderBy('unit_place')
            ->get(['questions.id', 'topic_id', 'unit_id', 'difficulty']);
        $drawn = [];
        foreach ($rows as $row) {
            $passing = $row->unit_id === null
                ? $row
                : $rows->where('unit_id', $row->unit_id)->first(fn (object $one): bool => $this->passes($one, $filters));
            $topic = $syllabus->get($passing->topic_id);
            foreach (array_unique([$topic->code, $syllabus->topOf($topic->id)->code]) as $code) {
                $drawn[$code] = ($drawn[$code] ?? 0) + 1;
            }
        }
        foreach ($says->topics as $topic) {
            if ($topic->drawn !== null) {
                self::assertSame($topic->drawn, $drawn[$topic->code] ?? 0, "round {$round}: {$topic->code}");
            }
        }
    }

    private function passes(object $question, Filters $filters): bool
    {
        $topics = array_merge([], ...Syllabus::of($this->exam)->chosen($filters->topics()));
        $standing = DB::table('standings')->where('user_id', $this->user->id)
            ->where('question_id', $question->id)->first();

        return in_array($question->topic_id, $topics, true)
            && ($filters->get(DifficultyFilter::class) === null || $question->difficulty === 'easy')
            && ($filters->pools() === [] || array_filter(
                $filters->pools(),
                fn (Pool $pool): bool => Pools::hold($pool, $standing),
            ) !== []);
    }

    /** @param  list<string>  $codes */
    private function scramble(Randomizer $chance, array $codes): void
    {
        $codes = $chance->shuffleArray($codes);
        DB::table('questions')
            ->where('code', array_pop($codes))
            ->update(['retired_at' => now()]);
        app(Tallies::class)->renew($this->exam->id);
        foreach ($codes as $code) {
            $id = (int) DB::table('questions')->where('code', $code)->value('id');
            DB::table('questions')
                ->where('id', $id)
                ->update(['difficulty' => ['easy', 'hard'][$chance->getInt(0, 1)]]);
            $this->stand($id, [
                'outcome' => [null, 'right', 'missed', 'partly', 'left_blank', 'pending'][$chance->getInt(0, 5)],
                'flagged' => $chance->getInt(0, 2) === 0,
            ]);
        }
        for ($units = $chance->getInt(0, 3); $units > 0; $units--) {
            $this->unit(array_splice($codes, 0, $chance->getInt(2, 3)));
        }
        app(Tallies::class)->renew($this->exam->id);
    }

    public function test_no_count_walks_through_the_bank(): void
    {
        DB::enableQueryLog();
        app(Bank::class)->met(new Candidacy($this->user, $this->exam));
        $this->inPools([Pool::Missed]);
        $this->inPools([Pool::NewToMe, Pool::Flagged]);
        $this->inPools([]);
        $log = DB::getQueryLog();
        DB::disableQueryLog();
        self::assertGreaterThan(8, count($log));
        foreach ($log as ['query' => $query, 'bindings' => $bindings]) {
            foreach (DB::select("explain query plan {$query}", $bindings) as $step) {
                self::assertDoesNotMatchRegularExpression('/^SCAN (questions|standings)/', $step->detail, $query);
            }
        }
    }
}
