<?php

declare(strict_types=1);

namespace Tests\Feature\Result;

use App\Account\User;
use App\Workshop\BankLoader;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;

/** Where each question stands with a candidate after all that has happened to it. */
final class StandingsTest extends TestCase
{
    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        app(BankLoader::class)->load(__DIR__.'/../kinds');
        $this->actingAs($this->user = $this->candidate());
    }

    protected function tearDown(): void
    {
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
        parent::tearDown();
    }

    private function sit(?int $minutes = null): string
    {
        $this->built = (string) $this->postJson('/api/exams/kinds/tests', [
            'topics' => null,
            'pools' => [],
            'count' => 15,
            'mode' => 'timed',
            'minutes' => $minutes,
        ])
            ->assertCreated()
            ->json('sitting');
        $this->open($this->built);

        return $this->built;
    }

    private function position(string $code): int
    {
        return (int) DB::table('sittings')
            ->join('test_items', 'test_items.test_id', '=', 'sittings.test_id')
            ->join('questions', 'questions.id', '=', 'question_id')
            ->where('sittings.id', $this->built)
            ->where('code', $code)
            ->value('position');
    }

    /** @param  list<array{string, string, mixed}>  $acts  kind of event, code of a question, value */
    private function act(array $acts): void
    {
        foreach ($acts as $i => [$kind, $code, $value]) {
            $seq = 10 + $i + (int) DB::table('sitting_events')->count();
            $this->send($this->built, [
                [
                    'id' => "act-{$seq}",
                    'seq' => $seq,
                    'kind' => $kind,
                    'position' => $this->position($code),
                    'value' => $value,
                ],
            ])
                ->assertOk()
                ->assertJsonPath('refused', []);
        }
    }

    private function standing(string $code): object
    {
        return DB::table('standings')
            ->join('questions', 'questions.id', '=', 'question_id')
            ->where('code', $code)
            ->where('user_id', $this->user->id)
            ->select('standings.*')
            ->sole();
    }

    public function test_a_later_sitting_never_takes_a_flag_away(): void
    {
        $this->sit();
        $this->act([['shown', 'q-single', null], ['flagged', 'q-single', true]]);
        $this->handIn($this->built)->assertOk();
        self::assertTrue((bool) $this->standing('q-single')->flagged);

        $this->travel(1)->hours();
        $this->sit();
        $this->act([['answered', 'q-single', ['choice' => $this->parts('q-single')[0]]]]);
        $this->handIn($this->built)->assertOk();
        self::assertSame(
            ['right', 1],
            [$this->standing('q-single')->outcome, (int) $this->standing('q-single')->flagged],
        );
    }

    public function test_what_was_not_reached_stays_where_it_was(): void
    {
        $this->sit();
        $this->act([
            ['shown', 'q-single', null],
            ['answered', 'q-several', ['choices' => [$this->parts('q-several')[1]]]],
        ]);
        $this->handIn($this->built)->assertOk();
        $counts = fn (): array => $this->getJson('/api/exams/kinds/builder')->json('counts');
        self::assertSame([13, 1, 1], [$counts()['new'], $counts()['leftBlank'], $counts()['missed']]);

        $this->sit();
        $this->handIn($this->built)->assertOk();
        self::assertSame([13, 1, 1], [$counts()['new'], $counts()['leftBlank'], $counts()['missed']]);
        self::assertSame('missed', $this->standing('q-several')->outcome);
    }

    public function test_a_written_answer_marked_after_the_clock_ran_out_reaches_its_pool(): void
    {
        $sitting = $this->sit(minutes: 1);
        $this->act([['answered', 'q-written', ['text' => 'Because.']]]);
        $this->travel(30)->seconds();
        $this->act([['flagged', 'q-written', false]]);
        $this->travel(50)->seconds();
        $this->closeOver($sitting);
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertJsonPath('byClock', true)
            ->assertJsonPath('tally.pending', 1);
        $counts = fn (): array => $this->getJson('/api/exams/kinds/builder')->json('counts');
        self::assertSame([1, 14], [$counts()['toBeMarked'], $counts()['new']]);
        $this->travel(2)->days();
        $points = array_combine($this->parts('q-written', 'rubric', 'withheld'), ['2', '0']);
        $this->postJson("/api/sittings/{$sitting}/questions/{$this->position('q-written')}/rubric", [
            'points' => $points,
        ])->assertOk();

        self::assertSame([0, 1, 14], [$counts()['toBeMarked'], $counts()['partly'], $counts()['new']]);
    }

    public function test_points_given_to_the_last_text_do_not_mark_the_first(): void
    {
        $sitting = $this->sit();
        $this->act([
            ['answered', 'q-written', ['text' => 'A first try.']],
            ['answered', 'q-written', ['text' => 'All of it.']],
        ]);
        $this->handIn($sitting)->assertOk();
        $points = array_combine($this->parts('q-written', 'rubric', 'withheld'), ['2', '1']);
        $this->postJson("/api/sittings/{$sitting}/questions/{$this->position('q-written')}/rubric", [
            'points' => $points,
        ])->assertOk();
        $outcome = DB::table('outcomes')
            ->where('sitting_id', $sitting)
            ->where('position', $this->position('q-written'))
            ->sole();

        self::assertSame(['right', null, 1], [$outcome->outcome, $outcome->first_credit, (int) $outcome->changes]);
        $this->getJson("/api/sittings/{$sitting}/result")->assertJsonPath('habits.wrongToRight', 0);
    }

    public function test_an_outcome_keeps_how_it_came_about(): void
    {
        $sitting = $this->sit();
        [$right, $wrong] = $this->parts('q-single');
        $this->act([
            ['shown', 'q-single', null],
            ['answered', 'q-single', ['choice' => $wrong]],
            ['struck', 'q-single', [$wrong]],
            ['answered', 'q-single', ['choice' => $right]],
            ['sureness', 'q-single', 'guess'],
        ]);
        $this->handIn($sitting)->assertOk();
        $outcome = DB::table('outcomes')
            ->where('sitting_id', $sitting)
            ->where('position', $this->position('q-single'))
            ->sole();

        self::assertSame(
            [1, json_encode(['choice' => $right]), '0', 1, json_encode([$wrong]), 'guess', '1', 1.0, 0],
            [
                (int) $outcome->shown,
                $outcome->response,
                $outcome->first_credit,
                (int) $outcome->changes,
                $outcome->struck,
                $outcome->sureness,
                $outcome->credit,
                (float) $outcome->share,
                (int) $outcome->counts,
            ],
        );
        self::assertEqualsWithDelta(
            1 / 15,
            (float) DB::table('sittings')->where('id', $sitting)->value('share'),
            1e-12,
        );
    }

    public function test_missing_a_question_surely_puts_it_on_false_footing_and_opens_a_gap(): void
    {
        $this->sit();
        $this->act([
            ['answered', 'q-single', ['choice' => $this->parts('q-single')[1]]],
            ['sureness', 'q-single', 'sure'],
        ]);
        $this->handIn($this->built)->assertOk();
        $standing = $this->standing('q-single');

        self::assertSame([1, 1], [(int) $standing->false_footing, (int) $standing->misses]);
        self::assertNotNull($standing->due_day);
        $this->postJson('/api/exams/kinds/count', [
            'topics' => null,
            'pools' => ['false_footing'],
            'count' => 1,
            'mode' => 'tutor',
        ])
            ->assertOk()
            ->assertJsonPath('available', 1);
    }
}
