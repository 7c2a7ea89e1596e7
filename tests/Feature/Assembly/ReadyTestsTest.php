<?php

declare(strict_types=1);

namespace Tests\Feature\Assembly;

use App\Assembly\Rehearsals;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\Syllabus;
use App\Workshop\BankLoader;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\TestCase;
use Uplandia\Core\Assembly\PaperItem;
use Uplandia\Core\Question\Kind;

/** What can be sat without building: rehearsals by the blueprint, papers, series of tests; and what the exam is. */
final class ReadyTestsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->candidate());
    }

    private function demo(string $exam): Exam
    {
        $slug = ['licence' => 'upland-guide', 'warden' => 'refuge-warden'][$exam];
        app(BankLoader::class)->load(database_path("demo/{$exam}"));

        return Exam::query()->where('slug', $slug)->firstOrFail();
    }

    public function test_a_rehearsal_keeps_to_the_blueprint_exactly_and_brings_new_questions_first(): void
    {
        $exam = $this->demo('licence');
        $user = auth()->user();
        assert($user instanceof \App\Account\User);
        $tops = Syllabus::of($exam)->tops();
        $places = array_flip(array_column($tops, 'id'));
        $seen = [];
        for ($i = 0; $i < 4; $i++) {
            $test = app(Rehearsals::class)->build(new Candidacy($user, $exam), null, "seed {$i}");
            $items = DB::table('test_items')
                ->join('questions', 'questions.id', '=', 'test_items.question_id')
                ->leftJoin('units', 'units.id', '=', 'questions.unit_id')
                ->where('test_id', $test->id)
                ->orderBy('test_items.position')
                ->get([
                    'test_items.*',
                    'questions.code',
                    'questions.kind',
                    'topic_id',
                    'units.code as unit',
                    'units.kind as sort',
                    'questions.unit_place',
                ]);
            $paper = [];
            foreach ($items as $item) {
                $paper[] = new PaperItem(
                    question: $item->code,
                    section: $item->section,
                    topic: $places[Syllabus::of($exam)->topOf($item->topic_id)->id],
                    kind: Kind::from($item->kind),
                    unit: $item->unit,
                    unitKind: $item->sort,
                );
            }
            self::assertSame([], $exam->blueprint()->faults($paper, array_column($tops, 'weight')));
            self::assertCount(59, array_unique(array_column($paper, 'question')));
            self::assertSame(
                ['ground' => ['1', '1/3'], 'craft' => ['2', '0'], 'days' => ['2', '0']],
                $items->keyBy('section')->map(fn (object $item): array => [$item->marks, $item->penalty])->all(),
            );
            // What was met before is asked only where there is nothing new.
            $ids = $items->where('section', 'ground')->pluck('question_id')->all();
            if ($i === 1) {
                self::assertSame([], array_values(array_intersect($ids, $seen)));
            }
            $seen = [...$seen, ...$ids];
            foreach ($ids as $id) {
                DB::table('standings')->updateOrInsert(
                    ['user_id' => $user->id, 'question_id' => $id],
                    [
                        'exam_id' => $exam->id,
                        'outcome' => 'right',
                        'seen_ms' => 1000 * ($i + 1),
                        'topic_id' => DB::table('questions')->where('id', $id)->value('topic_id'),
                    ],
                );
            }
        }
        $path = '/api/exams/upland-guide/rehearsals';
        $sitting = $this->postJson($path, ['section' => null])
            ->assertCreated()
            ->json('sitting');
        $this->getJson("/api/sittings/{$sitting}")
            ->assertJsonPath('limitMs', 9_000_000)
            ->assertJsonPath('readingMs', 600_000)
            ->assertJsonPath('pausable', false)
            ->assertJsonPath('breaks', 1)
            ->assertJsonPath('sections.0.penalty', '1/3')
            ->assertJsonPath('marks', '88');
    }

    public function test_one_section_alone_has_its_share_of_the_time(): void
    {
        $this->demo('licence');
        $path = '/api/exams/upland-guide';
        $sitting = $this->postJson("{$path}/rehearsals", ['section' => 'craft'])
            ->assertCreated()
            ->json('sitting');
        // 150 − 10 reading − 10 break = 130 min for 88 marks; 32 of them are 47.3 min, in whole ones that add up 47.
        $this->getJson("/api/sittings/{$sitting}")
            ->assertJsonPath('questions', 16)
            ->assertJsonPath('limitMs', 47 * 60_000)
            ->assertJsonPath('breaks', 0)
            ->assertJsonPath('readingMs', 0)
            ->assertJsonCount(1, 'sections');
        $this->freezeTime();
        // Its clock runs whether anybody is there or not, and every list says how long yet.
        $this->open($sitting);
        $this->travel(90)->seconds();
        $left = 47 * 60_000 - 90_000;
        self::assertSame([$left], array_column($this->getJson("{$path}/today")->json('open'), 'leftMs'));
        $this->getJson("{$path}/sittings?page=1")->assertJsonPath('tests.0.leftMs', $left);
        $this->travel(1)->hours();
        $this->getJson("{$path}/sittings?page=1")
            ->assertJsonPath('tests.0.leftMs', null)
            ->assertJsonPath('tests.0.timeUp', true);
        // The plan of the whole says what the exam's page says, with extra time too, and adds up.
        foreach (['1', '1.25'] as $factor) {
            auth()->user()?->forceFill(['extra_time' => $factor])->save();
            $whole = $this->postJson("{$path}/rehearsals", ['section' => null])->assertCreated()->json('sitting');
            $briefing = $this->getJson("/api/sittings/{$whole}")->json();
            self::assertEquals(
                array_map(fn (int $minutes): float => 60_000 * (float) $factor * $minutes, array_column(
                    $this->getJson($path)->json('sections'),
                    'minutes',
                )),
                $briefing['planMs'],
            );
            self::assertSame(
                $briefing['limitMs'],
                array_sum($briefing['planMs']) + $briefing['readingMs'] + $briefing['reserveMs'],
            );
        }
        auth()->user()?->forceFill(['extra_time' => '1'])->save();
        $paper = $this->postJson("{$path}/papers/2024/sittings", ['section' => 'days'])
            ->assertCreated()
            ->json('sitting');
        $this->getJson("/api/sittings/{$paper}")
            ->assertJsonPath('questions', 13)
            ->assertJsonPath('title', 'The paper of 2024, Days on the hill');
        $this->open($paper);
        $this->handIn($paper)->assertOk();
        $this->getJson("/api/sittings/{$paper}/result")
            ->assertOk()
            ->assertJsonPath('scaled', null);
        foreach (["{$path}/rehearsals", "{$path}/papers/2024/sittings"] as $of) {
            $this->postJson($of, ['section' => 'moon'])
                ->assertStatus(422)
                ->assertJsonPath('reason', 'unknown_section');
        }
    }

    public function test_no_question_stands_in_two_sections(): void
    {
        $exam = $this->demo('warden');
        $section = ['questions' => 20, 'marks' => 1, 'kinds' => ['single']];
        $exam->update([
            'rules' => ['sections' => [
                ['code' => 'a', 'name' => 'A'] + $section,
                ['code' => 'b', 'name' => 'B'] + $section,
            ]] + $exam->rules,
        ]);
        for ($i = 0; $i < 3; $i++) {
            $sitting = $this->postJson('/api/exams/refuge-warden/rehearsals', ['section' => null])
                ->assertCreated()
                ->json('sitting');
            $test = DB::table('sittings')->where('id', $sitting)->value('test_id');
            $asked = DB::table('test_items')->where('test_id', $test)->pluck('question_id');
            self::assertSame([40, 40], [$asked->count(), $asked->unique()->count()]);
        }
    }

    #[TestWith(['pausable', 'timed', true])]
    #[TestWith(['untimed', 'untimed', false])]
    #[TestWith(['tutor', 'tutor', false])]
    public function test_a_paper_or_a_rehearsal_can_be_sat_in_another_way_that_nothing_is_compared_with(
        string $way,
        string $mode,
        bool $clocked,
    ): void {
        $this->demo('licence');
        $path = '/api/exams/upland-guide';
        foreach (["{$path}/papers/2025/sittings", "{$path}/rehearsals"] as $of) {
            $asInExam = $this->postJson($of, ['section' => null])->assertCreated()->json('sitting');
            $sitting = $this->postJson($of, ['section' => null, 'way' => $way])->assertCreated()->json('sitting');
            $exam = $this->getJson("/api/sittings/{$asInExam}")->json();
            $this->getJson("/api/sittings/{$sitting}")
                ->assertJsonPath('mode', $mode)
                ->assertJsonPath('marks', $exam['marks'])
                ->assertJsonPath('questions', $exam['questions'])
                ->assertJsonPath('sections', [])
                ->assertJsonPath('rules', [])
                ->assertJsonPath('pausable', true)
                ->assertJsonPath('limitMs', $clocked ? $exam['limitMs'] : null);
            $this->open($sitting);
            $this->handIn($sitting)->assertOk();
            $this->getJson("/api/sittings/{$sitting}/result")
                ->assertOk()
                ->assertJsonPath('anotherWay', true)
                ->assertJsonPath('scaled', null)
                ->assertJsonPath('place.cohort', null);
        }
        $this->postJson("{$path}/rehearsals", ['section' => null, 'way' => 'backwards'])->assertStatus(422);
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }

    public function test_whoever_has_met_it_all_gets_ten_quick_ones_too(): void
    {
        $exam = $this->exam();
        foreach (DB::table('questions')->get() as $question) {
            DB::table('standings')->insert([
                'user_id' => auth()->id(), 'question_id' => $question->id, 'exam_id' => $exam->id,
                'topic_id' => $question->topic_id, 'outcome' => 'right', 'seen_ms' => 1000,
            ]);
        }
        $sitting = $this->postJson('/api/exams/small-hills/quick-starts', ['start' => 'ten'])->json('sitting');
        $this->getJson("/api/sittings/{$sitting}")->assertJsonPath('questions', 10);
    }

    public function test_what_the_bank_lacks_is_said(): void
    {
        $exam = $this->demo('licence');
        DB::table('questions')
            ->whereIn('topic_id', DB::table('topics')->where('code', 'like', 'law.%')->select('id'))
            ->where('kind', 'single')
            ->whereNull('unit_id')
            ->update(['retired_at' => now()]);
        DB::table('questions')
            ->whereIn('unit_id', DB::table('units')->where('kind', 'series')->select('id'))
            ->update(['retired_at' => now()]);
        app(\App\Question\Tallies::class)->renew($exam->id);
        $said = $this->postJson('/api/exams/upland-guide/rehearsals', ['section' => null])->assertStatus(422);
        self::assertStringContainsString('of Land, law and nature; there are 0.', $said->json('message'));
        self::assertStringContainsString('1 × series', $said->json('message'));
        self::assertSame(0, DB::table('tests')->count());
        $this->exam();
        $this->postJson('/api/exams/small-hills/rehearsals', ['section' => null])
            ->assertStatus(409)
            ->assertJsonPath('reason', 'no_blueprint');
        $this->getJson('/api/exams/small-hills')->assertStatus(409);
        $this->getJson('/api/exams/small-hills/ready')
            ->assertOk()
            ->assertJsonPath('papers', [])
            ->assertJsonPath('sections', []);
        $this->postJson('/api/exams/small-hills/papers/2024/sittings', ['section' => null])->assertNotFound();
    }

    public function test_the_exams_page_says_what_the_exam_is(): void
    {
        $this->demo('licence');
        $page = $this->getJson('/api/exams/upland-guide')->assertOk();
        $page
            ->assertJsonPath('questions', 59)
            ->assertJsonPath('marks', '88')
            ->assertJsonPath('bank', 365)
            ->assertJsonPath('breakAfter', 'Ground knowledge')
            ->assertJsonPath('cut', '65')
            ->assertJsonPath('scaleCut', 160)
            ->assertJsonPath('kinds.single', DB::table('questions')->where('kind', 'single')->count());
        self::assertSame(365, array_sum($page->json('topics.*.questions')));
        self::assertSame(365, array_sum($page->json('kinds')));
        // Down to each subtopic, and what its questions refer to most.
        self::assertSame(365, array_sum($page->json('topics.*.subtopics.*.questions')));
        foreach ($page->json('topics.*.subtopics.*.sections') as $sections) {
            self::assertContains(count($sections), [1, 2, 3]);
        }
    }

    public function test_attempts_at_a_series_are_counted_and_the_best_is_told(): void
    {
        $this->demo('warden');
        $path = '/api/exams/refuge-warden';
        $begin = fn () => $this->postJson("{$path}/series/chapters/tests/water/sittings");
        $water = fn (): array => $this->getJson("{$path}/ready")
            ->assertOk()
            ->json('series.0.tests.0');
        self::assertSame(
            [8, 3, 0, null, null],
            [$water()['questions'], $water()['attempts'], $water()['used'], $water()['best'], $water()['waiting']],
        );
        // One that waits to begin is given out again, so two tabs get one.
        $first = $begin()->assertCreated()->json('sitting');
        self::assertSame($first, $begin()->json('sitting'));
        self::assertSame([1, $first], [$water()['used'], $water()['waiting']]);
        // Deleted before it began, it was none.
        $this->deleteJson("/api/sittings/{$first}")->assertNoContent();
        self::assertSame([0, null], [$water()['used'], $water()['waiting']]);
        for ($attempt = 1; $attempt <= 3; $attempt++) {
            $sitting = $begin()->assertCreated()->json('sitting');
            // Said before it begins.
            $this->getJson("/api/sittings/{$sitting}")->assertJsonPath('series', ['used' => $attempt, 'attempts' => 3]);
            $opened = $this->open($sitting);
            if ($attempt === 2) {
                $leading = fn (array $one): string => $one['body']['options'][0]['id'];
                $choices = array_map($leading, $opened['questions']);
                $events = [];
                foreach ($choices as $position => $choice) {
                    $events[] = $this->answer($position, $choice, 10 + $position);
                }
                $this->send($sitting, $events)->assertOk();
            }
            $this->handIn($sitting)->assertOk();
        }
        $shares = DB::table('sittings')->whereNotNull('share')->pluck('share')->all();
        self::assertEqualsWithDelta(100 * max($shares), (float) $water()['best'], 0.5001);
        self::assertSame(3, $water()['used']);
        $begin()->assertStatus(409)->assertJsonPath('reason', 'attempts_used');
        // Neither a deletion of what was sat nor the one that never began brings another.
        $this->deleteJson("/api/sittings/{$sitting}")->assertNoContent();
        $begin()->assertStatus(409);
        $this->postJson("/api/sittings/{$first}/restore")
            ->assertStatus(409)
            ->assertJsonPath('reason', 'attempts_used');
        $this->travel(11)->minutes();
        self::assertSame(0, Artisan::call('sittings:close'));
        self::assertSame(3, $water()['used']);
        $begin()->assertStatus(409);
        $this->postJson("/api/sittings/{$this->lastSat()}/again", ['how' => 'same'])->assertStatus(409);
        $this->postJson("{$path}/series/chapters/tests/moon/sittings")->assertNotFound();
        $this->postJson("{$path}/series/moon/tests/water/sittings")->assertNotFound();
    }

    private function lastSat(): string
    {
        return (string) DB::table('sittings')->where('status', 'handed_in')->max('id');
    }

    public function test_quick_starts_build_as_many_as_can_be_made(): void
    {
        $this->exam();
        $path = '/api/exams/small-hills/quick-starts';
        $sitting = $this->postJson($path, ['start' => 'ten'])
            ->assertCreated()
            ->json('sitting');
        $this->getJson("/api/sittings/{$sitting}")
            ->assertJsonPath('questions', 10)
            ->assertJsonPath('mode', 'tutor');
        foreach (['due', 'missed'] as $start) {
            $this->postJson($path, ['start' => $start])
                ->assertStatus(422)
                ->assertJsonPath('reason', 'too_few');
        }
        $this->postJson($path, ['start' => 'luck'])->assertStatus(422);
        $past = $this->build(['count' => 5]);
        $this->open($past);
        $opened = $this->open($past, take: true);
        $this->send($past, [$this->answer(0, $this->option($opened, 0, false), 10)])->assertOk();
        $this->handIn($past)->assertOk();
        $quick = $this->getJson('/api/exams/small-hills/today')->assertOk()->json('quick');
        self::assertSame([1, 0], [$quick['missed'], $quick['rehearsal']]);
        $missed = $this->postJson($path, ['start' => 'missed'])
            ->assertCreated()
            ->json('sitting');
        $this->getJson("/api/sittings/{$missed}")->assertJsonPath('questions', 1);
        $again = $this->postJson("/api/recipes/{$quick['recipe']}/sittings")
            ->assertCreated()
            ->json('sitting');
        $this->getJson("/api/sittings/{$again}")->assertJsonPath('questions', 5);
        $this->flushSession()->actingAs($this->candidate());
        $this->postJson("/api/recipes/{$quick['recipe']}/sittings")->assertNotFound();
    }
}
