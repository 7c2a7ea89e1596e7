<?php

declare(strict_types=1);

namespace Tests\Feature\Workshop;

use App\Assembly\Paper;
use App\Assembly\PaperTests;
use App\Handbook\ReferenceTable;
use App\Question\Exam;
use App\Workshop\BankLoader;
use App\Workshop\ExamFolder;
use App\Workshop\InvalidBank;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\TestCase;

final class ExamFolderTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/uplandia-folder-'.getmypid();
        (new Filesystem())->copyDirectory(__DIR__.'/../kinds', $this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->deleteDirectory($this->folder);
        parent::tearDown();
    }

    private function change(string $file, string $from, string $to): void
    {
        $text = (string) file_get_contents("{$this->folder}/{$file}");
        self::assertStringContainsString($from, $text);
        file_put_contents("{$this->folder}/{$file}", str_replace($from, $to, $text));
    }

    public function test_it_reads_everything_there_is(): void
    {
        $read = ExamFolder::read($this->folder);

        self::assertSame(
            [15, 2, 1, 1, 1],
            [
                count($read->entries),
                count($read->units),
                count($read->handbook),
                count($read->tables),
                count($read->papers),
            ],
        );
        self::assertSame('2024', $read->papers[0]['code']);
        self::assertStringContainsString('/media/', $read->handbook[0]['body']);
        self::assertSame(['u-series', 1], [$read->entries[14]['unit'], $read->entries[14]['place']]);
    }

    public function test_every_fault_of_every_file_is_named_at_once_and_nothing_is_written(): void
    {
        $this->change('questions/all.yaml', 'picture: {file: dot.svg', 'picture: {file: gone.svg');
        $this->change('questions/all.yaml', 'id: u-passage', 'id: 7');
        file_put_contents("{$this->folder}/questions/more.yaml", "- id: [\n");
        file_put_contents("{$this->folder}/papers/2025.yaml", 'title: [');
        $this->change('exam.yaml', 'slug: kinds', 'slug: 3');
        try {
            app(BankLoader::class)->load($this->folder);
            self::fail('It was loaded.');
        } catch (InvalidBank $invalid) {
            foreach (
                ['no picture "gone.svg"', 'A unit needs an id', 'more.yaml', '2025.yaml', '"slug" must be'] as $words
            ) {
                self::assertStringContainsString($words, $invalid->getMessage());
            }
        }
        self::assertSame(0, DB::table('exams')->where('name', 'Every Kind')->count());
    }

    /** @return array<string, array{string, string, string}> what stands in exam.yaml, what instead, what is said */
    public static function sheets(): array
    {
        return [
            'no time' => ['  minutesPerQuestion: "1"', '', '"rules.minutesPerQuestion" is the time of a question'],
            'a limit that is none' => ['  minutesPer', "  limit: 3\n  minutesPer", '"rules.limit" is'],
            'a time that is none' => ['minutesPerQuestion: "1"', 'minutesPerQuestion: soon', 'minutesPerQuestion" is'],
            'no cut' => ['  cut: "0.5"', '', '"rules.cut" is the share that passes'],
            'a cut in per cent' => ['cut: "0.5"', 'cut: "50"', '"rules.cut" is the share that passes'],
            'weights' => ['weight: "60"', 'weight: "50"', 'the weights of the topics add up to 90, not to 100'],
            'a weight that is none' => ['weight: "60"', 'weight: much', 'topic a: "weight" is its share'],
            'no name' => ['name: Every Kind', '', '"name" is missing'],
            'no summary' => ['summary: An exam for tests.', '', '"summary" is missing'],
            'a place that is none' => ['slug: kinds', "slug: kinds\nposition: first", '"position" is a whole number'],
            'a code twice' => ['code: b.two', 'code: a.one', 'two topics have the code a.one'],
            'a subtopic without a name' => ['code: b.two, name: Two', 'code: b.two', 'topic b: it and each of its'],
            'no scale' => ['  scale: {low: 0, high: 100, cut: 50}', '', 'The blueprint'],
        ];
    }

    #[DataProvider('sheets')]
    public function test_an_exam_that_some_screen_would_stumble_over_is_not_taken_in(
        string $now,
        string $instead,
        string $said,
    ): void {
        $this->change('exam.yaml', $now, $instead);
        try {
            app(BankLoader::class)->load($this->folder);
            self::fail('It was loaded.');
        } catch (InvalidBank $invalid) {
            self::assertStringContainsString($said, $invalid->getMessage());
        }
        self::assertSame(0, DB::table('exams')->count());
    }

    public function test_an_exam_that_does_not_say_its_place_stands_behind_the_others_and_keeps_it(): void
    {
        Exam::query()->create(['slug' => 'other', 'name' => 'O', 'summary' => 'S', 'rules' => [], 'position' => 7]);
        foreach ([1, 2] as $again) {
            app(BankLoader::class)->load($this->folder);
            self::assertSame(8, (int) DB::table('exams')->where('slug', 'kinds')->value('position'), "load {$again}");
        }
    }

    public function test_a_paper_that_names_an_unknown_question_takes_everything_back(): void
    {
        $this->change('papers/2024.yaml', 'q-written', 'q-unwritten');
        try {
            app(BankLoader::class)->load($this->folder);
            self::fail('It was loaded.');
        } catch (InvalidBank $invalid) {
            self::assertSame('papers/2024.yaml: there is no question "q-unwritten".', $invalid->getMessage());
        }
        self::assertSame(0, DB::table('questions')->count());
    }

    public function test_loading_again_changes_nothing_and_a_changed_table_or_paper_is_taken_over(): void
    {
        $loader = app(BankLoader::class);
        self::assertSame(15, $loader->load($this->folder)['changed']);
        $count = fn (): array => array_map(fn (string $table): int => DB::table($table)->count(), [
            'question_versions',
            'unit_versions',
            'units',
            'media',
            'papers',
            'paper_items',
            'reference_tables',
            'handbook_sections',
        ]);
        $before = $count();
        self::assertSame(0, $loader->load($this->folder)['changed']);
        self::assertSame($before, $count());

        $test = app(PaperTests::class)->of(Paper::query()->with('exam')->firstOrFail());
        $this->change('tables/1.md', '| 1 | 15 |', '| 1 | 20 |');
        $this->change('papers/2024.yaml', "    - q-single\n", "    - q-number\n");
        self::assertSame(0, $loader->load($this->folder)['changed']);
        self::assertStringContainsString('| 1 | 20 |', ReferenceTable::query()->firstOrFail()->body);
        self::assertNotSame($test->id, app(PaperTests::class)->of(Paper::query()->with('exam')->firstOrFail())->id);
    }

    public function test_a_changed_picture_makes_new_versions_where_it_is_shown(): void
    {
        $loader = app(BankLoader::class);
        $loader->load($this->folder);
        $this->change('pictures/dot.svg', 'r="10"', 'r="12"');

        // The one that shows it, and the one that is pointed at.
        self::assertSame(2, $loader->load($this->folder)['changed']);
        self::assertSame(2, DB::table('media')->count());
    }

    public function test_the_blueprint_is_read_from_the_exam(): void
    {
        app(BankLoader::class)->load($this->folder);
        $blueprint = Exam::query()->where('slug', 'kinds')->firstOrFail()->blueprint();

        self::assertSame(
            [2, 30, 'all'],
            [$blueprint->questions(), $blueprint->minutes, $blueprint->sections[0]->code],
        );
    }
}
