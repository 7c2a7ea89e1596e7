<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Account\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

/** The weeks up to the exam: planned, held against what was done, and taken away as a calendar. */
final class PlanTest extends TestCase
{
    use SitsByLetters;

    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        // A Wednesday; in Kathmandu it is five and three quarters of an hour later.
        $this->travelTo(Carbon::parse('2026-06-03 09:00:00'));
        $this->user = $this->candidate();
        $this->actingAs($this->user);
        $this->exam();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function plan(): TestResponse
    {
        return $this->getJson('/api/exams/small-hills/plan')->assertOk();
    }

    private function date(?string $date, string $zone = 'Asia/Kathmandu'): void
    {
        $this->putJson('/api/exams/small-hills/enrolment', ['examDate' => $date, 'timeZone' => $zone])
            ->assertNoContent();
    }

    /**
     * @param  array<mixed>  $wanted
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function hours(array $wanted = []): TestResponse
    {
        return $this->putJson(
            '/api/exams/small-hills/plan',
            $wanted + ['hoursWeek' => 1, 'weekdaysOff' => [6, 7], 'datesOff' => []],
        );
    }

    public function test_without_a_date_or_hours_there_is_no_plan(): void
    {
        $this->plan()->assertJsonPath('weeks', [])->assertJsonPath('thisWeek', null)
            ->assertJsonPath('hoursWeek', null)->assertJsonPath('questionMs', 180_000)
            ->assertJsonPath('questionMsKnown', false);
        $this->hours()->assertNoContent();
        $this->plan()->assertJsonPath('weeks', [])->assertJsonPath('hoursWeek', 1)
            ->assertJsonPath('weekdaysOff', [6, 7]);
        $this->getJson('/api/exams/small-hills/today')->assertJsonPath('week', null);
        $this->date('2026-06-24');
        $this->plan()->assertJsonCount(4, 'weeks')->assertJsonPath('today', '2026-06-03');
        // Today it is, and over: there is nothing left to plan.
        foreach (['2026-06-03', '2026-05-20'] as $date) {
            $this->date($date);
            $this->plan()->assertJsonPath('weeks', [])->assertJsonPath('thisWeek', null);
            $this->getJson('/api/exams/small-hills/today')->assertOk()->assertJsonPath('week', null);
        }
    }

    public function test_it_is_made_of_where_one_stands(): void
    {
        $this->date('2026-06-24');
        $this->hours(['datesOff' => ['2026-06-10', '2026-06-11']])->assertNoContent();
        $plan = $this->plan()->json();
        self::assertSame(
            [['2026-06-03', '2026-06-07', 3], ['2026-06-08', '2026-06-14', 3], ['2026-06-15', '2026-06-21', 5],
                ['2026-06-22', '2026-06-23', 2]],
            array_map(fn (array $week): array => [$week['from'], $week['to'], $week['days']], $plan['weeks']),
        );
        // Twelve minutes a day, three a question: four a day. Nothing was met that could be worked on again, so the
        // twelve new ones go to the five days up to two weeks before the exam, and the rest is left over.
        self::assertSame(36 * 60_000, $plan['weeks'][0]['ms']);
        $sum = fn (array $parts): int => array_sum(array_column($parts, 'questions'));
        self::assertSame([8, 4, 0, 0], array_map(fn (array $week): int => $sum($week['new']), $plan['weeks']));
        self::assertSame([12, 24, 60, 24], array_map(
            fn (array $week): int => intdiv($week['spareMs'], 60_000),
            $plan['weeks'],
        ));
        self::assertSame([0, 0], [$plan['missingMs'], count($plan['leftOut'])]);
        self::assertSame('Ridges', $plan['weeks'][0]['new'][0]['name']);

        // What was answered is no longer new, comes back when it is due, and is never past the exam.
        $this->sit('rrrrmmmm', ['mode' => 'untimed']);
        $plan = $this->plan()->json();
        self::assertSame(4, array_sum(array_map(fn (array $week): int => $sum($week['new']), $plan['weeks'])));
        $due = DB::table('standings')->whereNotNull('due_day')->count();
        self::assertSame($due, array_sum(array_column($plan['weeks'], 'revisits')));
        self::assertSame(8, $due);
        DB::table('standings')->update(['due_day' => 99_999]);
        self::assertSame([0, 0, 0, 8], array_column($this->plan()->json('weeks'), 'revisits'));
        DB::table('questions')->limit(1)->whereIn('id', DB::table('standings')->select('question_id'))
            ->update(['retired_at' => '2026-01-01']);
        self::assertSame([0, 0, 0, 7], array_column($this->plan()->json('weeks'), 'revisits'));
    }

    public function test_ones_own_pace_is_known_from_thirty_answers_on(): void
    {
        foreach (['rrrrrrrrrrrr', 'rrrrrrrrrrrr', 'rrrrr'] as $letters) {
            $this->sit($letters, ['mode' => 'untimed'], 40);
        }
        $this->plan()->assertJsonPath('questionMsKnown', false);
        $this->sit('rbb', ['mode' => 'untimed']);
        $this->plan()->assertJsonPath('questionMsKnown', true)->assertJsonPath('questionMs', 40_000);
    }

    public function test_this_week_is_held_against_what_was_planned_for_it(): void
    {
        $this->date('2026-06-24');
        $this->sit('rm', ['mode' => 'untimed']);
        $this->hours(['hoursWeek' => 1.5])->assertNoContent();
        // Done before counts as if it had been planned: two, and of the ten that are new eight in the three days left.
        $week = fn (): array => $this->getJson('/api/exams/small-hills/today')->assertOk()->json('week');
        $first = $week();
        self::assertSame(['2026-06-01', 10, 2, 40_000], [
            $first['from'], $first['questions'], $first['answered'], $first['spentMs'],
        ]);
        self::assertSame(40_000 + 24 * 60_000, $first['ms']);
        $this->sit('rmb', ['mode' => 'untimed']);
        $this->travel(1)->days();
        self::assertSame(array_replace($first, ['answered' => 4, 'spentMs' => 100_000]), $week());
        self::assertSame($week(), $this->plan()->json('thisWeek'));

        // In tutor mode each counts at once.
        $tutor = $this->build(['count' => 2, 'mode' => 'tutor']);
        $opened = $this->open($tutor);
        $this->send($tutor, [$this->answer(0, $this->option($opened, 0, true), 5),
            ['id' => 'c', 'seq' => 6, 'kind' => 'checked', 'position' => 0]])->assertOk();
        self::assertSame(5, $week()['answered']);

        // A rehearsal is told apart.
        $whole = $this->sit('rrrr');
        DB::table('tests')->whereIn('id', DB::table('sittings')->where('id', $whole)->select('test_id'))
            ->update(['of_exam' => true]);
        self::assertSame([5, 1], [$week()['answered'], $week()['rehearsed']]);
        // One section of it is practice like any other.
        $section = fn (?string $code): int => DB::table('tests')->where('of_exam', true)->update(['section' => $code]);
        $section('all');
        self::assertSame([9, 0], [$week()['answered'], $week()['rehearsed']]);
        $section(null);

        // Next week is planned anew, and nothing of this one counts, not even what was answered late on Sunday.
        $this->travelTo(Carbon::parse('2026-06-07 18:00:00'));
        $this->open($tutor, take: true);
        $this->send($tutor, [['id' => 'on', 'seq' => 14, 'kind' => 'resumed'],
            $this->answer(1, $this->option($opened, 1, true), 15),
            ['id' => 'c2', 'seq' => 16, 'kind' => 'checked', 'position' => 1]])->assertJsonPath('refused', []);
        self::assertSame(6, $week()['answered']);
        $this->travelTo(Carbon::parse('2026-06-07 18:30:00'));
        self::assertSame(['2026-06-08', 0, 0, 0], [
            $week()['from'], $week()['answered'], $week()['spentMs'], $week()['rehearsed'],
        ]);
        self::assertSame(2, DB::table('plan_weeks')->count());
        $this->sit('r', ['mode' => 'untimed']);
        self::assertSame([1, 20_000], [$week()['answered'], $week()['spentMs']]);
        // With other hours what is left is planned anew: one day of eighteen minutes, six questions.
        self::assertGreaterThan(7, $week()['questions']);
        $this->hours([
            'hoursWeek' => 1.5,
            'datesOff' => ['2026-06-08', '2026-06-09', '2026-06-10', '2026-06-11'],
        ])->assertNoContent();
        self::assertSame(1 + 6, $week()['questions']);
    }

    public function test_a_week_that_was_not_done_is_spread_over_what_is_left(): void
    {
        $this->date('2026-07-08');
        $this->hours()->assertNoContent();
        $new = fn (): array => array_map(
            fn (array $week): int => array_sum(array_column($week['new'], 'questions')),
            $this->plan()->json('weeks'),
        );
        // Fifteen days of study until two weeks before the exam; then seven fewer.
        self::assertSame([3, 4, 4, 1, 0, 0], $new());
        $this->travel(7)->days();
        self::assertSame([4, 6, 2, 0, 0], $new());
    }

    public function test_it_is_taken_away_as_a_calendar_that_others_can_read(): void
    {
        $this->date('2026-06-24');
        $this->hours(['hoursWeek' => 10])->assertNoContent();
        $plan = $this->plan()->json();
        $text = $this->getJson('/api/exams/small-hills/plan/calendar')->assertOk()->json('text');
        $calendar = Reader::read($text);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        // RFC 5545, 3.1: lines end in CR LF and are no longer than 75 octets.
        self::assertStringEndsWith("\r\n", $text);
        foreach (explode("\r\n", $text) as $line) {
            self::assertLessThanOrEqual(75, strlen($line));
            self::assertStringNotContainsString("\n", $line);
        }
        $events = [];
        foreach ($calendar->select('VEVENT') as $event) {
            self::assertSame('DATE', (string) $event->DTSTART['VALUE']);
            self::assertSame('20260603T090000Z', (string) $event->DTSTAMP);
            $events[(string) $event->UID] = [(string) $event->DTSTART, (string) $event->DTEND];
        }
        self::assertCount(5, $events);
        // The end of a whole day is the day after it.
        self::assertSame(['20260603', '20260608'], $events['week-20260601-small-hills@uplandia']);
        self::assertSame(['20260622', '20260624'], $events['week-20260622-small-hills@uplandia']);
        self::assertSame(['20260624', '20260625'], $events['exam-small-hills@uplandia']);
        $about = (string) $calendar->select('VEVENT')[0]->DESCRIPTION;
        foreach ($plan['weeks'][0]['weak'] as $part) {
            self::assertStringContainsString("{$part['name']} {$part['questions']}", $about);
        }
        // The same plan on another day has the same ids.
        $this->travel(1)->days();
        $again = Reader::read($this->getJson('/api/exams/small-hills/plan/calendar')->json('text'));
        self::assertSame(
            array_keys($events),
            array_map(fn (object $event): string => (string) $event->UID, $again->select('VEVENT')),
        );
    }

    /** @param  array<mixed>  $wanted */
    #[TestWith([['hoursWeek' => 0.4], 'Say how many hours a week you have'])]
    #[TestWith([['hoursWeek' => 81], 'Say how many hours a week you have'])]
    #[TestWith([['hoursWeek' => 'many'], 'Say how many hours a week you have'])]
    #[TestWith([['hoursWeek' => null], 'Say how many hours a week you have'])]
    #[TestWith([['weekdaysOff' => [1, 2, 3, 4, 5, 6, 7]], 'Leave at least one day'])]
    #[TestWith([['weekdaysOff' => [8]], 'Days of the week are numbered'])]
    #[TestWith([['weekdaysOff' => [1, 1]], 'Days of the week are numbered'])]
    #[TestWith([['weekdaysOff' => 'x'], 'Days of the week are numbered'])]
    #[TestWith([['datesOff' => ['2026-02-30']], 'Give days off as dates'])]
    #[TestWith([['datesOff' => ['2026-06-10', '2026-06-10']], 'Give days off as dates'])]
    #[TestWith([['datesOff' => [7]], 'Give days off as dates'])]
    public function test_what_cannot_be_planned_is_refused_in_words(array $wanted, string $sentence): void
    {
        $message = $this->hours($wanted)->assertUnprocessable()->json('message');
        self::assertStringStartsWith($sentence, $message);
        $this->plan()->assertJsonPath('hoursWeek', null);
    }

    public function test_a_plan_is_ones_own(): void
    {
        $this->date('2026-06-24');
        $this->hours()->assertNoContent();
        $this->plan();
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->plan()->assertJsonPath('hoursWeek', null)->assertJsonPath('examDate', null);
    }
}
