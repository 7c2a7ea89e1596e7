<?php

declare(strict_types=1);

namespace Tests\Feature\Today;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\TestCase;

/** What to do next, with its reason; and how long there is for it. */
final class StepsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 22:30:00'));
        $this->actingAs($this->candidate());
        $this->exam();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function today(): TestResponse
    {
        return $this->getJson('/api/exams/small-hills/today')->assertOk();
    }

    private function enrol(mixed $date, mixed $zone = 'UTC'): TestResponse
    {
        return $this->putJson('/api/exams/small-hills/enrolment', ['examDate' => $date, 'timeZone' => $zone]);
    }

    private function miss(int $questions): void
    {
        $sitting = $this->build(['count' => $questions, 'topics' => ['ridge']]);
        $opened = $this->open($sitting);
        for ($position = 0; $position < $questions; $position++) {
            $this->send($sitting, [
                ['id' => "s{$position}", 'seq' => 10 + 2 * $position, 'kind' => 'shown', 'position' => $position],
            ]);
            $this->travel(20)->seconds();
            $this->send($sitting, [
                $this->answer($position, $this->option($opened, $position, false), 11 + 2 * $position),
            ])->assertJsonPath('refused', []);
        }
        $this->handIn($sitting)->assertOk();
    }

    public function test_a_new_person_sees_how_to_begin(): void
    {
        $this->today()
            ->assertJsonPath('examDate', null)
            ->assertJsonPath('daysToGo', null)
            ->assertJsonPath('outlook', null)
            ->assertJsonPath('steps', [[
                'kind' => 'begin',
                'sentence' => 'Ten questions that are new to you',
                'reason' => 'You see the answer and the reason after each one.',
                'section' => null,
            ]]);
    }

    public function test_what_costs_most_comes_with_what_to_read_for_it(): void
    {
        $this->miss(8);
        $steps = $this->today()->json('steps');
        self::assertSame(['weak_spots', 'read', 'begin'], array_column($steps, 'kind'));
        self::assertSame('Ridges first, in a test of your weak spots', $steps[0]['sentence']);
        $stake = $this->getJson('/api/exams/small-hills/progress')->json('topics.0.stake');
        self::assertSame(sprintf('It is worth %.1F points of the exam.', $stake), $steps[0]['reason']);
        self::assertSame('Read “On right and wrong”', $steps[1]['sentence']);
        self::assertSame('8 open gaps of Ridges refer to it.', $steps[1]['reason']);
        self::assertSame('SECRET-REF', $steps[1]['section']);
        self::assertSame('32 more answers until a pass outlook can be told.', $steps[2]['reason']);

        // What is due comes first, and there are never more than three.
        $this->travel(3)->days();
        $steps = $this->today()->json('steps');
        self::assertSame(['due', 'weak_spots', 'read'], array_column($steps, 'kind'));
        self::assertSame('8 questions are due to revisit', $steps[0]['sentence']);
    }

    public function test_where_little_is_known_what_went_wrong_is_gone_over(): void
    {
        $this->miss(2);
        $steps = $this->today()->json('steps');
        self::assertSame(['begin', 'went_wrong'], array_column($steps, 'kind'));
        self::assertSame('2 questions, twenty at a time.', $steps[1]['reason']);
    }

    public function test_whoever_was_away_long_is_told_what_fades(): void
    {
        $this->miss(8);
        $reason = fn (): string => $this->today()->json('steps.0.reason');
        $this->travel(14)->days();
        self::assertSame('They come back just before they would be forgotten.', $reason());
        $this->travel(1)->days();
        self::assertSame('It has been 15 days, and they fade: begin with these, twenty at a time.', $reason());
    }

    public function test_on_the_day_of_the_exam_nothing_new_is_asked_for(): void
    {
        $this->enrol('2026-06-01')->assertNoContent();
        $this->today()->assertJsonPath('steps', []);
        $this->miss(8);
        $steps = $this->today()->json('steps');
        self::assertSame([['due', 'A few that you have met before']], [[$steps[0]['kind'], $steps[0]['sentence']]]);
        self::assertCount(1, $steps);
        // Afterwards life goes on.
        $this->travel(4)->days();
        $this->today()->assertJsonPath('daysToGo', -4)->assertJsonCount(3, 'steps');
    }

    public function test_in_the_last_three_weeks_the_exam_is_rehearsed(): void
    {
        $exam = $this->exam();
        $exam->forceFill(['rules' => $exam->rules + [
            'minutes' => 20, 'pause' => false, 'scale' => ['low' => 0, 'high' => 100, 'cut' => 65],
            'sections' => [['code' => 's1', 'name' => 'All', 'questions' => 10, 'marks' => 1, 'kinds' => ['single']]],
        ]])->save();
        $kinds = fn (): array => array_column($this->today()->json('steps'), 'kind');
        foreach ([23 => false, 22 => true, 4 => true, 3 => false] as $day => $is) {
            $this->enrol($date = sprintf('2026-06-%02d', $day))->assertNoContent();
            self::assertSame($is ? 'rehearse' : 'begin', $kinds()[0], $date);
        }
        $this->enrol('2026-06-15')->assertNoContent();
        $this->today()->assertJsonPath(
            'steps.0.reason',
            '14 days are left, and none was rehearsed in the last seven.',
        );
        $this->miss(2);
        $whole = fn (?string $section) => DB::table('tests')->update(['of_exam' => true, 'section' => $section]);
        // A section alone is no rehearsal.
        $whole('s1');
        self::assertSame('rehearse', $kinds()[0]);
        $whole(null);
        self::assertNotContains('rehearse', $kinds());
        $this->travel(7)->days();
        self::assertSame('rehearse', $kinds()[0]);
    }

    #[TestWith(['2026-06-24', 'UTC', 23])]
    #[TestWith(['2026-06-02', 'UTC', 1])]
    #[TestWith(['2026-06-01', 'UTC', 0])]
    #[TestWith(['2026-05-30', 'UTC', -2])]
    // In Oslo it is half past midnight of the next day already.
    #[TestWith(['2026-06-24', 'Europe/Oslo', 22])]
    #[TestWith([null, 'UTC', null])]
    public function test_the_days_to_the_exam_are_those_of_the_candidate(?string $date, string $zone, ?int $days): void
    {
        $this->enrol('2026-12-31')->assertNoContent();
        $this->enrol($date, $zone)->assertNoContent();
        $this->today()->assertJsonPath('daysToGo', $days)->assertJsonPath('examDate', $date);
        self::assertSame(1, DB::table('enrolments')->count());
    }

    #[TestWith(['31.05.2026', 'UTC', 'examDate'])]
    #[TestWith(['2026-02-30', 'UTC', 'examDate'])]
    #[TestWith(['2099-01-01', 'UTC', 'examDate'])]
    #[TestWith([[], 'UTC', 'examDate'])]
    #[TestWith(['2026-07-01', 'Middle/Earth', 'timeZone'])]
    #[TestWith(['2026-07-01', 7, 'timeZone'])]
    public function test_what_is_no_date_or_no_place_is_refused_and_nothing_changes(
        mixed $date,
        mixed $zone,
        string $field,
    ): void {
        $this->enrol('2026-07-01')->assertNoContent();
        $this->enrol($date, $zone)->assertStatus(422)->assertJsonStructure(['fields' => [$field]]);
        $this->today()->assertJsonPath('examDate', '2026-07-01');
    }
}
