<?php

declare(strict_types=1);

namespace Tests\Feature\Assembly;

use App\Account\User;
use App\Assembly\Bank;
use App\Assembly\Pool;
use App\Question\Exam;
use App\Workshop\BankLoader;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;
use Uplandia\Core\Assembly\Unit;

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
        $ids = DB::table('questions')->orderBy('id')->get(['id', 'topic_id'])->all();
        foreach ([[0, 'right', false], [1, 'right', true], [2, 'missed', true], [3, 'partly', false], [4, 'left_blank', false], [5, 'missed', false]] as [$i, $outcome, $flagged]) {
            DB::table('standings')->insert(['user_id' => $this->user->id, 'question_id' => $ids[$i]->id, 'exam_id' => $this->exam->id, 'topic_id' => $ids[$i]->topic_id, 'outcome' => $outcome, 'flagged' => $flagged, 'seen' => 1, 'seen_ms' => 1000 * $i]);
        }
    }

    /** @param  list<Pool>  $pools */
    private function inPools(array $pools): int
    {
        $bank = new Bank($this->exam, $this->user);

        return array_sum($bank->available(array_keys($bank->all()), $pools));
    }

    public function test_each_pool_holds_what_its_name_says(): void
    {
        $counts = array_map(fn (Pool $pool): int => $this->inPools([$pool]), Pool::cases());

        self::assertSame(['new' => 6, 'got_it' => 2, 'partly' => 1, 'missed' => 2, 'left_blank' => 1, 'flagged' => 2], array_combine(array_column(Pool::cases(), 'value'), $counts));
    }

    public function test_mixed_pools_are_united_and_nothing_counts_twice(): void
    {
        self::assertSame(3, $this->inPools([Pool::Missed, Pool::Flagged]));
        self::assertSame(8, $this->inPools([Pool::NewToMe, Pool::Missed]));
        self::assertSame(12, $this->inPools([]));
        self::assertSame(12, $this->inPools(Pool::cases()));
    }

    public function test_a_retired_question_is_in_no_pool(): void
    {
        DB::table('questions')->orderBy('id')->limit(3)->update(['retired_at' => now()]);

        self::assertSame(9, $this->inPools([]));
        self::assertSame(1, $this->inPools([Pool::Missed]));
        self::assertSame(0, $this->inPools([Pool::GotIt]));
    }

    public function test_a_question_that_moves_to_another_topic_is_counted_there(): void
    {
        $folder = sys_get_temp_dir().'/uplandia-move-'.getmypid();
        @mkdir("{$folder}/questions", 0777, true);
        copy(__DIR__.'/../exam/exam.yaml', "{$folder}/exam.yaml");
        file_put_contents("{$folder}/questions/all.yaml", str_replace('subtopic: ridge.path', 'subtopic: water.ford', (string) file_get_contents(__DIR__.'/../exam/questions/all.yaml')));
        app(BankLoader::class)->load($folder);
        $ford = (int) DB::table('topics')->where('code', 'water.ford')->value('id');

        self::assertSame(['missed' => 1, 'flagged' => 2, 'partly' => 1, 'right' => 2], array_filter((new Bank($this->exam, $this->user))->met()[$ford]));
    }

    public function test_what_is_counted_is_what_can_be_drawn_for_every_choice_of_pools(): void
    {
        DB::table('questions')->where('code', 'ridge.rock-1')->update(['retired_at' => now()]);
        $bank = new Bank($this->exam, $this->user);
        $topics = array_keys($bank->all());
        $pools = Pool::cases();
        for ($choice = 0; $choice < 2 ** count($pools); $choice++) {
            $chosen = array_values(array_filter($pools, fn (Pool $pool, int $i): bool => ($choice >> $i & 1) === 1, ARRAY_FILTER_USE_BOTH));
            $drawn = array_map(fn (array $units): int => count($units), $bank->units($topics, $chosen));
            $counted = $bank->available($topics, $chosen);
            ksort($drawn);
            ksort($counted);
            self::assertSame($drawn, $counted, implode(', ', array_column($chosen, 'value')));
        }
    }

    public function test_what_belongs_together_is_one_unit_under_the_subtopic_that_was_asked_for(): void
    {
        $unit = DB::table('units')->insertGetId(['exam_id' => $this->exam->id, 'code' => 'case-x', 'kind' => 'case']);
        $codes = ['ridge.rock-2', 'water.ford-1', 'ridge.path-3'];
        foreach ($codes as $place => $code) {
            DB::table('questions')->where('code', $code)->update(['unit_id' => $unit, 'unit_place' => $place]);
        }
        $ids = array_map(fn (string $code): int => (int) DB::table('questions')->where('code', $code)->value('id'), $codes);
        $ford = (int) DB::table('topics')->where('code', 'water.ford')->value('id');

        $units = (new Bank($this->exam, $this->user))->units([$ford], []);

        self::assertSame([$ford], array_keys($units));
        self::assertContains($ids, array_column($units[$ford], 'questions'));
        self::assertSame(6, array_sum(array_map(fn (Unit $one): int => count($one->questions), $units[$ford])));
    }

    public function test_units_carry_when_they_were_last_seen(): void
    {
        $bank = new Bank($this->exam, $this->user);
        $units = array_merge(...array_values($bank->units(array_keys($bank->all()), [])));

        self::assertSame([0, 1, 2, 3, 4, 5, null, null, null, null, null, null], array_column($units, 'lastSeen'));
    }

    public function test_no_count_walks_through_the_bank(): void
    {
        DB::enableQueryLog();
        $bank = new Bank($this->exam, $this->user);
        $topics = array_keys($bank->all());
        $bank->met();
        $bank->available($topics, [Pool::Missed]);
        $bank->available($topics, [Pool::NewToMe, Pool::Flagged]);
        $bank->units($topics, []);
        $log = DB::getQueryLog();
        DB::disableQueryLog();
        self::assertCount(6, $log);
        foreach ($log as ['query' => $query, 'bindings' => $bindings]) {
            foreach (DB::select("explain query plan {$query}", $bindings) as $step) {
                self::assertDoesNotMatchRegularExpression('/^SCAN (questions|standings)/', $step->detail, $query);
            }
        }
    }
}
