<?php

declare(strict_types=1);

namespace Tests\Feature\Revisit;

use App\Question\Tallies;
use App\Sitting\Sitting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

/** One's own misses: what is in the book, looked through, drilled, printed; how a gap closes and opens again. */
final class GapBookTest extends TestCase
{
    use SitsByLetters;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->candidate());
        $this->exam();
    }

    /**
     * @param  array<string, mixed>  $wanted
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function book(array $wanted = [], string $what = ''): TestResponse
    {
        $asked = $wanted + ['page' => 1];

        return $what === ''
            ? $this->getJson('/api/exams/small-hills/gaps?'.http_build_query($asked))
            : $this->postJson("/api/exams/small-hills/gaps{$what}", $asked);
    }

    public function test_every_miss_stands_in_it_once_with_what_to_read(): void
    {
        $this->book()->assertOk()->assertJsonPath('open', 0)->assertJsonPath('gaps', [])->assertJsonPath('total', 0);
        $sitting = $this->sit('rmmb', ['topics' => ['ridge'], 'count' => 4]);
        $this->putJson("/api/sittings/{$sitting}/questions/1/cause", ['cause' => 'misread'])->assertNoContent();
        $this->putJson("/api/sittings/{$sitting}/questions/1/note", ['note' => 'Look **twice**'])->assertNoContent();
        $book = $this->book()->assertOk()->json();
        self::assertSame([2, 0, 0, 2, 1], [
            $book['open'], $book['closing'], $book['closed'], $book['total'], $book['pages'],
        ]);
        $rows = DB::table('outcomes')->where('outcome', 'missed')->get()->keyBy('question_id');
        foreach ($book['gaps'] as $gap) {
            $row = $rows[$gap['question']];
            self::assertSame(
                ['open', '2026-06-01', 1, $row->settled_ms, $sitting, $row->position, ['SECRET-REF'], '2026-06-02'],
                [$gap['state'], $gap['since'], $gap['misses'], $gap['seenAt'], $gap['sitting'], $gap['position'],
                    $gap['sections'], $gap['due']],
            );
            self::assertSame(
                $row->position === 1 ? ['misread', 'Look **twice**'] : [null, ''],
                [$gap['cause'], $gap['note']],
            );
            self::assertStringStartsWith('Question', $gap['excerpt']);
            self::assertSame('Ridges', $gap['topic']);
        }
        self::assertSame([['code' => 'ridge', 'name' => 'Ridges', 'n' => 2]], $book['topics']);
        self::assertEqualsCanonicalizing([['misread', 1], ['none', 1]], array_map(
            fn (array $one): array => [$one['code'], $one['n']],
            $book['causes'],
        ));
        self::assertSame([[
            'code' => 'SECRET-REF', 'chapter' => 'First chapter', 'title' => 'On right and wrong', 'n' => 2,
        ]], $book['reading']);
    }

    public function test_it_is_looked_through_by_topic_cause_section_and_state(): void
    {
        $this->sit('mmmmmmmmmmmm', ['mode' => 'untimed']);
        $n = fn (array $wanted): int => $this->book($wanted)->assertOk()->json('total');
        self::assertSame([8, 4], [$n(['topic' => 'ridge']), $n(['topic' => 'water'])]);
        self::assertSame([12, 0], [$n(['section' => 'SECRET-REF']), $n(['section' => 'other'])]);
        self::assertSame([12, 0], [$n(['cause' => 'none']), $n(['cause' => 'rushed'])]);
        self::assertSame([12, 0, 0], [
            $n(['state' => 'open']), $n(['state' => 'closing']), $n(['state' => 'closed']),
        ]);
        self::assertSame(0, $n(['topic' => 'nowhere']));
        // The state that is looked at has its own counts.
        $this->book(['state' => 'closed'])->assertJsonPath('topics', [])->assertJsonPath('open', 12);
        $this->book(['page' => 99])->assertOk()->assertJsonPath('page', 1);
    }

    public function test_a_gap_closes_on_another_day_and_opens_again(): void
    {
        $this->sit('m', ['mode' => 'untimed']);
        $code = DB::table('outcomes')->join('questions', 'questions.id', '=', 'question_id')->value('questions.id');
        $drill = function (string $letter, string $sureness = 'sure') use ($code): void {
            $this->book(what: '/drill')->assertCreated();
            $sitting = Sitting::query()->latest('id')->firstOrFail();
            self::assertSame('tutor', $sitting->mode->value);
            self::assertSame(
                [$code],
                DB::table('test_items')->where('test_id', $sitting->test_id)->pluck('question_id')->all(),
            );
            $this->built = $sitting->id;
            $this->answerAll(sitting: $sitting->id, letters: $letter, sureness: $sureness);
        };
        $state = fn (): array => array_slice($this->book()->json(), 2, 3);
        self::assertSame(['open' => 1, 'closing' => 0, 'closed' => 0], $state());
        $drill('r');
        self::assertSame(['open' => 0, 'closing' => 1, 'closed' => 0], $state());
        // Twice on one day is no second day, and a guess is no answer.
        $drill('r');
        self::assertSame(['open' => 0, 'closing' => 1, 'closed' => 0], $state());
        $this->travel(1)->days();
        $drill('r', 'guess');
        self::assertSame(['open' => 0, 'closing' => 1, 'closed' => 0], $state());
        $this->travel(1)->days();
        $drill('r');
        self::assertSame(['open' => 0, 'closing' => 0, 'closed' => 1], $state());
        $this->book(['state' => 'closed'])->assertJsonPath('gaps.0.since', '2026-06-03');
        $this->book(what: '/drill')->assertUnprocessable();
        $this->travel(1)->days();
        $this->book(['state' => 'closed'], '/drill')->assertCreated();
        $this->built = Sitting::query()->latest('id')->firstOrFail()->id;
        $this->answerAll($this->built, 'm');
        self::assertSame(['open' => 1, 'closing' => 0, 'closed' => 0], $state());
        $this->book()->assertJsonPath('gaps.0.misses', 2)->assertJsonPath('gaps.0.since', '2026-06-04');
    }

    public function test_what_is_drilled_is_what_has_waited_longest_up_to_twenty(): void
    {
        $first = $this->sit('mm', ['topics' => ['water'], 'mode' => 'untimed']);
        $this->travel(2)->days();
        $this->sit('mmmm', ['topics' => ['ridge'], 'mode' => 'untimed']);
        $sitting = $this->book(['topic' => 'water'], '/drill')->assertCreated()->json('sitting');
        $asked = fn (string $id): array => DB::table('test_items')
            ->whereIn('test_id', DB::table('sittings')->where('id', $id)->select('test_id'))
            ->pluck('question_id')->sort()->values()->all();
        self::assertSame($asked($first), $asked($sitting));
        self::assertCount(6, $asked($this->book(what: '/drill')->assertCreated()->json('sitting')));
        // What is retired stays in the book and is asked no more.
        DB::table('questions')->update(['retired_at' => '2026-01-01']);
        app(Tallies::class)->renew($this->exam()->id);
        $this->book()->assertJsonPath('gaps.0.retired', true);
        $this->book(what: '/drill')->assertUnprocessable()->assertJsonPath('reason', 'too_few');
    }

    public function test_a_question_of_a_test_that_is_open_still_cannot_be_read_yet(): void
    {
        $tutor = $this->build(['count' => 1, 'mode' => 'tutor']);
        $opened = $this->open($tutor);
        $this->send($tutor, [$this->answer(0, $this->option($opened, 0, false), 5),
            ['id' => 'c', 'seq' => 6, 'kind' => 'checked', 'position' => 0]])->assertOk();
        $this->book()->assertJsonPath('open', 1)->assertJsonPath('gaps.0.sitting', null);
        $this->handIn($tutor)->assertOk();
        $this->book()->assertJsonPath('gaps.0.sitting', $tutor)->assertJsonPath('gaps.0.position', 0);
        // In a later test it was never on screen, so it is read where it was.
        $this->built = (string) $this->postJson("/api/sittings/{$tutor}/again", ['how' => 'same'])->json('sitting');
        $this->open($this->built);
        $this->handIn($this->built)->assertOk();
        $this->book()->assertJsonPath('gaps.0.sitting', $tutor);
        // Deleted, it was never met.
        $this->deleteJson("/api/sittings/{$tutor}")->assertSuccessful();
        $this->book()->assertJsonPath('open', 0)->assertJsonPath('gaps', []);
    }

    public function test_on_paper_all_of_it_is_on_one_sheet(): void
    {
        $this->sit('mmmmmmmmmmmm', ['mode' => 'untimed']);
        $row = (array) DB::table('standings')->first();
        $question = (array) DB::table('questions')->first();
        foreach (range(1, 60) as $i) {
            $id = DB::table('questions')->insertGetId(['id' => 9000 + $i, 'code' => "more-{$i}"] + $question);
            DB::table('standings')->insert(['question_id' => $id] + $row);
        }
        app(Tallies::class)->renew($this->exam()->id);
        $this->book()->assertJsonPath('pages', 2)->assertJsonCount(50, 'gaps');
        $this->book(['page' => 2])->assertJsonCount(22, 'gaps')->assertJsonPath('page', 2);
        $this->book(what: '/sheet')->assertJsonPath('pages', 1)->assertJsonCount(72, 'gaps');
        // Twenty are drilled at a time, those that have waited longest.
        DB::table('standings')->whereBetween('question_id', [9021, 9040])->update(['gap_day' => 5]);
        $sitting = $this->book(what: '/drill')->assertCreated()->json('sitting');
        self::assertSame(range(9021, 9040), DB::table('test_items')
            ->whereIn('test_id', DB::table('sittings')->where('id', $sitting)->select('test_id'))
            ->pluck('question_id')->sort()->values()->all());
    }

    public function test_it_is_ones_own(): void
    {
        $this->sit('mm', ['mode' => 'untimed']);
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->book()->assertJsonPath('open', 0)->assertJsonPath('gaps', []);
        $this->book(what: '/drill')->assertUnprocessable();
    }

    #[TestWith([['cause' => 'bad luck']])]
    #[TestWith([['state' => 'ajar']])]
    #[TestWith([['page' => 0]])]
    #[TestWith([['topic' => ['x']]])]
    public function test_what_is_no_filter_is_refused_in_words(array $wanted): void
    {
        $this->book($wanted)->assertUnprocessable()->assertJsonStructure(['message', 'fields']);
    }
}
