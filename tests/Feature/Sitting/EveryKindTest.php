<?php

declare(strict_types=1);

namespace Tests\Feature\Sitting;

use App\Account\User;
use App\Question\Exam;
use App\Workshop\BankLoader;
use Illuminate\Support\Facades\DB;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Tests\Feature\AnswersEveryKind;
use Tests\Feature\TestCase;

/** Every kind of question from its file to its credit, with nothing told before its time. */
final class EveryKindTest extends TestCase
{
    use AnswersEveryKind;

    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        app(BankLoader::class)->load(__DIR__.'/../kinds');
        $this->user = $this->candidate();
        $this->actingAs($this->user);
    }

    public function test_more_than_the_limit_can_be_chosen_where_the_exam_has_it_and_counts_nothing(): void
    {
        foreach ([false, true] as $voids) {
            $exam = Exam::query()->sole();
            $exam->update(['rules' => ['limit' => $voids ? 'void' : 'held'] + $exam->rules]);
            $sitting = $this->all('untimed');
            $opened = $this->open($sitting);
            $position = $this->positions($sitting)['q-several'];
            $body = $opened['questions'][$position]['body'];
            self::assertSame($voids, $body['voids']);
            $all = ['choices' => array_column($body['options'], 'id')];
            $event = ['id' => 'all', 'seq' => 10, 'kind' => 'answered', 'position' => $position, 'value' => $all];
            $this->send($sitting, [$event])->assertOk()->assertJsonPath('refused', []);
            $this->handIn($sitting)->assertOk();
            $outcome = DB::table('outcomes')->where('sitting_id', $sitting)->where('position', $position);
            self::assertSame(0.0, (float) $outcome->value('share'));
        }
    }

    public function test_right_answers_of_every_kind_are_marked_right_and_nothing_was_told_before(): void
    {
        $sitting = $this->all('timed');
        $opened = $this->open($sitting);
        self::assertStringNotContainsString('SECRET', (string) json_encode($opened));
        $at = $this->positions($sitting);
        self::assertCount(15, $at);
        $question = fn (string $code): array => $opened['questions'][$at[$code]];
        $body = fn (string $code): array => $question($code)['body'];
        self::assertSame(
            [2, 1, true],
            [$body('q-several')['limit'], $body('q-picture')['points'], $body('q-number')['asksUnit']],
        );
        self::assertSame(
            ['A dot on paper', 200, 100],
            [
                $body('q-picture')['picture']['alt'],
                $body('q-picture')['picture']['width'],
                $body('q-picture')['picture']['height'],
            ],
        );
        self::assertStringContainsString('](/media/', $question('q-single')['stem']);

        $this->answerRightly($sitting, array_keys($at));
        foreach ($at as $position) {
            $this->getJson("/api/sittings/{$sitting}/questions/{$position}")->assertStatus(409);
        }
        $this->handIn($sitting)->assertOk();

        $outcomes = DB::table('outcomes')
            ->join('questions', 'questions.id', '=', 'question_id')
            ->where('sitting_id', $sitting)
            ->pluck('outcome', 'code')
            ->all();
        self::assertSame(
            ['q-written' => 'pending'],
            array_filter($outcomes, fn (string $outcome): bool => $outcome !== 'right'),
        );
        foreach ($at as $code => $position) {
            self::assertStringContainsString(
                'SECRET',
                (string) $this->getJson("/api/sittings/{$sitting}/questions/{$position}")
                    ->assertOk()
                    ->getContent(),
                (string) $code,
            );
        }
        $this->getJson("/api/sittings/{$sitting}/questions/{$at['p-1']}")
            ->assertJsonPath('evidence', ['The wind turned.'])
            ->assertJsonPath('unit.title', 'A text');
        $this->getJson("/api/sittings/{$sitting}/questions/{$at['q-number']}")
            ->assertJsonPath('tolerance', '0.1')
            ->assertJsonPath('parts.0.right', '4.25 km')
            ->assertJsonPath('parts.1.text', '8 km');
        $this->getJson("/api/sittings/{$sitting}/questions/{$at['q-picture']}")
            ->assertJsonPath('parts.0.region.circle', [0.5, 0.5, 0.05])
            ->assertJsonPath('parts.0.verdict', 'right')
            ->assertJsonPath('parts.1.role', 'decoy')
            ->assertJsonCount(2, 'parts');
        $this->getJson("/api/sittings/{$sitting}/result")->assertOk();
        $this->getJson("/api/sittings/{$sitting}/review")->assertOk();
    }

    public function test_statements_keep_the_rules_of_their_specification_for_every_kind(): void
    {
        $sitting = $this->all('timed');
        $this->open($sitting);
        $at = $this->positions($sitting);
        $this->answerRightly($sitting, array_keys($at));
        $this->handIn($sitting)->assertOk();
        $taken = $this->getJson("/api/sittings/{$sitting}/statements")->assertOk()->json('statements');
        self::assertSame($taken, $this->getJson("/api/sittings/{$sitting}/statements")->json('statements'));

        $schema = json_decode((string) file_get_contents(__DIR__.'/../Result/statement.schema.json'));
        foreach (json_decode((string) json_encode($taken)) as $statement) {
            $problem = (new Validator())->validate($statement, $schema)->error();
            self::assertNull($problem, $problem === null ? '' : (string) json_encode(
                (new ErrorFormatter())->format($problem),
            ));
            $score = $statement->result->score ?? null;
            if ($score !== null) {
                self::assertGreaterThanOrEqual($score->min, $score->raw);
                self::assertLessThanOrEqual($score->max, $score->raw);
            }
        }
        self::assertCount(16, array_unique(array_column($taken, 'id')));
        $types = [];
        foreach ($at as $code => $position) {
            $one = $taken[$position];
            $definition = $one['object']['definition'];
            $types[$definition['interactionType']] = true;
            $right = $definition['correctResponsesPattern'][0] ?? null;
            match ($definition['interactionType']) {
                // A set of choices and pairs may come in any order.
                'choice', 'matching' => self::assertEqualsCanonicalizing(
                    explode('[,]', (string) $right),
                    explode('[,]', $one['result']['response']),
                    (string) $code,
                ),
                'sequencing' => self::assertSame($right, $one['result']['response']),
                'fill-in' => self::assertSame(['SECRETWORD', 'secretword'], [$right, $one['result']['response']]),
                'numeric' => self::assertSame(['4.25[:]4.25', '4 300 m'], [$right, $one['result']['response']]),
                default => self::assertNull($right),
            };
            self::assertSame($code === 'q-written' ? null : true, $one['result']['success'] ?? null);
        }
        self::assertCount(7, $types);
        self::assertSame('completed', $taken[15]['verb']['display']['en']);
    }

    public function test_what_belongs_together_stays_together_and_in_order(): void
    {
        $sitting = $this->all('untimed');
        $opened = $this->open($sitting);
        $at = $this->positions($sitting);

        self::assertSame([$at['p-1'] + 1, $at['s-1'] + 1], [$at['p-2'], $at['s-2']]);
        $units = array_column($opened['units'], null, 'title');
        self::assertSame([$at['p-1'], $at['p-2']], $units['A text']['positions']);
        self::assertSame(['passage', 'series'], [$units['A text']['kind'], $units['A series']['kind']]);
        self::assertSame($units['A series']['id'], $opened['questions'][$at['s-1']]['unit']);
        // The author's own names for them say nothing to a candidate.
        self::assertStringNotContainsString('u-series', (string) json_encode($opened));
        // The options of a series keep their places.
        self::assertSame(
            ['Ex', 'Why', 'Zed'],
            array_column($opened['questions'][$at['s-2']]['body']['options'], 'text'),
        );
    }

    public function test_there_is_no_going_back_in_a_series(): void
    {
        $sitting = $this->all('untimed');
        $this->open($sitting);
        $at = $this->positions($sitting);
        $this->answerRightly($sitting, ['s-1', 's-2']);

        $state = $this->send($sitting, [
            [
                'id' => 'late',
                'seq' => 90,
                'kind' => 'answered',
                'position' => $at['s-1'],
                'value' => ['choice' => $this->parts('s-1')[2]],
            ],
        ])->assertOk();

        self::assertSame('There is no going back.', $state->json('refused.late'));
        $state
            ->assertJsonPath('questions.0.response.choice', $this->parts('s-1')[0])
            ->assertJsonPath('questions.0.locked', true)
            ->assertJsonPath('questions.0.closed', true);
        $this->handIn($sitting)->assertOk();
        $told = $this->getJson("/api/sittings/{$sitting}/result")->json('questions');
        $closed = array_column($told, 'closed', 'position');
        self::assertSame([$at['s-1']], array_keys(array_filter($closed)));
    }

    public function test_a_test_that_cannot_be_made_up_of_whole_sets_says_so(): void
    {
        $this->postJson('/api/exams/kinds/tests', ['topics' => ['b'], 'pools' => [], 'count' => 3, 'mode' => 'tutor'])
            ->assertStatus(422)
            ->assertJsonPath('reason', 'does_not_fit')
            ->assertJsonPath(
                'message',
                'Some of these questions come together, as cases or sets, so exactly 3 cannot be made up. Ask for 2 or 4.',
            );
        self::assertSame(0, DB::table('sittings')->count());
    }

    public function test_a_written_answer_is_marked_by_its_writer_after_its_time(): void
    {
        $sitting = $this->all('timed');
        $this->open($sitting);
        $at = $this->positions($sitting)['q-written'];
        $this->answerRightly($sitting, ['q-written']);
        $mark = fn (array $points, ?int $position = null) => $this->postJson(
            "/api/sittings/{$sitting}/questions/".($position ?? $at).'/rubric',
            ['points' => $points],
        );
        $mark($this->points('1'))->assertStatus(409);
        $this->handIn($sitting)->assertOk();
        $this->getJson("/api/sittings/{$sitting}/questions/{$at}")
            ->assertJsonPath('outcome', 'pending')
            ->assertJsonPath('rubricMarks', null);

        $mark($this->points('1', '0.5'))
            ->assertOk()
            ->assertJsonPath('outcome', 'partly')
            ->assertJsonPath('marks', '0.5')
            ->assertJsonPath('rubricMarks', $this->points('1', '0.5'));
        self::assertSame(
            '1/2',
            DB::table('outcomes')->where('sitting_id', $sitting)->where('position', $at)->value('credit'),
        );
        self::assertSame('1/2', DB::table('sittings')->where('id', $sitting)->value('marks'));
        $mark($this->points('2', '1'))->assertJsonPath('outcome', 'right');
        self::assertSame(
            ['right', 1],
            array_values(
                (array) DB::table('standings')
                    ->where('user_id', $this->user->id)
                    ->where('outcome', 'right')
                    ->first(['outcome', 'seen']),
            ),
        );

        $mark($this->points('3'))->assertStatus(422)->assertJsonPath('reason', 'rubric');
        $mark(['moon' => '1'])->assertStatus(422);
        $mark([])
            ->assertStatus(422)
            ->assertJsonPath('fields.points.0', 'Give points for at least one of the criteria.');
        $this->postJson("/api/sittings/{$sitting}/exposures", ['positions' => null])->assertNoContent();
        $mark($this->points('1'), $this->positions($sitting)['q-single'])
            ->assertStatus(422)
            ->assertJsonPath('reason', 'not_written');
        $this->flushSession()->actingAs($this->candidate());
        $mark($this->points('1'))->assertNotFound();
    }

    public function test_marking_an_older_sitting_does_not_speak_over_a_later_one(): void
    {
        $older = $this->all('timed');
        $this->open($older);
        $this->answerRightly($older, ['q-single', 'q-written']);
        $this->handIn($older)->assertOk();
        $this->travel(5)->minutes();
        $later = $this->all('timed');
        $this->open($later);
        $at = $this->positions($later);
        $this->send($later, [
            ['id' => 'look', 'seq' => 9, 'kind' => 'shown', 'position' => $at['q-written']],
            [
                'id' => 'wrong',
                'seq' => 10,
                'kind' => 'answered',
                'position' => $at['q-single'],
                'value' => ['choice' => $this->parts('q-single')[1]],
            ],
        ])->assertOk();
        $this->handIn($later)->assertOk();
        $standing = fn (string $code): array => array_values(
            (array) DB::table('standings')
                ->join('questions', 'questions.id', '=', 'question_id')
                ->where('code', $code)
                ->first(['outcome', 'seen']),
        );
        self::assertSame(['missed', 2], $standing('q-single'));

        $this->postJson("/api/sittings/{$older}/questions/{$this->positions($older)['q-written']}/rubric", [
            'points' => $this->points('2', '1'),
        ])
            ->assertOk()
            ->assertJsonPath('outcome', 'right');

        self::assertSame(['missed', 2], $standing('q-single'));
        self::assertSame(['left_blank', 2], $standing('q-written'));
        self::assertSame(
            'right',
            DB::table('outcomes')
                ->where('sitting_id', $older)
                ->where('position', $this->positions($older)['q-written'])
                ->value('outcome'),
        );
    }

    public function test_bad_responses_are_refused_each_with_a_sentence_and_lose_nothing(): void
    {
        $sitting = $this->all('untimed');
        $this->open($sitting);
        $at = $this->positions($sitting);
        $bad = [
            'q-grid' => ['rows' => ['r9' => 'true']],
            'q-matching' => ['rows' => ['r1' => 'moon']],
            'q-ordering' => ['order' => ['moon']],
            'q-picture' => ['points' => [['x' => 2, 'y' => 0]]],
            'q-several' => ['choices' => ['a', 'a']],
            'q-typed' => ['gaps' => ['moon' => 'x']],
        ];
        $events = [];
        foreach ($bad as $code => $value) {
            $events[] = [
                'id' => $code,
                'seq' => 20 + count($events),
                'kind' => 'answered',
                'position' => $at[$code],
                'value' => $value,
            ];
        }

        $refused = (array) $this->send($sitting, $events)->assertOk()->json('refused');

        self::assertEqualsCanonicalizing(array_keys($bad), array_keys($refused));
        self::assertSame(1, DB::table('sitting_events')->where('sitting_id', $sitting)->count());
    }

    private function paper(): string
    {
        return (string) $this->postJson('/api/exams/kinds/papers/2024/sittings', ['section' => null])
            ->assertCreated()
            ->json('sitting');
    }

    public function test_a_fixed_paper_is_sat_with_its_sections_marks_and_penalty(): void
    {
        $this->getJson('/api/exams/kinds/ready')
            ->assertOk()
            ->assertJsonPath('papers', [
                ['code' => '2024', 'title' => 'The paper', 'questions' => 2, 'minutes' => 30, 'met' => 0],
            ]);
        $sitting = $this->paper();
        $this->getJson("/api/sittings/{$sitting}")
            ->assertOk()
            ->assertJsonPath('sections', [
                [
                    'code' => 'all', 'name' => 'All of it', 'questions' => 2, 'marksEach' => '3', 'marks' => '6',
                    'penalty' => '1/3', 'minutes' => 30, 'kinds' => [], 'units' => [],
                ],
            ])
            ->assertJsonPath('limitMs', 1_800_000);
        $opened = $this->open($sitting);
        self::assertSame(['3', '1/3'], [$opened['questions'][0]['marks'], $opened['questions'][0]['penalty']]);
        $this->send($sitting, [
            [
                'id' => 'x',
                'seq' => 10,
                'kind' => 'answered',
                'position' => 0,
                'value' => ['choice' => $this->parts('q-single')[1]],
            ],
        ])->assertOk();
        $this->handIn($sitting)->assertOk();
        self::assertSame(
            ['-1', '6'],
            array_values(
                (array) DB::table('sittings')
                    ->where('id', $sitting)
                    ->first(['marks', 'possible']),
            ),
        );
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertOk()
            ->assertJsonPath('scaled', ['score' => 0, 'low' => 0, 'cut' => 50, 'high' => 100, 'passes' => false])
            ->assertJsonPath('breakdowns.1.groups.0.name', 'All of it')
            ->assertJsonPath('breakdowns.1.groups.0.tally.marks', '-1')
            ->assertJsonPath('breakdowns.1.groups.0.tally.notReached', 1);
        $this->getJson('/api/exams/kinds/ready')->assertJsonPath('papers.0.met', 1);

        // Another candidate sits the same test.
        $this->flushSession()->actingAs($this->candidate());
        $other = $this->paper();
        self::assertSame(
            1,
            DB::table('sittings')
                ->whereIn('id', [$sitting, $other])
                ->distinct()
                ->count('test_id'),
        );
        $this->postJson('/api/exams/kinds/papers/2031/sittings', ['section' => null])->assertNotFound();
    }

    public function test_a_papers_score_waits_until_its_written_answers_are_marked(): void
    {
        $sitting = $this->paper();
        $this->open($sitting);
        $this->answerRightly($sitting, ['q-single', 'q-written']);
        $this->handIn($sitting)->assertOk();
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertJsonPath('scaled', null)
            ->assertJsonPath('tally.pending', 1);

        $this->postJson("/api/sittings/{$sitting}/questions/1/rubric", [
            'points' => $this->points('0', '0'),
        ])->assertOk();
        // 3 of 6 marks, less a third of 3 for a written answer worth nothing: 2 of 6 is below the cut of 1/2.
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertJsonPath('scaled.passes', false)
            ->assertJsonPath('scaled.score', 33);
        $this->postJson("/api/sittings/{$sitting}/questions/1/rubric", [
            'points' => $this->points('2', '1'),
        ])->assertOk();
        $this->getJson("/api/sittings/{$sitting}/result")->assertJsonPath('scaled', [
            'score' => 100,
            'low' => 0,
            'cut' => 50,
            'high' => 100,
            'passes' => true,
        ]);
    }

    public function test_reference_tables_and_pictures_are_served_to_whoever_is_signed_in(): void
    {
        $this->getJson('/api/exams/kinds/tables')->assertOk()->assertJsonPath('tables.0.title', 'Pace');
        $name = DB::table('media')->value('name');
        $response = $this->get("/media/{$name}")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/svg+xml');
        self::assertStringContainsString(
            "default-src 'none'",
            (string) $response->headers->get('Content-Security-Policy'),
        );
        self::assertStringContainsString('immutable', (string) $response->headers->get('Cache-Control'));
        self::assertStringContainsString('private', (string) $response->headers->get('Cache-Control'));
        $this->get('/media/0123456789abcdef.svg')->assertNotFound();
        $this->get('/media/passwd.txt')->assertNotFound();
        app('auth')->guard('web')->forgetUser();
        $this->app['session']->flush();
        $this->get("/media/{$name}")->assertRedirect('/sign-in');
    }

    public function test_a_changed_case_makes_new_versions_and_old_sittings_keep_theirs(): void
    {
        $sitting = $this->all('untimed');
        $this->open($sitting);
        $folder = sys_get_temp_dir().'/uplandia-kinds-'.getmypid();
        (new \Illuminate\Filesystem\Filesystem())->copyDirectory(__DIR__.'/../kinds', $folder);
        file_put_contents(
            "{$folder}/questions/all.yaml",
            str_replace(
                'It rained. The wind turned.',
                'It rained. The wind turned. Then it snowed.',
                (string) file_get_contents("{$folder}/questions/all.yaml"),
            ),
        );

        self::assertSame(
            ['slug' => 'kinds', 'questions' => 15, 'changed' => 2],
            app(BankLoader::class)->load($folder),
        );

        $text = fn (string $id): string => array_column($this->open($id)['units'], 'text', 'title')['A text'];
        self::assertSame('It rained. The wind turned.', $text($sitting));
        self::assertSame('It rained. The wind turned. Then it snowed.', $text($this->all('untimed')));
    }
}
