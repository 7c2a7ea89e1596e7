<?php

declare(strict_types=1);

namespace Tests\Feature\Progress;

use App\Account\User;
use App\Progress\KeptEstimates;
use App\Question\Candidacy;
use App\Workshop\BankLoader;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

/** Where a candidate stands, how it came there, and when it is worked out anew. */
final class ProgressTest extends TestCase
{
    use SitsByLetters;

    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-01-05 09:00:00'));
        $this->user = $this->candidate();
        $this->actingAs($this->user);
        $this->exam();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function progress(): TestResponse
    {
        return $this->getJson('/api/exams/small-hills/progress')->assertOk();
    }

    public function test_a_new_person_is_told_what_is_missing_and_nothing_else(): void
    {
        $this->progress()
            ->assertJsonPath('responses', 0)
            ->assertJsonPath('responsesMissing', 40)
            ->assertJsonPath('untouched', ['Ridges', 'Water'])
            ->assertJsonPath('outlook', null)
            ->assertJsonPath('outlooks', [])
            ->assertJsonPath('topics.0.share', null)
            ->assertJsonPath('topics.0.seen', 0)
            ->assertJsonPath('topics.0.weight', 60)
            ->assertJsonPath('trend', [])
            ->assertJsonPath('days', [])
            ->assertJsonPath('sittings', 0);
    }

    public function test_what_is_counted_is_what_the_outcomes_say(): void
    {
        $this->sit('rrrrrmmmbrmr');
        $progress = $this->progress()->assertJsonPath('sittings', 1)->assertJsonPath('totalMs', 240_000);
        $rows = DB::table('outcomes')->join('topics', 'topics.id', '=', 'outcomes.topic_id')->get();
        foreach ($progress->json('topics') as $topic) {
            $of = $rows->filter(fn (object $row): bool => str_starts_with($row->code, $topic['code']));
            self::assertSame(
                [count($of), $of->where('outcome', 'right')->count()],
                [$topic['seen'], $topic['right']],
            );
            foreach ($topic['parts'] as $part) {
                self::assertSame($rows->where('code', $part['code'])->count(), $part['seen']);
                self::assertSame(4, $part['all']);
            }
            // Points at stake: the weight times what is missing to five hundredths above the cut.
            if ($topic['responses'] < 5) {
                self::assertSame([null, null], [$topic['share'], $topic['stake']]);

                continue;
            }
            self::assertEqualsWithDelta($topic['weight'] * max(0, 0.7 - $topic['share']), $topic['stake'], 1e-9);
            self::assertTrue($topic['low'] <= $topic['share'] && $topic['share'] <= $topic['high']);
        }
        // Seven of twelve marks, as the result and the list of tests say; what was left blank weighs nothing.
        $trend = $progress->json('trend.0');
        self::assertSame(['timed', 11, null], [$trend['mode'], $trend['n'], $trend['line']]);
        self::assertEqualsWithDelta(7 / 12, $trend['share'], 1e-9);
        $month = $progress->json('months.0');
        self::assertSame(['2026-01', 11], [$month['month'], $month['n']]);
        self::assertEqualsWithDelta(0.95 - 7 / 11, $month['off'], 1e-9);
        self::assertSame([['date' => '2026-01-05', 'ms' => 240_000, 'answered' => 11]], $progress->json('days'));
        self::assertSame(28, $progress->json('responsesMissing'));
    }

    public function test_it_is_worked_out_anew_when_the_evidence_or_the_day_has_changed_and_only_then(): void
    {
        $made = fn (): array => (array) DB::table('kept_estimates')->where('user_id', $this->user->id)->first(
            ['made_ms', 'made_of', 'evidence'],
        );
        $this->sit('rrmm');
        $this->progress();
        $first = $made();
        self::assertSame($first['evidence'], $first['made_of']);
        $this->travel(5)->minutes();
        $this->progress();
        $this->getJson('/api/exams/small-hills/mastery')->assertOk();
        self::assertSame($first, $made());

        $this->sit('rr', ['mode' => 'untimed']);
        self::assertGreaterThan($made()['made_of'], $made()['evidence']);
        $this->progress()->assertJsonCount(2, 'trend');
        self::assertGreaterThan($first['made_ms'], $made()['made_ms']);

        // Answers age over night.
        $second = $made();
        $this->travel(1)->days();
        $this->progress();
        self::assertGreaterThan($second['made_ms'], $made()['made_ms']);

        // What changes while it is worked out makes it old at once.
        DB::table('kept_estimates')->increment('evidence');
        $third = $made();
        $this->travel(1)->minutes();
        $this->progress();
        self::assertGreaterThan($third['made_ms'], $made()['made_ms']);

        // What cannot be read any more is made again.
        DB::table('kept_estimates')->update(['estimates' => '{"stands":7}']);
        $this->progress()->assertJsonCount(2, 'trend');
    }

    public function test_of_each_mode_the_latest_sixty_make_the_trend(): void
    {
        $first = $this->sit('rrmm');
        $sitting = (array) DB::table('sittings')->where('id', $first)->first();
        $outcomes = DB::table('outcomes')->where('sitting_id', $first)->get()->map(fn (object $one) => (array) $one);
        foreach (range(1, 60) as $later) {
            $id = strtolower((string) Str::ulid());
            $at = (int) $sitting['ended_ms'] + $later * 86_400_000;
            DB::table('sittings')->insert(['id' => $id, 'ended_ms' => $at] + $sitting);
            DB::table('outcomes')->insert($outcomes->map(
                fn (array $one): array => ['sitting_id' => $id, 'settled_ms' => $at, 'first_look' => 0] + $one,
            )->all());
        }
        DB::table('kept_estimates')->increment('evidence');
        $trend = $this->progress()->json('trend');
        self::assertCount(60, $trend);
        self::assertNotContains($first, array_column($trend, 'sitting'));
    }

