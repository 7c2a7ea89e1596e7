<?php

declare(strict_types=1);

namespace Tests\Feature\Library;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;

/** Notes and marks in the handbook, and how far it was read. */
final class PagesTest extends TestCase
{
    private const PAGE = '/api/exams/small-hills/handbook/other';

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->candidate());
        $this->exam();
    }

    /** @return array<string, mixed> */
    private static function highlight(int $from, int $to, string $part = 'page'): array
    {
        return ['part' => $part, 'from' => $from, 'to' => $to, 'kind' => 'marked', 'quote' => 'words', 'note' => ''];
    }

    private function kept(): mixed
    {
        return $this->getJson('/api/exams/small-hills/handbook-kept')->assertOk()->json();
    }

    public function test_what_one_notes_marks_and_reads_stays_with_the_page(): void
    {
        self::assertSame(['stopped' => null, 'pages' => []], $this->kept());
        $this->putJson(self::PAGE.'/note', ['note' => ' **Read** again '])->assertNoContent();
        $this->putJson(self::PAGE.'/highlights', ['highlights' => [self::highlight(0, 3), self::highlight(5, 9)]])
            ->assertNoContent();
        $page = [
            'code' => 'other',
            'chapter' => 'First chapter',
            'title' => 'Another section',
            'note' => '**Read** again',
            'highlights' => [self::highlight(0, 3), self::highlight(5, 9)],
            'step' => 0,
            'finished' => false,
        ];
        self::assertEquals(['stopped' => null, 'pages' => [$page]], $this->kept());
        $this->putJson(self::PAGE.'/highlights', ['highlights' => [self::highlight(1, 2, 'step:3')]]);
        $this->putJson(self::PAGE.'/note', ['note' => '']);
        self::assertSame([self::highlight(1, 2, 'step:3')], $this->kept()['pages'][0]['highlights']);
        self::assertSame('', $this->kept()['pages'][0]['note']);
    }

    public function test_where_one_stopped_is_the_page_read_last_and_what_was_finished_stays_so(): void
    {
        $turn = 0;
        $read = function (string $page, int $step, bool $finished) use (&$turn): void {
            $this->read($page, $step, 'here', $turn++, $finished);
        };
        $this->travelTo(Carbon::parse('2026-03-02 09:00:00'));
        $read('other', 4, true);
        $this->travelTo(Carbon::parse('2026-03-02 09:01:00'));
        $read('SECRET-REF', 0, false);
        self::assertSame('SECRET-REF', $this->kept()['stopped']);
        self::assertSame([[0, false], [4, true]], array_map(
            fn (array $page): array => [$page['step'], $page['finished']],
            $this->kept()['pages'],
        ));
        $this->travelTo(Carbon::parse('2026-03-02 09:02:00'));
        $read('other', 1, false);
        self::assertSame('other', $this->kept()['stopped']);
        self::assertSame([1, true], [$this->kept()['pages'][1]['step'], $this->kept()['pages'][1]['finished']]);
    }

    public function test_of_what_one_reader_tells_the_later_wins_whichever_arrives_first(): void
    {
        $step = fn (): int => $this->kept()['pages'][0]['step'];
        $this->read('other', 2, 'here', 1);
        $this->read('other', 1, 'here', 0);
        self::assertSame(2, $step());
        // The end was reached before, and is told late: it was reached.
        $this->read('other', 1, 'here', 0, true);
        self::assertSame([2, true], [$step(), $this->kept()['pages'][0]['finished']]);
        $this->read('other', 3, 'here', 2);
        self::assertSame(3, $step());
        // Another device counts for itself, and so does the first after what was brought from elsewhere.
        $this->read('other', 1, 'there', 0);
        self::assertSame(1, $step());
        DB::table('readings')->update(['reader' => null, 'turn' => 9]);
        $this->read('other', 4, 'there', 1);
        self::assertSame(4, $step());
    }

    private function read(string $page, int $step, string $reader, int $turn, bool $finished = false): void
    {
        $this->putJson(
            "/api/exams/small-hills/handbook/{$page}/reading",
            ['step' => $step, 'finished' => $finished, 'reader' => $reader, 'turn' => $turn],
        )->assertNoContent();
    }

    public function test_notes_of_pages_are_ones_own_and_no_notes_of_questions(): void
    {
        $this->putJson(self::PAGE.'/note', ['note' => 'mine']);
        $this->getJson('/api/exams/small-hills/library?words=mine&page=1')
            ->assertOk()
            ->assertJson(['total' => 0, 'met' => []]);
        $this->flushSession();
        $this->actingAs($this->candidate());
        self::assertSame([], $this->kept()['pages']);
        $this->putJson(self::PAGE.'/note', ['note' => '']);
        self::assertSame('mine', DB::table('notes')->value('body'));
    }

    public function test_what_is_no_page_or_no_place_is_refused(): void
    {
        foreach (['note' => ['note' => 'a'], 'highlights' => ['highlights' => []],
            'reading' => ['step' => 0, 'finished' => true, 'reader' => 'here', 'turn' => 0]] as $what => $body) {
            $this->putJson("/api/exams/small-hills/handbook/none/{$what}", $body)->assertNotFound();
        }
        $so = ['step' => 0, 'finished' => true, 'reader' => 'here', 'turn' => 0];
        foreach ([['step' => 100], ['reader' => ''], ['reader' => str_repeat('a', 65)], ['turn' => -1]] as $wrong) {
            $this->putJson(self::PAGE.'/reading', [...$so, ...$wrong])->assertUnprocessable();
        }
        $this->putJson(self::PAGE.'/note', ['note' => str_repeat('a', 2001)])->assertUnprocessable();
        self::assertSame(0, DB::table('readings')->count() + DB::table('notes')->count());
    }

    public function test_a_lesson_is_read_from_its_file_and_told_step_by_step(): void
    {
        $this->getJson('/api/exams/small-hills/handbook')
            ->assertJson(['sections' => [['steps' => 0], ['steps' => 2]]]);
        $this->getJson(self::PAGE)->assertJson(['lesson' => [
            ['title' => 'First look', 'body' => "Up the *hill*.\n\nThen on."],
            ['title' => 'Then down', 'body' => 'To the water.'],
        ]]);
        $this->postJson('/api/exams/small-hills/handbook-search', ['words' => 'water'])
            ->assertJson(['hits' => [['code' => 'other']]]);
        $this->getJson('/api/exams/small-hills/handbook-pages')
            ->assertJson(['sections' => [['lesson' => []], ['lesson' => [['title' => 'First look'], []]]]]);
    }
}
