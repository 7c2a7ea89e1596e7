<?php

declare(strict_types=1);

namespace Tests\Feature\Workshop;

use App\Workshop\BankLoader;
use App\Workshop\ExamFolder;
use App\Workshop\InvalidBank;
use App\Workshop\SeriesSheets;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Yaml\Yaml;
use Tests\Feature\TestCase;

final class SeriesSheetsTest extends TestCase
{
    private const TEST = ['code' => 'one', 'title' => 'One', 'mode' => 'tutor', 'questions' => ['q-single']];

    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/uplandia-series-'.getmypid();
        (new Filesystem())->copyDirectory(__DIR__.'/../kinds', $this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->deleteDirectory($this->folder);
        parent::tearDown();
    }

    /** @param  array<string, mixed>  $change  of a sound sheet */
    private function write(array $change): void
    {
        (new Filesystem())->ensureDirectoryExists("{$this->folder}/series");
        $sheet = $change + ['title' => 'Chapters', 'about' => 'One each.', 'tests' => [self::TEST]];
        file_put_contents("{$this->folder}/series/chapters.yaml", Yaml::dump($sheet, 4));
    }

    /** @return list<string> of its faults; none: it was loaded */
    private function load(): array
    {
        try {
            app(BankLoader::class)->load($this->folder);

            return [];
        } catch (InvalidBank $invalid) {
            return explode("\n", $invalid->getMessage());
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> change of a sound sheet, words of the fault */
    public static function malformed(): iterable
    {
        yield 'no title' => [['title' => null], 'a series needs a title'];
        yield 'a number for what it is about' => [['about' => 7], 'a series needs a title'];
        yield 'a word for its tests' => [['tests' => 'all'], 'a series needs a title'];
        yield 'a test that is a word' => [['tests' => ['one']], 'each test needs a code'];
        $tests = [
            'no code' => ['code' => null],
            'a list for a code' => ['code' => ['one']],
            'no title' => ['title' => null],
            'no mode' => ['mode' => null],
            'a mode that there is not' => ['mode' => 'hasty'],
            'no minutes at all' => ['minutes' => 0],
            'more minutes than fit' => ['minutes' => 601],
            'half a minute' => ['minutes' => 0.5],
            'no attempt' => ['attempts' => 0],
            'attempts in words' => ['attempts' => 'three'],
            'no questions' => ['questions' => []],
            'questions in one word' => ['questions' => 'q-single'],
            'a number for a question' => ['questions' => ['q-single', 3]],
        ];
        foreach ($tests as $name => $change) {
            yield "a test with {$name}" => [['tests' => [$change + self::TEST]], 'each test needs a code'];
        }
        yield 'two tests of one code' => [['tests' => [self::TEST, self::TEST]], 'two tests have one code'];
        yield 'an unknown question' => [
            ['tests' => [['questions' => ['q-nowhere']] + self::TEST]],
            'there is no question "q-nowhere"',
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('malformed')]
    public function test_a_spoilt_series_is_refused_with_its_file_and_nothing_is_written(
        array $change,
        string $words,
    ): void {
        $this->write($change);
        $faults = $this->load();

        self::assertCount(1, $faults);
        self::assertStringStartsWith('series/chapters.yaml: ', $faults[0]);
        self::assertStringContainsString($words, $faults[0]);
        self::assertSame([0, 0], [DB::table('questions')->count(), DB::table('series')->count()]);
    }

    /** @return iterable<string, array{list<string>, string|null}> questions of a test, the fault */
    public static function lists(): iterable
    {
        yield 'as it should be' => [['q-single', 'p-1', 'p-2', 'q-several'], null];
        yield 'one twice' => [['q-single', 'q-several', 'q-single'], ' asks a question twice.'];
        yield 'one that is not there' => [['q-single', 'q-nowhere'], ': there is no question "q-nowhere".'];
        yield 'half a passage' => [['p-1', 'q-single'], ': u-passage is not asked whole and in order.'];
        yield 'a passage turned round' => [['p-2', 'p-1'], ': u-passage is not asked whole and in order.'];
        yield 'a passage torn apart' => [['p-1', 'q-single', 'p-2'], ': u-passage is not asked whole and in order.'];
    }

    /** @param  list<string>  $questions */
    #[DataProvider('lists')]
    public function test_a_strict_editor_reads_what_each_test_asks(array $questions, ?string $fault): void
    {
        $this->write(['tests' => [['questions' => $questions] + self::TEST]]);

        self::assertSame(
            $fault === null ? [] : ["Series chapters, test one{$fault}"],
            SeriesSheets::faults(ExamFolder::read($this->folder)),
        );
    }

    public function test_a_changed_series_is_taken_over_and_what_left_its_folder_is_gone(): void
    {
        $two = ['code' => 'two', 'attempts' => 2, 'mode' => 'timed', 'minutes' => 600] + self::TEST;
        $this->write(['tests' => [self::TEST, $two]]);
        self::assertSame([], $this->load());
        $this->write(['title' => 'Anew', 'tests' => [['questions' => ['q-number', 'q-single']] + $two]]);
        self::assertSame([], $this->load());

        self::assertSame(['Anew'], DB::table('series')->pluck('title')->all());
        self::assertEquals(
            [(object) ['code' => 'two', 'position' => 0, 'mode' => 'timed', 'minutes' => 600, 'attempts' => 2]],
            DB::table('series_tests')
                ->get(['code', 'position', 'mode', 'minutes', 'attempts'])
                ->all(),
        );
        self::assertSame(
            ['q-number', 'q-single'],
            DB::table('series_items')
                ->join('questions', 'questions.id', '=', 'series_items.question_id')
                ->orderBy('series_items.position')
                ->pluck('questions.code')
                ->all(),
        );
        unlink("{$this->folder}/series/chapters.yaml");
        self::assertSame([], $this->load());
        self::assertSame([0, 0], [DB::table('series_tests')->count(), DB::table('series_items')->count()]);
    }
}
