<?php

declare(strict_types=1);

namespace Tests\Feature\Assembly;

use App\Question\PlainExcerpt;
use App\Question\Tallies;
use App\Question\TextSearch;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\TestCase;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;

final class PicksTest extends TestCase
{
    private const PATH = '/api/exams/small-hills/questions';

    protected function setUp(): void
    {
        parent::setUp();
        $this->exam();
        $this->actingAs($this->candidate());
    }

    public function test_what_matches_is_listed_a_page_at_a_time_without_any_key(): void
    {
        $question = (array) DB::table('questions')->first();
        for ($i = 0; $i < 30; $i++) {
            DB::table('questions')->insert(['id' => 1000 + $i, 'code' => "copy-{$i}"] + $question);
        }
        app(Tallies::class)->renew($this->exam()->id);
        $first = $this->postJson(self::PATH, ['choices' => ['pools' => []]])->assertOk();
        $first->assertJsonPath('total', 42)->assertJsonPath('pages', 2)->assertJsonCount(25, 'questions');
        $second = $this->postJson(self::PATH, ['choices' => ['pools' => []], 'page' => 2])
            ->assertJsonCount(17, 'questions');
        $this->postJson(self::PATH, ['choices' => ['pools' => []], 'page' => 99])->assertJsonPath('page', 2);
        $ids = [...$first->json('questions.*.id'), ...$second->json('questions.*.id')];
        self::assertCount(42, array_unique($ids));
        self::assertStringNotContainsString('withheld', (string) $first->getContent());
        self::assertStringNotContainsString('"key"', (string) $first->getContent());
        $this->postJson(self::PATH, ['choices' => ['topics' => ['water']]])->assertJsonPath('total', 4);
        $this->postJson(self::PATH, ['choices' => ['pools' => ['missed']]])->assertJsonPath('total', 0);
    }

    /** Pages by topic skip the topics that they do not fall into; they must be those of one long list all the same. */
    #[TestWith([[], false])]
    #[TestWith([[], true])]
    #[TestWith([['new'], false])]
    #[TestWith([['missed', 'new'], true])]
    #[TestWith([['missed'], true])]
    public function test_pages_by_topic_are_those_of_one_long_list(array $pools, bool $down): void
    {
        $topics = DB::table('topics')->whereNotNull('parent_id')->orderBy('position')->pluck('id')->all();
        $question = (array) DB::table('questions')->first();
        for ($i = 0; $i < 120; $i++) {
            $of = $topics[($i * 7) % count($topics)];
            DB::table('questions')->insert(
                ['id' => 1000 + $i, 'code' => "copy-{$i}", 'topic_id' => $of,
                    'retired_at' => $i % 10 === 8 ? now() : null] + $question,
            );
            if ($i % 2 === 0) {
                DB::table('standings')->insert([
                    'user_id' => auth()->id(), 'question_id' => 1000 + $i, 'exam_id' => $this->exam()->id,
                    'topic_id' => $of, 'outcome' => $i % 4 === 0 ? 'missed' : 'right',
                ]);
            }
        }
        app(Tallies::class)->renew($this->exam()->id);
        $expected = DB::table('questions')
            ->join('topics', 'topics.id', '=', 'questions.topic_id')
            ->leftJoin('standings', 'standings.question_id', '=', 'questions.id')
            ->whereNull('retired_at')
            ->get(['questions.id', 'position', 'outcome'])
            ->filter(fn (object $row): bool => $pools === [] || in_array($row->outcome ?? 'new', $pools, true))
            ->sortBy([['position', $down ? 'desc' : 'asc'], ['id', 'asc']])
            ->pluck('id')
            ->all();
        $listed = [];
        for ($page = 1; $page <= 8; $page++) {
            $told = $this->postJson(self::PATH, [
                'choices' => ['pools' => $pools], 'order' => 'topic', 'down' => $down, 'page' => $page,
            ])->assertOk()->assertJsonPath('total', count($expected));
            if ($told->json('page') === $page) {
                array_push($listed, ...$told->json('questions.*.id'));
            }
        }
        self::assertSame($expected, $listed);
    }

