<?php

declare(strict_types=1);

namespace Tests\Feature\Demo;

use App\Account\User;
use App\Question\Exam;
use App\Sitting\Sitting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;

/** The demo's people show on their results what they are like, and its cohort is large enough to be compared with. */
final class StoriesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-20 12:00:00'));
        $this->artisan('demo:load', ['--cohort' => 60]);
    }

    /** @return array<string, mixed> of the longest test that somebody has sat */
    private function longest(string $key): array
    {
        $user = User::query()->where('made_up_as', $key)->firstOrFail();
        $sitting = Sitting::query()
            ->where('user_id', $user->id)
            ->where('status', 'handed_in')
            ->orderByDesc('questions')
            ->firstOrFail();
        $this->flushSession();
        $this->actingAs($user);

        return $this->getJson("/api/sittings/{$sitting->id}/result")->assertOk()->json();
    }

    public function test_each_of_them_is_what_is_said_of_them_and_the_cohort_meets_the_whole_bank(): void
    {
        $this->cohort();
        $sure = $this->longest('bram');
        self::assertSame('over_confident', $sure['calibration']['leaning']);
        self::assertGreaterThan(0, $sure['calibration']['low']);
        $false = array_filter($sure['questions'], fn (array $line): bool => $line['footing'] === 'false_footing');
        self::assertGreaterThanOrEqual(2, count(array_unique(array_column($false, 'topic'))));

        $fades = $this->longest('tamsin')['course'];
        self::assertTrue($fades['fades']);
        self::assertGreaterThan($fades['quarters'][3] + 0.2, $fades['quarters'][0]);

        $slow = $this->longest('noor');
        self::assertTrue($slow['byClock']);
        self::assertGreaterThan(0, $slow['tally']['notReached']);
        self::assertTrue($slow['counts']);
        self::assertLessThan(0, $slow['course']['aheadMs']);
        self::assertNotSame('over_confident', $slow['calibration']['leaning']);

        $ready = $this->longest('idris');
        self::assertNotNull($ready['scaled']);
        self::assertEqualsWithDelta(65, (float) $ready['tally']['shareOfAll'], 12);
        self::assertGreaterThanOrEqual(20, $ready['place']['cohort']['n']);
        self::assertNotNull($ready['place']['cohort']['percentile']);
    }

    public function test_no_two_screens_say_two_things_of_one_quantity(): void
    {
        foreach (User::query()->where('made_up_as', 'not like', 'cohort-%')->get() as $user) {
            $this->flushSession();
            $this->actingAs($user);
            foreach (Exam::query()->get() as $exam) {
                OneTruth::hold($this, $user, $exam);
            }
        }
    }

    private function cohort(): void
    {
        foreach (Exam::query()->get() as $exam) {
            $met = DB::table('questions')
                ->whereNull('retired_at')
                ->where('questions.exam_id', $exam->id)
                ->leftJoin('item_statistics', 'item_statistics.version_id', '=', 'questions.version_id')
                ->avg(DB::raw('coalesce(n, 0)'));
            // Four hundred people make it twenty and more of nearly each; these sixty make it their share of that.
            self::assertGreaterThan(20 * 60 / 400, (float) $met, $exam->slug);
        }
        $built = Sitting::query()
            ->whereHas('test', fn ($test) => $test->whereNotNull('user_id'))
            ->whereIn('user_id', User::query()->where('made_up_as', 'like', 'cohort-%')->select('id'));
        self::assertSame(120, $built->count());
        self::assertSame(2, $built->distinct()->count('exam_id'));
    }
}
