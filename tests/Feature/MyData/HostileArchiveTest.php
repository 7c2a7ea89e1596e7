<?php

declare(strict_types=1);

namespace Tests\Feature\MyData;

use App\Account\User;
use Closure;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;
use ZipArchive;

/** Whatever is amiss with an archive refuses the whole of it, with a sentence. */
final class HostileArchiveTest extends TestCase
{
    use BringsArchives;
    use SitsByLetters;

    private const SITTING = 'sittings/00001.json';

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-03-02 09:00:00'));
        $this->actingAs($this->candidate());
        $this->exam();
    }

    /** @return array<string, mixed> files of an archive of somebody else */
    private function honest(): array
    {
        $this->sit('rrmrmr');
        $this->postJson('/api/exams/small-hills/cards', ['front' => 'a', 'back' => 'b']);
        $files = $this->files($this->packed());
        $this->flushSession();
        $this->actingAs($this->candidate());

        return $files;
    }

    private function refused(string $zip, string $sentence): void
    {
        $rows = fn (): array => array_map(
            fn (string $table): int => DB::table($table)->count(),
            [
                'users', 'sittings', 'tests', 'test_items', 'outcomes', 'standings', 'cards', 'notes', 'enrolments',
                'recipes',
            ],
        );
        $before = $rows();
        $answer = $this->bring($zip);
        self::assertSame(422, $answer->status(), (string) $answer->getContent());
        self::assertStringContainsString($sentence, (string) $answer->json('message'));
        self::assertStringEndsWith('Nothing was taken in.', (string) $answer->json('message'));
        self::assertSame($before, $rows());
    }

    public function test_an_honest_one_is_taken_in_once(): void
    {
        $zip = $this->zip($this->honest());
        $this->bring($zip)->assertOk()->assertJson(['sittings' => 1, 'cards' => 1]);
        $this->refused($zip, 'There is something of Small Hills Badge in your account already.');
    }

    public function test_an_archive_of_nothing_is_refused(): void
    {
        $this->refused($this->zip(['manifest.json' => ['files' => []] + $this->honest()['manifest.json']]), '/files');
    }

    /** @return iterable<string, array{Closure(array<string, mixed>): array<string, mixed>, string}> */
    public static function changed(): iterable
    {
        $sitting = fn (Closure $change): Closure => function (array $files) use ($change): array {
            $change($files[self::SITTING]);

            return $files;
        };
        $exam = fn (Closure $change): Closure => function (array $files) use ($change): array {
            $change($files['person.json']['exams'][0]);

            return $files;
        };
        yield 'no manifest of ours' => [
            fn (array $files): array => ['manifest.json' => ['format' => 'other', 'version' => 1]] + $files,
            'manifest.json, at /',
        ];
        yield 'a newer one' => [
            fn (array $files): array => ['manifest.json' => ['version' => 2] + $files['manifest.json']]
                + $files,
            'manifest.json, at /version',
        ];
        yield 'no person' => [
            fn (array $files): array => array_diff_key($files, ['person.json' => 0]),
            'is missing',
        ];
        yield 'text that is no JSON' => [
            fn (array $files): array => ['person.json' => '{'] + $files,
            'cannot be read',
        ];
        yield 'too deep' => [
            fn (array $files): array => [self::SITTING => str_repeat('[', 600)] + $files,
            'cannot be read',
        ];
        yield 'too many parts' => [
            fn (array $files): array => [self::SITTING => '['.str_repeat('[],', 900_000).'[]]'] + $files,
            'holds more than any of ours',
        ];
        yield 'a field too many' => [
            $sitting(fn (array &$it) => $it['user_id'] = 1),
            'sittings/00001.json, at /',
        ];
        yield 'an id of a wrong shape' => [$sitting(fn (array &$it) => $it['id'] = "' or 1=1 --"), 'at /id'];
        yield 'an exam that is not here' => [$exam(fn (array &$it) => $it['exam'] = 'other'), 'no exam called other'];
        yield 'the same exam twice' => [
            function (array $files): array {
                $files['person.json']['exams'][] = $files['person.json']['exams'][0];

                return $files;
            },
            'twice',
        ];
        yield 'a sitting of an exam that is not told of' => [
            $sitting(fn (array &$it) => $it['exam'] = 'other'),
            'an exam that is not told of',
        ];
        yield 'a foreign question' => [
            $sitting(fn (array &$it) => $it['test']['items'][0]['question'] = 'nav-map-01'),
            'does not have question nav-map-01',
        ];
        yield 'another version' => [
            $sitting(fn (array &$it) => $it['test']['items'][0]['version'] = str_repeat('0', 32)),
            'as it was answered',
        ];
        yield 'terms of another test' => [
            $sitting(fn (array &$it) => array_pop($it['test']['items'])),
            'terms that are of another test',
        ];
        yield 'terms that are none' => [
            $sitting(fn (array &$it) => $it['terms'] = ['mode' => 'x']),
            'cannot have happened',
        ];
        yield 'no terms' => [$sitting(fn (array &$it) => $it['terms'] = null), 'cannot have happened'];
        yield 'a kind of step that is none' => [
            $sitting(fn (array &$it) => $it['events'][1]['kind'] = 'cheated'),
            'cannot have happened',
        ];
        yield 'a response of another kind' => [
            $sitting(fn (array &$it) => $it['events'] = array_map(
                fn (array $event): array => $event['kind'] === 'answered'
                    ? ['value' => ['choice' => 'none']] + $event
                    : $event,
                $it['events'],
            )),
            'an answer that cannot have been given',
        ];
        yield 'the same step twice' => [
            $sitting(fn (array &$it) => $it['events'][] = $it['events'][0]),
            'the same step twice',
        ];
        yield 'a step in the future' => [
            $sitting(fn (array &$it) => $it['events'][2]['at_ms'] += 86_400_000),
            'a time that has not come yet',
        ];
        yield 'a question outside the test' => [
            $sitting(fn (array &$it) => $it['events'][3]['position'] = 6),
            'a question that is not in its test',
        ];
        yield 'handed in, and not' => [
            $sitting(fn (array &$it) => array_pop($it['events'])),
            'handed in and was not',
        ];
        yield 'answers before its start' => [
            $sitting(fn (array &$it) => $it['status'] = 'not_started'),
            'has not begun',
        ];
        yield 'the same sitting twice' => [
            fn (array $files): array => $files + ['sittings/00002.json' => $files[self::SITTING]],
            'the same sitting twice',
        ];
        yield 'the same test in two ways' => [
            function (array $files): array {
                $other = $files[self::SITTING];
                $other['id'] = strrev($other['id']) < '8' ? strrev($other['id']) : '0'.substr($other['id'], 0, 25);
                $other['test']['title'] = 'Another';

                return $files + ['sittings/00002.json' => $other];
            },
            'the same test in two ways',
        ];
        yield 'a card without a back' => [$exam(fn (array &$it) => $it['cards'][0]['back'] = ''), '/cards/0/back'];
        yield 'a card of tomorrow' => [
            $exam(fn (array &$it) => $it['cards'][0]['made_ms'] += 90_000_000),
            'a time that has not come yet',
        ];
        yield 'a card of a foreign question' => [
            $exam(fn (array &$it) => $it['cards'][0]['question'] = 'none'),
            'no question none',
        ];
        yield 'a zone that is none' => [
            $exam(fn (array &$it) => $it['enrolment'] = [
                'exam_date' => null, 'target' => null, 'hours_week' => null, 'weekdays_off' => null,
                'dates_off' => null, 'time_zone' => 'Nowhere/None', 'in_cohort' => true, 'cohort_ms' => null,
            ]),
            'a time zone that is none',
        ];
        yield 'a cause that is none' => [
            $exam(fn (array &$it) => $it['gaps'] = [[
                'question' => 'ridge.path-1', 'cause' => 'sloth', 'moved_ms' => null, 'moved_day' => null,
                'into' => null,
            ]]),
            '/gaps/0/cause',
        ];
        yield 'a date that the calendar does not have' => [
            $exam(fn (array &$it) => $it['enrolment'] = [
                'exam_date' => '2026-02-30', 'target' => null, 'hours_week' => null, 'weekdays_off' => null,
                'dates_off' => null, 'time_zone' => 'UTC', 'in_cohort' => true, 'cohort_ms' => null,
            ]),
            'person.json, at /exams/0/enrolment',
        ];
        yield 'a moment that the calendar does not have' => [
            $sitting(fn (array &$it) => $it['created_at'] = '2026-02-30 09:00:00'),
            'at /created_at',
        ];
        yield 'choices that make no recipe' => [
            $exam(fn (array &$it) => $it['recipes'][0]['choices'] = ['count' => -1]),
            'person.json tells of what cannot have happened',
        ];
        yield 'reasons of another shape' => [
            $sitting(fn (array &$it) => $it['test']['reasons'] = [['topic' => 'A']]),
            'at /test/reasons',
        ];
        yield 'marks that are none' => [
            $sitting(fn (array &$it) => $it['test']['items'][0]['penalty'] = '2'),
            'cannot have happened',
        ];
        yield 'marks beyond all bounds' => [
            $sitting(fn (array &$it) => $it['test']['items'][0]['marks'] = '999999999'),
            'worth more marks than any',
        ];
        yield 'marks that are none, in a sitting that has not begun' => [
            $sitting(function (array &$it): void {
                $it = ['status' => 'not_started', 'terms' => null, 'events' => [], 'facts' => []] + $it;
                $it['test']['items'][0]['penalty'] = '2';
            }),
            'cannot have happened',
        ];
        yield 'a section that the exam does not have' => [
            $sitting(fn (array &$it) => $it['test'] = ['of_exam' => true, 'section' => 'moon'] + $it['test']),
            'This installation has no such section of Small Hills Badge.',
        ];
        yield 'a note of nothing' => [
            $exam(fn (array &$it) => $it['notes'] = [[
                'question' => null, 'section' => null, 'body' => 'a', 'created_at' => '2026-03-02 09:00:00',
                'updated_at' => '2026-03-02 09:00:00',
            ]]),
            'words that are of no text, or of two',
        ];
        yield 'a mark that ends before it begins' => [
            $exam(fn (array &$it) => $it['highlights'] = [[
                'question' => null, 'section' => 'other', 'part' => 'page', 'kind' => 'marked', 'from' => 5, 'to' => 5,
                'quote' => 'a', 'created_at' => '2026-03-02 09:00:00', 'updated_at' => '2026-03-02 09:00:00',
            ]]),
            'ends before it begins',
        ];
        yield 'the same look twice' => [
            $exam(fn (array &$it) => $it['cards'][0]['looks'] = array_fill(
                0,
                2,
                ['uid' => 'a', 'grade' => 1, 'at_ms' => 1, 'day' => 1],
            )),
            'the same look twice',
        ];
        yield 'the same reading twice' => [
            $exam(fn (array &$it) => $it['readings'] = array_fill(
                0,
                2,
                ['section' => 'other', 'step' => 1, 'finished_ms' => null, 'read_ms' => 1],
            )),
            'the same thing twice',
        ];
    }

    /** @param  Closure(array<string, mixed>): array<string, mixed>  $change */
    #[DataProvider('changed')]
    public function test_what_is_changed_is_refused_whole(Closure $change, string $sentence): void
    {
        $this->refused($this->zip($change($this->honest())), $sentence);
    }

    public function test_what_is_no_archive_or_is_damaged_is_refused(): void
    {
        $zip = $this->zip($this->honest());
        $this->refused('', 'This file is no archive');
        $this->refused('PK', 'This file is no archive');
        $this->refused(substr($zip, 0, intdiv(strlen($zip), 2)), 'This file is no archive');
        $files = $this->files($zip);
        $files[self::SITTING]['name'] = 'Other';
        $changed = $this->zip($files, fn (ZipArchive $archive): bool => $archive->addFromString(
            'person.json',
            (string) json_encode(['name' => 'x'] + $files['person.json']),
        ));
        $this->refused($changed, 'This archive is damaged: person.json is not what it was.');
    }

    public function test_names_that_lead_elsewhere_bombs_and_locked_files_are_refused(): void
    {
        $files = $this->honest();
        $names = ['../../etc/passwd', '/etc/passwd', 'sittings/../x.json', 'C:\\x', 'sittings/1.json', 'x.php'];
        foreach ($names as $name) {
            $this->refused(
                $this->zip($files, fn (ZipArchive $archive): bool => $archive->addFromString($name, 'x')),
                'a file that is none of ours',
            );
        }
        $bomb = str_repeat("\0", 25 * 1024 * 1024);
        $this->refused(
            $this->zip($files, fn (ZipArchive $archive): bool => $archive->addFromString(self::SITTING, $bomb)),
            'holds more than any of ours',
        );
        $locked = $this->zip($files, function (ZipArchive $archive): void {
            $archive->setEncryptionName('person.json', ZipArchive::EM_AES_256, 'secret');
        });
        $this->refused($locked, 'cannot be opened');
    }

    public function test_whoever_begins_something_in_the_meantime_keeps_it_and_the_archive_is_refused(): void
    {
        $zip = $this->zip($this->honest());
        $own = ['user_id' => auth()->id(), 'exam_id' => $this->exam()->id];
        $begun = false;
        DB::listen(function ($query) use (&$begun, $own): void {
            if (! $begun && str_contains($query->sql, 'insert into "sitting_events"')) {
                $begun = true;
                DB::table('enrolments')->insert($own + ['time_zone' => 'UTC']);
            }
        });
        $this->bring($zip)->assertUnprocessable();
        self::assertTrue($begun);
        self::assertSame(0, DB::table('sittings')->where('user_id', auth()->id())->count());
    }

    public function test_a_mere_star_is_something_too(): void
    {
        $zip = $this->zip($this->honest());
        DB::table('standings')->insert([
            'user_id' => auth()->id(),
            'exam_id' => $this->exam()->id,
            'question_id' => DB::table('questions')->value('id'),
            'topic_id' => DB::table('questions')->value('topic_id'),
            'starred' => true,
        ]);
        $this->refused($zip, 'There is something of Small Hills Badge in your account already.');
    }

    public function test_a_question_whose_reasons_are_others_here_is_another_version(): void
    {
        $zip = $this->zip($this->honest());
        DB::table('question_versions')->update(['withheld' => DB::raw("replace(withheld, 'why', 'why ')")]);
        $this->refused($zip, 'as it was answered');
    }

    public function test_what_a_killed_server_left_is_cleared_away_an_hour_later(): void
    {
        $zip = $this->zip($this->honest());
        $left = User::factory()->create(['email' => '01abc@archive.invalid']);
        DB::table('notes')->insert(['user_id' => $left->id, 'exam_id' => $this->exam()->id, 'body' => 'left']);
        $this->travel(59)->minutes();
        $this->bring($this->zip($this->files($this->packed())))->assertOk();
        self::assertSame(1, DB::table('notes')->count());
        $this->travel(2)->minutes();
        $this->bring($zip)->assertOk();
        self::assertSame(0, DB::table('notes')->count() + User::query()->where('email', 'like', '%.invalid')->count());
        self::assertSame(1, DB::table('sittings')->where('user_id', auth()->id())->count());
    }

    public function test_what_somebody_made_up_gets_no_better_marks_than_its_answers(): void
    {
        $files = $this->honest();
        $files[self::SITTING]['facts'] = [];
        $this->bring($this->zip($files))->assertOk();
        self::assertSame('4', DB::table('sittings')->where('user_id', auth()->id())->value('marks'));
    }

    public function test_the_people_of_the_demo_take_nothing_in_and_strangers_get_nothing(): void
    {
        $zip = $this->zip($this->honest());
        $this->actingAs(User::factory()->create(['made_up_as' => 'somebody'])->refresh());
        $this->bring($zip)->assertUnprocessable()->assertJsonPath('reason', 'demo_person');
        auth()->logout();
        $this->flushSession();
        $this->getJson('/api/my-data')->assertUnauthorized();
        $this->bring($zip)->assertUnauthorized();
    }
}
