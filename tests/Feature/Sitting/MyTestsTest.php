<?php

declare(strict_types=1);

namespace Tests\Feature\Sitting;

use App\Account\User;
use App\Assembly\Test;
use App\Question\Exam;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\TestCase;

/** All of one's tests: found, named, shared, sat again, deleted and had back. */
final class MyTestsTest extends TestCase
{
    private const LIST = '/api/exams/small-hills/sittings';

    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->user = $this->candidate());
    }

    private function become(User $user): void
    {
        // A session knows whose password it was begun with.
        $this->flushSession();
        $this->actingAs($user);
    }

    /** A sitting that is handed in; the first answers are right, the others wrong. */
    private function sat(int $right, array $choices = []): string
    {
        $sitting = $this->build($choices);
        $opened = $this->open($sitting);
        $events = [];
        foreach ($opened['questions'] as $position => $question) {
            $events[] = $this->answer(
                $position,
                $this->option($opened, $position, $position < $right),
                10 + $position,
            );
        }
        $this->send($sitting, $events)->assertOk();
        $this->handIn($sitting)->assertOk();

        return $sitting;
    }

    /** @return list<string> */
    private function names(array $wanted): array
    {
        return $this->getJson(self::LIST.'?'.http_build_query($wanted + ['page' => 1]))
            ->assertOk()
            ->json('tests.*.name');
    }

    public function test_all_are_listed_with_what_became_of_them(): void
    {
        $this->sat(3, ['name' => 'Half']);
        $this->open($this->build(['name' => 'Begun', 'mode' => 'tutor']));
        $this->build(['name' => 'Waiting', 'mode' => 'untimed']);
        $this->become($this->candidate());
        $this->build(['name' => 'Not mine']);
        $this->become($this->user);
        $page = $this->getJson(self::LIST.'?page=1')->assertOk();
        $page->assertJsonPath('total', 3)->assertJsonPath('all', 3)->assertJsonPath('pages', 1);
        $lines = array_column($page->json('tests'), null, 'name');
        self::assertSame(
            [['handed_in', '50', 6], ['open', null, 0], ['not_started', null, 0]],
            array_map(
                fn (string $name): array => [
                    $lines[$name]['state'],
                    $lines[$name]['share'],
                    $lines[$name]['answered'],
                ],
                ['Half', 'Begun', 'Waiting'],
            ),
        );
    }

    public function test_each_says_what_became_of_its_questions_and_how_long_it_took(): void
    {
        $id = $this->sat(3, ['name' => 'Half']);
        $this->build(['name' => 'Waiting']);
        $lines = array_column($this->getJson(self::LIST.'?page=1')->assertOk()->json('tests'), null, 'name');
        $tally = $this->getJson("/api/sittings/{$id}/result")->assertOk()->json('tally');
        self::assertSame(
            array_map(fn (string $name): int => $tally[$name], [
                'right' => 'right', 'partly' => 'partly', 'missed' => 'missed', 'leftBlank' => 'leftBlank',
                'notReached' => 'notReached', 'pending' => 'pending',
            ]),
            $lines['Half']['outcomes'],
        );
        self::assertSame(6, array_sum($lines['Half']['outcomes']));
        self::assertSame(Sitting::query()->findOrFail($id)->active_ms, $lines['Half']['activeMs']);
        self::assertNull($lines['Waiting']['outcomes']);
    }

    public function test_those_of_other_exams_are_counted_and_listed_when_asked_for(): void
    {
        $this->sat(3, ['name' => 'Here']);
        $other = Exam::query()->create(['slug' => 'other', 'name' => 'Other hills', 'position' => 9] + $this->exam()
            ->only(['summary', 'rules']));
        $this->build(['name' => 'There']);
        Sitting::query()->where('name', 'There')->update(['exam_id' => $other->id]);
        Test::query()->where('title', 'There')->update(['exam_id' => $other->id]);
        $this->getJson(self::LIST.'?page=1')->assertJsonPath('total', 1)->assertJsonPath('elsewhere', 1);
        $all = $this->getJson(self::LIST.'?page=1&everywhere=1&order=name&down=0')->assertOk();
        $all->assertJsonPath('total', 2)->assertJsonPath('elsewhere', 1)->assertJsonPath('all', 2);
        self::assertSame(['Small Hills Badge', 'Other hills'], array_column($all->json('tests'), 'examName'));
    }

    public function test_they_are_searched_filtered_and_sorted(): void
    {
        $this->sat(6, ['name' => 'Alder 100%', 'mode' => 'timed']);
        $this->sat(2, ['name' => 'birch_', 'mode' => 'untimed']);
        $this->build(['name' => 'Cedar', 'mode' => 'tutor']);
        foreach (
            [
                [['search' => 'DER'], ['Alder 100%']],
                [['search' => '%'], ['Alder 100%']],
                [['search' => '_'], ['birch_']],
                [['search' => "'; drop"], []],
                [['mode' => 'untimed'], ['birch_']],
                [['state' => 'handed_in'], ['birch_', 'Alder 100%']],
                [['mode' => 'tutor', 'state' => 'handed_in'], []],
                [['order' => 'share', 'down' => false, 'state' => 'handed_in'], ['birch_', 'Alder 100%']],
                [['order' => 'share', 'down' => true, 'state' => 'handed_in'], ['Alder 100%', 'birch_']],
                // As a browser writes it in an address.
                [['order' => 'share', 'down' => 'false', 'state' => 'handed_in'], ['birch_', 'Alder 100%']],
                [['order' => 'share', 'down' => 'true', 'state' => 'handed_in'], ['Alder 100%', 'birch_']],
                [['order' => 'mode', 'down' => false], ['Alder 100%', 'Cedar', 'birch_']],
                [['order' => 'made', 'down' => false], ['Alder 100%', 'birch_', 'Cedar']],
                [['page' => 9], ['Cedar', 'birch_', 'Alder 100%']],
            ] as [$wanted, $expected]
        ) {
            self::assertSame($expected, $this->names($wanted), (string) json_encode($wanted));
        }
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function badWishes(): iterable
    {
        yield 'no page' => [[]];
        yield 'page 0' => [['page' => 0]];
        yield 'an unknown order' => [['page' => 1, 'order' => 'luck']];
        yield 'an unknown mode' => [['page' => 1, 'mode' => 'nap']];
        yield 'an unknown state' => [['page' => 1, 'state' => 'lost']];
        yield 'neither yes nor no' => [['page' => 1, 'down' => 'perhaps']];
        yield 'a search too long' => [['page' => 1, 'search' => str_repeat('x', 201)]];
    }

    /** @param  array<string, mixed>  $wanted */
    #[DataProvider('badWishes')]
    public function test_bad_wishes_get_a_sentence(array $wanted): void
    {
        $this->exam();
        $this->getJson(self::LIST.'?'.http_build_query($wanted))->assertStatus(422);
    }

    public function test_a_sitting_is_renamed_and_nothing_else_of_it_changes(): void
    {
        $sitting = $this->sat(3);
        $before = Sitting::query()->findOrFail($sitting)->getAttributes();
        $this->putJson("/api/sittings/{$sitting}/name", ['name' => '  Tuesday  '])->assertNoContent();
        $after = Sitting::query()->findOrFail($sitting)->getAttributes();
        self::assertSame('Tuesday', $after['name']);
        self::assertSame(
            array_diff_key($before, ['name' => 0, 'updated_at' => 0]),
            array_diff_key($after, ['name' => 0, 'updated_at' => 0]),
        );
        foreach (['', '   ', str_repeat('x', 121)] as $bad) {
            $this->putJson("/api/sittings/{$sitting}/name", ['name' => $bad])->assertStatus(422);
        }
        $this->getJson("/api/sittings/{$sitting}/result")->assertJsonPath('title', 'Tuesday');
    }

    public function test_what_is_deleted_says_nothing_and_comes_back_as_it_was(): void
    {
        $first = $this->sat(2);
        $this->travel(1)->hours();
        $this->sat(5);
        $tables = ['outcomes', 'standings', 'sittings'];
        $kept = fn (): array => array_map(
            fn (string $table): array => DB::table($table)
                ->orderBy($table === 'sittings' ? 'id' : 'question_id')
                ->orderBy($table === 'outcomes' ? 'sitting_id' : 'user_id')
                ->get()
                ->map(
                    fn (object $row): array => array_diff_key((array) $row, [
                        'revision' => 0,
                        'updated_at' => 0,
                        'pen' => 0,
                    ]),
                )
                ->all(),
            array_combine($tables, $tables),
        );
        $before = $kept();
        $this->deleteJson("/api/sittings/{$first}")->assertNoContent();
        $this->getJson("/api/sittings/{$first}/result")->assertNotFound();
        self::assertSame(0, DB::table('outcomes')->where('sitting_id', $first)->count());
        // What is left is as if it had never been: also the first looks, which are the other sitting's now.
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
        $page = $this->getJson(self::LIST.'?page=1')->assertJsonPath('total', 1);
        self::assertSame($first, $page->json('deleted.0.id'));

        $this->travel(9)->minutes();
        $this->postJson("/api/sittings/{$first}/restore")->assertNoContent();
        $this->postJson("/api/sittings/{$first}/restore")->assertNoContent();
        self::assertEquals($before, $kept());
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }

    public function test_after_ten_minutes_it_is_gone_for_good(): void
    {
        $sitting = $this->sat(2);
        $this->deleteJson("/api/sittings/{$sitting}")->assertNoContent();
        $this->travel(601)->seconds();
        $this->postJson("/api/sittings/{$sitting}/restore")
            ->assertStatus(409)
            ->assertJsonPath('reason', 'too_late');
        $this->getJson(self::LIST.'?page=1')->assertOk()->assertJsonPath('deleted', []);
        self::assertSame(0, Artisan::call('sittings:close'));
        self::assertSame([0, 0], [DB::table('sittings')->count(), DB::table('deleted_outcomes')->count()]);
        $this->postJson("/api/sittings/{$sitting}/restore")->assertNotFound();
    }

    public function test_one_in_the_middle_is_deleted_and_goes_on_where_it_was(): void
    {
        $sitting = $this->build(['mode' => 'tutor']);
        $opened = $this->open($sitting);
        $check = ['id' => 'c', 'seq' => 11, 'kind' => 'checked', 'position' => 0];
        $this->send($sitting, [$this->answer(0, $this->option($opened, 0, true), 10), $check])->assertOk();
        $this->deleteJson("/api/sittings/{$sitting}")->assertNoContent();
        $this->send($sitting, [$this->answer(1, 'a', 12)])->assertNotFound();
        $this->postJson("/api/sittings/{$sitting}/restore")->assertNoContent();
        $state = $this->open($sitting, take: true)['state'];
        self::assertSame([1, 'right'], [$state['answered'], $state['questions'][0]['outcome']]);
    }

    public function test_it_is_sat_again_with_the_same_with_fresh_and_with_missed_questions(): void
    {
        $sitting = $this->sat(4, ['name' => 'Ridges']);
        $test = fn (string $of): string => (string) DB::table('sittings')->where('id', $of)->value('test_id');
        $again = fn (string $how): string => (string) $this
            ->postJson("/api/sittings/{$sitting}/again", ['how' => $how])
            ->assertCreated()
            ->json('sitting');
        self::assertSame($test($sitting), $test($again('same')));

        $fresh = $again('fresh');
        self::assertNotSame($test($sitting), $test($fresh));
        self::assertSame(6, DB::table('test_items')->where('test_id', $test($fresh))->count());

        $missed = $again('missed');
        self::assertEqualsCanonicalizing(
            DB::table('outcomes')
                ->where('sitting_id', $sitting)
                ->where('outcome', 'missed')
                ->pluck('question_id')
                ->all(),
            DB::table('test_items')->where('test_id', $test($missed))->pluck('question_id')->all(),
        );
        $this->postJson("/api/sittings/{$missed}/again", ['how' => 'missed'])->assertStatus(409);
        $this->postJson("/api/sittings/{$sitting}/again", ['how' => 'well'])->assertStatus(422);
        $perfect = $this->sat(6);
        $this->postJson("/api/sittings/{$perfect}/again", ['how' => 'missed'])
            ->assertStatus(422)
            ->assertJsonPath('reason', 'none_missed');
    }

    public function test_a_shared_test_is_sat_by_others_question_for_question(): void
    {
        $mine = $this->build();
        $code = (string) $this->postJson("/api/sittings/{$mine}/share")
            ->assertOk()
            ->json('code');
        self::assertSame($code, $this->postJson("/api/sittings/{$mine}/share")->json('code'));
        $this->become($other = $this->candidate());
        $typed = strtolower(substr($code, 0, 4).' - '.substr($code, 4));
        $theirs = (string) $this->postJson('/api/shared', ['code' => $typed])
            ->assertCreated()
            ->json('sitting');
        self::assertSame($theirs, $this->postJson('/api/shared', ['code' => $code])->json('sitting'));
        $rows = DB::table('sittings')
            ->whereIn('id', [$mine, $theirs])
            ->pluck('test_id')
            ->unique();
        self::assertCount(1, $rows);
        self::assertSame($other->id, Sitting::query()->findOrFail($theirs)->user_id);
        // Whoever only joined cannot share it on.
        $this->postJson("/api/sittings/{$theirs}/share")
            ->assertStatus(409)
            ->assertJsonPath('reason', 'not_yours');
        $this->getJson("/api/sittings/{$mine}")->assertNotFound();

        $this->putJson("/api/sittings/{$theirs}/comparison", ['agrees' => true])->assertNoContent();
        $this->getJson(self::LIST.'?page=1')
            ->assertJsonPath('tests.0.agrees', true)
            ->assertJsonPath('tests.0.code', null);
        $this->putJson("/api/sittings/{$theirs}/comparison", ['agrees' => 'perhaps'])->assertStatus(422);
        $alone = $this->build();
        $this->putJson("/api/sittings/{$alone}/comparison", ['agrees' => true])->assertStatus(409);
    }

    public function test_a_wrong_and_a_spent_code_get_a_sentence(): void
    {
        $mine = $this->build();
        $code = (string) $this->postJson("/api/sittings/{$mine}/share")->json('code');
        $this->deleteJson("/api/sittings/{$mine}/share")->assertNoContent();
        $this->become($this->candidate());
        $this->postJson('/api/shared', ['code' => $code])
            ->assertStatus(409)
            ->assertJsonPath('reason', 'closed_code');
        $this->postJson('/api/shared', ['code' => 'NOSUCH22'])
            ->assertStatus(422)
            ->assertJsonPath('reason', 'unknown_code');
        $this->postJson('/api/shared', ['code' => ''])->assertStatus(422);
        self::assertSame(1, DB::table('sittings')->count());
    }

    public function test_to_everybody_else_none_of_it_exists(): void
    {
        $sitting = $this->sat(3);
        $this->become($this->candidate());
        foreach (
            [
                ['put', 'name', ['name' => 'Mine']],
                ['post', 'again', ['how' => 'same']],
                ['post', 'share', []],
                ['delete', 'share', []],
                ['put', 'comparison', ['agrees' => true]],
                ['post', 'on-paper', []],
                ['delete', 'on-paper', []],
                ['get', 'choices', []],
                ['put', 'note', ['title' => 'x', 'note' => 'y']],
                ['get', 'booklet', []],
                ['get', 'key', []],
                ['post', 'restore', []],
                ['delete', '', []],
            ] as [$method, $what, $body]
        ) {
            $this->json($method, rtrim("/api/sittings/{$sitting}/{$what}", '/'), $body)->assertNotFound();
        }
        self::assertNull(Sitting::query()->findOrFail($sitting)->deleted_at);
    }

    public function test_on_paper_its_key_may_be_printed_and_on_screen_only_after_handing_in(): void
    {
        $sitting = $this->build();
        $this->getJson("/api/sittings/{$sitting}/key")
            ->assertStatus(409)
            ->assertJsonPath('reason', 'not_yet');
        $booklet = $this->getJson("/api/sittings/{$sitting}/booklet")
            ->assertOk()
            ->assertJsonPath('keyed', false);
        self::assertStringNotContainsString('rationale', (string) $booklet->getContent());
        $this->postJson("/api/sittings/{$sitting}/on-paper")
            ->assertOk()
            ->assertJsonPath('mode', 'untimed')
            ->assertJsonPath('onPaper', true)
            ->assertJsonPath('limitMs', null);
        // Whoever has seen the key knows no answer of their own any more.
        $this->getJson("/api/sittings/{$sitting}/key")->assertStatus(409)->assertJsonPath('reason', 'still_new');
        $this->postJson("/api/sittings/{$sitting}/exposures", ['positions' => null])->assertNoContent();
        $key = $this->getJson("/api/sittings/{$sitting}/key")
            ->assertOk()
            ->assertJsonCount(6, 'answers');
        $booklet = $this->getJson("/api/sittings/{$sitting}/booklet")->assertJsonPath('keyed', true);
        // The same questions and options in the same order everywhere, on screen too.
        self::assertSame($booklet->json('questions'), $key->json('answers.*.question'));
        self::assertSame($booklet->json('questions'), $this->open($sitting)['questions']);

        $begun = $this->build();
        $this->open($begun);
        $this->postJson("/api/sittings/{$begun}/on-paper")
            ->assertStatus(409)
            ->assertJsonPath('reason', 'begun');
        $this->getJson("/api/sittings/{$begun}/key")->assertStatus(409);
        $this->postJson("/api/sittings/{$begun}/exposures", ['positions' => null])->assertStatus(409);
        $this->handIn($begun)->assertOk();
        $this->postJson("/api/sittings/{$begun}/exposures", ['positions' => [0]])->assertNoContent();
        $this->getJson("/api/sittings/{$begun}/key")->assertOk();
    }

    public function test_a_note_on_a_whole_test_is_kept_and_found(): void
    {
        $sitting = $this->sat(2);
        $this->sat(3);
        $note = ['title' => 'Evening of rain', 'note' => 'Tired; *slow* with maps.'];
        $this->putJson("/api/sittings/{$sitting}/note", $note)->assertNoContent();
        $this->getJson(self::LIST.'?page=1&noted=1')
            ->assertJsonPath('total', 1)
            ->assertJsonPath('tests.0.noteTitle', $note['title'])
            ->assertJsonPath('tests.0.note', $note['note']);
        foreach (['of rain', 'slow'] as $words) {
            self::assertCount(1, $this->names(['search' => $words]));
        }
        self::assertSame([], $this->names(['search' => '%']));
        $this->getJson("/api/sittings/{$sitting}/result")->assertJsonPath('noteTitle', $note['title']);
        $this->getJson('/api/exams/small-hills/library?page=1')->assertOk()->assertJsonPath('testsNoted', 1);
        $long = ['title' => str_repeat('x', 121), 'note' => str_repeat('x', 5001)];
        $this->putJson("/api/sittings/{$sitting}/note", $long)
            ->assertStatus(422)
            ->assertJsonPath('fields.title.0', 'The title of a note can have up to 120 letters.');
        $this->putJson("/api/sittings/{$sitting}/note", ['title' => '', 'note' => ' '])->assertNoContent();
        $this->getJson(self::LIST.'?page=1&noted=1')->assertJsonPath('total', 0);
    }

    public function test_what_a_test_was_made_of_is_told_to_be_changed(): void
    {
        $sitting = $this->build(['topics' => ['ridge'], 'count' => 3, 'mode' => 'timed', 'minutes' => 7]);
        $this->getJson("/api/sittings/{$sitting}/choices")
            ->assertOk()
            ->assertJsonPath('exam', 'small-hills')
            ->assertJsonPath('choices.topics', ['ridge'])
            ->assertJsonPath('choices.minutes', 7);
        $this->getJson(self::LIST.'?page=1')->assertJsonPath('tests.0.choices', true);
        // A test of somebody else's has no choices of one's own.
        $code = (string) $this->postJson("/api/sittings/{$sitting}/share")->assertOk()->json('code');
        $this->become($this->candidate());
        $joined = (string) $this->postJson('/api/shared', ['code' => $code])->assertCreated()->json('sitting');
        $this->getJson("/api/sittings/{$joined}/choices")->assertStatus(409)->assertJsonPath('reason', 'no_recipe');
        $this->getJson(self::LIST.'?page=1')->assertJsonPath('tests.0.choices', false);
        $this->getJson("/api/sittings/{$sitting}/choices")->assertNotFound();
    }

    public function test_paper_can_be_taken_back_until_answers_are_typed_in(): void
    {
        $sitting = $this->build();
        $before = $this->getJson("/api/sittings/{$sitting}")->assertOk()->json();
        $this->postJson("/api/sittings/{$sitting}/on-paper")->assertOk();
        $this->open($sitting);
        $this->deleteJson("/api/sittings/{$sitting}/on-paper")->assertOk()->assertExactJson($before);
        self::assertSame(0, DB::table('sitting_events')->where('sitting_id', $sitting)->count());
        $this->getJson("/api/sittings/{$sitting}/key")->assertStatus(409)->assertJsonPath('reason', 'not_yet');
        // Twice is the same, and its clock runs as if nothing had been.
        $this->deleteJson("/api/sittings/{$sitting}/on-paper")->assertOk();
        self::assertSame($before['limitMs'], $this->open($sitting)['briefing']['limitMs']);

        $typed = $this->build();
        $this->postJson("/api/sittings/{$typed}/on-paper")->assertOk();
        $this->built = $typed;
        $opened = $this->open($typed);
        $this->send($typed, [$this->answer(0, $this->option($opened, 0, true), 10)])->assertOk();
        $this->deleteJson("/api/sittings/{$typed}/on-paper")
            ->assertStatus(409)
            ->assertJsonPath('reason', 'typed_in');
        $this->handIn($typed)->assertOk();
        $this->deleteJson("/api/sittings/{$typed}/on-paper")->assertStatus(409);
    }

    public function test_a_key_seen_while_it_was_to_be_on_paper_keeps_it_out_of_the_cohort(): void
    {
        foreach (['seen' => 0, 'unseen' => 1] as $which => $inCohort) {
            $sitting = $this->build();
            $this->postJson("/api/sittings/{$sitting}/on-paper")->assertOk();
            if ($which === 'seen') {
                $this->postJson("/api/sittings/{$sitting}/exposures", ['positions' => [0]])->assertNoContent();
            }
            $this->deleteJson("/api/sittings/{$sitting}/on-paper")->assertOk();
            $this->travel(5)->seconds();
            $this->open($sitting);
            $this->handIn($sitting)->assertOk();
            $kept = DB::table('sittings')->where('id', $sitting)->value('in_cohort');
            self::assertSame($inCohort, (int) $kept, $which);
            $this->travel(1)->days();
        }
    }

    public function test_no_key_is_printed_of_what_a_running_clock_still_asks(): void
    {
        $this->open($this->build(['count' => 12]));
        $paper = $this->build(['count' => 3]);
        $this->postJson("/api/sittings/{$paper}/on-paper")
            ->assertStatus(409)
            ->assertJsonPath('reason', 'held_back');
    }

    public function test_a_key_waits_also_where_the_clock_began_after_paper_was_chosen(): void
    {
        $timed = $this->build(['count' => 12]);
        $paper = (string) $this->postJson("/api/sittings/{$timed}/again", ['how' => 'same'])->json('sitting');
        $this->postJson("/api/sittings/{$paper}/on-paper")->assertOk();
        $this->open($timed);
        $this->getJson("/api/sittings/{$paper}/key")->assertStatus(409)->assertJsonPath('reason', 'held_back');
        $this->postJson("/api/sittings/{$paper}/exposures", ['positions' => null])
            ->assertStatus(409)
            ->assertJsonPath('reason', 'held_back');
        $this->handIn($timed)->assertOk();
        $this->postJson("/api/sittings/{$paper}/exposures", ['positions' => null])->assertNoContent();
        $this->getJson("/api/sittings/{$paper}/key")->assertOk();
    }

    public function test_what_a_deleted_sitting_asked_is_held_back_as_long_as_it_can_come_back(): void
    {
        $timed = $this->build(['count' => 12]);
        $this->open($timed);
        $this->deleteJson("/api/sittings/{$timed}")->assertNoContent();
        $available = fn (): mixed => $this->postJson(
            '/api/exams/small-hills/count',
            ['pools' => [], 'count' => 1, 'mode' => 'tutor'],
        )
            ->assertOk()
            ->json('available');
        $paper = $this->build(['count' => 3]);
        self::assertSame(0, $available());
        $this->travel(599)->seconds();
        self::assertSame(0, $available());
        $this->postJson("/api/sittings/{$paper}/on-paper")->assertStatus(409)->assertJsonPath('reason', 'held_back');
        // Its clock would still run; it is not cleared away yet, but nobody can have it back.
        $this->travel(2)->seconds();
        self::assertSame('open', DB::table('sittings')->where('id', $timed)->value('status'));
        self::assertSame(12, $available());
        $this->postJson("/api/sittings/{$paper}/on-paper")->assertOk();
    }

    public function test_answers_from_paper_come_to_the_same_as_on_screen(): void
    {
        $screen = $this->sat(4);
        $paper = (string) $this->postJson("/api/sittings/{$screen}/again", ['how' => 'same'])->json('sitting');
        $this->postJson("/api/sittings/{$paper}/on-paper")->assertOk();
        $this->built = $paper;
        $opened = $this->open($paper);
        $events = [];
        foreach ($opened['questions'] as $position => $question) {
            $events[] = $this->answer($position, $this->option($opened, $position, $position < 4), 10 + $position);
        }
        $this->send($paper, $events)->assertOk();
        $this->handIn($paper)->assertOk();
        $told = fn (string $sitting): array => array_intersect_key(
            $this->getJson("/api/sittings/{$sitting}/result")
                ->assertOk()
                ->json(),
            ['tally' => 0, 'topics' => 0, 'sections' => 0, 'cut' => 0],
        );
        $times = fn (array $of): array => json_decode(
            (string) preg_replace('/"meanMs":\d+/', '"meanMs":0', (string) json_encode($of)),
            true,
        );
        self::assertSame($times($told($screen)), $times($told($paper)));
        self::assertSame(
            ['untimed', 1],
            array_values(
                (array) DB::table('sittings')
                    ->where('id', $paper)
                    ->first(['mode', 'on_paper']),
            ),
        );
    }
}