    public function test_marks_that_are_needed_are_worked_out_exactly(): void
    {
        // As floats .07 times 100 is a hair more than 7.
        self::assertGreaterThan(7.0, 0.07 * 100);
        $exam = $this->exam();
        $exam->forceFill(['rules' => [
            'cut' => '0.07',
            'minutes' => 60,
            'scale' => ['low' => 0, 'high' => 100, 'cut' => 50],
            'sections' => [['code' => 'all', 'name' => 'All', 'questions' => 100]],
        ] + $exam->rules])->save();
        foreach (['rrrrmmmmmmmm', 'rrrrrmmmmmmm', 'rrrrrrrmmmmm', 'rrrrrrrrrrrm'] as $letters) {
            $this->sit($letters);
            $this->travel(31)->days();
        }
        self::assertSame([100, 7], array_values(array_intersect_key(
            $this->progress()->json('outlook'),
            ['questions' => 0, 'needed' => 0],
        )));
    }

    public function test_whoever_has_very_many_answers_waits_for_nothing(): void
    {
        $this->sit('rrmm');
        $this->progress();
        $kept = json_decode((string) DB::table('kept_estimates')->value('estimates'), true);
        $kept['stands']['responses'] = 3000;
        DB::table('kept_estimates')->update(['estimates' => json_encode($kept)]);
        $this->sit('rr', ['mode' => 'untimed']);
        // Told as it was kept, and renewed once the answer has gone out.
        $this->progress()->assertJsonPath('responses', 3000)->assertJsonCount(1, 'trend');
        $this->app?->terminate();
        $this->progress()->assertJsonCount(2, 'trend');
    }

    public function test_an_outlook_is_told_on_enough_evidence_and_its_course_is_kept(): void
    {
        foreach (['rrrrmmmmmmmm', 'rrrrrmmmmmmm', 'rrrrrrrmmmmm'] as $letters) {
            $this->sit($letters);
            $this->progress()->assertJsonPath('outlook', null);
            // A month later the same questions say something new.
            $this->travel(31)->days();
        }
        $this->sit('rrrrrrrrrrrm');
        $progress = $this->progress()->assertJsonPath('responsesMissing', 0)->json();
        // Enough of the exam is touched, so no topic is asked for.
        self::assertSame([], $progress['untouched']);
        $outlook = $progress['outlook'];
        self::assertTrue($outlook['low'] <= $outlook['chance'] && $outlook['chance'] <= $outlook['high']);
        // 60 questions for an exam of which nobody has said how long it is; 65 % of them pass.
        self::assertSame([60, 39], [$outlook['questions'], $outlook['needed']]);
        $shares = array_column($progress['topics'], 'share', 'code');
        self::assertEqualsWithDelta(36 * $shares['ridge'] + 24 * $shares['water'], $outlook['expected'], 1e-9);
        foreach ($progress['topics'] as $topic) {
            self::assertSame($topic['share'] >= 0.7, $topic['lever'] === 0);
        }
        self::assertCount(1, $progress['outlooks']);

        $this->travel(31)->days();
        $this->sit('rrrrrrrrrrrr');
        $later = $this->progress()->json();
        self::assertGreaterThan($outlook['chance'], $later['outlook']['chance']);
        self::assertSame(['2026-04-08', '2026-05-09'], array_column($later['outlooks'], 'date'));
        self::assertEqualsWithDelta($later['outlook']['chance'], $later['outlooks'][1]['chance'], 1e-12);
    }

    public function test_a_recount_names_an_estimate_that_was_tampered_with(): void
    {
        $this->sit('rrmm');
        $this->progress();
        $recount = fn (): int => Artisan::call('recount', ['--user' => $this->user->email]);
        self::assertSame(0, $recount());
        self::assertStringContainsString('Estimates recomputed: 1.', Artisan::output());
        DB::table('kept_estimates')->update(['estimates' => DB::raw("replace(estimates, '\"n\":4', '\"n\":5')")]);
        self::assertSame(1, $recount());
        self::assertStringContainsString('estimates are not what the answers come to', Artisan::output());
        // What is of before is not held against what is now.
        DB::table('kept_estimates')->increment('evidence');
        self::assertSame(0, $recount());
        app(KeptEstimates::class)->renew(new Candidacy($this->user, $this->exam()));
        self::assertSame(0, $recount());
    }

    public function test_a_bank_that_changes_makes_old_what_was_estimated_by_it(): void
    {
        $this->sit('rrrrrmmmbrmr');
        $before = $this->progress()->json('topics');
        $folder = sys_get_temp_dir().'/uplandia-progress-'.getmypid();
        (new Filesystem())->copyDirectory(dirname(__DIR__).'/exam', $folder);
        foreach (glob("{$folder}/questions/*.yaml") ?: [] as $file) {
            $harder = str_replace('difficulty: easy', 'difficulty: hard', (string) file_get_contents($file));
            file_put_contents($file, $harder);
        }
        app(BankLoader::class)->load($folder);
        (new Filesystem())->deleteDirectory($folder);

        self::assertSame(0, Artisan::call('recount', ['--user' => $this->user->email]));
        self::assertNotEquals($before, $this->progress()->json('topics'));
        self::assertSame(0, Artisan::call('recount', ['--user' => $this->user->email]));
        self::assertStringContainsString('Estimates recomputed: 1.', Artisan::output());
    }

    public function test_nobody_sees_where_others_stand(): void
    {
        $this->sit('rrmm');
        $this->progress()->assertJsonPath('sittings', 1);
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->progress()->assertJsonPath('sittings', 0)->assertJsonPath('responses', 0);
    }
}
