<?php

declare(strict_types=1);

namespace Tests\Feature\Cohort;

use App\Cohort\CohortScaleStore;
use App\Cohort\ItemStatisticsStore;
use App\Question\Exam;
use App\Question\QuestionSets;
use App\Question\Tallies;
use App\Sitting\Sitting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;
use Uplandia\Core\Question\QuestionSet;

/** What a cohort answered, kept: item statistics, how difficult it finds each question, the scale of abilities. */
final class StoresTest extends TestCase
{
    private Exam $exam;

    protected function setUp(): void
    {
        parent::setUp();
        $this->exam = $this->exam();
        $this->actingAs($this->candidate());
    }

    /**
     * Each question is answered rightly by so many of twenty-five.
     *
     * @param  array<string, int>  $right  by code
     * @param  array<string, mixed>  $part  of each row
     */
    private function cohort(array $right, int $people = 25, array $part = []): void
    {
        $test = Sitting::query()->findOrFail($this->build())->test;
        for ($person = 0; $person < $people; $person++) {
            $user = $this->candidate();
            $sitting = Sitting::createFor($test, $user)->id;
            foreach (array_keys($right) as $position => $code) {
                $question = DB::table('questions')->where('code', $code)->first();
                $is = $person < $right[$code];
                DB::table('outcomes')->insert($part + [
                    'sitting_id' => $sitting, 'position' => $position, 'user_id' => $user->id,
                    'exam_id' => $this->exam->id, 'question_id' => $question->id,
                    'version_id' => $question->version_id, 'topic_id' => $question->topic_id,
                    'outcome' => $is ? 'right' : 'missed', 'shown' => 1, 'share' => $is ? 1.0 : 0.0,
                    'marks' => '1', 'possible' => '1', 'changes' => 0, 'struck' => '[]', 'flagged' => 0,
                    'active_ms' => 30_000, 'first_look' => 1, 'counts' => 1, 'settled_ms' => 1, 'day' => 0,
                ]);
            }
        }
    }

    /** @return array<string, string> code => how difficult the cohort finds it */
    private function found(): array
    {
        return DB::table('question_tags')->join('questions', 'questions.id', '=', 'question_tags.question_id')
            ->where('family', '_found')->orderBy('code')->pluck('value', 'code')->all();
    }

    /** @return list<string> */
    private static function codes(): array
    {
        return DB::table('questions')->orderBy('code')->limit(4)->pluck('code')->all();
    }

    public function test_a_question_is_as_difficult_as_the_cohort_finds_it(): void
    {
        $codes = self::codes();
        $this->cohort(array_combine($codes, [20, 19, 13, 12]));
        app(ItemStatisticsStore::class)->renew($this->exam);
        self::assertSame(array_combine($codes, ['easy', 'moderate', 'moderate', 'hard']), $this->found());
        self::assertSame([], app(Tallies::class)->differences(null));
    }

    public function test_statistics_are_renewed_when_enough_has_been_sat_since(): void
    {
        $store = app(ItemStatisticsStore::class);
        $codes = self::codes();
        self::assertFalse($store->isDue($this->exam));
        $this->cohort(array_combine($codes, [20, 19, 13, 12]));
        $hand = fn (int $people, int $at) => DB::table('sittings')
            ->where('status', 'not_started')
            ->limit($people)
            ->update(['status' => 'handed_in', 'counts' => true, 'ended_ms' => $at]);
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $now = 1_780_304_400_000;
        $hand(19, $now - 5);
        self::assertFalse($store->isDue($this->exam));
        $hand(1, $now - 5);
        self::assertTrue($store->isDue($this->exam));
        self::assertSame(0, Artisan::call('statistics:renew', ['--due' => true]));
        self::assertStringContainsString('4 questions.', Artisan::output());
        self::assertSame(4, DB::table('item_statistics')->where('renewed_ms', $now)->count());
        // What was sat before is not new.
        self::assertFalse($store->isDue($this->exam));
        Artisan::call('statistics:renew', ['--due' => true]);
        self::assertStringContainsString('nothing to do yet', Artisan::output());
        // What nobody counts for any more goes.
        DB::table('outcomes')->where('version_id', DB::table('outcomes')->max('version_id'))->delete();
        $this->travel(1)->minutes();
        $store->renew($this->exam);
        self::assertSame(3, DB::table('item_statistics')->count());
        self::assertSame(1, Artisan::call('statistics:renew', ['--exam' => 'nowhere']));

        // Twenty more are too few beside two thousand.
        DB::table('sittings')->where('status', 'handed_in')->update(['ended_ms' => $now + 120_000]);
        self::assertTrue($store->isDue($this->exam));
        $row = (array) DB::table('sittings')->where('status', 'handed_in')->first();
        foreach (range(1, 1000) as $i) {
            DB::table('sittings')->insert(['id' => sprintf('old%023d', $i), 'ended_ms' => 1] + $row);
        }
        self::assertFalse($store->isDue($this->exam));
    }

