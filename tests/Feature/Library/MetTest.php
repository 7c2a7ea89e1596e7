<?php

declare(strict_types=1);

namespace Tests\Feature\Library;

use App\Workshop\BankLoader;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

/** All that one has met: found again, filtered, taken away, each with its whole history. */
final class MetTest extends TestCase
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
    private function library(array $wanted = [], string $what = ''): TestResponse
    {
        $asked = $wanted + ['page' => 1];

        return $what === ''
            ? $this->getJson('/api/exams/small-hills/library?'.http_build_query($asked))
            : $this->postJson("/api/exams/small-hills/library{$what}", $asked);
    }

    public function test_what_was_met_or_marked_is_in_it_and_nothing_else(): void
    {
        $this->library()->assertOk()->assertJsonPath('total', 0)->assertJsonPath('met', []);
        $sitting = $this->sit('rm-', ['topics' => ['ridge'], 'mode' => 'untimed']);
        $this->putJson("/api/sittings/{$sitting}/questions/2/star", ['on' => true])->assertNoContent();
        $this->putJson("/api/sittings/{$sitting}/questions/1/note", ['note' => 'Mind the cornice'])->assertNoContent();
        $met = $this->library()->assertJsonPath('total', 3)->json('met');
        $rows = DB::table('outcomes')->get()->keyBy('question_id');
        self::assertSame([null], array_values(array_filter(
            array_column($met, 'outcome'),
            fn (?string $outcome): bool => $outcome === null,
        )));
        foreach ($met as $one) {
            $row = $rows[$one['question']];
            self::assertSame([
                $row->outcome === 'not_reached' ? null : $row->outcome, (int) ($row->outcome !== 'not_reached'),
                $row->position === 2, $row->outcome === 'missed', $row->position === 1 ? 'Mind the cornice' : '',
                $row->position === 2 ? null : $sitting,
            ], [$one['outcome'], $one['seen'], $one['starred'], $one['inGapBook'], $one['note'], $one['sitting']]);
        }
        $this->putJson("/api/sittings/{$sitting}/questions/2/note", ['note' => 'Ask about it']);
        $this->putJson("/api/sittings/{$sitting}/questions/2/star", ['on' => false]);
        $this->library()->assertJsonPath('total', 3);
        // What is taken back leaves nothing.
        $this->putJson("/api/sittings/{$sitting}/questions/2/note", ['note' => '']);
        $this->library()->assertJsonPath('total', 2);
    }

    public function test_what_was_met_in_other_exams_is_counted_and_listed_when_asked_for(): void
    {
        app(BankLoader::class)->load(__DIR__.'/../kinds');
        $this->sit('rm', ['topics' => ['ridge'], 'mode' => 'untimed']);
        $other = (string) $this->postJson('/api/exams/kinds/tests', ['count' => 3, 'mode' => 'tutor', 'pools' => []])
            ->assertCreated()
            ->json('sitting');
        $this->open($other);
        foreach ([0, 1, 2] as $i) {
            $this->putJson("/api/sittings/{$other}/questions/{$i}/star", ['on' => true])->assertNoContent();
        }
        $this->library()->assertJsonPath('total', 2)->assertJsonPath('elsewhere', 3);
        $all = $this->library(['everywhere' => 1])->assertOk()->assertJsonPath('total', 5)->json('met');
        self::assertSame(
            ['small-hills', 'small-hills', 'kinds', 'kinds', 'kinds'],
            array_column($all, 'exam'),
        );
        $this->library(['everywhere' => 1, 'pool' => 'starred'])->assertJsonPath('total', 3);
        // A topic is of one exam.
        $this->library(['everywhere' => 1, 'topic' => 'ridge'])->assertJsonPath('total', 2);
        self::assertSame(6, substr_count($this->library(['everywhere' => true], '/table')->json('csv'), "\r\n"));
    }

    public function test_it_is_found_by_words_of_the_question_or_of_ones_own_note(): void
    {
        $sitting = $this->sit('rrrr', ['topics' => ['water'], 'mode' => 'untimed']);
        $this->sit('mm', ['topics' => ['ridge'], 'mode' => 'untimed']);
        $this->putJson("/api/sittings/{$sitting}/questions/0/note", ['note' => 'Über 100 % — "mind" the Gap']);
        $n = fn (array $wanted): int => $this->library($wanted)->assertOk()->json('total');
        self::assertSame(4, $n(['words' => 'water.ford']));
        self::assertSame(1, $n(['words' => 'the gap']));
        self::assertSame(1, $n(['words' => '100 %']));
        self::assertSame(0, $n(['words' => '?!']));
        self::assertSame(0, $n(['words' => 'nowhere']));
        self::assertSame(6, $n(['words' => '  ']));
        self::assertSame([2, 2, 4, 0, 1], [
            $n(['topic' => 'ridge']), $n(['pool' => 'missed']), $n(['pool' => 'got_it', 'topic' => 'water']),
            $n(['pool' => 'missed', 'topic' => 'water']), $n(['pool' => 'with_notes']),
        ]);
        // Another's note is nobody else's.
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->sit('rrrr', ['topics' => ['water'], 'mode' => 'untimed']);
        self::assertSame(0, $n(['words' => 'the gap']));
        $this->library()->assertJsonPath('met.0.note', '');
    }

    public function test_a_question_has_its_whole_history(): void
    {
        $first = $this->sit('m', ['topics' => ['water'], 'mode' => 'untimed'], 20);
        $this->putJson("/api/sittings/{$first}/questions/0/highlights", ['highlights' => [
            ['part' => 'stem', 'from' => 0, 'to' => 8, 'kind' => 'marked', 'quote' => 'Question', 'note' => ''],
        ]])->assertNoContent();
        $this->travel(2)->days();
        $this->built = (string) $this->postJson("/api/sittings/{$first}/again", ['how' => 'same'])->json('sitting');
        $second = $this->answerAll(sitting: $this->built, letters: 'r', seconds: 30, sureness: 'leaning');
        $question = DB::table('standings')->value('question_id');
        $history = $this->getJson("/api/exams/small-hills/library/{$question}")->assertOk()->json();
        self::assertSame(
            [[$second, 'right', 'leaning', 30_000], [$first, 'missed', 'sure', 20_000]],
            array_map(fn (array $one): array => [
                $one['sitting'], $one['outcome'], $one['sureness'], $one['activeMs'],
            ], $history['encounters']),
        );
        self::assertSame('Question', $history['highlights'][0]['quote']);
        self::assertSame(gmdate('Y-m-d', 86_400 * DB::table('standings')->value('due_day')), $history['due']);
        self::assertEqualsWithDelta(1.0, $history['recall'], 1e-9);
        // What is open still is told when it is handed in.
        $this->built = (string) $this->postJson("/api/sittings/{$first}/again", ['how' => 'same'])->json('sitting');
        DB::table('sittings')->where('id', $this->built)->update(['mode' => 'tutor']);
        DB::table('outcomes')->where('sitting_id', $second)->update(['sitting_id' => $this->built]);
        $this->getJson("/api/exams/small-hills/library/{$question}")->assertJsonCount(1, 'encounters');

        $this->getJson('/api/exams/small-hills/library/987654')->assertNotFound();
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->getJson("/api/exams/small-hills/library/{$question}")->assertNotFound();
    }

    public function test_it_is_taken_away_as_a_table_without_a_formula(): void
    {
        $sitting = $this->sit('rm', ['mode' => 'untimed']);
        $this->putJson("/api/sittings/{$sitting}/questions/1/note", ['note' => '=HYPERLINK("x"), "quoted"']);
        $csv = $this->library(what: '/table')->assertOk()->json('csv');
        $rows = array_map(
            fn (string $line): array => str_getcsv($line, escape: ''),
            explode("\r\n", trim($csv)),
        );
        self::assertSame(['question', 'topic', 'subtopic', 'kind', 'latest'], array_slice($rows[0], 0, 5));
        self::assertCount(3, $rows);
        self::assertContains('\'=HYPERLINK("x"), "quoted"', array_column($rows, 10));
        self::assertContains('2026-06-01T09:00:40Z', array_column($rows, 6));
        self::assertSame(2, substr_count($this->library(['pool' => 'missed'], '/table')->json('csv'), "\r\n"));
    }

    public function test_it_comes_in_pages_the_latest_first(): void
    {
        $this->sit('rr', ['topics' => ['water'], 'mode' => 'untimed']);
        $this->travel(1)->hours();
        $this->sit('m', ['topics' => ['ridge'], 'mode' => 'untimed']);
        $this->library()->assertJsonPath('met.0.outcome', 'missed')->assertJsonPath('pages', 1);
        $row = (array) DB::table('standings')->first();
        $question = (array) DB::table('questions')->first();
        foreach (range(1, 60) as $i) {
            $id = DB::table('questions')->insertGetId(['id' => 9000 + $i, 'code' => "more-{$i}"] + $question);
            DB::table('standings')->insert(['question_id' => $id] + $row);
        }
        $this->library()->assertJsonPath('total', 63)->assertJsonPath('pages', 2)->assertJsonCount(50, 'met');
        $this->library(['page' => 7])->assertJsonPath('page', 2)->assertJsonCount(13, 'met');
    }

    #[TestWith([['pool' => 'new']])]
    #[TestWith([['pool' => 'nonsense']])]
    #[TestWith([['words' => ['x']]])]
    #[TestWith([['topic' => 'nowhere']])]
    #[TestWith([['page' => 'x']])]
    public function test_what_cannot_be_looked_for_is_refused_in_words(array $wanted): void
    {
        $this->library($wanted)->assertUnprocessable()->assertJsonStructure(['message']);
    }
}
