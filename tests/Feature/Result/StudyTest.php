<?php

declare(strict_types=1);

namespace Tests\Feature\Result;

use App\Account\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

/** What a result leads to: every question, what to read, what to sit next, where one stands, what to take away. */
final class StudyTest extends TestCase
{
    use SitsByLetters;

    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->user = $this->candidate();
        $this->actingAs($this->user);
    }

    private function become(User $user): void
    {
        $this->flushSession();
        $this->actingAs($user);
    }

    public function test_every_question_stands_in_a_line_and_the_review_has_the_same(): void
    {
        $sitting = $this->sit('rmb-', ['count' => 4, 'mode' => 'untimed']);
        $version = DB::table('outcomes')->where('sitting_id', $sitting)->where('position', 1)->value('version_id');
        DB::table('outcomes')->where('position', 1)->update(['cohort_ms' => 12_000]);
        DB::table('item_statistics')->insert([
            'version_id' => $version, 'exam_id' => $this->exam()->id, 'facility' => 0.5, 'n' => 20,
            'median_ms' => 1, 'options' => '{}', 'renewed_ms' => 1,
        ]);
        $this->putJson("/api/sittings/{$sitting}/questions/1/star", ['on' => true])->assertNoContent();
        $lines = $this->getJson("/api/sittings/{$sitting}/result")->assertOk()->json('questions');

        self::assertSame($lines, $this->getJson("/api/sittings/{$sitting}/review")->json('items'));
        self::assertSame([0, 1, 2, 3], array_column($lines, 'position'));
        self::assertSame(['right', 'missed', 'left_blank', 'not_reached'], array_column($lines, 'outcome'));
        self::assertSame(['firm', 'false_footing', null, null], array_column($lines, 'footing'));
        self::assertSame([20_000, 20_000, 20_000, 0], array_column($lines, 'activeMs'));
        self::assertSame([null, 'slow', null, null], array_column($lines, 'tempo'));
        self::assertSame([null, 0.5, null, null], array_column($lines, 'facility'));
        self::assertSame([false, true, false, false], array_column($lines, 'starred'));
        self::assertSame([false, true, false, false], array_column($lines, 'inGapBook'));
        self::assertSame(['1', '0', '0', '0'], array_column($lines, 'marks'));
        DB::table('item_statistics')->update(['n' => 19]);
        $this->getJson("/api/sittings/{$sitting}/result")->assertJsonPath('questions.1.facility', null);
    }

    #[TestWith(['rrrrrrrrrrrr', [], '100', 'Every mark there was. Harder or newer questions will tell you more.'])]
    #[TestWith(['mmmmmmmmmmmm', ['penalty' => '1'], '-100', '−100 %. This is early ground'])]
    #[TestWith(['rrrrrrrmmmmm', ['penalty' => '1/4'], '48', '48 %, below the cut'])]
    #[TestWith(['rrrrm-------', [], '33', 'You answered 5 of 12, so read this as a sample'])]
    #[TestWith(['------------', [], '0', 'Nothing was answered'])]
    #[TestWith(['r', [], '100', '100 % of a short test: take it as a hint.'])]
    public function test_every_sort_of_result_says_something_sensible(
        string $letters,
        array $choices,
        string $share,
        string $opening,
    ): void {
        $sitting = $this->sit($letters, $choices, 40);
        $result = $this->getJson("/api/sittings/{$sitting}/result")->assertOk()->assertJsonPath('share', $share);
        self::assertStringStartsWith($opening, $result->json('opening'));
        self::assertCount(strlen($letters), $result->json('questions'));
        foreach (['table', 'review'] as $part) {
            $this->getJson("/api/sittings/{$sitting}/{$part}")->assertOk();
        }
        foreach ($this->getJson("/api/sittings/{$sitting}/statements")->assertOk()->json('statements') as $statement) {
            ['min' => $min, 'raw' => $raw, 'max' => $max] = $statement['result']['score'];
            self::assertTrue($min <= $raw && $raw <= $max, "{$raw} lies between {$min} and {$max}");
        }
    }

    public function test_a_line_tells_how_often_one_tried_before_the_key_was_shown(): void
    {
        $sitting = $this->build(['count' => 2, 'mode' => 'tutor']);
        $opened = $this->open($sitting);
        $this->send($sitting, [
            ['id' => 's', 'seq' => 1, 'kind' => 'shown', 'position' => 0],
            $this->answer(0, $this->option($opened, 0, false), 2),
            ['id' => 't', 'seq' => 3, 'kind' => 'tried', 'position' => 0],
            $this->answer(0, $this->option($opened, 0, true), 4),
            ['id' => 'c', 'seq' => 5, 'kind' => 'checked', 'position' => 0],
        ])->assertJsonPath('refused', []);
        $this->handIn($sitting)->assertOk();
        $lines = $this->getJson("/api/sittings/{$sitting}/result")->assertOk()->json('questions');
        self::assertSame([1, 0], array_column($lines, 'tries'));
    }

    public function test_what_came_too_fast_to_be_read_is_on_no_footing(): void
    {
        $sitting = $this->sit('rmm', ['count' => 3], 2);
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertJsonPath('clickedThrough', true)
            ->assertJsonPath('questions.1.rapid', true)
            ->assertJsonPath('questions.1.footing', null)
            ->assertJsonPath('calibration', null);
        $sitting = $this->sit('rmm', ['count' => 3], 4);
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertJsonPath('clickedThrough', false)
            ->assertJsonPath('questions.1.footing', 'false_footing')
            ->assertJsonPath('calibration.n', 3)
            ->assertJsonPath('calibration.thin', true);
    }

    public function test_the_course_goes_by_the_plan_of_a_test_with_a_clock(): void
    {
        $sitting = $this->sit('rmb-', ['count' => 4, 'minutes' => 8], 30);
        $course = $this->getJson("/api/sittings/{$sitting}/result")->assertOk()->json('course');
        self::assertSame([30_000, 60_000, 90_000], array_column($course['legs'], 'spentMs'));
        // Eight minutes for four marks, as nothing is kept in reserve.
        $reserve = (int) DB::table('sittings')->where('id', $sitting)->value('reserve_ms');
        $each = (int) ((480_000 - $reserve) / 4);
        self::assertSame([$each, 2 * $each, 2 * $each], array_column($course['legs'], 'plannedMs'));
        // The third was left blank: that is not dealt with.
        self::assertSame(2 * $each - 90_000, $course['aheadMs']);
        self::assertEquals([1, 0, 0, null], $course['quarters']);

        $without = $this->sit('rm', ['count' => 2, 'mode' => 'untimed']);
        $this->getJson("/api/sittings/{$without}/result")
            ->assertJsonPath('course.aheadMs', null)
            ->assertJsonPath('course.legs.1.plannedMs', null);
    }

    public function test_a_result_says_what_to_read_and_begins_the_next_test(): void
    {
        $sitting = $this->sit('mmrr', ['topics' => ['water'], 'count' => 4]);
        $result = $this->getJson("/api/sittings/{$sitting}/result")->assertOk();
        $result
            ->assertJsonCount(1, 'reading')
            ->assertJsonPath('reading.0.code', 'SECRET-REF')
            ->assertJsonPath('reading.0.marks', '2')
            ->assertJsonPath('reading.0.questions', [0, 1])
            ->assertJsonPath('next.questions', 2)
            ->assertJsonPath(
                'next.sentence',
                '2 questions on Water, where all that was lost (2 marks) went: new ones first, then what '.
                    'you missed, got partly or left blank.',
            );
        $next = (string) $this->postJson("/api/sittings/{$sitting}/follow-up")->assertCreated()->json('sitting');
        $asked = fn (string $of): array => DB::table('test_items')
            ->where('test_id', DB::table('sittings')->where('id', $of)->value('test_id'))
            ->orderBy('question_id')
            ->pluck('question_id')
            ->all();
        $missed = DB::table('outcomes')->where('sitting_id', $sitting)->where('outcome', 'missed');
        self::assertSame($missed->orderBy('question_id')->pluck('question_id')->all(), $asked($next));
        self::assertSame('tutor', DB::table('sittings')->where('id', $next)->value('mode'));
    }

    public function test_where_nothing_was_lost_the_next_test_is_new_and_at_last_there_is_none(): void
    {
        $sitting = $this->sit('rrrr', ['topics' => ['water'], 'count' => 4]);
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertJsonPath('reading', [])
            ->assertJsonPath('next.questions', 8)
            ->assertJsonPath(
                'next.sentence',
                '8 questions that are new to you, over all topics: nothing was lost here.',
            );
        $all = $this->sit(str_repeat('r', 12), ['count' => 12]);
        $this->getJson("/api/sittings/{$all}/result")->assertJsonPath('next', null);
        $this->postJson("/api/sittings/{$all}/follow-up")->assertStatus(422)->assertJsonPath('reason', 'too_few');
    }

    public function test_before_it_is_handed_in_nothing_of_it_is_told(): void
    {
        $sitting = $this->build(['count' => 2]);
        $this->open($sitting);
        foreach (['result', 'review', 'table', 'statements'] as $part) {
            $this->getJson("/api/sittings/{$sitting}/{$part}")->assertStatus(409);
        }
        $this->postJson("/api/sittings/{$sitting}/follow-up")->assertStatus(409);
        $this->putJson("/api/sittings/{$sitting}/questions/0/gap", ['inBook' => true])->assertStatus(409);
        $this->putJson("/api/sittings/{$sitting}/questions/0/cause", ['cause' => 'rushed'])->assertStatus(409);
        $this->handIn($sitting);
        $this->become($this->candidate());
        foreach (['result', 'review', 'table', 'statements'] as $part) {
            $this->getJson("/api/sittings/{$sitting}/{$part}")->assertNotFound();
        }
        $this->postJson("/api/sittings/{$sitting}/follow-up")->assertNotFound();
        $this->putJson("/api/sittings/{$sitting}/questions/0/gap", ['inBook' => true])->assertNotFound();
        $this->putJson("/api/sittings/{$sitting}/questions/0/cause", ['cause' => 'rushed'])->assertNotFound();
    }

    public function test_a_cause_is_named_and_a_question_moved_into_the_gap_book_and_out_of_it(): void
    {
        $sitting = $this->sit('rm-', ['count' => 3]);
        $put = fn (int $position, array $said) => $this->putJson(
            "/api/sittings/{$sitting}/questions/{$position}/".(array_key_exists('cause', $said) ? 'cause' : 'gap'),
            $said,
        );
        $line = fn (int $position): array => array_intersect_key(
            $this->getJson("/api/sittings/{$sitting}/review")->json("items.{$position}"),
            ['cause' => 1, 'inGapBook' => 1],
        );
        $this->travel(1)->minutes();
        $put(1, ['cause' => 'mixed_up'])->assertNoContent();
        self::assertSame(['cause' => 'mixed_up', 'inGapBook' => true], $line(1));
        $put(1, ['inBook' => false])->assertNoContent();
        self::assertSame(['cause' => 'mixed_up', 'inGapBook' => false], $line(1));
        $put(1, ['cause' => null])->assertNoContent();
        $put(1, ['inBook' => true])->assertNoContent();
        self::assertSame(['cause' => null, 'inGapBook' => true], $line(1));
        $put(0, ['inBook' => true])->assertNoContent();
        self::assertSame(['cause' => null, 'inGapBook' => true], $line(0));
        $this->artisan('recount');
        self::assertSame(['cause' => null, 'inGapBook' => true], $line(0));
        self::assertSame(0, Artisan::call('recount', ['--user' => $this->user->email]));

        $put(1, ['cause' => 'bad luck'])
            ->assertStatus(422)
            ->assertJsonPath('fields.cause.0', 'Choose one of the causes.');
        $put(1, ['inBook' => 'perhaps'])->assertStatus(422);
        $put(2, ['inBook' => true])->assertStatus(409)->assertJsonPath('reason', 'not_reached');
        $put(3, ['inBook' => true])->assertNotFound();
        $put(2, ['cause' => 'rushed'])->assertStatus(409)->assertJsonPath('reason', 'not_reached');
        $put(1, [])->assertStatus(422);
        $this->putJson("/api/sittings/{$sitting}/questions/1/cause", [])->assertStatus(422);
    }

    /** Somebody else who has sat the same test, with so many of twenty questions right. */
    private function other(string $sitting, float $share, int $answered = 4): void
    {
        $row = (array) DB::table('sittings')->where('id', $sitting)->firstOrFail();
        DB::table('sittings')->insert([
            'id' => strtolower((string) Str::ulid()),
            'user_id' => $this->candidate()->id,
            'share' => $share,
            'answered' => $answered,
            'counts' => $answered >= 4,
        ] + $row);
    }

    public function test_a_place_in_the_cohort_needs_twenty_others_who_answered_enough(): void
    {
        $sitting = $this->sit('rrmm', ['count' => 4]);
        $this->getJson("/api/sittings/{$sitting}/result")->assertJsonPath('place.cohort', null);
        // A test that is nobody's own, as a paper's is.
        DB::table('tests')->update(['user_id' => null]);
        foreach (range(1, 19) as $i) {
            $this->other($sitting, $i <= 10 ? 0.25 : 0.75);
        }
        $this->other($sitting, 1.0, 3);
        $cohort = fn (): array => $this->getJson("/api/sittings/{$sitting}/result")->assertOk()->json('place.cohort');
        self::assertSame(
            ['n' => 19, 'fewest' => 20, 'leftOut' => 1, 'ofExam' => false, 'percentile' => null, 'median' => null],
            array_slice($cohort(), 0, 6),
        );
        self::assertSame([], $cohort()['steps']);
        $this->other($sitting, 0.5);
        // Ten below, one equal of twenty.
        self::assertSame([20, 0.525], [$cohort()['n'], $cohort()['percentile']]);
        self::assertEqualsWithDelta(0.375, $cohort()['median'], 1e-9);
        self::assertSame([5 => 10, 10 => 1, 15 => 9], array_filter($cohort()['steps']));
        // What somebody has deleted says nothing.
        $last = DB::table('sittings')->where('share', 0.5)->where('user_id', '!=', $this->user->id);
        (clone $last)->update(['deleted_at' => '2026-06-01 09:00:00']);
        self::assertSame(19, $cohort()['n']);
        $last->update(['deleted_at' => null]);
        // Authors stay out.
        DB::table('users')->orderByDesc('id')->limit(1)->update(['role' => 'author']);
        self::assertSame(19, $cohort()['n']);
        // Whoever left too much blank has no place.
        DB::table('users')->update(['role' => 'candidate']);
        DB::table('sittings')->where('id', $sitting)->update(['counts' => false]);
        self::assertSame([20, null], [$cohort()['n'], $cohort()['percentile']]);
    }

    public function test_the_same_questions_are_compared_with_those_who_met_them_first(): void
    {
        $sitting = $this->sit('rrm-', ['count' => 4]);
        $versions = DB::table('outcomes')
            ->where('sitting_id', $sitting)
            ->orderBy('position')
            ->pluck('version_id')
            ->all();
        foreach ([[0, 0.5, 20], [1, 0.9, 19], [2, 0.75, 40], [3, 0.1, 40]] as [$position, $facility, $n]) {
            DB::table('item_statistics')->insert([
                'version_id' => $versions[$position], 'exam_id' => $this->exam()->id, 'facility' => $facility,
                'n' => $n, 'median_ms' => 1, 'options' => '{}', 'renewed_ms' => 1,
            ]);
        }

        $this->getJson("/api/sittings/{$sitting}/result")->assertJsonPath(
            'place.questions',
            ['questions' => 2, 'answered' => 2, 'cohort' => 0.625, 'mine' => 0.5],
        );
    }

    public function test_attempts_stand_side_by_side_and_a_group_only_with_everybodys_consent(): void
    {
        $first = $this->sit('rm', ['count' => 2]);
        $again = (string) $this->postJson("/api/sittings/{$first}/again", ['how' => 'same'])->json('sitting');
        $this->answerAll($again, 'rr');
        $place = fn (string $sitting): array => $this->getJson("/api/sittings/{$sitting}/result")->json('place');
        self::assertSame([$again, $first], array_column($place($first)['attempts'], 'sitting'));
        self::assertEquals([1.0, 0.5], array_column($place($first)['attempts'], 'share'));
        self::assertNull($place($first)['agrees']);

        $code = (string) $this->postJson("/api/sittings/{$first}/share")->assertOk()->json('code');
        $friend = $this->candidate();
        $this->become($friend);
        $theirs = (string) $this->postJson('/api/shared', ['code' => $code])->assertCreated()->json('sitting');
        $this->answerAll($theirs, 'mm');
        $agree = fn (string $sitting, bool $agrees) => $this->putJson(
            "/api/sittings/{$sitting}/comparison",
            ['agrees' => $agrees],
        )->assertSuccessful();
        $agree($theirs, true);
        self::assertSame([$friend->name], array_column($place($theirs)['members'], 'name'));

        $this->become($this->user);
        self::assertSame([false, []], [$place($first)['agrees'], $place($first)['members']]);
        $agree($first, true);
        self::assertSame([$this->user->name, $friend->name], array_column($place($first)['members'], 'name'));
        self::assertSame([true, false], array_column($place($first)['members'], 'mine'));
        $this->become($friend);
        $agree($theirs, false);
        $this->become($this->user);
        self::assertSame([$this->user->name], array_column($place($first)['members'], 'name'));
    }

    public function test_the_table_is_taken_away_as_values_that_no_spreadsheet_takes_for_formulas(): void
    {
        $sitting = $this->sit('rmb-', ['count' => 4]);
        DB::statement("update question_versions set shown = replace(shown, 'Question', '=cmd, \\\"x\\\" Question')");
        $csv = (string) $this->getJson("/api/sittings/{$sitting}/table")->assertOk()->json('csv');
        $lines = array_map(
            fn (string $line): array => str_getcsv($line, escape: ''),
            explode("\r\n", rtrim($csv)),
        );

        self::assertCount(5, $lines);
        self::assertSame([22], array_values(array_unique(array_map(count(...), $lines))));
        $rows = array_map(fn (array $line): array => array_combine($lines[0], $line), array_slice($lines, 1));
        self::assertSame(['1', '2', '3', '4'], array_column($rows, 'question'));
        self::assertSame(['right', 'missed', 'left_blank', 'not_reached'], array_column($rows, 'outcome'));
        self::assertSame(['20', '20', '20', '0'], array_column($rows, 'seconds'));
        self::assertStringStartsWith("'=cmd, \"x\" Question", $rows[0]['text']);
    }
}
