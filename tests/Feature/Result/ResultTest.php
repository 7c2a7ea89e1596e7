<?php

declare(strict_types=1);

namespace Tests\Feature\Result;

use App\Question\QuestionVersion;
use App\Workshop\BankLoader;
use Brick\Math\BigRational;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use LogicException;
use Tests\Feature\TestCase;

final class ResultTest extends TestCase
{
    public function test_beside_an_answer_stand_the_cohorts_and_ones_own_of_before(): void
    {
        $this->actingAs($this->candidate());
        $first = $this->build(['mode' => 'tutor', 'count' => 2]);
        $this->open($first);
        $item = DB::table('test_items')->where('position', 0)->firstOrFail();
        $check = fn (string $sitting) => $this->send($sitting, [
            ['id' => 's', 'seq' => 9, 'kind' => 'shown', 'position' => 0],
            ['id' => 'c', 'seq' => 10, 'kind' => 'checked', 'position' => 0],
        ])->assertOk();
        $check($first);
        $path = fn (string $sitting): string => "/api/sittings/{$sitting}/questions/0";
        $this->getJson($path($first))->assertOk()->assertJsonPath('cohort', null)->assertJsonPath('earlier', []);

        $kept = [
            'version_id' => $item->version_id, 'exam_id' => $this->exam()->id, 'facility' => 0.625,
            'median_ms' => 41_000, 'options' => json_encode(['x' => 0.75]), 'renewed_ms' => 1, 'n' => 19,
        ];
        DB::table('item_statistics')->insert($kept);
        $this->getJson($path($first))->assertJsonPath('cohort', null);
        DB::table('item_statistics')->update(['n' => 20]);
        // What nobody chose is told too.
        $version = DB::table('question_versions')->where('id', $item->version_id);
        $shown = json_decode((string) $version->value('shown'), true);
        $nobody = array_fill_keys(array_column($shown['options'], 'id'), 0);
        $this->getJson($path($first))->assertJsonPath('cohort', [
            'options' => ['x' => 0.75] + $nobody, 'n' => 20, 'facility' => 0.625, 'medianMs' => 41_000,
        ]);

        $this->handIn($first)->assertOk();
        $again = (string) $this->postJson("/api/sittings/{$first}/again", ['how' => 'same'])->json('sitting');
        $this->open($again);
        // Before its time neither is told: they would say how difficult it is, and how it went.
        $this->getJson($path($again))->assertStatus(409);
        $check($again);
        $this->getJson($path($again))
            ->assertJsonCount(1, 'earlier')
            ->assertJsonPath('earlier.0.outcome', 'left_blank')
            ->assertJsonPath('earlier.0.at', DB::table('outcomes')->where('sitting_id', $first)->value('settled_ms'));
        $this->getJson($path($first))->assertJsonCount(1, 'earlier');
        // Nor what others did with it.
        DB::table('outcomes')->where('sitting_id', $first)->update(['user_id' => $this->candidate()->id]);
        $this->getJson($path($again))->assertJsonPath('earlier', []);
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->candidate());
    }

    /** Answers the first questions right, the next wrong, and leaves the others blank. */
    private function sit(int $right, int $wrong, int $count = 6): string
    {
        $sitting = $this->build(['count' => $count]);
        $opened = $this->open($sitting);
        foreach (range(0, $right + $wrong - 1) as $position) {
            $this->send($sitting, [
                ['id' => "s{$position}", 'seq' => 10 + 2 * $position, 'kind' => 'shown', 'position' => $position],
            ]);
            $this->travel(20)->seconds();
            $this->send($sitting, [
                $this->answer($position, $this->option($opened, $position, $position < $right), 11 + 2 * $position),
            ]);
        }
        $this->handIn($sitting)->assertOk();

        return $sitting;
    }

    public function test_a_result_gives_both_shares_and_how_many_were_answered(): void
    {
        $result = $this->getJson('/api/sittings/'.$this->sit(3, 1).'/result')->assertOk();

        $result
            ->assertJsonPath('tally.marks', '3')
            ->assertJsonPath('tally.possible', '6')
            ->assertJsonPath('tally.shareOfAll', '50')
            ->assertJsonPath('tally.shareOfAnswered', '75')
            ->assertJsonPath('tally.answered', 4)
            ->assertJsonPath('tally.leftBlank', 0)
            ->assertJsonPath('tally.notReached', 2)
            ->assertJsonPath('tally.meanMs', 20_000)
            ->assertJsonPath('counts', false)
            ->assertJsonPath('same', true)
            ->assertJsonPath('cut', '65');
        self::assertSame(
            6,
            array_sum(array_column(array_column($result->json('breakdowns.0.groups'), 'tally'), 'questions')),
        );
    }

    public function test_a_breakdown_adds_up_by_whatever_its_questions_have_in_common(): void
    {
        $this->exam();
        DB::table('question_versions')->where('tags', 'like', '%recall%')->orderBy('id')->limit(5)->get()->each(
            fn (object $version) => DB::table('question_versions')->where('id', $version->id)->update(
                ['tags' => '{"skill": ["recall", "apply"], "year": "2024"}', 'difficulty' => 'hard'],
            ),
        );
        $sitting = $this->build(['count' => 12, 'penalty' => '1/4']);
        $opened = $this->open($sitting);
        foreach (range(0, 11) as $position) {
            $this->send($sitting, [
                $this->answer($position, $this->option($opened, $position, $position % 3 > 0), 11 + $position),
            ])->assertJsonPath('refused', []);
        }
        $this->handIn($sitting)->assertOk();
        $breakdowns = $this->getJson("/api/sittings/{$sitting}/result")->assertOk()->json('breakdowns');
        // A second path: the rows themselves.
        $rows = DB::table('outcomes')
            ->join('question_versions', 'question_versions.id', '=', 'outcomes.version_id')
            ->where('sitting_id', $sitting)
            ->orderBy('outcomes.position')
            ->get(['outcomes.position', 'outcomes.marks', 'difficulty', 'tags']);
        $expected = fn (callable $has): array => [
            $rows->filter($has)->pluck('position')->all(),
            (float) $rows->filter($has)->sum(fn (object $row): float => BigRational::of($row->marks)->toFloat()),
            -(float) $rows->filter($has)->sum(
                fn (object $row): float => min(0.0, BigRational::of($row->marks)->toFloat()),
            ),
        ];
        $told = fn (array $group): array => [
            $group['questions'], (float) $group['tally']['marks'], (float) $group['tally']['takenOff'],
        ];

        self::assertSame(['topic', 'difficulty', 'tag:skill'], array_column($breakdowns, 'by'));
        [, $difficulty, $skill] = $breakdowns;
        self::assertSame(['easy', 'hard'], array_column($difficulty['groups'], 'code'));
        foreach ($difficulty['groups'] as $group) {
            self::assertSame($expected(fn (object $row): bool => $row->difficulty === $group['code']), $told($group));
        }
        self::assertSame(['apply', 'recall'], array_column($skill['groups'], 'code'));
        foreach ($skill['groups'] as $group) {
            $has = fn (object $row): bool => str_contains($row->tags, $group['code']);
            self::assertSame($expected($has), $told($group));
        }
        self::assertSame(12, count($skill['groups'][1]['questions']));
        self::assertSame(5, count($skill['groups'][0]['questions']));
    }

    public function test_a_review_lists_every_question_and_explains_each(): void
    {
        $sitting = $this->sit(1, 1);
        $items = $this->getJson("/api/sittings/{$sitting}/review")
            ->assertOk()
            ->json('items');
        self::assertSame(
            ['right', 'missed', 'not_reached', 'not_reached', 'not_reached', 'not_reached'],
            array_column($items, 'outcome'),
        );
        // What was not reached is still new: nobody is told its answer who has not asked to see it.
        $this->getJson("/api/sittings/{$sitting}/questions/2")->assertStatus(409)->assertJsonPath('reason', 'still_new');
        $this->getJson("/api/sittings/{$sitting}/key")->assertOk()->assertJsonCount(2, 'answers');
        $this->postJson("/api/sittings/{$sitting}/exposures", ['positions' => null])->assertNoContent();
        $this->getJson("/api/sittings/{$sitting}/key")->assertOk()->assertJsonCount(6, 'answers');
        foreach (array_keys($items) as $position) {
            $explained = $this->getJson("/api/sittings/{$sitting}/questions/{$position}")->assertOk();
            self::assertCount(4, array_filter(array_column($explained->json('parts'), 'why')));
            self::assertStringStartsWith('SECRET-RATIONALE', $explained->json('rationale'));
        }
        $this->getJson("/api/sittings/{$sitting}/questions/6")->assertNotFound();
    }

    public function test_pools_follow_the_latest_outcome_and_the_next_test_is_built_from_what_was_missed(): void
    {
        $this->sit(3, 2);
        $counts = $this->getJson('/api/exams/small-hills/builder')->json('counts');
        self::assertSame(
            [
                'all' => 12,
                'new' => 7,
                'gotIt' => 3,
                'partly' => 0,
                'missed' => 2,
                'leftBlank' => 0,
                'toBeMarked' => 0,
                'flagged' => 0,
            ],
            $counts,
        );

        $again = $this->open($this->build(['pools' => ['missed'], 'count' => 2]));
        self::assertCount(2, $again['questions']);
        $this->postJson('/api/exams/small-hills/tests', [
            'topics' => ['ridge', 'water'],
            'pools' => ['missed'],
            'count' => 3,
            'mode' => 'tutor',
        ])->assertStatus(422);
    }

    public function test_an_edit_makes_a_new_version_and_never_changes_a_past_result(): void
    {
        $sitting = $this->sit(6, 0);
        $folder = sys_get_temp_dir().'/uplandia-edit-'.getmypid();
        @mkdir("{$folder}/questions", 0777, true);
        @mkdir("{$folder}/handbook");
        copy(__DIR__.'/../exam/handbook/1.md', "{$folder}/handbook/1.md");
        copy(__DIR__.'/../exam/exam.yaml', "{$folder}/exam.yaml");
        $text = (string) file_get_contents(__DIR__.'/../exam/questions/all.yaml');
        file_put_contents(
            "{$folder}/questions/all.yaml",
            str_replace(['right"', 'wrong 0"'], ['now wrong"', 'now right"'], $text),
        );
        $before = $this->getJson("/api/sittings/{$sitting}/questions/0")->json();

        self::assertSame(
            ['slug' => 'small-hills', 'questions' => 12, 'changed' => 12],
            app(BankLoader::class)->load($folder),
        );
        self::assertSame(
            ['slug' => 'small-hills', 'questions' => 12, 'changed' => 0],
            app(BankLoader::class)->load($folder),
        );
        self::assertSame($before, $this->getJson("/api/sittings/{$sitting}/questions/0")->json());
        self::assertSame(24, QuestionVersion::query()->count());
        $this->expectException(LogicException::class);
        QuestionVersion::query()
            ->firstOrFail()
            ->update(['marks' => '9']);
    }
}
