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
            ['position' => 2, 'starred' => true, 'note' => ''],
            ['position' => 3, 'starred' => false, 'note' => 'Below.'],
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
        $this->flushSession()->actingAs($this->candidate());
        $theirs = (string) $this->postJson('/api/shared', ['code' => $code])->json('sitting');
        $this->getJson("/api/sittings/{$theirs}/kept")
            ->assertOk()
            ->assertJsonPath('questions', []);
        $this->getJson("/api/sittings/{$mine}/kept")->assertNotFound();
        $this->putJson("/api/sittings/{$mine}/questions/0/star", ['on' => true])->assertNotFound();
        $this->putJson("/api/sittings/{$mine}/questions/0/note", ['note' => ''])->assertNotFound();
    }

    public function test_topics_are_named_in_tutor_mode_only(): void
    {
        self::assertCount(6, $this->open($this->build(['mode' => 'tutor']))['topics']);
        self::assertSame([], $this->open($this->build())['topics']);
        self::assertSame([], $this->open($this->build(['mode' => 'untimed']))['topics']);
    }
}
