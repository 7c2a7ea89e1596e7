<?php

declare(strict_types=1);

namespace Tests\Feature\Sitting;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;

/** Stars and notes: kept with the question, beyond the sitting they come from. */
final class LibraryTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->candidate());
    }

    private function counted(string $pool): int
    {
        return (int) $this->postJson('/api/exams/small-hills/count', [
            'pools' => [$pool],
            'count' => 1,
            'mode' => 'untimed',
        ])
            ->assertOk()
            ->json('available');
    }

    public function test_a_star_and_a_note_are_kept_and_found_in_their_pools(): void
    {
        $sitting = $this->build();
        $path = "/api/sittings/{$sitting}";
        $this->getJson("{$path}/kept")
            ->assertOk()
            ->assertJsonPath('questions', []);
        $this->putJson("{$path}/questions/2/star", ['on' => true])->assertNoContent();
        $this->putJson("{$path}/questions/3/note", ['note' => "  Below, not above.\nÆ  "])->assertNoContent();
        $this->putJson("{$path}/questions/3/note", ['note' => 'Below.'])->assertNoContent();
        $this->getJson("{$path}/kept")->assertJsonPath('questions', [
            ['position' => 2, 'starred' => true, 'note' => '', 'highlights' => []],
            ['position' => 3, 'starred' => false, 'note' => 'Below.', 'highlights' => []],
        ]);
        self::assertSame([1, 1, 12], [$this->counted('starred'), $this->counted('with_notes'), $this->counted('new')]);
        // In another sitting of the same questions they are there, and no outcome takes them away.
        $this->open($sitting);
        $this->handIn($sitting)->assertOk();
        $again = (string) $this->postJson("{$path}/again", ['how' => 'same'])->json('sitting');
        self::assertCount(2, $this->getJson("/api/sittings/{$again}/kept")->json('questions'));
        self::assertSame(0, Artisan::call('recount'), Artisan::output());

        $this->putJson("{$path}/questions/2/star", ['on' => false])->assertNoContent();
        $this->putJson("{$path}/questions/3/note", ['note' => '   '])->assertNoContent();
        $this->getJson("{$path}/kept")->assertJsonPath('questions', []);
        self::assertSame([0, 0], [$this->counted('starred'), $this->counted('with_notes')]);
        self::assertSame(0, DB::table('notes')->count());
    }

    public function test_highlights_stay_with_the_question_and_are_kept_as_a_whole(): void
    {
        $sitting = $this->build();
        $path = "/api/sittings/{$sitting}";
        $marked = ['part' => 'stem', 'from' => 3, 'to' => 9, 'kind' => 'marked', 'quote' => 'summit'];
        $marked += ['note' => 'Which one?'];
        $struck = ['part' => 'option:Ab-1_x', 'from' => 0, 'to' => 4, 'kind' => 'struck', 'quote' => 'Rain'];
        $struck += ['note' => ''];
        $keep = fn (array $all) => $this->putJson("{$path}/questions/2/highlights", ['highlights' => $all]);
        $keep([$marked])->assertNoContent();
        $keep([$marked, $struck])->assertNoContent();
        $this->getJson("{$path}/kept")
            ->assertJsonPath('questions.0.highlights', [$marked, $struck])
            ->assertJsonPath('questions.0.position', 2)
            ->assertJsonPath('questions.0.starred', false);
        $this->open($sitting);
        $this->handIn($sitting)->assertOk();
        $again = (string) $this->postJson("{$path}/again", ['how' => 'same'])->json('sitting');
        $this->getJson("/api/sittings/{$again}/kept")->assertJsonPath('questions.0.highlights', [$marked, $struck]);
        foreach (
            [
                [['to' => 3] + $marked], [['from' => -1] + $marked], [['kind' => 'glowing'] + $marked],
                [['part' => 'key of 1'] + $marked], [['quote' => ''] + $marked],
                [['note' => str_repeat('x', 2001)] + $marked], ['stem'], 'stem',
                [$marked + ['colour' => 'red']], array_fill(0, 201, $marked), ['a' => $marked],
            ] as $bad
        ) {
            $this->putJson("{$path}/questions/2/highlights", ['highlights' => $bad])->assertStatus(422);
        }
        $this->putJson("{$path}/questions/99/highlights", ['highlights' => []])->assertNotFound();
        self::assertSame(2, DB::table('highlights')->count());
        $keep([])->assertNoContent();
        $this->getJson("{$path}/kept")->assertJsonPath('questions', []);
    }

    public function test_the_scratch_pad_is_the_sittings_own(): void
    {
        [$one, $other] = [$this->build(), $this->build()];
        $this->getJson("/api/sittings/{$one}/scratch")->assertOk()->assertExactJson(['words' => '', 'strokes' => []]);
        $pad = ['words' => "4 km/h\n= 15 min", 'strokes' => ['12,40 13,42', '0,0']];
        $this->putJson("/api/sittings/{$one}/scratch", ['words' => '', 'strokes' => []])->assertNoContent();
        $this->putJson("/api/sittings/{$one}/scratch", $pad)->assertNoContent();
        $this->getJson("/api/sittings/{$one}/scratch")->assertExactJson($pad);
        $this->getJson("/api/sittings/{$other}/scratch")->assertExactJson(['words' => '', 'strokes' => []]);
        foreach (
            [
                ['strokes' => ['1,2;3']] + $pad, ['strokes' => [['1,2']]] + $pad, ['strokes' => 'x'] + $pad,
                ['strokes' => array_fill(0, 1010, rtrim(str_repeat('1234,1234 ', 30)))] + $pad,
                ['words' => str_repeat('x', 20_001)] + $pad, ['words' => ['x']] + $pad, [],
            ] as $bad
        ) {
            $this->putJson("/api/sittings/{$one}/scratch", $bad)->assertStatus(422);
        }
        $this->getJson("/api/sittings/{$one}/scratch")->assertExactJson($pad);
    }

    public function test_a_word_reaches_the_authors_with_the_version_it_is_about(): void
    {
        $sitting = $this->build();
        $path = "/api/sittings/{$sitting}/questions/1/words";
        $this->postJson($path, ['about' => 'unclear', 'body' => '  Which side?  '])->assertNoContent();
        $item = DB::table('test_items')->where('position', 1)->firstOrFail();
        $report = DB::table('problem_reports')->firstOrFail();
        self::assertSame(
            [$item->version_id, $item->question_id, 'unclear', 'Which side?', 'open'],
            [$report->version_id, $report->question_id, $report->about, $report->body, $report->status],
        );
        $this->postJson($path, ['about' => 'unclear', 'body' => '  '])->assertStatus(422);
        $this->postJson($path, ['about' => 'revenge', 'body' => 'x'])
            ->assertStatus(422)
            ->assertJsonPath('message', 'Say what it is about.');
        $this->postJson($path, ['about' => 'other', 'body' => str_repeat('x', 2001)])->assertStatus(422);
        $this->postJson("/api/sittings/{$sitting}/questions/99/words", ['about' => 'other', 'body' => 'x'])
            ->assertNotFound();
        for ($i = 1; $i < 50; $i++) {
            $this->postJson($path, ['about' => 'other', 'body' => "Word {$i}"])->assertNoContent();
        }
        $this->postJson($path, ['about' => 'other', 'body' => 'One more'])
            ->assertStatus(409)
            ->assertJsonPath('message', 'You have told the authors a lot today. Go on tomorrow.');
        self::assertSame(50, DB::table('problem_reports')->count());
    }

    public function test_bad_input_gets_a_sentence_and_changes_nothing(): void
    {
        $path = "/api/sittings/{$this->build()}/questions";
        $this->putJson("{$path}/0/note", ['note' => str_repeat('x', 2001)])
            ->assertStatus(422)
            ->assertJsonPath('message', 'A note can have up to 2,000 letters.');
        $this->putJson("{$path}/0/note", ['note' => ['x']])->assertStatus(422);
        $this->putJson("{$path}/0/note", [])->assertStatus(422);
        $this->putJson("{$path}/0/star", ['on' => 'yes please'])->assertStatus(422);
        $this->putJson("{$path}/77/star", ['on' => true])->assertNotFound();
        $this->putJson("{$path}/77/note", ['note' => 'x'])->assertNotFound();
        self::assertSame([0, 0], [DB::table('notes')->count(), DB::table('standings')->count()]);
    }

    public function test_nobody_sees_what_another_keeps(): void
    {
        $mine = $this->build();
        $code = (string) $this->postJson("/api/sittings/{$mine}/share")->json('code');
        $this->putJson("/api/sittings/{$mine}/questions/0/note", ['note' => 'Mine.'])->assertNoContent();
        $marked = ['part' => 'stem', 'from' => 0, 'to' => 4, 'kind' => 'marked', 'quote' => 'Mine', 'note' => ''];
        $this->putJson("/api/sittings/{$mine}/questions/0/highlights", ['highlights' => [$marked]])->assertNoContent();
        $this->flushSession()->actingAs($this->candidate());
        $theirs = (string) $this->postJson('/api/shared', ['code' => $code])->json('sitting');
        $this->getJson("/api/sittings/{$theirs}/kept")
            ->assertOk()
            ->assertJsonPath('questions', []);
        $this->getJson("/api/sittings/{$mine}/kept")->assertNotFound();
        $this->putJson("/api/sittings/{$mine}/questions/0/star", ['on' => true])->assertNotFound();
        $this->putJson("/api/sittings/{$mine}/questions/0/note", ['note' => ''])->assertNotFound();
        $this->putJson("/api/sittings/{$mine}/questions/0/highlights", ['highlights' => []])->assertNotFound();
        $this->getJson("/api/sittings/{$mine}/scratch")->assertNotFound();
        $this->putJson("/api/sittings/{$mine}/scratch", ['words' => 'x', 'strokes' => []])->assertNotFound();
        $this->postJson("/api/sittings/{$mine}/questions/0/words", ['about' => 'other', 'body' => 'x'])->assertNotFound();
        // What they keep of the same question leaves mine alone.
        $this->putJson("/api/sittings/{$theirs}/questions/0/highlights", ['highlights' => []])->assertNoContent();
        self::assertSame(1, DB::table('highlights')->count());
    }

    public function test_topics_are_named_in_tutor_mode_only(): void
    {
        self::assertCount(6, $this->open($this->build(['mode' => 'tutor']))['topics']);
        self::assertSame([], $this->open($this->build())['topics']);
        self::assertSame([], $this->open($this->build(['mode' => 'untimed']))['topics']);
    }
}
