<?php

declare(strict_types=1);

namespace Tests\Feature\Today;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;

final class TodayTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->candidate());
        $this->exam();
    }

    public function test_a_new_candidate_has_met_nothing_and_handed_in_nothing(): void
    {
        $this->getJson('/api/exams/small-hills/today')
            ->assertOk()
            ->assertJsonPath('counts', [
                'all' => 12,
                'new' => 12,
                'gotIt' => 0,
                'partly' => 0,
                'missed' => 0,
                'leftBlank' => 0,
                'toBeMarked' => 0,
                'flagged' => 0,
            ])
            ->assertJsonPath('open', [])
            ->assertJsonPath('past', []);
        $this->getJson('/api/exams')->assertOk()->assertJsonCount(1, 'exams')->assertJsonPath('chosen', null);
    }

    public function test_each_exam_says_what_waits_in_it(): void
    {
        $this->open($this->build(['count' => 3, 'mode' => 'tutor']));
        $sitting = $this->build(['count' => 2, 'mode' => 'untimed']);
        $this->open($sitting);
        $this->travel(30)->seconds();
        $this->send($sitting, [$this->answer(0, 'a', 1), $this->answer(1, 'b', 2)])->assertOk();
        $this->handIn($sitting)->assertOk();
        $waits = fn (): array => array_intersect_key(
            $this->getJson('/api/exams')->assertOk()->json('exams.0'),
            ['open' => 0, 'due' => 0],
        );
        self::assertSame(['open' => 1, 'due' => 0], $waits());
        $this->travel(3)->days();
        self::assertSame(2, $waits()['due']);
        self::assertSame(2, $this->getJson('/api/exams/small-hills/today')->json('quick.due'));
    }

    public function test_the_exam_one_chose_is_kept_with_the_account(): void
    {
        $this->putJson('/api/exams/small-hills/chosen')->assertNoContent();
        $this->getJson('/api/exams')->assertJsonPath('chosen', 'small-hills');
        $this->putJson('/api/exams/no-hills/chosen')->assertNotFound();
        // Whoever signs in on the same machine begins with their own.
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->getJson('/api/exams')->assertJsonPath('chosen', null);
    }

    public function test_what_was_begun_comes_back_with_how_far_it_got(): void
    {
        $sitting = $this->build(['count' => 5, 'mode' => 'tutor']);
        $this->getJson('/api/exams/small-hills/today')
            ->assertJsonPath('open.0.begun', false)
            ->assertJsonPath('open.0.touchedAt', null);
        $this->open($sitting);
        $this->send($sitting, [$this->answer(0, 'a', 10), $this->answer(2, 'b', 11)]);

        $this->getJson('/api/exams/small-hills/today')
            ->assertJsonPath('open.0.id', $sitting)
            ->assertJsonPath('open.0.leftMs', null)
            ->assertJsonPath('open.0.begun', true)
            ->assertJsonPath('open.0.answered', 2)
            ->assertJsonPath('open.0.questions', 5);
    }

    public function test_the_latest_ten_results_come_first(): void
    {
        $handed = [];
        for ($i = 0; $i < 12; $i++) {
            $this->travel(1)->minutes();
            $sitting = $this->build(['count' => 1, 'mode' => 'untimed']);
            $this->open($sitting);
            $this->handIn($sitting)->assertOk();
            array_unshift($handed, $sitting);
        }

        self::assertSame(
            array_slice($handed, 0, 10),
            array_column($this->getJson('/api/exams/small-hills/today')->json('past'), 'id'),
        );
    }

    public function test_one_candidate_sees_nothing_of_another(): void
    {
        $sitting = $this->build(['count' => 3]);
        $this->open($sitting);
        $this->handIn($sitting);
        $this->flushSession();
        $this->actingAs($this->candidate());

        $this->getJson('/api/exams/small-hills/today')->assertJsonPath('past', [])->assertJsonPath('counts.new', 12);
    }

    public function test_reading_today_costs_the_same_after_many_sittings(): void
    {
        $queries = function (): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->getJson('/api/exams/small-hills/today')->assertOk();

            return count(DB::getQueryLog());
        };
        $before = $queries();
        for ($i = 0; $i < 6; $i++) {
            $sitting = $this->build(['count' => 2, 'mode' => 'tutor']);
            $this->open($sitting);
            if ($i % 2 === 0) {
                $this->handIn($sitting);
            }
        }

        // One query more at the most, for the tests of the sittings that are listed now.
        self::assertLessThanOrEqual($before + 2, $queries());

        // And with all there is to be told: a date, hours, what is due, and a clock that runs.
        $this->putJson('/api/exams/small-hills/enrolment', [
            'examDate' => now()->addDays(40)->toDateString(),
            'timeZone' => 'Europe/Oslo',
        ])->assertNoContent();
        $hours = ['hoursWeek' => 4, 'weekdaysOff' => [7], 'datesOff' => []];
        $this->putJson('/api/exams/small-hills/plan', $hours)->assertNoContent();
        $this->open($this->build(['count' => 2, 'mode' => 'timed', 'minutes' => 30]));
        $queries();
        self::assertLessThanOrEqual(20, $queries());
    }
}