    /** By whatever they are sorted, pages are those of one long list, and what is alike stands in its own order. */
    #[TestWith(['stem', false])]
    #[TestWith(['stem', true])]
    #[TestWith(['kind', false])]
    #[TestWith(['kind', true])]
    #[TestWith(['difficulty', true])]
    #[TestWith(['outcome', false])]
    public function test_pages_by_any_column_are_those_of_one_long_list(string $order, bool $down): void
    {
        $question = (array) DB::table('questions')->first();
        $version = (array) DB::table('question_versions')->where('id', $question['version_id'])->first();
        $kinds = array_column(Kind::cases(), 'value');
        $difficulties = array_column(Difficulty::cases(), 'value');
        // As one gets on with a question; null: it is new.
        $outcomes = [null, 'left_blank', 'missed', 'partly', 'pending', 'right'];
        $ranks = [];
        for ($i = 0; $i < 70; $i++) {
            $id = 1000 + $i;
            // What nobody sees does not sort: the marks are of another order than the words.
            $word = ['m', 'b', 'x', 'a', 'k'][$i * 3 % 5];
            $stem = ['**Stem %s**', 'Stem %s', '$\text{Stem}$ %s'][$i % 3];
            $stem = sprintf($stem, $word);
            DB::table('questions')->insert([
                'id' => $id, 'code' => "copy-{$i}", 'kind' => $kinds[$i * 7 % 11],
                'difficulty' => $difficulties[$i * 2 % 3], 'retired_at' => $i % 9 === 4 ? now() : null,
            ] + $question);
            DB::table('question_versions')->insert(
                ['id' => $id, 'question_id' => $id, 'shown' => json_encode(['stem' => $stem])] + $version,
            );
            DB::table('questions')->where('id', $id)->update(['version_id' => $id]);
            app(TextSearch::class)->keep($id, [
                'stem' => PlainExcerpt::of($stem), 'parts' => '', 'exhibits' => '', 'topic' => '', 'tags' => '',
            ]);
            if ($outcomes[$i * 5 % 6] !== null) {
                DB::table('standings')->insert([
                    'user_id' => auth()->id(), 'question_id' => $id, 'exam_id' => $this->exam()->id,
                    'topic_id' => $question['topic_id'], 'outcome' => $outcomes[$i * 5 % 6],
                ]);
            }
            $ranks[$id] = $i % 9 === 4 ? null : match ($order) {
                'stem' => $word,
                'kind' => $i * 7 % 11,
                'difficulty' => $i * 2 % 3,
                'outcome' => $i * 5 % 6,
            };
        }
        DB::table('questions')->where('id', '<', 1000)->update(['retired_at' => now()]);
        app(Tallies::class)->renew($this->exam()->id);
        $only = range(1000, 1064);
        $ranks = array_intersect_key(
            array_filter($ranks, fn (int|string|null $rank): bool => $rank !== null),
            array_flip($only),
        );
        $expected = array_keys($ranks);
        usort($expected, fn (int $a, int $b): int => ($down ? $ranks[$b] <=> $ranks[$a] : $ranks[$a] <=> $ranks[$b])
            ?: $a <=> $b);
        $listed = [];
        for ($page = 1; $page <= 3; $page++) {
            array_push($listed, ...$this->postJson(self::PATH, [
                'choices' => ['pools' => [], 'only' => $only], 'order' => $order, 'down' => $down, 'page' => $page,
            ])->assertOk()->assertJsonPath('total', count($expected))->json('questions.*.id'));
        }
        self::assertSame($expected, $listed);
    }

