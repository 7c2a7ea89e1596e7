<?php

declare(strict_types=1);

namespace Tests\Feature\Demo;

use App\Account\User;
use App\Assembly\Paper;
use App\Assembly\PaperTests;
use App\Sitting\Sitting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Result\Footing;
use Uplandia\Core\Sitting\Sureness;

final class DemoTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-20 12:00:00'));
        $this->artisan('demo:load', ['--cohort' => 12]);
    }

    private function person(string $key): User
    {
        return User::query()->where('made_up_as', $key)->firstOrFail();
    }

    public function test_every_stored_figure_is_what_the_events_say(): void
    {
        self::assertGreaterThan(30, Sitting::query()->where('status', 'handed_in')->count());
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }

    public function test_a_recount_names_whatever_differs(): void
    {
        $bram = $this->person('bram');
        $tamperings = [
            ['outcomes', ['outcome' => 'pending']],
            ['outcomes', ['active_ms' => 1]],
            ['outcomes', ['share' => 0.123]],
            ['outcomes', ['first_look' => 2]],
            ['outcomes', ['changes' => 99]],
            ['sittings', ['marks' => '1000']],
            ['sittings', ['by_clock' => true]],
            ['sittings', ['events' => 9999]],
            ['sittings', ['bytes' => 1]],
            ['sittings', ['last_seq' => 1]],
            ['standings', ['seen' => 77]],
            ['standings', ['false_footing' => 2]],
        ];
        foreach ($tamperings as [$table, $change]) {
            DB::beginTransaction();
            $row = DB::table($table)
                ->where('user_id', $bram->id)
                ->when(
                    $table === 'sittings',
                    fn ($query) => $query->where('status', 'handed_in')->where('by_clock', false),
                )
                ->limit(1);
            self::assertSame(1, $row->update($change));
            self::assertSame(1, Artisan::call('recount', ['--user' => $bram->email]), "{$table} {$row->toSql()}");
            self::assertStringContainsString((string) array_key_first($change), Artisan::output());
            DB::rollBack();
        }
        self::assertSame(0, Artisan::call('recount', ['--user' => $bram->email]));
    }

    public function test_the_cohort_has_sat_the_papers_and_nobody_can_be_one_of_them(): void
    {
        $cohort = User::query()->where('made_up_as', 'like', 'cohort-%')->get();
        self::assertCount(12, $cohort);
        $sittings = Sitting::query()
            ->with('test')
            ->whereIn('user_id', $cohort->pluck('id'))
            ->whereHas('test', fn ($test) => $test->where('of_exam', true))
            ->get();
        self::assertGreaterThan(12, $sittings->count());
        // Everybody sits the same test of a paper, which is nobody's own.
        self::assertCount(3, $sittings->pluck('test_id')->unique());
        self::assertSame([null], $sittings->pluck('test.user_id')->unique()->values()->all());
        self::assertSame(59, $sittings->firstOrFail()->questions);
        // Every kind of outcome occurs, and every kind of question.
        $outcomes = DB::table('outcomes')
            ->join('questions', 'questions.id', '=', 'outcomes.question_id')
            ->whereIn('user_id', $cohort->pluck('id'))
            ->get(['outcome', 'kind']);
        self::assertSame([], array_diff(
            ['right', 'partly', 'missed', 'left_blank', 'pending'],
            $outcomes->pluck('outcome')->unique()->all(),
        ));
        self::assertCount(11, $outcomes->pluck('kind')->unique());
        // A wrong answer in the section with negative marking costs a third of a mark.
        self::assertTrue(
            DB::table('outcomes')->whereIn('user_id', $cohort->pluck('id'))->where('marks', '-1/3')->exists(),
        );

        $this->postJson('/api/session/demo', ['person' => 'cohort-001'])->assertNotFound();
        $this->postJson('/api/session', ['email' => 'cohort-001@corvane.example', 'password' => '!'])->assertStatus(
            422,
        );
    }

    public function test_a_paper_keeps_its_test_until_it_changes(): void
    {
        $paper = Paper::query()->with('exam')->firstOrFail();
        $papers = app(PaperTests::class);
        $before = $papers->of($paper);
        self::assertSame($before->id, $papers->of($paper)->id);

        DB::table('paper_items')
            ->where('paper_id', $paper->id)
            ->where('position', 0)
            ->update(['section' => 'craft']);
        self::assertNotSame($before->id, $papers->of($paper)->id);
    }

    public function test_the_made_up_people_tell_different_stories(): void
    {
        self::assertSame(0, Sitting::query()->where('user_id', $this->person('wren')->id)->count());
        self::assertSame(
            1,
            Sitting::query()->where('user_id', $this->person('tamsin')->id)->where('status', 'open')->count(),
        );
        self::assertSame(
            '1.25',
            Sitting::query()->where('user_id', $this->person('noor')->id)->firstOrFail()->terms['extraTime'],
        );
        $sure = fn (string $key): float => DB::table('outcomes')
            ->where('user_id', $this->person($key)->id)
            ->where('sureness', 'sure')
            ->count() / DB::table('outcomes')->where('user_id', $this->person($key)->id)->count();
        self::assertGreaterThan($sure('noor') + 0.3, $sure('bram'));
        $falseFooting = fn (string $key): int => DB::table('outcomes')
            ->where('user_id', $this->person($key)->id)
            ->get(['sureness', 'outcome'])
            ->filter(
                fn (object $row): bool => Footing::of(
                    Sureness::tryFrom((string) $row->sureness),
                    Outcome::from((string) $row->outcome),
                ) === Footing::FalseFooting,
            )
            ->count();
        self::assertGreaterThan($falseFooting('idris'), $falseFooting('bram'));
    }

    public function test_what_questions_hold_can_be_asked_for(): void
    {
        $held = DB::table('question_tags')->where('family', '_holds')->groupBy('value')->orderBy('value');
        $counts = $held->selectRaw('value, count(*) as n')->pluck('n', 'value')->all();
        self::assertSame(['exhibits', 'film', 'picture', 'sound', 'table'], array_keys($counts));
        self::assertGreaterThan(40, $counts['picture']);
        // Three questions of a case hear its radio message.
        self::assertGreaterThanOrEqual(6, $counts['sound']);
    }

    public function test_loading_again_changes_nothing(): void
    {
        $count = fn (): array => array_map(fn (string $table): int => DB::table($table)->count(), [
            'users',
            'questions',
            'question_versions',
            'sittings',
            'sitting_events',
            'outcomes',
        ]);
        $before = $count();
        $this->artisan('demo:load', ['--cohort' => 12]);

        self::assertSame($before, $count());
    }

    public function test_every_question_of_the_demo_explains_every_part_and_shows_no_key(): void
    {
        $kinds = [];
        foreach (
            DB::table('question_versions')
                ->join('questions', 'questions.version_id', '=', 'question_versions.id')
                ->get(['code', 'questions.kind', 'shown', 'withheld']) as $row
        ) {
            $shown = json_decode((string) $row->shown, true);
            $answer = json_decode((string) $row->withheld, true);
            $parts = match ($row->kind) {
                'single', 'several' => array_column($shown['options'], 'id'),
                'true_false_grid', 'matching', 'grouping', 'dropdown_gaps' => array_column($shown['rows'], 'id'),
                'ordering' => array_column($shown['items'], 'id'),
                'typed_gaps' => array_column($shown['gaps'], 'id'),
                default => [],
            };
            self::assertEqualsCanonicalizing($parts, array_keys($answer['why'] ?? []), $row->code);
            foreach (['slips', 'targets', 'rubric'] as $list) {
                self::assertSame(
                    count($answer[$list] ?? []),
                    count(array_filter(array_column($answer[$list] ?? [], 'why'))),
                    $row->code,
                );
            }
            self::assertNotEmpty($answer['references'], $row->code);
            self::assertSame(
                [],
                array_intersect(array_keys($shown), [
                    'key',
                    'keys',
                    'why',
                    'order',
                    'value',
                    'targets',
                    'decoys',
                    'slips',
                    'rubric',
                    'model',
                    'check',
                    'evidence',
                    'rationale',
                    'units',
                ]),
                $row->code,
            );
            $kinds[$row->kind] = ($kinds[$row->kind] ?? 0) + 1;
        }
        self::assertCount(11, $kinds);
        self::assertGreaterThanOrEqual(12, min($kinds));
        self::assertGreaterThanOrEqual(340, array_sum($kinds));
    }

    public function test_an_order_cannot_be_read_from_what_is_shown(): void
    {
        $told = 0;
        $all = DB::table('question_versions')
            ->join('questions', 'questions.version_id', '=', 'question_versions.id')
            ->where('questions.kind', 'ordering')
            ->get(['shown', 'withheld']);
        foreach ($all as $row) {
            $told +=
                array_column(json_decode((string) $row->shown, true)['items'], 'id') ===
                json_decode((string) $row->withheld, true)['order']
                    ? 1
                    : 0;
        }

        self::assertLessThan(count($all) / 4, $told);
    }
}
