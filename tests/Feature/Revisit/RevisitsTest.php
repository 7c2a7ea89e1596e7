<?php

declare(strict_types=1);

namespace Tests\Feature\Revisit;

use App\Revisit\Standings;
use App\Sitting\Sitting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

/** What comes back, and when: by the reference algorithm, through the whole path from events to the due day. */
final class RevisitsTest extends TestCase
{
    use SitsByLetters;

    /** Default weights of FSRS-6. */
    private const W = [.212, 1.2931, 2.3065, 8.2956, 6.4133, .8334, 3.0194, .001, 1.8722, .1666, .796, 1.4835, .0614,
        .2629, 1.6483, .6014, 1.8729, .5425, .0912, .0658, .1542];

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-03-02 09:00:00'));
        $this->actingAs($this->candidate());
        $this->exam();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function revisits(string $show = 'due', int $page = 1): TestResponse
    {
        return $this->getJson("/api/exams/small-hills/revisits?show={$show}&page={$page}");
    }

    private function enrol(?string $date, string $zone): void
    {
        $this->putJson('/api/exams/small-hills/enrolment', ['examDate' => $date, 'timeZone' => $zone])
            ->assertNoContent();
    }

    /**
     * The reference, written a second time: stability and difficulty after grades on days.
     *
     * @param  list<array{int, int}>  $story  grade and day
     */
    private static function due(array $story): int
    {
        $w = self::W;
        $start = fn (int $grade): float => $w[4] - exp($w[5] * ($grade - 1)) + 1;
        $s = $d = $last = null;
        foreach ($story as [$grade, $day]) {
            if ($s === null) {
                $s = $w[$grade - 1];
                $d = min(10, max(1, $start($grade)));
            } else {
                $r = (1 + (0.9 ** (-1 / $w[20]) - 1) * ($day - $last) / $s) ** -$w[20];
                $s = $grade === 1
                    ? min(
                        $w[11] * $d ** -$w[12] * (($s + 1) ** $w[13] - 1) * exp($w[14] * (1 - $r)),
                        $s / exp($w[17] * $w[18]),
                    )
                    : $s * (1 + exp($w[8]) * (11 - $d) * $s ** -$w[9] * (exp($w[10] * (1 - $r)) - 1)
                        * ($grade === 2 ? $w[15] : 1) * ($grade === 4 ? $w[16] : 1));
                $d = min(10, max(1, $w[7] * $start(4) + (1 - $w[7]) * ($d - $w[6] * ($grade - 3) * (10 - $d) / 9)));
            }
            $last = $day;
        }

        return $last + max(1, (int) round($s));
    }

    public function test_events_lead_to_the_due_day_of_the_reference_across_zones_clock_changes_and_midnight(): void
    {
        foreach (['UTC', 'Europe/Oslo', 'America/St_Johns', 'Pacific/Kiritimati'] as $zone) {
            $this->flushSession();
            $this->actingAs($this->candidate());
            $this->enrol(null, $zone);
            $sitting = null;
            $story = [];
            // Near midnight there, and over the night in which clocks change in Europe and in Newfoundland.
            $moments = [
                ['2026-03-06 23:58:00', 'r', 'sure'], ['2026-03-08 00:03:00', 'r', 'guess'],
                ['2026-03-28 23:59:00', 'm', 'leaning'], ['2026-03-29 04:30:00', 'r', 'leaning'],
                ['2026-04-20 12:00:00', 'r', 'sure'], ['2026-05-30 00:00:30', 'b', 'sure'],
            ];
            foreach ($moments as [$moment, $letter, $sureness]) {
                $this->travelTo(Carbon::parse($moment, $zone)->utc());
                if ($sitting === null) {
                    $this->built = $this->build(['count' => 1, 'mode' => 'untimed']);
                } else {
                    $this->built = (string) $this->postJson("/api/sittings/{$sitting}/again", ['how' => 'same'])
                        ->assertCreated()->json('sitting');
                }
                $sitting = $this->answerAll(
                    sitting: $this->built,
                    letters: $letter,
                    seconds: 5,
                    sureness: $sureness,
                );
                $day = Carbon::parse($moment, $zone)->startOfDay();
                $grade = match (true) {
                    $letter !== 'r' => 1,
                    $sureness === 'guess' => 2,
                    default => 3,
                };
                $story[] = [$grade, (int) round(Carbon::parse($day->toDateString(), 'UTC')->getTimestamp() / 86_400)];
                $due = DB::table('standings')->where('user_id', auth()->id())->value('due_day');
                self::assertSame(self::due($story), $due, "{$zone}, {$moment}");
            }
        }
        self::assertSame(0, Artisan::call('recount'));
    }

