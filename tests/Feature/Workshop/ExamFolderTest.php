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
                ['no picture "gone.svg"', 'A unit needs an id', 'more.yaml', '2025.yaml', 'an exam needs a slug'] as $words
            ) {
                self::assertStringContainsString($words, $invalid->getMessage());
            }
        }
        self::assertSame(0, DB::table('exams')->where('name', 'Every Kind')->count());
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
