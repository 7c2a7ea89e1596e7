<?php

declare(strict_types=1);

namespace Tests\Feature\Progress;

use App\Account\User;
use App\Assembly\Bank;
use App\Assembly\Test;
use App\Progress\AdaptiveBank;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\QuestionSets;
use App\Question\Tallies;
use App\Sitting\Sitting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\TestCase;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Progress\AdaptiveItem;

/** Tests that choose the next question by the answers so far, sat over the app's routes. */
final class AdaptiveTest extends TestCase
{
    private User $user;

    private int $seq = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->user = $this->candidate());
    }

    public function test_only_the_first_question_is_known_and_no_word_is_said_of_the_others(): void
    {
        $this->widen();
        $sitting = $this->begin();
        $this->getJson("/api/sittings/{$sitting}")
            ->assertJsonPath('most', 30)
            ->assertJsonPath('mode', 'untimed')
            ->assertJsonPath('msPerMark', null)
            ->assertJsonPath('kinds', ['single']);
        $opened = $this->open($sitting);

        self::assertCount(1, $opened['questions']);
        self::assertSame([0], array_column($opened['state']['questions'], 'position'));
        $early = ['id' => 'early', 'seq' => 5, 'kind' => 'shown', 'position' => 1];
        $this->send($sitting, [$early])->assertJsonPath('refused.early', 'This question has not been asked yet.');
        $this->send($sitting, [['value' => null] + $this->answer(0, 'a', 6)])->assertJsonPath('refused', []);
        $far = ['id' => 'far', 'seq' => 7, 'kind' => 'answered', 'position' => 30, 'value' => null];
        $this->send($sitting, [$far])->assertJsonPath('refused.far', 'The test has no such question.');
    }

    public function test_going_on_gives_one_more_question_the_same_however_often_it_is_asked_for(): void
    {
        $this->widen();
        $sitting = $this->begin();
        $opened = $this->open($sitting);
        $this->next($sitting, 0)->assertStatus(409)->assertJsonPath('reason', 'not_seen');
        $this->give($sitting, $opened['questions'][0], right: true);
        $next = $this->next($sitting, 0)->assertOk();

        self::assertStringNotContainsString('SECRET', (string) $next->getContent());
        self::assertSame([1], array_column($next->json('questions'), 'position'));
        self::assertSame($next->json('questions'), $this->next($sitting, 0)->json('questions'));
        self::assertSame(2, Sitting::query()->findOrFail($sitting)->questions);
        self::assertSame(2, Sitting::query()->findOrFail($sitting)->test->questions);
        self::assertCount(2, $this->open($sitting)['questions']);
        // Until it is seen, the answer before may be thought over.
        self::assertFalse($next->json('state.questions.0.locked'));
        $this->give($sitting, $next->json('questions.0'), right: false);
        $late = $this->answer(0, 'a', 90);
        $this->send($sitting, [$late])->assertJsonPath("refused.{$late['id']}", 'There is no going back.');
    }

    public function test_a_perfect_run_ends_above_the_cut_and_no_share_of_it_is_told_anywhere(): void
    {
        $this->widen();
        $sitting = $this->sit(most: 60, right: fn (): bool => true);
        $result = $this->getJson("/api/sittings/{$sitting}/result")->assertOk();

        $result
            ->assertJsonPath('expected.side', 'above')
            ->assertJsonPath('expected.ending', 'above')
            ->assertJsonPath('expected.most', 60)
            ->assertJsonPath('opening', 'All that is likely lies above the cut of 65 %.')
            ->assertJsonPath('tally.shareOfAll', null)
            ->assertJsonPath('breakdowns', [])
            ->assertJsonPath('course.quarters', [])
            ->assertJsonPath('course.fades', false)
            ->assertJsonPath('next', null)
            ->assertJsonPath('place.cohort', null)
            ->assertJsonPath('place.attempts', [])
            ->assertJsonPath('share', null)
            ->assertJsonPath('facts', [])
            ->assertJsonPath('same', false)
            ->assertJsonPath('scaled', null);
        $asked = $result->json('expected.asked');
        self::assertGreaterThanOrEqual(15, $asked);
        self::assertLessThan(25, $asked);
        self::assertSame($asked, $result->json('tally.right'));
        $this->getJson('/api/exams/small-hills/today')
            ->assertJsonPath('past.0.marks', null)
            ->assertJsonPath('past.0.shareOfAll', null);
        $this->getJson('/api/exams/small-hills/sittings?page=1')
            ->assertOk()
            ->assertJsonPath('tests.0.share', null)
            ->assertJsonPath('tests.0.questions', $asked)
            ->assertJsonPath('tests.0.same', false)
            ->assertJsonPath('tests.0.fresh', true)
            ->assertJsonPath('tests.0.mine', false);
        self::assertNull(Sitting::query()->findOrFail($sitting)->share);
        self::assertSame(0, $this->artisan('recount'));
    }

    public function test_an_empty_run_ends_below_the_cut(): void
    {
        $this->widen();
        $sitting = $this->sit(most: 60, right: fn (): ?bool => null);
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertJsonPath('expected.side', 'below')
            ->assertJsonPath('expected.ending', 'below')
            ->assertJsonPath('tally.leftBlank', 15)
            ->assertJsonPath('expected.asked', 15);
    }

    public function test_what_was_given_and_never_shown_says_nothing(): void
    {
        $this->widen();
        $sitting = $this->begin();
        $this->give($sitting, $this->open($sitting)['questions'][0], right: true);
        $this->next($sitting, 0)->assertOk();
        $this->handIn($sitting)->assertOk();
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertJsonPath('expected.asked', 1)
            ->assertJsonPath('tally.notReached', 1);
    }

    #[TestWith([1.0])]
    #[TestWith([1.8])]
    public function test_what_is_expected_is_what_a_second_computation_comes_to(float $deviation): void
    {
        $this->widen();
        $this->exam()->forceFill(['cohort_deviation' => $deviation])->save();
        $sitting = $this->sit(most: 20, right: fn (int $n): bool => $n % 3 !== 0);
        $expected = $this->getJson("/api/sittings/{$sitting}/result")->json('expected');
        [$share, $low, $high] = $this->again($sitting, $deviation);

        self::assertSame('most', $expected['ending']);
        self::assertSame(20, $expected['asked']);
        self::assertNull($expected['side']);
        self::assertEqualsWithDelta($share, $expected['share'], 1e-4);
        self::assertEqualsWithDelta($low, $expected['low'], 1e-4);
        self::assertEqualsWithDelta($high, $expected['high'], 1e-4);
    }

    public function test_a_small_bank_says_how_far_it_goes_and_goes_as_far(): void
    {
        $this->exam();
        $this->getJson('/api/exams/small-hills/adaptive')
            ->assertJsonPath('reach', 12)
            ->assertJsonPath('least', 15)
            ->assertJsonPath('choices.0', ['most' => 30, 'minutes' => 45])
            ->assertJsonPath('choices.3.most', 100)
            ->assertJsonPath('choices.3.minutes', 150);
        $sitting = $this->sit(most: 30, right: fn (): bool => true);
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertJsonPath('expected.asked', 12)
            ->assertJsonPath('expected.ending', 'spent')
            ->assertJsonPath('expected.side', null)
            ->assertJsonPath('opening', 'Before 15 questions nothing is settled, and 12 were asked.');
        self::assertSame(12, $this->questionsOf($sitting)->unique()->count());
    }

    public function test_of_a_unit_at_most_one_question_is_asked_and_none_that_is_written_or_retired(): void
    {
        $exam = $this->exam();
        $unit = DB::table('units')->insertGetId([
            'exam_id' => $exam->id, 'code' => 'case', 'kind' => 'case',
        ]);
        DB::table('questions')->where('code', 'like', 'ridge.path-%')->update(['unit_id' => $unit]);
        DB::table('questions')->where('code', 'water.ford-1')->update(['kind' => 'written']);
        DB::table('questions')->where('code', 'water.ford-2')->update(['retired_at' => now()]);
        $this->renew($exam);
        $this->getJson('/api/exams/small-hills/adaptive')->assertJsonPath('reach', 7);
        $sitting = $this->sit(most: 30, right: fn (): bool => false);
        $codes = DB::table('questions')->whereIn('id', $this->questionsOf($sitting))->pluck('code');

        self::assertCount(7, $codes);
        self::assertCount(1, $codes->filter(fn (mixed $code): bool => str_starts_with((string) $code, 'ridge.path')));
        self::assertEmpty($codes->intersect(['water.ford-1', 'water.ford-2']));
    }

    public function test_the_bank_is_as_its_candidate_and_the_tests_before_have_met_it(): void
    {
        $this->exam();
        $sitting = $this->build(['topics' => ['ridge'], 'count' => 4, 'mode' => 'untimed']);
        $this->open($sitting);
        $this->send($sitting, array_map(fn (int $i): array => $this->answer($i, 'a', 10 + $i), range(0, 3)));
        $this->handIn($sitting)->assertOk();
        $met = $this->questionsOf($sitting)->sort()->values()->all();
        $first = $this->begin();
        $second = $this->begin();
        $tests = Sitting::query()->whereIn('id', [$first, $second])->orderBy('test_id')->with('test')->get();
        $items = function (User $user, ?Test $test = null): array {
            $bank = AdaptiveBank::of(app(Bank::class)->selection(new Candidacy($user, $this->exam()), new Filters()));

            return [...$bank->items(0, $test), ...$bank->items(1, $test)];
        };
        $ids = fn (array $some): array => array_values(array_map(fn (AdaptiveItem $item): int => $item->id, $some));
        $worn = fn (array $of): array => array_filter($of, fn (AdaptiveItem $item): bool => $item->exposure > 0.0);

        $mine = array_filter($items($this->user), fn (AdaptiveItem $item): bool => $item->met);
        self::assertEqualsCanonicalizing($met, $ids($mine));
        $others = $items($this->candidate());
        self::assertCount(12, $others);
        self::assertEmpty(array_filter($others, fn (AdaptiveItem $item): bool => $item->met));
        // A test counts for those after it, and what is no adaptive test for none.
        self::assertSame([], $worn($items($this->user, $tests[0]?->test)));
        $before = $this->questionsOf((string) $tests[0]?->id)->all();
        self::assertSame($before, $ids($worn($items($this->user, $tests[1]?->test))));
        self::assertSame([0.5, 0.5], array_values(array_map(
            fn (AdaptiveItem $item): float => $item->exposure,
            $worn($items($this->user)),
        )));
    }

    public function test_a_topic_without_weight_is_out_of_reach(): void
    {
        $this->exam();
        DB::table('topics')->where('code', 'water')->update(['weight' => '0']);
        $this->getJson('/api/exams/small-hills/adaptive')->assertJsonPath('reach', 8);
    }

    public function test_what_earlier_tests_asked_rests_and_what_is_new_comes_first(): void
    {
        $this->widen();
        $first = $this->questionsOf($this->sit(most: 15, right: fn (): bool => true));
        $second = $this->questionsOf($this->sit(most: 15, right: fn (): bool => true));
        $this->flushSession();
        $this->actingAs($this->candidate());
        $other = $this->questionsOf($this->sit(most: 15, right: fn (): bool => true));

        self::assertEmpty($first->intersect($second));
        self::assertEmpty($other->intersect($first->merge($second)));
        // One that has met all but a few is asked those, as long as they tell anything.
        $this->flushSession();
        $this->actingAs($this->user);
        $new = DB::table('questions')->whereNotIn('id', DB::table('standings')->select('question_id'))->pluck('id');
        self::assertEmpty($this->questionsOf($this->sit(most: 15, right: fn (): bool => true))->diff($new));
    }

    public function test_it_can_be_ended_sooner_and_then_nothing_is_settled(): void
    {
        $this->widen();
        $sitting = $this->begin();
        $opened = $this->open($sitting);
        $this->give($sitting, $opened['questions'][0], right: true);
        $this->handIn($sitting)->assertOk();
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertJsonPath('expected.asked', 1)
            ->assertJsonPath('expected.ending', null)
            ->assertJsonPath('expected.side', null)
            ->assertJsonPath('opening', 'Before 15 questions nothing is settled, and 1 was asked.');
        $this->next($sitting, 0)->assertStatus(409)->assertJsonPath('reason', 'handed_in');
    }

    public function test_with_a_clock_it_has_the_time_of_its_most_and_ends_with_it(): void
    {
        $this->widen();
        $sitting = $this->begin(most: 20, timed: true);
        $opened = $this->open($sitting);
        self::assertSame(30 * 60_000, $opened['briefing']['limitMs']);
        $this->give($sitting, $opened['questions'][0], right: true);
        $this->send($sitting, [['id' => 'p', 'seq' => 50, 'kind' => 'paused']])->assertOk();
        $this->next($sitting, 0)->assertStatus(409)->assertJsonPath('reason', 'not_active');
        $this->send($sitting, [['id' => 'r', 'seq' => 51, 'kind' => 'resumed']])->assertOk();
        $next = $this->next($sitting, 0)->assertOk();
        $this->give($sitting, $next->json('questions.0'), right: true);
        $awake = now()->getTimestampMs();
        foreach ([20, 9] as $minutes) {
            $this->travel($minutes)->minutes();
            $this->send($sitting, [], awakeSince: $awake)->assertOk();
        }
        $this->travel(61)->seconds();
        $this->next($sitting, 1, awakeSince: $awake)->assertStatus(409)->assertJsonPath('reason', 'handed_in');
        $this->send($sitting, [], awakeSince: $awake)->assertJsonPath('status', 'handed_in');
        $this->handIn($sitting)->assertOk();
        $this->getJson("/api/sittings/{$sitting}/result")->assertJsonPath('byClock', true);
    }

    public function test_what_it_cannot_do_it_refuses_with_a_sentence(): void
    {
        $this->widen();
        $sitting = $this->begin();
        $this->next($sitting, 0)->assertStatus(422)->assertJsonPath('reason', 'not_started');
        $this->postJson("/api/sittings/{$sitting}/on-paper")->assertStatus(409)->assertJsonPath('reason', 'adaptive');
        $opened = $this->open($sitting);
        foreach (['share', 'pack', 'again'] as $what) {
            $body = ['pack' => ['tab' => 'tab-1'], 'again' => ['how' => 'same']][$what] ?? [];
            $this->postJson("/api/sittings/{$sitting}/{$what}", $body)
                ->assertStatus(409)
                ->assertJsonPath('reason', 'adaptive');
        }
        $this->getJson("/api/sittings/{$sitting}/booklet")->assertStatus(409)->assertJsonPath('reason', 'adaptive');
        $this->next($sitting, 1)->assertStatus(422)->assertJsonPath('reason', 'unknown_question');
        $this->next($sitting, 0, tab: 'tab-2')->assertStatus(409)->assertJsonPath('reason', 'open_elsewhere');
        foreach ([['tab' => 'tab-1'], ['tab' => 'tab-1', 'after' => 'x'], ['tab' => [], 'after' => 0], []] as $bad) {
            $this->postJson("/api/sittings/{$sitting}/next", $bad)->assertStatus(422);
        }
        $this->give($sitting, $opened['questions'][0], right: true);
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->next($sitting, 0)->assertNotFound();
        $fixed = $this->build(['mode' => 'timed']);
        $this->open($fixed);
        $this->next($fixed, 0)->assertStatus(409)->assertJsonPath('reason', 'not_adaptive');
        foreach ([14, 101, 'many', null] as $most) {
            $this->ask(['count' => $most])->assertStatus(422);
        }
        $this->ask(['count' => 14])->assertJsonPath('message', 'A test that adapts asks at most 15 to 100 questions.');
        $this->ask(['mode' => 'tutor'])->assertStatus(422)->assertJsonPath('reason', 'mode');
        $this->ask(['spread' => 'by_hand', 'byTopic' => ['ridge' => 20]])->assertStatus(422);
        $this->ask(['mode' => 'timed', 'secondsEach' => 60])->assertStatus(422);
        $this->ask(['topics' => ['nowhere']])->assertStatus(422);
    }

    public function test_a_bank_without_any_question_says_so(): void
    {
        $this->exam();
        DB::table('questions')->update(['retired_at' => now()]);
        $this->renew($this->exam());
        $this->getJson('/api/exams/small-hills/adaptive')->assertJsonPath('reach', 0);
        $this->ask([])->assertStatus(422)->assertJsonPath('reason', 'too_few');
    }

    public function test_it_asks_within_the_topics_and_pools_that_are_chosen_and_its_result_speaks_of_them(): void
    {
        $this->widen();
        // Four of the ridge's are met, so they are new no more.
        $met = $this->build(['topics' => ['ridge.path'], 'count' => 4, 'mode' => 'untimed']);
        $this->open($met);
        $this->send($met, array_map(fn (int $i): array => $this->answer($i, 'a', 10 + $i), range(0, 3)));
        $this->handIn($met)->assertOk();
        $choices = ['topics' => ['ridge'], 'pools' => ['new'], 'count' => 20];
        $this->postJson('/api/exams/small-hills/count', $choices + ['mode' => 'untimed', 'adapting' => true])
            ->assertOk()
            ->assertJsonPath('reach', 8 * 8 - 4)
            ->assertJsonPath('shortfall', null)
            ->assertJsonPath('topics.0.drawn', null)
            ->assertJsonPath('name', 'Ridges, new to me · adaptive, up to 20');
        $sitting = $this->sit(most: 20, right: fn (int $n): bool => $n % 2 === 0, choices: $choices);
        $asked = $this->questionsOf($sitting);
        $codes = DB::table('questions')->whereIn('id', $asked)->pluck('code');

        self::assertEmpty($asked->intersect($this->questionsOf($met)));
        self::assertEmpty($codes->reject(fn (mixed $code): bool => str_starts_with((string) $code, 'ridge.')));
        $expected = $this->getJson("/api/sittings/{$sitting}/result")->assertOk()->json('expected');
        self::assertSame('Ridges', $expected['of']);
        [$share, $low, $high] = $this->again($sitting, 1.0, only: 'ridge');
        self::assertEqualsWithDelta($share, $expected['share'], 1e-4);
        self::assertEqualsWithDelta($low, $expected['low'], 1e-4);
        self::assertEqualsWithDelta($high, $expected['high'], 1e-4);
        // A topic that is none any more takes no result away.
        DB::table('topics')->where('code', 'ridge')->update(['code' => 'ridges']);
        $this->getJson("/api/sittings/{$sitting}/result")->assertOk()->assertJsonPath('expected.of', null);
        DB::table('topics')->where('code', 'ridges')->update(['code' => 'ridge']);
        // Once more by the same choices, which it was made by.
        $fresh = $this->postJson("/api/sittings/{$sitting}/again", ['how' => 'fresh'])->assertCreated();
        $test = Sitting::query()->findOrFail((string) $fresh->json('sitting'))->test;
        self::assertSame([20, ['ridge']], [$test->adaptive, $test->filters()->topics()]);
        // What is only of the exam's other topic says so before anything is made.
        $none = ['pools' => ['flagged']] + $choices + ['mode' => 'untimed', 'adapting' => true];
        $this->postJson('/api/exams/small-hills/count', $none)
            ->assertJsonPath('reach', 0)
            ->assertJsonPath('shortfall.reason', 'There are no questions with these choices, and you asked for 20.');
        $this->postJson('/api/exams/small-hills/tests', $none)->assertStatus(422)->assertJsonPath('reason', 'too_few');
        self::assertSame(0, $this->artisan('recount'));
    }

    private function renew(Exam $exam): void
    {
        app(Tallies::class)->renew($exam->id);
        app(QuestionSets::class)->renew($exam->id);
    }

    /**
     * @param  array<string, mixed>  $choices
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function ask(array $choices): TestResponse
    {
        return $this->postJson(
            '/api/exams/small-hills/tests',
            $choices + ['pools' => [], 'count' => 30, 'mode' => 'untimed', 'adapting' => true],
        );
    }

    /** Each question of the small bank so many times, of differing difficulties. */
    private function widen(int $times = 8): void
    {
        $exam = $this->exam();
        foreach (DB::table('questions')->where('exam_id', $exam->id)->get() as $question) {
            foreach (range(2, $times) as $n) {
                $id = DB::table('questions')->insertGetId(
                    ['id' => null, 'code' => "{$question->code}-{$n}", 'b' => ($n - $times / 2) / 4] + (array) $question,
                );
                $version = (array) DB::table('question_versions')->find($question->version_id);
                $copy = DB::table('question_versions')->insertGetId(['id' => null, 'question_id' => $id] + $version);
                DB::table('questions')->where('id', $id)->update(['version_id' => $copy]);
            }
        }
        $this->renew($exam);
    }

    /** @param  array<string, mixed>  $choices */
    private function begin(int $most = 30, bool $timed = false, array $choices = []): string
    {
        return $this->built = (string) $this->ask(
            $choices + ['count' => $most, 'mode' => $timed ? 'timed' : 'untimed'],
        )->assertCreated()->json('sitting');
    }

    /**
     * Sits one to its end.
     *
     * @param  \Closure(int): (bool|null)  $right  whether to answer rightly, given the position; null: leave it blank
     * @param  array<string, mixed>  $choices  of the builder
     */
    private function sit(int $most, \Closure $right, array $choices = []): string
    {
        $sitting = $this->begin($most, choices: $choices);
        $question = $this->open($sitting)['questions'][0];
        for ($n = 0; $question !== null; $n++) {
            self::assertLessThan($most, $n);
            $this->give($sitting, $question, $right($n));
            $next = $this->next($sitting, $n)->assertOk();
            $question = $next->json('questions.0');
        }
        self::assertSame('handed_in', $next->json('state.status'));

        return $sitting;
    }

    /** @param  array<string, mixed>  $question */
    private function give(string $sitting, array $question, ?bool $right): void
    {
        $position = $question['position'];
        $this->seq += 2;
        $events = [['id' => "see-{$this->seq}", 'seq' => $this->seq, 'kind' => 'shown', 'position' => $position]];
        if ($right !== null) {
            $option = $this->option(['questions' => [$position => $question]], $position, $right);
            $events[] = $this->answer($position, $option, $this->seq + 1);
        }
        $this->send($sitting, $events)->assertOk()->assertJsonPath('refused', []);
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function next(string $sitting, int $after, string $tab = 'tab-1', ?int $awakeSince = null): TestResponse
    {
        return $this->postJson(
            "/api/sittings/{$sitting}/next",
            ['tab' => $tab, 'after' => $after, 'awakeSince' => $awakeSince],
        );
    }

    /** @return \Illuminate\Support\Collection<int, mixed> ids in the order of asking */
    private function questionsOf(string $sitting): \Illuminate\Support\Collection
    {
        return DB::table('test_items')
            ->join('sittings', 'sittings.test_id', '=', 'test_items.test_id')
            ->where('sittings.id', $sitting)
            ->orderBy('position')
            ->pluck('question_id');
    }

    /**
     * Section 8 and 13 once more, from stored rows and by brute force: the highest point of the posterior over a fine
     * grid's steps, the covariance by inverting the whole matrix.
     *
     * @param  string  $only  the topic that all of it is about; none: all
     * @return array{float, float, float}
     */
    private function again(string $sitting, float $deviation, string $only = ''): array
    {
        $rows = DB::table('outcomes')
            ->join('questions', 'questions.id', '=', 'outcomes.question_id')
            ->where('sitting_id', $sitting)
            ->get(['b', 'luck', 'outcomes.share', 'questions.topic_id']);
        $tops = DB::table('topics')->whereNull('parent_id')->orderBy('position')->pluck('id')->flip();
        $top = fn (int $topic): int => (int) $tops[DB::table('topics')->find($topic)?->parent_id ?? $topic];
        $looks = $rows->map(fn (object $row): array => [
            $top((int) $row->topic_id), (float) $row->b, (float) $row->luck, (float) $row->share,
        ])->all();
        $at = [0.0, 0.0, 0.0];
        $height = function (array $at) use ($looks, $deviation): float {
            $sum = -($at[0] ** 2) / (2 * $deviation ** 2) - ($at[1] ** 2 + $at[2] ** 2) / (2 * 0.25);
            foreach ($looks as [$t, $b, $c, $x]) {
                $p = $c + (1 - $c) / (1 + exp($b - $at[0] - $at[$t + 1]));
                $sum += $x * log($p) + (1 - $x) * log(1 - $p);
            }

            return $sum;
        };
        for ($step = 0.5; $step > 1e-7;) {
            $best = $at;
            foreach ([0, 1, 2] as $i) {
                foreach ([-$step, $step] as $move) {
                    $there = $at;
                    $there[$i] += $move;
                    $best = $height($there) > $height($best) ? $there : $best;
                }
            }
            $step = $best === $at ? $step / 2 : $step;
            $at = $best;
        }
        $matrix = [[1 / $deviation ** 2, 0.0, 0.0], [0.0, 4.0, 0.0], [0.0, 0.0, 4.0]];
        foreach ($looks as [$t, $b, $c]) {
            $q = 1 / (1 + exp($b - $at[0] - $at[$t + 1]));
            $p = $c + (1 - $c) * $q;
            $information = ((1 - $c) * $q * (1 - $q)) ** 2 / ($p * (1 - $p));
            foreach ([0, $t + 1] as $i) {
                foreach ([0, $t + 1] as $j) {
                    $matrix[$i][$j] += $information;
                }
            }
        }
        [[$a, $b, $c], [, $d], [, , $f]] = $matrix;
        $whole = $a * $d * $f - $b * $b * $f - $c * $c * $d;
        $covariance = [
            [$d * $f / $whole, -$b * $f / $whole, -$c * $d / $whole],
            [-$b * $f / $whole, ($a * $f - $c * $c) / $whole, $b * $c / $whole],
            [-$c * $d / $whole, $b * $c / $whole, ($a * $d - $b * $b) / $whole],
        ];
        $share = 0.0;
        $slope = [0.0, 0.0, 0.0];
        $bank = DB::table('questions')
            ->whereNull('retired_at')
            ->where('code', 'like', "{$only}%")
            ->get(['b', 'luck', 'topic_id']);
        foreach ($bank as $question) {
            $t = $top((int) $question->topic_id) + 1;
            $variance = $covariance[0][0] + $covariance[$t][$t] + 2 * $covariance[0][$t];
            $z = $at[0] + $at[$t] - (float) $question->b;
            $q = 1 / (1 + exp(-$z));
            $luck = 1 - (float) $question->luck;
            $share += (1 - $luck + $luck / (1 + exp(-$z / sqrt(1 + M_PI * $variance / 8)))) / count($bank);
            $slope[0] += $luck * $q * (1 - $q) / count($bank);
            $slope[$t] += $luck * $q * (1 - $q) / count($bank);
        }
        $variance = 0.0;
        foreach ([0, 1, 2] as $i) {
            foreach ([0, 1, 2] as $j) {
                $variance += $slope[$i] * $covariance[$i][$j] * $slope[$j];
            }
        }
        $reach = 1.959964 * sqrt($variance);

        return [$share, max(0.0, $share - $reach), min(1.0, $share + $reach)];
    }
}
