<?php

declare(strict_types=1);

namespace Tests\Feature\Workshop;

use App\Workshop\BankLint;
use Illuminate\Filesystem\Filesystem;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Yaml\Yaml;
use Tests\Feature\TestCase;

final class BankLintTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/uplandia-lint-'.getmypid();
        (new Filesystem())->copyDirectory(database_path('demo/licence'), $this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->deleteDirectory($this->folder);
        parent::tearDown();
    }

    public function test_the_demo_is_clean_and_holds_what_it_must(): void
    {
        $licence = (new BankLint())->of(database_path('demo/licence'));
        $warden = (new BankLint())->of(database_path('demo/warden'));

        self::assertSame([[], []], [$licence['faults'], $warden['faults']]);
        self::assertGreaterThanOrEqual(360, array_sum($licence['counts']['kind']));
        self::assertGreaterThanOrEqual(110, array_sum($warden['counts']['kind']));
        self::assertCount(11, $licence['counts']['kind']);
        self::assertCount(11, $warden['counts']['kind']);
        self::assertEqualsCanonicalizing(['case', 'passage', 'series'], array_keys($warden['counts']['unit']));
        self::assertCount(8, $licence['counts']['topic']);
        self::assertSame(['case' => 10, 'passage' => 6, 'series' => 5], $licence['counts']['unit']);
        self::assertGreaterThanOrEqual(15, $licence['counts']['kind']['picture']);
    }

    /**
     * @return iterable<string, array{string, callable(list<array<string, mixed>>): list<array<string, mixed>>,
     *   string}> file, what is done to it, words of the fault
     */
    public static function faults(): iterable
    {
        $first = fn (array $change): callable => fn (array $all): array => [
            $change + $all[0],
            ...array_slice($all, 1),
        ];
        yield 'a missing reason' => [
            'nav',
            function (array $all): array {
                unset($all[0]['options'][1]['why']);

                return $all;
            },
            'The required properties (why) are missing',
        ];
        $verdict = fn (array $option): array => ['why' => 'It is not.'] + $option;
        yield 'reasons that are verdicts' => [
            'nav',
            fn (array $all): array => array_map(
                fn (array $one): array => isset($one['options'])
                    ? ['options' => array_map($verdict, $one['options'])] + $one
                    : $one,
                $all,
            ),
            'reasons have fewer than 6 words, the first of them',
        ];
        yield 'a reason that says what, and not how' => [
            'nav',
            $first(['rationale' => 'At 1:25 000 a centimetre stands for 250 m, so six of them are 1 500 m.']),
            'nav-map-01: its reason does not tell how to get there',
        ];
        yield 'a lesson of two steps' => [
            'nav',
            function (array $all): array {
                $folder = sys_get_temp_dir().'/uplandia-lint-'.getmypid();
                file_put_contents("{$folder}/lessons/nav.map.md", "## One\nToo short.\n\n## Two\nAgain.\n");

                return $all;
            },
            'The lesson nav.map has fewer than 3 steps.',
        ];
        yield 'a lesson of nothing' => [
            'nav',
            function (array $all): array {
                $folder = sys_get_temp_dir().'/uplandia-lint-'.getmypid();
                file_put_contents("{$folder}/lessons/nav.nothing.md", "## One\nToo short.\n");

                return $all;
            },
            'lessons/nav.nothing.md: the handbook has no section "nav.nothing".',
        ];
        yield 'two keys' => [
            'nav',
            function (array $all): array {
                $all[0]['options'] = array_map(
                    fn (array $option): array => ['key' => true] + $option,
                    $all[0]['options'],
                );

                return $all;
            },
            'Exactly one option must be marked',
        ];
        yield 'a field that nobody reads' => [
            'nav',
            $first(['hint' => 'x']),
            'Additional object properties are not allowed: hint',
        ];
        yield 'an unknown subtopic' => [
            'nav',
            $first(['subtopic' => 'moon.dust']),
            'there is no subtopic "moon.dust"',
        ];
        yield 'a reference to nowhere' => [
            'nav',
            $first(['references' => ['nav.nowhere']]),
            'References name the handbook section "nav.nowhere"',
        ];
        yield 'the same question twice' => [
            'nav',
            fn (array $all): array => [...$all, ['id' => 'copy'] + $all[0]],
            'ask nearly the same',
        ];
        yield 'the same id twice' => [
            'nav',
            fn (array $all): array => [
                ...$all,
                ['stem' => 'Something quite different is asked here, about nothing.'] + $all[0],
            ],
            '2 questions have this id',
        ];
        yield 'a lazy option' => [
            'nav',
            function (array $all): array {
                $all[0]['options'][0]['text'] = 'All of the above';

                return $all;
            },
            'is no option worth thinking about',
        ];
        yield 'a picture that is not there' => [
            'nav',
            $first(['stem' => 'Look. ![A map](nowhere.svg)']),
            'there is no file "nowhere.svg"',
        ];
        yield 'a picture without words' => [
            'nav',
            $first(['stem' => 'Look. ![](map-brann.svg)']),
            '"map-brann.svg" has no alternative text',
        ];
        yield 'a sound without words' => [
            'nav',
            $first(['stem' => 'Listen. ![A call](radio-relay.mp3)']),
            '"radio-relay.mp3" has no written version',
        ];
        yield 'TeX that does not parse' => ['nav', $first(['rationale' => 'So $\frac{1}{$ it is.']), 'does not parse'];
        yield 'a series without the reason for an option' => [
            'series',
            function (array $all): array {
                unset($all[0]['questions'][0]['why']['eight']);

                return $all;
            },
            'Every option needs a text and a reason',
        ];
        yield 'evidence that does not stand in the text' => [
            'passages',
            function (array $all): array {
                $all[0]['questions'][0]['evidence'] = ['Nobody wrote this.'];

                return $all;
            },
            'does not stand in the text just once',
        ];
        yield 'a case with one exhibit' => [
            'cases',
            function (array $all): array {
                $all[0]['exhibits'] = [$all[0]['exhibits'][0]];

                return $all;
            },
            'Array should have at least 2 items',
        ];
        yield 'a unit of one question' => [
            'cases',
            function (array $all): array {
                $all[0]['questions'] = [$all[0]['questions'][0]];

                return $all;
            },
            'Array should have at least 2 items',
        ];
        yield 'a question that left its paper' => [
            'series',
            function (array $all): array {
                foreach ($all as &$unit) {
                    foreach ($unit['questions'] as &$question) {
                        $question['tags']['paper'] = '2024';
                    }
                }

                return $all;
            },
            'is tagged with another paper',
        ];
        yield 'keys that are always the longest' => [
            'nav',
            self::everySingle(function (array $question): array {
                foreach ($question['options'] as &$option) {
                    $option['text'] .=
                        $option['key'] ?? false
                            ? ' and a good deal more than any of the others has to say, by far'
                            : '';
                }

                return $question;
            }),
            'Always choosing the longest option scores',
        ];
        yield 'keys that are always the shortest' => [
            'nav',
            self::everySingle(function (array $question): array {
                foreach ($question['options'] as &$option) {
                    $option['text'] .= $option['key'] ?? false ? '' : ' and a good deal more than the key has to say';
                }

                return $question;
            }),
            'Always choosing the shortest option scores',
        ];
        yield 'keys that are always first' => [
            'nav',
            self::everySingle(function (array $question): array {
                usort(
                    $question['options'],
                    fn (array $a, array $b): int => ($b['key'] ?? false) <=> ($a['key'] ?? false),
                );

                return $question;
            }),
            'The key stands in place A in',
        ];
        foreach (
            [
                'wrong' => ['check' => '1 + 1'],
                'meaningless' => ['check' => '1 +'],
                'slippery' => ['slips' => [['value' => 244, 'why' => 'x']]],
            ] as $name => $change
        ) {
            yield "a number whose formula or slip is {$name}" => [
                'nav',
                self::question('nav-bea-07', $change),
                match ($name) {
                    'wrong' => 'the key is 244, but its formula gives 2',
                    'meaningless' => 'cannot be computed',
                    default => 'the slip 244 would be marked right',
                },
            ];
        }
        yield 'an alternative text that answers' => [
            'rope',
            self::question('rope-kno-05', ['stem' => '![A figure of 8.](knot-eight.svg) Write its number: [[name]].']),
            'an alternative text says "8", which is the answer',
        ];
        yield 'a grid that is all true' => [
            '*',
            self::everyRow(fn (array $row): array => is_bool($row['key']) ? ['key' => true] + $row : $row),
            'of all rows to call true or false are true',
        ];
        yield 'gaps whose longest words are right' => [
            '*',
            self::everyRow(fn (array $row): array => isset($row['choices'])
                ? array_replace_recursive($row, ['choices' => [$row['key'] => str_repeat('long words ', 9)]])
                : $row),
            'Always choosing the longest words for a gap',
        ];
        yield 'a region that was not drawn' => [
            'nav',
            self::question('nav-con-06', ['targets' => [['region' => 'moon', 'why' => 'x']]]),
            'has no region "moon"',
        ];
        yield 'a key that its picture does not prove' => [
            'nav',
            self::question('nav-con-06', ['targets' => [['region' => 'knoll', 'why' => 'x']], 'decoys' => []]),
            'at "knoll", which is a target, and the key lies from 1 to 200',
        ];
        yield 'a decoy that its picture proves' => [
            'nav',
            self::question('nav-con-06', ['decoys' => [['region' => 'saddle', 'why' => 'x']]]),
            'at "saddle", which is a decoy',
        ];
        yield 'a picture on which nothing is measured' => [
            'nav',
            self::question('nav-con-06', ['id' => 'nav-con-99']),
            'nav-con-99: nothing is measured on its picture',
        ];
        yield 'a measure of no question' => [
            'nav',
            self::question('nav-con-06', ['id' => 'nav-con-99']),
            'claims.json: there is no picture question "nav-con-06"',
        ];
        yield 'a section that says too little' => ['nav', self::section(120), 'has 120 words; between 250 and 450'];
        yield 'a section that says too much' => ['nav', self::section(451), 'has 451 words; between 250 and 450'];
        yield 'a section that no question needs' => [
            'law',
            fn (array $all): array => array_map(
                fn (array $one): array => ['references' => array_values(array_diff($one['references'], ['law.group']))]
                    + $one,
                $all,
            ),
            'law.group is referred to by',
        ];
        yield 'a gap without its mark' => [
            'nav',
            self::question('nav-rel-09', ['stem' => 'Only [[along]] is left.']),
            'the stem marks the gaps along',
        ];
    }

    private static function question(string $id, array $change): callable
    {
        return fn (
            array $all,
        ): array => array_map(fn (array $question): array => $question['id'] === $id ? $change + $question : $question, $all);
    }

    /** Gives the first section of the handbook so many words. */
    private static function section(int $words): callable
    {
        return function (array $all) use ($words): array {
            $file = sys_get_temp_dir().'/uplandia-lint-'.getmypid().'/handbook/1-nav.md';
            $body = implode(' ', array_fill(0, $words, 'word'));
            $text = (string) file_get_contents($file);
            file_put_contents($file, preg_replace('/(## nav\.map: [^\n]*\n).*?(?=\n## )/s', "$1{$body}\n", $text, 1));

            return $all;
        };
    }

    private static function everyRow(callable $change): callable
    {
        return fn (array $all): array => array_map(
            fn (array $question): array => isset($question['rows'])
                ? ['rows' => array_map($change, $question['rows'])] + $question
                : $question,
            $all,
        );
    }

    private static function everySingle(callable $change): callable
    {
        $isSingle = fn (array $question): bool => ! isset($question['kind']) && isset($question['options']);

        return fn (array $all): array => array_map(
            fn (array $question): array => $isSingle($question) ? $change($question) : $question,
            $all,
        );
    }

    /** @param  callable(list<array<string, mixed>>): list<array<string, mixed>>  $spoil */
    #[DataProvider('faults')]
    public function test_each_fault_is_named(string $file, callable $spoil, string $words): void
    {
        $path = "{$this->folder}/questions/{$file}.yaml";
        if (preg_match('/^The key stands in place|^Always choosing the (long|short)est option/', $words) === 1) {
            // These look at the whole bank, so only this file is left of its singles.
            foreach (array_diff(glob("{$this->folder}/questions/*.yaml") ?: [], [$path]) as $other) {
                unlink($other);
            }
        }
        foreach (glob($path) ?: [] as $each) {
            file_put_contents($each, Yaml::dump($spoil(Yaml::parseFile($each)), 8));
        }

        self::assertStringContainsString($words, implode("\n", (new BankLint())->of($this->folder)['faults']));
    }

    public function test_a_paper_must_keep_to_the_blueprint(): void
    {
        $path = "{$this->folder}/papers/2024.yaml";
        $paper = Yaml::parseFile($path);
        [$first, $second] = [array_pop($paper['sections']['ground']), array_shift($paper['sections']['days'])];
        $paper['sections']['ground'][] = $paper['sections']['craft'][0];
        file_put_contents($path, Yaml::dump($paper, 4));

        $faults = implode("\n", (new BankLint())->of($this->folder)['faults']);

        self::assertNotSame($first, $second);
        foreach (
            [
                'Paper 2024 asks a question twice',
                'section "ground" takes no questions of the kind',
                'Section "days" has 12 questions, not 13',
                'is not asked whole and in order',
            ] as $words
        ) {
            self::assertStringContainsString($words, $faults);
        }
    }

    public function test_a_series_must_ask_what_there_is(): void
    {
        $folder = "{$this->folder}/series";
        (new Filesystem())->ensureDirectoryExists($folder);
        $test = ['code' => 'one', 'title' => 'One', 'mode' => 'tutor', 'questions' => ['nav-nowhere']];
        file_put_contents("{$folder}/x.yaml", Yaml::dump(['title' => 'X', 'about' => 'X', 'tests' => [$test]], 4));

        self::assertSame(
            ['Series x, test one: there is no question "nav-nowhere".'],
            (new BankLint())->of($this->folder)['faults'],
        );
    }

    public function test_a_file_of_more_than_a_megabyte_is_refused(): void
    {
        file_put_contents("{$this->folder}/sound/radio-relay.mp3", str_repeat('x', 1_000_001));

        self::assertStringContainsString(
            '1 MB is the most',
            implode("\n", (new BankLint())->of($this->folder)['faults']),
        );
    }
}
