<?php

declare(strict_types=1);

namespace Tests\Feature\Cohort;

use App\Account\User;
use App\Assembly\Test;
use App\Cohort\CohortMarks;
use App\Cohort\CohortRenewal;
use App\Cohort\ItemStatisticsStore;
use App\Sitting\Sitting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

/** Where a candidate stands among all of the exam, in all and by topic, and how one leaves. */
final class PlaceTest extends TestCase
{
    use SitsByLetters;

    private User $user;

    private Test $whole;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->user = $this->candidate();
        $this->actingAs($this->user);
        $this->whole = Sitting::query()->findOrFail($this->build(['count' => 12]))->test;
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function place(): TestResponse
    {
        return $this->getJson('/api/exams/small-hills/cohort')->assertOk();
    }

    private function sitWhole(User $user, string $letters): string
    {
        $this->flushSession();
        $this->actingAs($user);
        $this->whole->forceFill(['of_exam' => false])->save();
        $this->built = Sitting::createFor($this->whole, $user)->id;

        return $this->answerAll($this->built, $letters);
    }

    private function become(User $user): void
    {
        $this->flushSession();
        $this->actingAs($user);
    }

    /** A whole exam is sat under its rules; which they are does not matter here. */
    private function renew(bool $ofExam = true): void
    {
        $this->whole->forceFill(['of_exam' => $ofExam])->save();
        app(CohortRenewal::class)->renew($this->exam());
    }

    /** Others with 3, 4, … right of twelve. @return list<User> */
    private function others(int $n): array
    {
        $others = [];
        foreach (range(0, $n - 1) as $i) {
            $others[] = $other = $this->candidate();
            $right = 3 + $i % 8;
            $this->sitWhole($other, str_repeat('r', $right).str_repeat('m', 12 - $right));
        }
        $this->become($this->user);

        return $others;
    }

    public function test_among_twenty_others_every_figure_is_what_their_outcomes_say(): void
    {
        $this->others(19);
        $mine = $this->sitWhole($this->user, 'rrrrrrrmmmmm');
        $this->renew();
        // Nineteen others are too few.
        $place = $this->place()->assertJsonPath('n', 19)->assertJsonPath('fewest', 20)
            ->assertJsonPath('percentile', null)->assertJsonPath('steps', [])->assertJsonPath('median', null)
            ->assertJsonPath('topics.0.others', null);
        self::assertEqualsWithDelta(7 / 12, $place->json('share'), 1e-9);

        $this->sitWhole($this->candidate(), 'rrrmmmmmmmmm');
        $this->become($this->user);
        // Kept until it is renewed.
        $this->place()->assertJsonPath('n', 19);
        $this->renew();
        $place = $this->place()->assertJsonPath('n', 20)->assertJsonPath('sitting', $mine)->json();
        $rights = [...array_map(fn (int $i): int => 3 + $i % 8, range(0, 18)), 3];
        $below = count(array_filter($rights, fn (int $right): bool => $right < 7));
        $equal = count(array_filter($rights, fn (int $right): bool => $right === 7));
        self::assertEqualsWithDelta(($below + $equal / 2) / 20, $place['percentile'], 1e-9);
        sort($rights);
        self::assertEqualsWithDelta(($rights[9] + $rights[10]) / 24, $place['median'], 1e-9);
        self::assertSame(20, array_sum($place['steps']));
        self::assertCount(20, $place['steps']);

        $outcomes = DB::table('outcomes')->join('topics', 'topics.id', '=', 'outcomes.topic_id')->get();
        // A second look at the same questions is no part of it.
        $this->sitWhole($this->user, 'rrrrrrrrrrr-');
        DB::table('sittings')->latest('id')->limit(1)->update(['counts' => false]);
        $this->renew();
        self::assertEquals($place['topics'], $this->place()->json('topics'));
        $facilities = DB::table('item_statistics')->pluck('facility', 'version_id');
        foreach ($place['topics'] as $topic) {
            $of = $outcomes->filter(fn (object $row): bool => str_starts_with($row->code, $topic['code']));
            $shares = $of->groupBy('user_id')->map(fn ($rows): float => $rows->avg('share'));
            $me = $shares->pull($this->user->id);
            self::assertEqualsWithDelta([$me, $shares->avg()], [$topic['mine'], $topic['others']], 1e-9);
            $below = $shares->filter(fn (float $share): bool => $share < $me - 1e-9)->count();
            $equal = $shares->filter(fn (float $share): bool => abs($share - $me) <= 1e-9)->count();
            self::assertEqualsWithDelta(($below + $equal / 2) / 20, $topic['percentile'], 1e-9);
            $own = $of->where('user_id', $this->user->id);
            self::assertSame(count($own), $topic['questions']);
            self::assertEqualsWithDelta($own->avg('share'), $topic['mineSame'], 1e-9);
            self::assertEqualsWithDelta(
                $own->map(fn (object $row): float => (float) $facilities[$row->version_id])->avg(),
                $topic['othersSame'],
                1e-9,
            );
        }
    }