    public function test_of_what_was_left_blank_nobody_says_that_it_is_still_known(): void
    {
        $this->sit('bm', ['mode' => 'untimed']);
        $this->travel(1)->days();
        $recall = array_column($this->revisits()->assertJsonPath('due', 2)->json('revisits'), 'recall', 'outcome');
        self::assertNull($recall['left_blank']);
        self::assertGreaterThan(0.5, $recall['missed']);
    }

    public function test_whoever_is_sure_and_quick_waits_longer(): void
    {
        $this->sit('r', ['mode' => 'untimed'], 20);
        $before = DB::table('standings')->value('due_day');
        DB::table('outcomes')->update(['cohort_ms' => 30_000]);
        app(Standings::class)->renew((int) auth()->id(), $this->exam()->id, [
            (int) DB::table('standings')->value('question_id'),
        ]);
        $day = (int) DB::table('outcomes')->value('day');
        self::assertSame([self::due([[3, $day]]), self::due([[4, $day]])], [
            $before, DB::table('standings')->value('due_day'),
        ]);
    }

    public function test_what_is_due_what_is_coming_and_how_well_it_is_still_known(): void
    {
        $this->revisits()->assertOk()->assertJsonPath('due', 0)->assertJsonPath('revisits', [])
            ->assertJsonCount(29, 'days')->assertJsonPath('days.0', ['date' => '2026-03-02', 'n' => 0]);
        $sitting = $this->sit('mmr', ['mode' => 'untimed']);
        $this->revisits()->assertJsonPath('due', 0)->assertJsonPath('coming', 3)
            ->assertJsonPath('days.1', ['date' => '2026-03-03', 'n' => 2])
            ->assertJsonPath('days.2', ['date' => '2026-03-04', 'n' => 1]);
        $this->travel(1)->days();
        $view = $this->revisits()->assertJsonPath('due', 2)->assertJsonPath('coming', 1)->json();
        self::assertSame(['missed', 'missed'], array_column($view['revisits'], 'outcome'));
        self::assertSame([$sitting, $sitting], array_column($view['revisits'], 'sitting'));
        self::assertSame('2026-03-03', $view['revisits'][0]['due']);
        // Lost, the stability is 0.212 days; after one day this is left of it.
        $r = (1 + (0.9 ** (-1 / .1542) - 1) / .212) ** -.1542;
        self::assertEqualsWithDelta($r, $view['revisits'][0]['recall'], 1e-6);
        $coming = $this->revisits('coming')->json('revisits');
        self::assertSame(['right'], array_column($coming, 'outcome'));
        // What is overdue is due today, the longest first.
        $this->travel(5)->days();
        $view = $this->revisits()->assertJsonPath('due', 3)->assertJsonPath('days.0.n', 3)->json();
        self::assertSame(['2026-03-03', '2026-03-03', '2026-03-04'], array_column($view['revisits'], 'due'));
    }

    public function test_nothing_comes_back_later_than_the_day_before_the_exam(): void
    {
        $this->sit('rrr', ['mode' => 'untimed']);
        DB::table('standings')->update(['due_day' => 99_999]);
        $this->enrol('2026-03-10', 'UTC');
        $view = $this->revisits('coming')->assertJsonPath('coming', 3)->assertJsonPath('later', 0)->json();
        self::assertCount(8, $view['days']);
        self::assertSame(['date' => '2026-03-09', 'n' => 3], end($view['days']));
        self::assertSame(['2026-03-09'], array_values(array_unique(array_column($view['revisits'], 'due'))));
        $this->travelTo(Carbon::parse('2026-03-09 09:00:00'));
        $this->revisits()->assertJsonPath('due', 3)->assertJsonPath('coming', 0)->assertJsonCount(3, 'revisits');
        $this->revisits('coming')->assertJsonPath('revisits', []);
        // Without a date they are far away again.
        $this->enrol(null, 'UTC');
        $this->revisits()->assertJsonPath('due', 0)->assertJsonPath('later', 3);
    }

