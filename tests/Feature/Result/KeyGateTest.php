<?php

declare(strict_types=1);

namespace Tests\Feature\Result;

use App\Sitting\Sitting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

/** While a clock runs over a question its key leaves by no route, and every key that is shown leaves a trace. */
final class KeyGateTest extends TestCase
{
    use SitsByLetters;

    /** What the small exam's reasons and keys have in their texts, and a card made from one. */
    private const TELLS = '/SECRET-(WHY|RATIONALE|BACK)/';

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->candidate());
    }

    /** Open a paper, begin the same again, hand that in blank, read the keys: what once gave 51 of 51. */
    public function test_a_second_sitting_of_the_same_tells_nothing_until_the_first_is_over(): void
    {
        $timed = $this->build(['count' => 12, 'minutes' => 60]);
        $this->open($timed);
        $this->travel(10)->seconds();
        $again = (string) $this->postJson("/api/sittings/{$timed}/again", ['how' => 'same'])->json('sitting');
        $this->built = $again;
        $opened = $this->open($again, 'tab-2');
        $this->send($again, [$this->answer(0, $this->option($opened, 0, true), 10)], 'tab-2');
        $this->travel(10)->seconds();
        $this->handIn($again, 'tab-2')->assertOk();

        foreach (['result', 'review', 'questions/0', 'key', 'table', 'statements', "against/{$again}"] as $what) {
            $this->getJson("/api/sittings/{$again}/{$what}")->assertStatus(409)->assertJsonPath('reason', 'held_back');
        }
        $this->postJson("/api/sittings/{$again}/exposures", ['positions' => null])->assertStatus(409);
        $this->postJson("/api/sittings/{$again}/follow-up")->assertStatus(409);
        // Nor is it told by what was right.
        $this->getJson('/api/exams/small-hills/today')
            ->assertJsonPath('past.0.marks', null)
            ->assertJsonPath('counts.gotIt', 0);
        $this->getJson('/api/exams/small-hills/sittings?page=1')->assertOk()->assertJsonPath('tests.0.share', null);
        self::assertSame(0, Artisan::call('recount'), Artisan::output());

        // Paused, and long overdue, it still asks them.
        $this->travel(3)->hours();
        $this->getJson("/api/sittings/{$again}/result")->assertStatus(409);
        $this->open($timed);
        $this->handIn($timed)->assertOk();
        $this->getJson("/api/sittings/{$again}/result")->assertOk()->assertJsonPath('tally.right', 1);
        $this->getJson("/api/sittings/{$again}/questions/0")->assertOk();
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }

    public function test_of_a_few_shared_questions_only_these_are_left_out(): void
    {
        $timed = $this->build(['count' => 2, 'minutes' => 60]);
        $this->open($timed);
        $this->travel(10)->seconds();
        $asked = fn (string $sitting): array => DB::table('sittings')
            ->join('test_items', 'test_items.test_id', '=', 'sittings.test_id')
            ->where('sittings.id', $sitting)
            ->orderBy('position')
            ->pluck('question_id')
            ->all();
        $both = $asked($timed);
        $all = $this->sit('rrrrrrrrrrrr', ['count' => 12, 'minutes' => 60]);
        $shared = array_keys(array_intersect($asked($all), $both));
        $result = $this->getJson("/api/sittings/{$all}/result")
            ->assertOk()
            ->assertJsonPath('untold', 2)
            ->assertJsonPath('tally.right', 10)
            ->assertJsonPath('tally.questions', 10)
            ->assertJsonPath('scaled', null)
            ->assertJsonPath('place.attempts', []);
        self::assertSame([], array_intersect(array_column($result->json('questions'), 'position'), $shared));
        $this->getJson("/api/sittings/{$all}/review")->assertJsonCount(10, 'items');
        $this->getJson("/api/sittings/{$all}/key")->assertJsonCount(10, 'answers');
        $this->getJson("/api/sittings/{$all}/questions/{$shared[0]}")->assertStatus(409);
        $this->getJson('/api/exams/small-hills/sittings?page=1')->assertOk()->assertJsonPath('tests.0.share', null);
        $this->getJson('/api/exams/small-hills/builder')->assertJsonPath('counts.gotIt', 10);
        // Nor by any figure that is made of many sittings.
        $this->getJson('/api/exams/small-hills/progress')
            ->assertOk()
            ->assertJsonPath('trend', [])
            // The other ten say what they say.
            ->assertJsonPath('months.0.n', 10)
            ->assertJsonPath('responses', 10)
            ->assertJsonPath('bests.timed', null);
        $whole = fn (bool $is): int => DB::table('tests')
            ->whereIn('id', DB::table('sittings')->where('id', $all)->select('test_id'))
            ->update(['of_exam' => $is]);
        $whole(true);
        $this->getJson('/api/exams/small-hills/cohort')->assertOk()->assertJsonPath('sitting', null);
        $whole(false);
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
        $this->open($timed, take: true);
        $this->handIn($timed)->assertOk();
        $this->getJson("/api/sittings/{$all}/result")->assertJsonPath('untold', 0)->assertJsonPath('tally.right', 12);
        $this->getJson('/api/exams/small-hills/progress')->assertJsonCount(1, 'trend');
        $whole(true);
        $this->getJson('/api/exams/small-hills/cohort')->assertJsonPath('sitting', $all);
        $whole(false);
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }

    #[TestWith(['tutor'])]
    #[TestWith(['untimed'])]
    public function test_what_was_built_before_checks_nothing_of_it(string $mode): void
    {
        $tutor = $this->build(['count' => 12, 'mode' => $mode]);
        $opened = $this->open($tutor);
        $checked = fn (int $at, int $seq): TestResponse => $this->send($tutor, [
            ['seq' => $seq] + $this->answer($at, $this->option($opened, $at, true), $seq),
            ['id' => "c{$seq}", 'seq' => $seq + 1, 'kind' => 'checked', 'position' => $at],
        ]);
        $checked(0, 10)->assertJsonPath('questions.0.outcome', 'right');
        $timed = $this->build(['count' => 12, 'minutes' => 60]);
        $this->open($timed, 'tab-2');
        $this->built = $tutor;
        $checked(1, 20)
            ->assertJsonPath('questions.0.checked', false)
            ->assertJsonPath('questions.0.outcome', null)
            ->assertJsonCount(1, 'refused');
        $this->send($tutor, [['id' => 't', 'seq' => 30, 'kind' => 'tried', 'position' => 1]])
            ->assertJsonCount(1, 'refused');
        $this->getJson("/api/sittings/{$tutor}/questions/0")->assertStatus(409)->assertJsonPath('reason', 'held_back');
        $this->postJson("/api/sittings/{$tutor}/pack", ['tab' => 'tab-1'])->assertOk()->assertJsonCount(0, 'explanations');
        $this->handIn($timed, 'tab-2')->assertOk();
        $checked(1, 40)->assertJsonPath('questions.0.outcome', 'right');
        $this->getJson("/api/sittings/{$tutor}/questions/0")->assertOk();
        // Only with a tutor are reasons taken along.
        $this->postJson("/api/sittings/{$tutor}/pack", ['tab' => 'tab-1'])
            ->assertJsonCount($mode === 'tutor' ? 12 : 0, 'explanations');
    }

    public function test_no_route_tells_a_reason_while_a_clock_runs(): void
    {
        $done = $this->sit('rmrmrmrmrmrm', ['mode' => 'tutor', 'count' => 12]);
        $this->postJson('/api/exams/small-hills/cards', [
            'front' => 'What of it?', 'back' => 'SECRET-BACK', 'sitting' => $done, 'position' => 0,
        ])->assertCreated();
        $card = (string) DB::table('cards')->value('id');
        $told = fn (): array => array_keys(array_filter(
            $this->everything($done, $card),
            fn (TestResponse $answer): bool => preg_match(self::TELLS, (string) $answer->getContent()) === 1,
        ));
        $open = $told();
        foreach (["/api/sittings/{$done}/questions/0", "/api/sittings/{$done}/key"] as $route) {
            self::assertContains("get {$route}", $open);
        }
        self::assertContains('get /api/exams/small-hills/cards', $open);

        $timed = $this->build(['count' => 12, 'minutes' => 60]);
        $this->open($timed, 'tab-2');
        self::assertSame([], $told());
        $this->putJson("/api/cards/{$card}", ['front' => 'a', 'back' => 'b'])->assertStatus(409);
        $this->getJson('/api/my-data')->assertStatus(409)->assertJsonPath('reason', 'held_back');
        $this->getJson('/api/exams/small-hills/cards?'.http_build_query(['words' => 'secret'] + self::LISTED))
            ->assertOk()
            ->assertJsonPath('found', 0);
        // What was handed in before says no more than it did.
        $this->getJson("/api/sittings/{$done}/result")->assertOk();
        $this->deleteJson("/api/sittings/{$timed}")->assertNoContent();
        self::assertSame([], $told());
        $this->travel(11)->minutes();
        self::assertSame($open, $told());
    }

    /** Lists that are asked for by their address alone, but for their page. */
    private const NARROWED = [
        '/api/exams/{exam}/gaps', '/api/exams/{exam}/library', '/api/exams/{exam}/cards', '/api/exams/{exam}/sittings',
        '/api/exams/{exam}/revisits',
    ];

    private const LISTED = ['show' => 'all', 'words' => '', 'page' => 1, 'section' => null];

    /** @return array<string, TestResponse<\Symfony\Component\HttpFoundation\Response>> by method and address */
    private function everything(string $sitting, string $card): array
    {
        $paths = json_decode((string) file_get_contents(base_path('openapi.json')), true)['paths'];
        $known = [
            '{exam}' => 'small-hills', '{sitting}' => $sitting, '{other}' => $sitting, '{position}' => '0',
            '{question}' => (string) DB::table('outcomes')->value('question_id'), '{card}' => $card,
            '{section}' => (string) DB::table('handbook_sections')->value('code'),
        ];
        $lists = ['gaps/sheet', 'library/table', 'questions'];
        $bodies = [
            'gaps/sheet' => ['page' => 1],
            'library/table' => ['words' => ''],
            'questions' => ['page' => 1, 'words' => ''],
        ];
        $answers = [];
        foreach (self::NARROWED as $path) {
            self::assertArrayHasKey('get', $paths[$path] ?? [], $path);
        }
        foreach ($paths as $path => $methods) {
            $address = strtr($path, $known);
            if (isset($methods['get']) && $path !== '/api/my-data') {
                $narrowed = match (true) {
                    str_ends_with($path, '/revisits') => '?show=due&page=1',
                    in_array($path, self::NARROWED, true) => '?'.http_build_query(self::LISTED),
                    default => '',
                };
                $answers["get {$address}"] = $this->getJson($address.$narrowed);
            }
            $list = substr($path, strlen('/api/exams/{exam}/'));
            if (isset($methods['post']) && in_array($list, $lists, true)) {
                $answers["post {$address}"] = $this->postJson($address, $bodies[$list] ?? []);
            }
        }
        $looked = ['id' => bin2hex(random_bytes(8)), 'grade' => 3];
        $answers["post /api/cards/{$card}/looks"] = $this->postJson("/api/cards/{$card}/looks", $looked);

        return $answers;
    }

    public function test_an_answer_after_its_key_was_shown_is_no_first_look(): void
    {
        $sitting = $this->sit('rr....', ['mode' => 'timed', 'minutes' => 60]);
        $counts = fn (): mixed => $this->getJson('/api/exams/small-hills/builder')->json('counts');
        self::assertSame([10, 0], [$counts()['new'], $counts()['leftBlank']]);
        $this->travel(1)->minutes();
        $this->postJson("/api/sittings/{$sitting}/exposures", ['positions' => [2, 3]])->assertNoContent();
        // New no more, and as good as left blank.
        self::assertSame([8, 2], [$counts()['new'], $counts()['leftBlank']]);
        $this->travel(1)->minutes();
        $again = (string) $this->postJson("/api/sittings/{$sitting}/again", ['how' => 'same'])->json('sitting');
        $this->built = $again;
        $this->answerAll($again, 'rrrrrr');
        $first = fn (): array => DB::table('outcomes')->where('sitting_id', $again)->orderBy('position')
            ->pluck('first_look')->map(fn (mixed $one): int => (int) $one)->all();
        self::assertSame([0, 0, 0, 0, 1, 1], $first());
        // Independent of it only after thirty days.
        self::assertSame(4, $this->getJson('/api/exams/small-hills/progress')->json('responses'));
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
        // What was shown stays shown when its sitting goes.
        $this->deleteJson("/api/sittings/{$sitting}")->assertNoContent();
        self::assertSame([1, 1, 0, 0, 1, 1], $first());
        $this->travel(11)->minutes();
        Artisan::call('sittings:close');
        self::assertSame([1, 1, 0, 0, 1, 1], $first());
        self::assertSame(2, DB::table('exposures')->whereNull('sitting_id')->count());
    }

    public function test_a_key_that_was_shown_between_begin_and_end_takes_a_sitting_out_of_the_cohort(): void
    {
        $before = $this->sit('....', ['mode' => 'untimed', 'count' => 4]);
        $paper = (string) $this->postJson("/api/sittings/{$before}/again", ['how' => 'same'])->json('sitting');
        $this->travel(1)->minutes();
        $opened = $this->open($paper);
        $this->travel(1)->minutes();
        $this->postJson("/api/sittings/{$before}/exposures", ['positions' => null])->assertNoContent();
        $this->travel(1)->minutes();
        $this->built = $paper;
        $this->send($paper, array_map(
            fn (int $at): array => $this->answer($at, $this->option($opened, $at, true), 10 + $at),
            range(0, 3),
        ), awakeSince: 0)->assertJsonPath('refused', []);
        $this->handIn($paper)->assertOk();
        $sitting = Sitting::query()->findOrFail($paper);
        self::assertSame([true, false], [$sitting->counts, $sitting->in_cohort]);
        self::assertSame(0, DB::table('outcomes')->where('sitting_id', $paper)->where('first_look', true)->count());
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
        $sitting->forceFill(['in_cohort' => true])->save();
        self::assertSame(1, Artisan::call('recount'));
        self::assertStringContainsString('it counts for others and should not', Artisan::output());
    }

    public function test_what_is_taken_along_is_known_to_every_other_sitting(): void
    {
        $tutor = $this->build(['count' => 4, 'mode' => 'tutor', 'topics' => ['ridge']]);
        $opened = $this->open($tutor);
        $this->postJson("/api/sittings/{$tutor}/pack", ['tab' => 'tab-1'])->assertJsonCount(4, 'explanations');
        $same = (string) $this->postJson("/api/sittings/{$tutor}/again", ['how' => 'same'])->json('sitting');
        $this->travel(1)->minutes();
        $this->built = $same;
        $this->answerAll($same, 'rr..');
        $this->travel(1)->minutes();
        // In its own sitting an answer is one's own.
        $this->built = $tutor;
        $this->send($tutor, [
            $this->answer(2, $this->option($opened, 2, true), 10),
            ['id' => 'c', 'seq' => 11, 'kind' => 'checked', 'position' => 2],
        ])->assertJsonPath('questions.0.outcome', 'right');
        $first = fn (string $sitting): array => DB::table('outcomes')->where('sitting_id', $sitting)
            ->where('first_look', true)->pluck('position')->all();
        self::assertSame([[], [2]], [$first($same), $first($tutor)]);
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }

    public function test_what_waited_for_a_test_that_was_thrown_away_is_told_once_it_cannot_be_had_back(): void
    {
        $timed = $this->build(['count' => 2, 'minutes' => 60]);
        $this->open($timed);
        $this->travel(10)->seconds();
        $this->sit('rrrrrrrrrrrr', ['count' => 12, 'minutes' => 60]);
        $responses = fn (): int => $this->getJson('/api/exams/small-hills/progress')->json('responses');
        self::assertSame(10, $responses());
        $this->deleteJson("/api/sittings/{$timed}")->assertNoContent();
        self::assertSame(10, $responses());
        $this->travel(11)->minutes();
        self::assertSame(0, Artisan::call('sittings:close'));
        self::assertSame(12, $responses());
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }
}