    public function test_each_is_in_it_once_with_the_latest_that_counts_and_authors_are_not(): void
    {
        $other = $this->candidate();
        $this->sitWhole($other, 'rrrrrrrrrrrr');
        $this->travel(1)->days();
        $latest = $this->sitWhole($other, 'rrrrrrmmmmmm');
        $this->travel(1)->days();
        // Too little was answered.
        $this->sitWhole($other, 'rrrrrrrrr---');
        $this->renew();
        $rows = fn (): array => DB::table('cohort_marks')->where('topic', '')->pluck('share', 'sitting_id')->all();
        self::assertSame([$latest => 0.5], $rows());
        self::assertSame(['', 'ridge', 'water'], DB::table('cohort_marks')->orderBy('topic')->pluck('topic')->all());

        // What is deleted leaves it, and what was before it comes back.
        $this->deleteJson("/api/sittings/{$latest}")->assertSuccessful();
        $this->renew();
        self::assertSame([1.0], array_values($rows()));
        $other->forceFill(['role' => 'author'])->save();
        $this->renew();
        self::assertSame([], $rows());

        // A section alone is not the whole.
        $other->forceFill(['role' => 'candidate'])->save();
        $this->whole->forceFill(['section' => 's1'])->save();
        $this->renew();
        self::assertSame([], $rows());
        $this->whole->forceFill(['section' => null])->save();

        // One's own test is nobody else's.
        $this->become($this->user);
        $this->renew(ofExam: false);
        self::assertSame([], $rows());
        $this->place()->assertJsonPath('sitting', null)->assertJsonPath('share', null)->assertJsonPath('n', 0);
    }

    public function test_whoever_stays_out_leaves_every_figure_and_may_come_back(): void
    {
        [$leaver] = $this->others(2);
        $this->renew();
        $n = fn (): array => DB::table('item_statistics')->distinct()->pluck('n')->all();
        self::assertSame([2], $n());
        $this->become($leaver);
        $this->place()->assertJsonPath('takesPart', true)->assertJsonPath('n', 1);
        $this->putJson('/api/exams/small-hills/cohort', ['takesPart' => false])->assertNoContent();
        $this->place()->assertJsonPath('takesPart', false)->assertJsonPath('n', 1);
        // Out of the comparison at once, out of the statistics with the next renewal, which is due now.
        self::assertSame(0, DB::table('cohort_marks')->where('user_id', $leaver->id)->count());
        self::assertTrue(app(ItemStatisticsStore::class)->isDue($this->exam()));
        $this->travel(1)->minutes();
        self::assertSame(0, Artisan::call('statistics:renew', ['--due' => true]));
        self::assertSame([1], $n());
        self::assertFalse(app(ItemStatisticsStore::class)->isDue($this->exam()));
        $this->become($this->user);
        $this->place()->assertJsonPath('n', 1);

        $this->travel(1)->minutes();
        $this->become($leaver);
        $this->putJson('/api/exams/small-hills/cohort', ['takesPart' => true])->assertNoContent();
        // The date of the exam is another matter.
        $this->putJson('/api/exams/small-hills/enrolment', ['examDate' => '2026-09-01', 'timeZone' => 'UTC']);
        $this->place()->assertJsonPath('takesPart', true);
        Artisan::call('statistics:renew', ['--due' => true]);
        self::assertSame([2], $n());
        $this->putJson('/api/exams/small-hills/cohort', ['takesPart' => 'perhaps'])->assertUnprocessable()
            ->assertJsonPath('message', 'Say yes or no to taking part.');
    }

    public function test_staying_out_of_one_exam_keeps_the_date_of_it(): void
    {
        $this->putJson('/api/exams/small-hills/enrolment', ['examDate' => '2026-09-01', 'timeZone' => 'Europe/Oslo']);
        $this->putJson('/api/exams/small-hills/cohort', ['takesPart' => false])->assertNoContent();
        $this->getJson('/api/exams/small-hills/today')->assertJsonPath('examDate', '2026-09-01');
        $this->putJson('/api/exams/small-hills/enrolment', ['examDate' => '2026-09-02', 'timeZone' => 'Europe/Oslo']);
        $this->place()->assertJsonPath('takesPart', false);
    }

    public function test_a_recount_names_a_mark_that_was_tampered_with(): void
    {
        $this->others(2);
        $this->renew();
        self::assertSame([null], array_unique([...app(CohortMarks::class)->differences(null)]));
        DB::table('cohort_marks')->where('topic', 'water')->limit(1)->update(['share' => 0.123]);
        self::assertSame(1, Artisan::call('recount'));
        self::assertStringContainsString('its place in the cohort is not what it came to', Artisan::output());
    }
}
