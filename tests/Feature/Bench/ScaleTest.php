<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Account\User;
use App\Assembly\TestBuilder;
use App\Bench\ScaleBank;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Sitting\Sitting;
use Closure;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Recipe;

/** What pages ask of the database in a bank of 1,000 questions they ask in one of 10,000, and never of all of it. */
final class ScaleTest extends TestCase
{
    /** Tables that grow with the bank or with its people. */
    private const LARGE = 'questions|question_versions|question_tags|units|unit_versions|standings|outcomes|sittings'
        .'|sitting_events|test_items';

    private const RECIPE = ['pools' => [], 'count' => 10, 'mode' => 'timed'];

    protected function tearDown(): void
    {
        DB::purge('scale');
        parent::tearDown();
    }

    public function test_pages_ask_the_same_of_a_bank_ten_times_as_large_and_scan_nothing(): void
    {
        $asked = [];
        foreach ([1_000, 10_000] as $questions) {
            $this->bankOf($questions);
            foreach ($this->pages() as $page => $visit) {
                $asked[$page][$questions] = count($this->statementsOf($page, $visit));
            }
        }
        self::assertCount(13, $asked);
        foreach ($asked as $page => [1_000 => $small, 10_000 => $large]) {
            self::assertGreaterThan(0, $small, $page);
            self::assertSame($small, $large, "{$page}: statements in a small bank, and in a large one");
        }
    }

    private function bankOf(int $questions): void
    {
        DB::purge('scale');
        config(['database.connections.scale' => ['database' => ':memory:'] + config('database.connections.sqlite')]);
        DB::setDefaultConnection('scale');
        Artisan::call('migrate', ['--database' => 'scale', '--force' => true]);
        $this->app?->make(ScaleBank::class)->make(questions: $questions, others: 12, heavy: intdiv($questions, 2));
    }

    /** @return iterable<string, Closure(): mixed> */
    private function pages(): iterable
    {
        $user = ScaleBank::person('heavy');
        $exam = Exam::query()->where('slug', ScaleBank::EXAM)->firstOrFail();
        $api = '/api/exams/'.ScaleBank::EXAM;
        $long = (string) Sitting::query()->whereRelation('test', 'title', 'The long one')->value('id');
        $counts = [
            'all' => [], 'new' => ['pools' => ['new']], 'missed' => ['pools' => ['missed']],
            'due, hard' => ['pools' => ['due'], 'difficulties' => ['hard']],
            'new, of a year' => ['pools' => ['new'], 'tags' => ['year' => ['2020']]],
        ];
        $this->actingAs($user);
        foreach ($counts as $what => $choices) {
            yield "count {$what}" => fn () => $this->postJson("{$api}/count", $choices + self::RECIPE)->assertOk();
        }
        yield 'build of new' => fn () => $this->build($exam, $user, ['pools' => ['new']]);
        yield 'build of all' => fn () => $this->build($exam, $user, []);
        yield 'today' => fn () => $this->getJson("{$api}/today")->assertOk();
        yield 'the exam' => fn () => $this->getJson($api)->assertOk();
        yield 'close words' => fn () => $this->getJson("{$api}/close-words?words=fogg+valey")->assertOk();
        yield 'result' => fn () => $this->getJson("/api/sittings/{$long}/result")->assertOk();
        yield 'review' => fn () => $this->getJson("/api/sittings/{$long}/review")->assertOk();
        $open = Sitting::createFor($this->build($exam, $user, []), $user)->id;
        $this->postJson("/api/sittings/{$open}/open", ['tab' => 'a'])->assertOk();
        yield 'save' => fn () => $this->postJson("/api/sittings/{$open}/events", [
            'tab' => 'a',
            'events' => [['id' => 'x', 'seq' => 9, 'kind' => 'flagged', 'position' => 0, 'value' => true]],
        ])->assertOk();
    }

    /** @param  array<string, mixed>  $choices */
    private function build(Exam $exam, User $user, array $choices): \App\Assembly\Test
    {
        return app(TestBuilder::class)->build(
            candidacy: new Candidacy($user, $exam),
            recipe: Recipe::of($choices + self::RECIPE),
            seed: 'scale',
        );
    }

    /**
     * What a page asks; inserts in parts count once, since a test of many questions is written in parts.
     *
     * @param  Closure(): mixed  $visit
     * @return list<string>
     */
    private function statementsOf(string $page, Closure $visit): array
    {
        Auth::forgetGuards();
        $this->actingAs(ScaleBank::person('heavy'));
        DB::flushQueryLog();
        DB::enableQueryLog();
        $visit();
        $log = DB::getQueryLog();
        DB::disableQueryLog();
        $statements = [];
        foreach ($log as ['query' => $query, 'bindings' => $bindings]) {
            $statements[] = $query;
            if (preg_match('/^(select|update|delete|with)/i', $query) !== 1) {
                continue;
            }
            foreach (DB::select("explain query plan {$query}", $bindings) as $step) {
                self::assertDoesNotMatchRegularExpression(
                    '/^SCAN ('.self::LARGE.')\b/',
                    $step->detail,
                    "{$page}: {$query}",
                );
            }
        }

        return $statements;
    }
}