    /** @param  list<string>  $expected  values of the column, in order */
    #[TestWith(['difficulty', false, ['easy', 'moderate', 'hard']])]
    #[TestWith(['difficulty', true, ['hard', 'moderate', 'easy']])]
    #[TestWith(['outcome', true, ['right', 'missed', null]])]
    public function test_it_is_sorted_by_any_column(string $order, bool $down, array $expected): void
    {
        $ids = DB::table('questions')->orderBy('id')->limit(3)->pluck('id')->all();
        DB::table('questions')->whereNotIn('id', $ids)->update(['retired_at' => now()]);
        foreach (['moderate', 'easy', 'hard'] as $i => $difficulty) {
            DB::table('questions')->where('id', $ids[$i])->update(['difficulty' => $difficulty]);
        }
        app(Tallies::class)->renew($this->exam()->id);
        foreach (['right', 'missed'] as $i => $outcome) {
            DB::table('standings')->insert([
                'user_id' => auth()->id(), 'question_id' => $ids[$i], 'exam_id' => $this->exam()->id,
                'topic_id' => DB::table('questions')->where('id', $ids[$i])->value('topic_id'), 'outcome' => $outcome,
            ]);
        }
        $listed = $this->postJson(self::PATH, ['choices' => ['pools' => []], 'order' => $order, 'down' => $down])
            ->assertOk()
            ->json("questions.*.{$order}");
        self::assertSame($expected, $listed);
        foreach (['topic', 'stem', 'kind'] as $other) {
            $this->postJson(self::PATH, ['choices' => ['pools' => []], 'order' => $other])
                ->assertOk()
                ->assertJsonCount(3, 'questions');
        }
    }

    public function test_a_test_is_made_of_what_was_picked_with_what_belongs_to_it(): void
    {
        $ids = DB::table('questions')->orderBy('id')->pluck('id')->all();
        $unit = DB::table('units')->insertGetId(
            ['exam_id' => $this->exam()->id, 'code' => 'set', 'kind' => 'case', 'questions' => 2],
        );
        DB::table('questions')->whereIn('id', [$ids[4], $ids[5]])->update(['unit_id' => $unit]);
        app(Tallies::class)->renew($this->exam()->id);
        $picked = ['only' => [$ids[0], $ids[4]], 'topics' => null, 'pools' => [], 'mode' => 'untimed'];
        $this->postJson('/api/exams/small-hills/count', $picked + ['count' => 3])
            ->assertJsonPath('available', 3)
            ->assertJsonPath('shortfall', null);
        $test = Sitting::query()->findOrFail($this->build($picked + ['count' => 3]))->test_id;
        self::assertEqualsCanonicalizing(
            [$ids[0], $ids[4], $ids[5]],
            DB::table('test_items')->where('test_id', $test)->pluck('question_id')->all(),
        );
        $this->postJson('/api/exams/small-hills/count', $picked + ['count' => 9])
            ->assertJsonPath('shortfall.gains.0.filter', 'only');
    }

    public function test_a_look_shows_the_question_and_nothing_of_its_answer(): void
    {
        $id = DB::table('questions')->min('id');
        $shown = $this->getJson(self::PATH."/{$id}")->assertOk();
        self::assertNotSame([], $shown->json('body.options'));
        foreach (['key', 'why', 'rationale'] as $never) {
            self::assertStringNotContainsString("\"{$never}\"", (string) $shown->getContent());
        }
        $this->getJson(self::PATH.'/999999')->assertNotFound();
        DB::table('questions')->where('id', $id)->update(['retired_at' => now()]);
        $this->getJson(self::PATH."/{$id}")->assertNotFound();
    }

    /** @param  array<string, mixed>  $body */
    #[TestWith([[]])]
    #[TestWith([['choices' => 'x']])]
    #[TestWith([['choices' => ['pools' => []], 'page' => 0]])]
    #[TestWith([['choices' => ['pools' => []], 'order' => 'luck']])]
    #[TestWith([['choices' => ['only' => ['x']]]])]
    #[TestWith([['choices' => ['topics' => ['nowhere']]]])]
    public function test_bad_wishes_get_a_sentence(array $body): void
    {
        $said = $this->postJson(self::PATH, $body)->assertStatus(422)->json('message');
        self::assertStringEndsWith('.', $said);
    }
}
