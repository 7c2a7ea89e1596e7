<?php

declare(strict_types=1);

namespace Tests\Feature\MyData;

use App\MyData\PartTokens;
use App\Revisit\Standings;
use App\Workshop\BankLoader;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Feature\AnswersEveryKind;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

/** A person goes from one database to another, and every figure on every screen is what it was. */
final class ArchiveTest extends TestCase
{
    use AnswersEveryKind;
    use BringsArchives;
    use SitsByLetters;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-03-02 09:00:00'));
        $this->exam();
        app(BankLoader::class)->load(__DIR__.'/../kinds');
        self::order();
        $this->actingAs($this->candidate());
    }

    /** A few weeks of somebody who leaves nothing out. */
    private function live(): void
    {
        $this->putJson('/api/exams/small-hills/enrolment', ['examDate' => '2026-05-30', 'timeZone' => 'Europe/Oslo']);
        $this->putJson('/api/exams/small-hills/plan', [
            'hoursWeek' => 4.5, 'weekdaysOff' => [7], 'datesOff' => ['2026-04-01'],
        ])->assertSuccessful();
        $this->getJson('/api/exams/small-hills/plan')->assertOk();
        $first = $this->sit('rmrbmx');
        $this->putJson("/api/sittings/{$first}/questions/1/cause", ['cause' => 'misread'])->assertSuccessful();
        $this->putJson("/api/sittings/{$first}/questions/0/gap", ['inBook' => true])->assertSuccessful();
        $this->putJson("/api/sittings/{$first}/questions/2/star", ['on' => true])->assertNoContent();
        $this->putJson("/api/sittings/{$first}/questions/2/note", ['note' => 'See *there*'])->assertNoContent();
        $option = DB::table('question_versions')
            ->join('test_items', 'version_id', '=', 'question_versions.id')
            ->join('sittings', 'sittings.test_id', '=', 'test_items.test_id')
            ->where('sittings.id', $first)
            ->where('position', 3)
            ->value('shown');
        $part = 'option:'.json_decode((string) $option, true)['options'][1]['id'];
        $this->putJson("/api/sittings/{$first}/questions/3/highlights", ['highlights' => [
            ['part' => $part, 'from' => 0, 'to' => 3, 'kind' => 'struck', 'quote' => 'abc', 'note' => 'See *this*.'],
        ]])->assertNoContent();
        $this->putJson("/api/sittings/{$first}/scratch", ['words' => 'sums', 'strokes' => ['1,2 3,4']]);
        $this->putJson('/api/exams/small-hills/handbook/other/note', ['note' => 'a page']);
        $this->putJson(
            '/api/exams/small-hills/handbook/other/reading',
            ['step' => 1, 'finished' => true, 'reader' => 'here', 'turn' => 0],
        )->assertNoContent();
        $card = (string) $this->postJson('/api/exams/small-hills/cards', [
            'front' => 'a', 'back' => '=b', 'sitting' => $first, 'position' => 1,
        ])->json('id');
        $this->postJson("/api/cards/{$card}/looks", ['id' => 'one', 'grade' => 3])->assertOk();
        foreach (['rrmmrr', 'mrrrbr', 'rrrrrm'] as $i => $letters) {
            $this->travelTo(Carbon::parse('2026-03-04 18:00:00')->addDays(3 * $i));
            $this->getJson('/api/exams/small-hills/progress')->assertOk();
            $this->sit($letters, ['mode' => 'tutor'], sureness: $i === 1 ? 'guess' : 'sure');
        }
        $question = DB::table('standings')->whereNotNull('due_day')->value('question_id');
        $this->putJson("/api/exams/small-hills/revisits/{$question}", ['suspended' => false, 'days' => 9])->assertSuccessful();
        $this->postJson('/api/exams/small-hills/recipes', [
            'name' => 'Mine', 'topics' => ['ridge'], 'pools' => [], 'count' => 3, 'mode' => 'tutor',
        ])->assertSuccessful();
        DB::table('outlooks')->insert([
            'user_id' => auth()->id(), 'exam_id' => $this->exam()->id, 'day' => 20520, 'chance' => 0.1 + 0.2,
            'low' => 0.2, 'high' => 0.4, 'responses' => 31,
        ]);
        // What the cohort's medians were at the time is told, for nobody can work it out any more.
        DB::table('outcomes')->update(['cohort_ms' => 25_000]);
        app(Standings::class)->renew(
            (int) auth()->id(),
            $this->exam()->id,
            array_map(intval(...), DB::table('outcomes')->distinct()->pluck('question_id')->all()),
        );
        $whole = $this->all('timed');
        $this->open($whole);
        $this->answerRightly($whole, array_keys($this->positions($whole)));
        $this->travel(3)->minutes();
        $this->handIn($whole)->assertOk();
        $this->postJson("/api/sittings/{$whole}/questions/{$this->positions($whole)['q-written']}/rubric", [
            'points' => $this->points('1', '1'),
        ]);
        // A fixed paper, twice: one test for both, and the same that everybody sits.
        foreach ([30, 45] as $seconds) {
            $begun = $this->postJson('/api/exams/kinds/papers/2024/sittings', ['section' => null]);
            $paper = (string) $begun->json('sitting');
            $this->open($paper);
            $this->travel($seconds)->seconds();
            $this->handIn($paper)->assertOk();
        }
        // The same in another way than the exam, which is a test of one's own.
        $begun = $this->postJson('/api/exams/kinds/papers/2024/sittings', ['section' => null, 'way' => 'untimed']);
        $this->open((string) $begun->json('sitting'));
        $this->travel(15)->seconds();
        $this->handIn((string) $begun->json('sitting'))->assertOk();
        // A session of what is due is made by a recipe that names its questions.
        $due = (string) $this->postJson('/api/exams/small-hills/revisits/session', ['count' => 3])
            ->assertCreated()
            ->json('sitting');
        $this->open($due);
        $this->travel(20)->seconds();
        $this->handIn($due)->assertOk();
        // One is left open, one has not begun.
        $open = $this->build(['count' => 4, 'mode' => 'untimed']);
        $opened = $this->open($open);
        $this->send($open, [
            ['id' => 'o1', 'seq' => 5, 'kind' => 'shown', 'position' => 0],
            ['id' => 'o2', 'seq' => 6, 'kind' => 'struck', 'position' => 0,
                'value' => [$this->option($opened, 0, false)]],
        ])->assertJsonPath('refused', []);
        $this->build(['count' => 2]);
    }

    public function test_every_figure_of_a_person_is_the_same_in_another_database(): void
    {
        $this->live();
        $this->travelTo(Carbon::parse('2026-03-20 12:00:00'));
        $before = $this->screens();
        $archive = $this->packed();
        $this->elsewhere(function () use ($archive, $before): void {
            $this->bring($archive)->assertOk()->assertJson([
                'exams' => ['Every Kind', 'Small Hills Badge'], 'sittings' => 11, 'cards' => 1, 'notes' => 2,
            ]);
            $after = $this->screens();
            self::assertSame(array_keys($before), array_keys($after));
            foreach ($before as $screen => $told) {
                self::assertSame($told, $after[$screen], $screen);
            }
            self::assertSame(0, Artisan::call('recount'), Artisan::output());
            $paper = DB::table('tests')->whereNotNull('paper_id')->get();
            self::assertSame([[null, 2]], $paper->map(fn (object $test): array => [
                $test->user_id,
                DB::table('sittings')->where('test_id', $test->id)->count(),
            ])->all());
            // What comes out of there is what went in.
            self::assertSame($this->plain($archive), $this->plain($this->packed()));
            // And life goes on.
            $this->sit('rrrrrr');
        });
    }

    public function test_an_open_sitting_goes_on_with_what_was_ruled_out_and_tells_no_order(): void
    {
        $this->live();
        $archive = $this->packed();
        $open = array_values(array_filter(
            $this->files($archive),
            fn (mixed $sheet): bool => is_array($sheet) && ($sheet['status'] ?? '') === 'open',
        ));
        self::assertNull($open[0]['secret']);
        $state = $this->open($open[0]['id'], 'tab-9', take: true);
        $ruledOut = array_column($state['questions'][0]['body']['options'], 'text', 'id')[
            $state['state']['questions'][0]['struck'][0]
        ];
        $this->elsewhere(function () use ($archive, $ruledOut): void {
            $this->bring($archive)->assertOk();
            $id = (string) DB::table('sittings')->where('status', 'open')->value('id');
            $opened = $this->open($id);
            $struck = $opened['state']['questions'][0]['struck'];
            self::assertCount(1, $struck);
            self::assertContains($struck[0], array_column($opened['questions'][0]['body']['options'], 'id'));
            $texts = array_column($opened['questions'][0]['body']['options'], 'text', 'id');
            self::assertSame($ruledOut, $texts[$struck[0]]);
            $this->handIn($id)->assertOk();
        });
    }

    public function test_a_clock_that_was_left_running_loses_no_second_by_the_journey(): void
    {
        $sitting = $this->build(['count' => 6, 'minutes' => 10]);
        $opened = $this->open($sitting);
        $this->travel(30)->seconds();
        $this->send($sitting, [
            ['id' => 's0', 'seq' => 1, 'kind' => 'shown', 'position' => 0],
            $this->answer(0, $this->option($opened, 0, true), 2),
        ])->assertJsonPath('refused', []);
        $this->travel(5)->hours();
        $archive = $this->packed();
        $this->elsewhere(function () use ($archive): void {
            $this->bring($archive)->assertOk();
            $sitting = (string) DB::table('sittings')->value('id');
            $state = $this->open($sitting)['state'];
            self::assertSame('paused', $state['status']);
            self::assertGreaterThan(9 * 60_000, $state['remainingMs']);
            self::assertSame(1, DB::table('sittings')->value('answered'));
        });
    }

    public function test_nothing_of_anybody_else_and_no_key_before_its_time_is_in_it(): void
    {
        $this->live();
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->build(['count' => 12, 'topics' => ['ridge', 'water']]);
        $this->postJson('/api/exams/small-hills/cards', ['front' => 'mine', 'back' => 'only']);
        $files = $this->files($this->packed());
        self::assertSame(['mine'], array_column($files['person.json']['exams'][0]['cards'], 'front'));
        $sittings = array_filter(array_keys($files), fn (string $name): bool => str_starts_with($name, 'sittings/'));
        self::assertCount(1, $sittings);
        $text = (string) json_encode($files);
        foreach (['See *there*', 'SECRET', 'withheld', 'right'] as $never) {
            self::assertStringNotContainsString($never, str_replace('copyright', '', $text), $never);
        }
        $known = PartTokens::ofQuestions($this->exam()->id, ['ridge.path-1', 'ridge.path-2']);
        self::assertCount(2, $known);
        foreach ($known as $versions) {
            foreach ($versions as ['tokens' => $tokens]) {
                self::assertNotSame([], $tokens);
                self::assertSame([], array_filter(array_keys($tokens), fn (string $id) => str_contains($text, $id)));
            }
        }
    }

    public function test_attempts_at_a_series_of_tests_are_counted_there_too(): void
    {
        $series = function (): void {
            app(BankLoader::class)->load(database_path('demo/warden'));
        };
        $series();
        $path = '/api/exams/refuge-warden';
        foreach ([true, false] as $gone) {
            $sitting = (string) $this->postJson("{$path}/series/chapters/tests/water/sittings")->json('sitting');
            $this->open($sitting);
            $this->travel(20)->seconds();
            $this->handIn($sitting)->assertOk();
            // An attempt stays one when its sitting is deleted.
            if ($gone) {
                $this->deleteJson("/api/sittings/{$sitting}")->assertNoContent();
                $this->travel(20)->minutes();
            }
        }
        $ready = fn (): mixed => $this->getJson("{$path}/ready")->assertOk()->json('series.0.tests.0');
        $told = $ready();
        self::assertSame(2, $told['used']);
        $archive = $this->packed();
        $this->elsewhere(function () use ($archive, $series, $told, $ready, $path): void {
            $series();
            $twice = $this->files($archive);
            $twice['person.json']['exams'][0]['attempts'][] = $twice['person.json']['exams'][0]['attempts'][0];
            $this->bring($this->zip($twice))->assertUnprocessable();
            self::assertSame(0, DB::table('series_attempts')->count());
            $this->bring($archive)->assertOk()->assertJson(['sittings' => 1]);
            self::assertSame($told, $ready());
            $this->postJson("{$path}/series/chapters/tests/water/sittings")->assertCreated();
            self::assertSame(3, $ready()['used']);
            self::assertSame(1, DB::table('tests')->whereNotNull('series_test_id')->count());
        });
    }

    public function test_a_drawing_is_a_picture_and_tables_hold_no_formula(): void
    {
        $this->live();
        $files = $this->files($this->packed());
        self::assertStringContainsString('<polyline points="1,2 3,4"/>', implode('', array_filter(
            $files,
            fn (mixed $file, string $name): bool => str_ends_with($name, '.svg') && is_string($file),
            ARRAY_FILTER_USE_BOTH,
        )));
        self::assertStringContainsString("small-hills,a,'=b,1", $files['tables/cards.csv']);
        self::assertSame(
            1 + DB::table('outcomes')->count(),
            substr_count(trim($files['tables/answers.csv']), "\r\n") + 1,
        );
    }

    public function test_whoever_has_nothing_takes_away_an_archive_with_nothing_in_it(): void
    {
        $archive = $this->packed();
        self::assertSame([], $this->files($archive)['person.json']['exams']);
        $this->bring($archive)->assertOk()->assertJson(['exams' => [], 'sittings' => 0]);
    }

    public function test_deleting_an_account_leaves_nothing_in_any_table(): void
    {
        $this->live();
        $user = auth()->id();
        $this->deleteJson('/api/account', ['current_password' => 'a long walk uphill'])->assertNoContent();
        foreach (DB::getSchemaBuilder()->getTableListing() as $table) {
            $table = str_replace('main.', '', $table);
            if (DB::getSchemaBuilder()->hasColumn($table, 'user_id')) {
                self::assertSame(0, DB::table($table)->where('user_id', $user)->count(), $table);
            }
        }
        self::assertSame(0, DB::table('card_looks')->count() + DB::table('sitting_events')->count());
    }
}
