<?php

declare(strict_types=1);

namespace Tests\Feature\Sitting;

use App\Account\User;
use App\Question\Exam;
use App\Workshop\BankLoader;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;

/** A sitting keeps the rules that it began under, and a paper those of its exam. */
final class FrozenTermsTest extends TestCase
{
    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        app(BankLoader::class)->load(__DIR__.'/../kinds');
        $this->actingAs($this->user = $this->candidate('1.5'));
    }

    private function paper(): string
    {
        return (string) $this->postJson('/api/exams/kinds/papers/2024/sittings', ['section' => null])
            ->assertCreated()
            ->json('sitting');
    }

    public function test_extra_time_that_changes_later_changes_nothing_in_what_has_begun(): void
    {
        $sitting = $this->paper();
        self::assertSame(45 * 60_000, $this->open($sitting)['state']['remainingMs']);
        $this->user->forceFill(['extra_time' => '1'])->save();

        self::assertSame(45 * 60_000, $this->open($sitting)['state']['remainingMs']);
        $this->getJson("/api/sittings/{$sitting}")->assertJsonPath('limitMs', 45 * 60_000);
    }

    public function test_rules_of_the_exam_that_change_later_change_nothing_in_what_has_begun(): void
    {
        $begun = $this->paper();
        $this->open($begun);
        $exam = Exam::query()->where('slug', 'kinds')->firstOrFail();
        $rules = $exam->rules;
        $rules['minutes'] = 10;
        $exam->forceFill(['rules' => $rules])->save();
        $later = $this->paper();

        self::assertSame(45 * 60_000, $this->open($begun)['state']['remainingMs']);
        self::assertSame(15 * 60_000, $this->open($later)['state']['remainingMs']);
    }

    public function test_reading_comes_before_the_clock_and_takes_no_answers(): void
    {
        $exam = Exam::query()->where('slug', 'kinds')->firstOrFail();
        $exam->forceFill(['rules' => ['readingMinutes' => 4] + $exam->rules])->save();
        $sitting = $this->paper();
        $opened = $this->open($sitting);
        $start = $opened['state']['now'];
        // Half as much again, as everything else: 6 of 45 min.
        self::assertSame('reading', $opened['state']['status']);
        self::assertSame($start + 6 * 60_000, $opened['state']['readingUntil']);
        self::assertSame($start + 45 * 60_000, $opened['state']['deadline']);
        self::assertSame(39 * 60_000, $opened['state']['remainingMs']);
        $shown = ['id' => 's', 'seq' => 9, 'kind' => 'shown', 'position' => 0];
        $early = ['id' => 'a', 'seq' => 10, 'kind' => 'answered', 'position' => 0, 'value' => null];
        $this->send($sitting, [$shown, $early])
            ->assertOk()
            ->assertJsonPath('status', 'reading')
            ->assertJsonPath('refused', ['a' => 'Answering begins when reading is over.']);
        $this->travel(2)->minutes();
        $this->send($sitting, [['id' => 'r', 'seq' => 11, 'kind' => 'reading_ended']])
            ->assertOk()
            ->assertJsonPath('status', 'active')
            ->assertJsonPath('readingUntil', null)
            ->assertJsonPath('deadline', $start + 41 * 60_000);
        $this->travel(42)->minutes();
        $this->closeOver($sitting);
        $this->getJson("/api/sittings/{$sitting}/result")->assertOk()->assertJsonPath('byClock', true);
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }

    public function test_a_reserve_changes_the_plan_and_nothing_else(): void
    {
        $sitting = $this->paper();
        $before = $this->getJson("/api/sittings/{$sitting}")->assertOk()->json();
        $this->putJson("/api/sittings/{$sitting}/reserve", ['minutes' => 9])
            ->assertOk()
            ->assertJsonPath('reserveMs', 9 * 60_000)
            ->assertJsonPath('msPerMark', (int) round($before['msPerMark'] * 36 / 45))
            ->assertJsonPath('limitMs', 45 * 60_000);
        $plan = $this->getJson("/api/sittings/{$sitting}")->json('planMs');
        self::assertEqualsWithDelta(36 * 60_000, array_sum($plan), 2.0);
        self::assertEqualsWithDelta(45 * 60_000, array_sum($before['planMs']), 2.0);
        $this->putJson("/api/sittings/{$sitting}/reserve", ['minutes' => 23])
            ->assertStatus(422)
            ->assertJsonPath('message', 'Of this test at most 22 min can be kept in reserve.');
        foreach ([-1, 2.5, 'some', null, 601] as $bad) {
            $this->putJson("/api/sittings/{$sitting}/reserve", ['minutes' => $bad])
                ->assertStatus(422)
                ->assertJsonPath('message', 'Say it in whole minutes, from 0 on.');
        }
        self::assertSame(45 * 60_000, $this->open($sitting)['state']['remainingMs']);
    }

    public function test_a_paper_cannot_be_paused_unless_its_exam_allows_it(): void
    {
        $sitting = $this->paper();
        $this->getJson("/api/sittings/{$sitting}")->assertJsonPath('pausable', false);
        $this->open($sitting);
        $pause = ['id' => 'p', 'seq' => 10, 'kind' => 'paused'];
        $this->send($sitting, [$pause])
            ->assertOk()
            ->assertJsonPath('status', 'active')
            ->assertJsonCount(1, 'refused');
        $this->travel(50)->minutes();
        $this->closeOver($sitting);

        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertOk()
            ->assertJsonPath('byClock', true);
    }

    public function test_a_closed_lid_does_not_stop_the_clock_of_a_paper(): void
    {
        $sitting = $this->paper();
        $this->open($sitting);
        $this->travel(20)->minutes();

        self::assertSame(25 * 60_000, $this->open($sitting, 'tab-2', take: true)['state']['remainingMs']);
    }

    public function test_a_section_that_does_not_exist_cannot_begin(): void
    {
        $sitting = $this->paper();
        $this->open($sitting);
        $events = [];
        foreach ([0, 1, 7, -1, 'x', null, [1]] as $i => $section) {
            $events[] = ['id' => "s{$i}", 'seq' => 10 + $i, 'kind' => 'section_began', 'value' => $section];
        }
        $this->send($sitting, $events)->assertOk()->assertJsonCount(7, 'refused')->assertJsonPath('status', 'active');

        self::assertSame(0, DB::table('sitting_events')->where('kind', 'section_began')->count());
    }
}