    public function test_nothing_is_said_of_what_few_have_answered(): void
    {
        $this->cohort(array_combine(self::codes(), [19, 19, 10, 5]), people: 19);
        app(ItemStatisticsStore::class)->renew($this->exam);
        self::assertSame([], $this->found());
        self::assertSame(4, DB::table('item_statistics')->count());
    }

    public function test_what_was_sat_without_a_clock_is_not_looked_at(): void
    {
        $this->cohort(array_combine(self::codes(), [19, 19, 10, 5]), people: 2);
        DB::table('sittings')->update(['mode' => 'untimed', 'on_paper' => true]);
        self::assertSame(0, app(ItemStatisticsStore::class)->renew($this->exam));
        DB::table('sittings')->update(['mode' => 'timed', 'on_paper' => false]);
        self::assertSame(4, app(ItemStatisticsStore::class)->renew($this->exam));
    }

    public function test_only_what_counts_is_looked_at(): void
    {
        foreach ([['counts' => 0], ['first_look' => 0], ['share' => null]] as $part) {
            $this->cohort(array_combine(self::codes(), [19, 19, 10, 5]), people: 2, part: $part);
        }
        self::assertSame(0, app(ItemStatisticsStore::class)->renew($this->exam));
    }

    public function test_difficulties_come_of_the_cohort_and_elsewhere_of_the_author(): void
    {
        $codes = self::codes();
        $other = DB::table('questions')->whereNotIn('code', $codes)->value('id');
        DB::table('questions')->where('id', $other)->update(['difficulty' => 'hard']);
        $this->cohort(array_combine($codes, [24, 18, 12, 2]));
        app(CohortScaleStore::class)->renew($this->exam);
        $b = DB::table('questions')->whereIn('code', $codes)->orderBy('code')->pluck('b')->all();
        $sorted = $b;
        sort($sorted);
        self::assertSame($sorted, $b);
        self::assertGreaterThan(2.0, $b[3] - $b[0]);
        self::assertSame([1.0], DB::table('questions')->where('id', $other)->pluck('b')->all());
        self::assertGreaterThan(0.05, $this->exam->refresh()->cohort_deviation);
        self::assertSame([], app(Tallies::class)->differences(null));
    }

    public function test_without_a_cohort_the_author_is_believed(): void
    {
        DB::table('questions')->update(['b' => 7]);
        app(CohortScaleStore::class)->renew($this->exam);
        self::assertNull($this->exam->refresh()->cohort_deviation);
        foreach (DB::table('questions')->get() as $question) {
            self::assertSame(['easy' => -1.0, 'moderate' => 0.0, 'hard' => 1.0][$question->difficulty], $question->b);
        }
        self::assertSame([0.25], DB::table('questions')->where('kind', 'single')->distinct()->pluck('luck')->all());
    }

    public function test_a_tally_that_was_tampered_with_is_named(): void
    {
        foreach (['question_sets', 'topic_difficulties', 'topic_sections'] as $table) {
            DB::beginTransaction();
            DB::table($table)->limit(1)->increment('questions');
            self::assertNotSame([], app(Tallies::class)->differences(null), $table);
            DB::rollBack();
        }
        $members = QuestionSet::of([1, 2])->text();
        DB::table('question_sets')->where('family', QuestionSets::LIVE)->update(['members' => $members]);
        self::assertCount(1, app(Tallies::class)->differences(null));
        DB::table('question_sets')->delete();
        self::assertNotSame([], app(Tallies::class)->differences(null));
    }
}