    public function test_a_session_asks_what_has_waited_longest(): void
    {
        $this->postJson('/api/exams/small-hills/revisits/session', ['count' => 10])->assertUnprocessable()
            ->assertJsonPath('message', 'Nothing is due to revisit just now.');
        $this->sit('mmm', ['mode' => 'untimed', 'topics' => ['water']]);
        $first = DB::table('standings')->pluck('question_id')->sort()->values()->all();
        $this->travel(3)->days();
        $this->sit('mmmmm', ['mode' => 'untimed', 'topics' => ['ridge']]);
        $this->travel(2)->days();
        $this->revisits()->assertJsonPath('due', 8);
        $id = $this->postJson('/api/exams/small-hills/revisits/session', ['count' => 3])->assertCreated()
            ->json('sitting');
        $sitting = Sitting::query()->findOrFail($id);
        self::assertSame(['tutor', 3, 'Revisits · 3, 7 Mar'], [$sitting->mode->value, $sitting->questions, $sitting->name]);
        self::assertSame(
            $first,
            DB::table('test_items')->where('test_id', $sitting->test_id)->pluck('question_id')
                ->sort()->values()->all(),
        );
        // What is retired is not asked, nor counted.
        DB::table('questions')->whereIn('id', $first)->update(['retired_at' => '2026-01-01']);
        $this->revisits()->assertJsonPath('due', 5)->assertJsonCount(5, 'revisits');
    }

    public function test_one_may_wait_or_stay_away_until_its_candidate_says_otherwise(): void
    {
        $this->sit('mm', ['mode' => 'untimed']);
        $this->travel(1)->days();
        [$one, $other] = array_column($this->revisits()->json('revisits'), 'question');
        $say = fn (int $question, bool $suspended, mixed $days) => $this->putJson(
            "/api/exams/small-hills/revisits/{$question}",
            ['suspended' => $suspended, 'days' => $days],
        );
        $say($one, false, 7)->assertNoContent();
        $this->revisits()->assertJsonPath('due', 1);
        $this->revisits('coming')->assertJsonPath('revisits.0.due', '2026-03-10');
        $say($other, true, null)->assertNoContent();
        $this->revisits()->assertJsonPath('due', 0)->assertJsonPath('suspended', 1);
        $this->revisits('suspended')->assertJsonPath('revisits.0.question', $other)
            ->assertJsonPath('revisits.0.due', null);
        // Today says the same, and a recount comes to it.
        $this->getJson('/api/exams/small-hills/today')->assertJsonPath('quick.due', 0);
        self::assertSame(0, Artisan::call('recount'));
        $say($other, false, null)->assertNoContent();
        $this->revisits()->assertJsonPath('due', 1)->assertJsonPath('suspended', 0);
        // An answer has the last word over waiting.
        $this->built = (string) $this->postJson('/api/sittings/'.Sitting::query()->firstOrFail()->id.'/again', [
            'how' => 'same',
        ])->json('sitting');
        $this->answerAll($this->built, 'mm');
        $this->travel(1)->days();
        $this->revisits()->assertJsonPath('due', 2);

        $say(987_654, false, 3)->assertNotFound();
        $say($one, false, 0)->assertUnprocessable()
            ->assertJsonPath('message', 'A question can wait for 1 to 365 days.');
        $say($one, false, 'x')->assertUnprocessable();
        $this->flushSession();
        $this->actingAs($this->candidate());
        $say($one, true, null)->assertNotFound();
    }

    #[TestWith([['show' => 'soon', 'page' => 1]])]
    #[TestWith([['show' => 'due', 'page' => 0]])]
    public function test_what_is_no_list_is_refused_in_words(array $wanted): void
    {
        $this->getJson('/api/exams/small-hills/revisits?'.http_build_query($wanted))->assertUnprocessable();
        $this->postJson('/api/exams/small-hills/revisits/session', ['count' => 0])->assertUnprocessable()
            ->assertJsonPath('message', 'A session has 1 to 100 questions.');
    }
}
