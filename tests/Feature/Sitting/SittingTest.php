<?php

declare(strict_types=1);

namespace Tests\Feature\Sitting;

use App\Sitting\Sitting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

final class SittingTest extends TestCase
{
    use SitsByLetters;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->candidate());
    }

    public function test_a_timed_sitting_tells_no_key_reason_or_outcome_before_hand_in(): void
    {
        $sitting = $this->build();
        $payloads = [
            $this->getJson("/api/sittings/{$sitting}"),
            $this->postJson("/api/sittings/{$sitting}/open", ['tab' => 'tab-1']),
            $this->send($sitting, [
                ['id' => 'c', 'seq' => 50, 'kind' => 'checked', 'position' => 0],
                $this->answer(1, 'a', 51),
                ['id' => 't', 'seq' => 52, 'kind' => 'tried', 'position' => 1],
            ]),
            $this->getJson("/api/sittings/{$sitting}/questions/0"),
            $this->getJson("/api/sittings/{$sitting}/result"),
            $this->getJson("/api/sittings/{$sitting}/review"),
            $this->getJson('/api/exams/small-hills/today'),
            $this->getJson('/api/exams/small-hills/builder'),
            $this->postJson("/api/sittings/{$sitting}/open", ['tab' => 'tab-1']),
        ];
        foreach ($payloads as $i => $payload) {
            $body = (string) $payload->getContent();
            self::assertStringNotContainsString('SECRET', $body, "payload {$i}");
            $this->assertTellsNoKey($payload->json(), "payload {$i}");
        }
        $payloads[3]->assertStatus(409)->assertJsonPath('reason', 'not_yet');
        $payloads[4]->assertStatus(409)->assertJsonPath('reason', 'not_handed_in');
    }

    /** Walks a payload: no field that speaks of keys, and no outcome that is known. */
    private function assertTellsNoKey(mixed $part, string $path): void
    {
        if (! is_array($part)) {
            return;
        }
        foreach ($part as $name => $value) {
            self::assertNotContains(
                $name,
                ['key', 'keys', 'why', 'rationale', 'references', 'credit', 'correct', 'right'],
                "{$path}.{$name}",
            );
            if ($name === 'outcome') {
                self::assertNull($value, "{$path}.{$name}");
            }
            $this->assertTellsNoKey($value, "{$path}.{$name}");
        }
    }

    public function test_tutor_mode_tells_after_the_check_and_only_of_that_question(): void
    {
        $sitting = $this->build(['mode' => 'tutor']);
        $opened = $this->open($sitting);
        $right = $this->option($opened, 0, true);
        $state = $this->send($sitting, [
            $this->answer(0, $right, 10),
            ['id' => 'c', 'seq' => 11, 'kind' => 'checked', 'position' => 0],
        ])->assertOk();

        $state->assertJsonPath('questions.0.outcome', 'right')->assertJsonPath('questions.0.locked', true);
        $this->getJson("/api/sittings/{$sitting}/questions/0")
            ->assertOk()
            ->assertJsonPath('parts.0.role', 'option')
            ->assertJsonPath('outcome', 'right');
        $this->getJson("/api/sittings/{$sitting}/questions/1")->assertStatus(409);
        $this->send($sitting, [$this->answer(0, $this->option($opened, 0, false), 12)])
            ->assertJsonPath('questions.0.response.choice', $right)
            ->assertJsonCount(1, 'refused');
    }

    public function test_a_key_that_is_shown_without_an_answer_counts_as_left_blank(): void
    {
        $sitting = $this->build(['mode' => 'tutor']);
        $opened = $this->open($sitting);
        $this->send($sitting, [
            ['id' => 'n', 'seq' => 9, 'kind' => 'shown', 'position' => 0],
            ['id' => 's', 'seq' => 10, 'kind' => 'sureness', 'position' => 0, 'value' => 'sure'],
            ['id' => 'c', 'seq' => 11, 'kind' => 'checked', 'position' => 0],
            // Said before the answer, it holds for it.
            ['id' => 't', 'seq' => 12, 'kind' => 'sureness', 'position' => 1, 'value' => 'guess'],
            $this->answer(1, $this->option($opened, 1, true), 13),
        ])->assertOk()->assertJsonPath('questions.0.outcome', 'left_blank')->assertJsonPath('refused', []);
        $this->getJson("/api/sittings/{$sitting}/questions/0")->assertOk()->assertJsonPath('outcome', 'left_blank');
        $this->handIn($sitting)->assertOk();
        self::assertSame(
            [[0, null], [1, 'guess']],
            array_map(
                fn (array $line): array => [$line['position'], $line['sureness']],
                array_slice($this->getJson("/api/sittings/{$sitting}/result")->json('questions'), 0, 2),
            ),
        );
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }

    public function test_a_question_that_was_met_is_answered_anew_with_its_key_covered(): void
    {
        $sitting = $this->sit('rm..', ['count' => 4, 'mode' => 'untimed']);
        $missed = $this->getJson("/api/sittings/{$sitting}/result")->json('questions.1');
        $path = "/api/exams/small-hills/library/{$missed['question']}/sittings";
        $this->travel(1)->minutes();
        $anew = $this->postJson($path)->assertCreated()->json('sitting');
        $opened = $this->open($anew);
        self::assertCount(1, $opened['questions']);
        $this->getJson("/api/sittings/{$anew}/questions/0")->assertStatus(409);
        $this->built = $anew;
        $this->answerAll($anew, 'r');
        // What was answered before stays as it was; the history tells both.
        $this->getJson("/api/sittings/{$sitting}/result")->assertJsonPath('questions.1.outcome', 'missed');
        self::assertSame('right', DB::table('standings')->where('question_id', $missed['question'])->value('outcome'));
        // A test whose clock runs has the first word.
        $this->travel(1)->minutes();
        $this->open($this->build(['count' => 12]));
        $this->postJson($path)->assertStatus(409)->assertJsonPath('reason', 'held_back');
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->postJson($path)->assertNotFound();
    }

    public function test_a_try_is_told_without_the_key_and_the_first_one_counts(): void
    {
        $sitting = $this->build(['mode' => 'tutor']);
        $opened = $this->open($sitting);
        [$right, $wrong] = [$this->option($opened, 0, true), $this->option($opened, 0, false)];
        $try = fn (int $seq): array => ['id' => "t{$seq}", 'seq' => $seq, 'kind' => 'tried', 'position' => 0];

        $told = $this->send($sitting, [$this->answer(0, $wrong, 10), $try(11)])->assertOk();
        $told->assertJsonPath('questions.0.tries', [['response' => ['choice' => $wrong], 'outcome' => 'missed']])
            ->assertJsonPath('questions.0.outcome', null)
            ->assertJsonPath('questions.0.locked', false);
        self::assertStringNotContainsString('SECRET', (string) $told->getContent());
        $this->getJson("/api/sittings/{$sitting}/questions/0")->assertStatus(409);

        $this->send($sitting, [$this->answer(0, $right, 12), $try(13)])
            ->assertJsonPath('questions.0.tries.1.outcome', 'right')
            ->assertJsonPath('questions.0.response.choice', $right);
        $this->send($sitting, [['id' => 'c', 'seq' => 14, 'kind' => 'checked', 'position' => 0]])
            ->assertJsonPath('questions.0.outcome', 'missed');
        $this->getJson("/api/sittings/{$sitting}/questions/0")
            ->assertJsonPath('outcome', 'missed')
            ->assertJsonPath('response.choice', $wrong)
            ->assertJsonPath('tries.0.outcome', 'missed')
            ->assertJsonPath('tries.1.response.choice', $right);
        self::assertSame('missed', $this->open($sitting)['state']['questions'][0]['tries'][0]['outcome']);
        $this->handIn($sitting)->assertOk();
        $this->assertDatabaseHas('outcomes', ['sitting_id' => $sitting, 'position' => 0, 'outcome' => 'missed']);
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }

    public function test_a_sitting_goes_on_where_it_was_tomorrow(): void
    {
        $sitting = $this->build(['mode' => 'tutor']);
        $this->open($sitting);
        $this->send($sitting, [
            ['id' => 's', 'seq' => 9, 'kind' => 'shown', 'position' => 3],
            $this->answer(3, 'b', 10),
            ['id' => 'f', 'seq' => 11, 'kind' => 'flagged', 'position' => 3, 'value' => true],
        ]);
        $this->travel(1)->days();
        $state = $this->open($sitting, 'tab-2')['state'];

        self::assertSame(
            [3, 1, $this->optionId(3, 'b'), true],
            [
                $state['current'],
                $state['answered'],
                $state['questions'][3]['response']['choice'],
                $state['questions'][3]['flagged'],
            ],
        );
    }

    public function test_a_closed_lid_stops_a_practice_clock_where_contact_was_lost(): void
    {
        $sitting = $this->build(['minutes' => 10]);
        $this->open($sitting);
        $this->travel(50)->seconds();
        $this->send($sitting, [$this->answer(0, 'a', 10)]);
        $this->travel(3)->days();
        $state = $this->open($sitting, 'tab-2')['state'];
        self::assertSame(['paused', 50_000, 550_000], [$state['status'], $state['activeMs'], $state['remainingMs']]);

        $this->send($sitting, [['id' => 'r', 'seq' => 20, 'kind' => 'resumed']], 'tab-2')
            ->assertJsonPath('status', 'active')
            ->assertJsonPath('remainingMs', 550_000);
    }

    public function test_what_was_answered_without_a_connection_counts_though_the_lid_was_closed_since(): void
    {
        $sitting = $this->build(['minutes' => 10]);
        $from = $this->open($sitting)['state']['now'];
        $this->travel(3)->days();
        $now = $from + 3 * 86_400_000;
        // Five minutes without a connection, the lid closed, opened again a minute ago, still without one.
        $letter = fn (int $seq, int $madeAt, array $awake): TestResponse => $this->postJson(
            "/api/sittings/{$sitting}/events",
            [
                'tab' => 'tab-1',
                'awakeSince' => null,
                'awake' => $awake,
                'events' => [['madeAt' => $madeAt] + $this->answer($seq, 'a', $seq)],
            ],
        );
        $letter(1, $from + 240_000, [[$from, $from + 300_000], [$now - 50_000, $now]])
            ->assertOk()
            ->assertJsonPath('status', 'paused')
            ->assertJsonPath('answered', 1)
            ->assertJsonPath('refused', [])
            ->assertJsonPath('activeMs', 350_000);
        // Made since it was opened again, and told at once: what comes with the news counts, what comes much later
        // does not.
        $letter(2, $now - 20_000, [])->assertJsonPath('answered', 2);
        $this->travel(6)->seconds();
        $letter(3, $now - 20_000, [])->assertJsonPath('answered', 2)->assertJsonCount(1, 'refused');
    }

    public function test_what_waits_on_a_device_counts_when_its_page_is_opened_again_days_later(): void
    {
        $sitting = $this->build(['minutes' => 10]);
        $from = $this->open($sitting)['state']['now'];
        $this->travel(3)->days();
        $this->postJson("/api/sittings/{$sitting}/open", ['tab' => 'tab-1', 'awake' => [[$from, $from + 200_000]]])
            ->assertOk()
            ->assertJsonPath('state.status', 'paused')
            ->assertJsonPath('state.activeMs', 200_000);
        $this->travel(2)->seconds();
        $this->send($sitting, [['madeAt' => $from + 190_000] + $this->answer(0, 'a', 5)])
            ->assertJsonPath('answered', 1)
            ->assertJsonPath('refused', []);
    }

    public function test_time_passes_for_a_page_that_stayed_awake_without_a_connection(): void
    {
        $sitting = $this->build(['minutes' => 10]);
        $opened = $this->open($sitting);
        $this->travel(5)->minutes();
        $awakeSince = $opened['state']['now'];

        $this->send($sitting, [$this->answer(0, 'a', 10)], awakeSince: $awakeSince)
            ->assertJsonPath('status', 'active')
            ->assertJsonPath('activeMs', 300_000);
    }

    public function test_at_zero_the_sitting_is_handed_in_as_it_stands_though_nobody_is_there(): void
    {
        $sitting = $this->build(['minutes' => 1]);
        $opened = $this->open($sitting);
        $this->travel(30)->seconds();
        $this->send($sitting, [$this->answer(0, $this->option($opened, 0, true), 10)]);
        $this->travel(50)->seconds();
        $this->getJson('/api/exams/small-hills/today')
            ->assertJsonPath('open.0.timeUp', true)
            ->assertJsonPath('open.0.waits', true);
        $this->closeOver($sitting);

        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertOk()
            ->assertJsonPath('byClock', true)
            ->assertJsonPath('tally.right', 1)
            ->assertJsonPath('activeMs', 60_000);
        $this->getJson('/api/exams/small-hills/today')
            ->assertJsonPath('past.0.marks', '1')
            ->assertJsonCount(0, 'open');
    }

    public function test_an_answer_made_before_the_deadline_and_sent_five_seconds_late_counts(): void
    {
        $sitting = $this->build(['minutes' => 1]);
        $opened = $this->open($sitting);
        $this->travel(64)->seconds();
        $event = fn (int $position, int $seq, int $madeAfter): array => $this->answer(
            $position,
            $this->option($opened, $position, true),
            $seq,
        ) + ['madeAt' => $opened['state']['now'] + $madeAfter];
        $this->postJson("/api/sittings/{$sitting}/hand-in", [
            'tab' => 'tab-1',
            'awakeSince' => $opened['state']['now'],
            'events' => [$event(0, 10, 59_000), $event(1, 11, 61_000)],
        ])
            ->assertOk()
            ->assertJsonCount(1, 'refused');

        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertJsonPath('tally.answered', 1)
            ->assertJsonPath('byClock', true);
    }

    public function test_replays_and_saves_that_overtake_each_other_do_no_harm(): void
    {
        $sitting = $this->build();
        $this->open($sitting);
        $older = $this->answer(0, 'a', 10);
        $newer = $this->answer(0, 'b', 11);
        $this->send($sitting, [$newer])->assertOk();
        $this->send($sitting, [$older])->assertOk();
        $this->send($sitting, [$newer, $older])
            ->assertOk()
            ->assertJsonPath('questions.0.response.choice', $this->optionId(0, 'b'));

        self::assertSame(2, DB::table('sitting_events')->where('kind', 'answered')->count());
    }

    public function test_two_tabs_cannot_overwrite_each_other(): void
    {
        $sitting = $this->build();
        $this->open($sitting, 'first');
        $this->postJson("/api/sittings/{$sitting}/open", ['tab' => 'second'])
            ->assertStatus(409)
            ->assertJsonPath('reason', 'open_elsewhere');
        $this->open($sitting, 'second', take: true);

        $this->send($sitting, [$this->answer(0, 'a', 10)], 'first')
            ->assertStatus(409)
            ->assertJsonPath('reason', 'open_elsewhere');
        $this->send($sitting, [$this->answer(0, 'b', 11)], 'second')
            ->assertOk()
            ->assertJsonPath('questions.0.response.choice', $this->optionId(0, 'b'));
    }

    public function test_a_page_that_leaves_lets_go_of_the_pen(): void
    {
        $sitting = $this->build();
        $this->open($sitting, 'first');
        $this->send($sitting, [['id' => 'l', 'seq' => 9, 'kind' => 'left']], 'first')->assertOk();

        self::assertSame('active', $this->open($sitting, 'second')['state']['status']);
    }

    public function test_handing_in_twice_is_the_same_as_once(): void
    {
        $sitting = $this->build();
        $this->open($sitting);
        $this->handIn($sitting)->assertOk();
        $this->handIn($sitting)->assertOk();

        self::assertSame(6, DB::table('outcomes')->count());
        $this->send($sitting, [$this->answer(0, 'a', 10)])
            ->assertStatus(409)
            ->assertJsonPath('reason', 'handed_in');
        $this->postJson("/api/sittings/{$sitting}/open", ['tab' => 'tab-1'])->assertStatus(409);
    }

    public function test_handing_in_again_says_what_was_not_taken(): void
    {
        $sitting = $this->build();
        $this->open($sitting);
        $known = $this->answer(0, 'a', 10);
        $this->send($sitting, [$known]);
        $this->handIn($sitting)->assertJsonPath('refused', []);
        $late = $this->answer(1, 'b', 11);
        $again = ['tab' => 'tab-1', 'events' => [$known, $late]];
        self::assertSame(
            [$late['id'] => 'The sitting had been handed in before this reached the server.'],
            $this->postJson("/api/sittings/{$sitting}/hand-in", $again)->assertOk()->json('refused'),
        );
        self::assertSame(1, Sitting::query()->findOrFail($sitting)->answered);
    }

    /** @param  array<string, int>  $filled */
    #[TestWith([['events' => 20_000], 'too_many_events', 'more than 20,000 steps'])]
    #[TestWith([['bytes' => 20 * 1024 * 1024], 'too_large', 'more than 20 megabytes'])]
    public function test_a_full_sitting_can_still_be_handed_in(array $filled, string $reason, string $words): void
    {
        $sitting = $this->build();
        $this->open($sitting);
        $this->send($sitting, [$this->answer(0, 'a', 10)])->assertOk();
        DB::table('sittings')->update($filled);
        $this->send($sitting, [])->assertOk();
        $more = $this->answer(1, 'b', 11);
        $this->send($sitting, [$more])->assertStatus(422)->assertJsonPath('reason', $reason);
        $said = $this->postJson("/api/sittings/{$sitting}/hand-in", ['tab' => 'tab-1', 'events' => [$more]])
            ->assertOk()
            ->json('refused');

        self::assertStringContainsString($words, $said[$more['id']]);
        self::assertSame(6, DB::table('outcomes')->count());
        self::assertSame(1, Sitting::query()->findOrFail($sitting)->answered);
    }

    /** @param  array<string, mixed>|string|null  $value */
    #[TestWith([0, ['choice' => 'zz']])]
    #[TestWith([0, ['choice' => ['a']]])]
    #[TestWith([0, 'a'])]
    #[TestWith([99, ['choice' => 'a']])]
    public function test_an_answer_that_cannot_belong_to_the_question_is_refused_and_the_rest_is_kept(
        int $position,
        array|string|null $value,
    ): void {
        $sitting = $this->build();
        $this->open($sitting);
        $bad = ['id' => 'bad', 'seq' => 10, 'kind' => 'answered', 'position' => $position, 'value' => $value];
        $state = $this->send($sitting, [$bad, $this->answer(1, 'a', 11)])->assertOk();

        self::assertSame(['bad'], array_keys($state->json('refused')));
        self::assertSame(1, $state->json('answered'));
    }

    public function test_a_browser_may_not_play_the_server(): void
    {
        $sitting = $this->build();
        $this->open($sitting);
        foreach (
            [
                ['id' => 'x', 'seq' => 9, 'kind' => 'handed_in'],
                ['id' => 'server-1', 'seq' => 9, 'kind' => 'paused'],
                ['id' => 'y', 'seq' => 0, 'kind' => 'shown'],
                ['seq' => 9],
            ] as $event
        ) {
            $this->send($sitting, [$event])->assertStatus(422);
        }
        self::assertSame(1, DB::table('sitting_events')->count());
    }

    public function test_to_everybody_else_a_sitting_does_not_exist(): void
    {
        $sitting = $this->build();
        $this->open($sitting);
        $this->flushSession();
        $this->actingAs($this->candidate());
        $asked = [
            $this->getJson("/api/sittings/{$sitting}"),
            $this->deleteJson("/api/sittings/{$sitting}"),
            $this->postJson("/api/sittings/{$sitting}/open", ['tab' => 't', 'take' => true]),
            $this->send($sitting, [], 't'),
            $this->handIn($sitting, 't'),
            $this->getJson("/api/sittings/{$sitting}/result"),
            $this->getJson("/api/sittings/{$sitting}/review"),
            $this->getJson("/api/sittings/{$sitting}/questions/0"),
        ];
        foreach ($asked as $answer) {
            $answer->assertNotFound();
        }
    }

    public function test_extra_time_is_added_to_the_limit(): void
    {
        $this->actingAs($this->candidate('1.25'));
        $this->getJson('/api/sittings/'.$this->build(['minutes' => 8]))
            ->assertJsonPath('limitMs', 600_000)
            ->assertJsonPath('msPerMark', 100_000);
    }

    public function test_each_question_has_its_seconds_and_there_is_no_going_back(): void
    {
        $this->actingAs($this->candidate('1.5'));
        $sitting = $this->build(['secondsEach' => 20]);
        $this->getJson("/api/sittings/{$sitting}")
            ->assertJsonPath('questionMs', 30_000)
            ->assertJsonPath('limitMs', null);
        $state = $this->open($sitting)['state'];
        self::assertSame([0, 30_000], [$state['current'], $state['remainingMs']]);
        $this->travel(31)->seconds();
        $late = $this->send($sitting, [
            ['id' => 's', 'seq' => 3, 'kind' => 'shown', 'position' => 1],
            $this->answer(1, 'a', 4),
        ])->assertJsonPath('current', 1);
        self::assertLessThanOrEqual(29_000, $late->json('remainingMs'));
        // Some seconds of grace are for what was on its way; after them the turn is over.
        $this->travel(6)->seconds();
        $this->send($sitting, [$this->answer(0, 'b', 5)])
            ->assertJsonPath('refused', [
                'answer-0-'.$this->optionId(0, 'b').'-5' => 'The time for the question was up.',
            ]);
        $this->send($sitting, [['id' => 'n', 'seq' => 6, 'kind' => 'shown', 'position' => 2]])
            ->assertJsonPath('current', 2)
            ->assertJsonPath('remainingMs', 30_000);
    }

    public function test_the_score_so_far_is_told_only_where_it_was_asked_for(): void
    {
        $told = ['marks' => '1', 'possible' => '2', 'percent' => '50', 'questions' => 2];
        foreach ([[true, $told], [false, null]] as [$asked, $score]) {
            $sitting = $this->build(['mode' => 'tutor', 'runningScore' => $asked]);
            $opened = $this->open($sitting);
            $this->send($sitting, [
                $this->answer(0, $this->option($opened, 0, true), 10),
                ['id' => 'c', 'seq' => 11, 'kind' => 'checked', 'position' => 0],
                $this->answer(1, $this->option($opened, 1, false), 12),
                ['id' => 'd', 'seq' => 13, 'kind' => 'checked', 'position' => 1],
            ])->assertJsonPath('score', $score);
        }
        $timed = $this->build(['runningScore' => true]);
        $opened = $this->open($timed);
        $this->send($timed, [$this->answer(0, $this->option($opened, 0, true), 10)])->assertJsonPath('score', null);
    }

    public function test_nobody_is_asked_how_sure_they_are_who_did_not_want_it(): void
    {
        $this->getJson('/api/sittings/'.$this->build())->assertJsonPath('asksSureness', true);
        $this->getJson('/api/sittings/'.$this->build(['asksSureness' => false]))
            ->assertJsonPath('asksSureness', false);
    }

    public function test_a_sitting_needs_no_more_queries_for_more_questions(): void
    {
        $queries = function (int $questions): int {
            $sitting = $this->build(['count' => $questions]);
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->open($sitting);

            return count(DB::getQueryLog());
        };

        self::assertSame($queries(2), $queries(12));
    }
}
