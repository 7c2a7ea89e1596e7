<?php

declare(strict_types=1);

namespace Tests\Feature\Workshop;

use App\Workshop\BankLint;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Yaml\Yaml;
use Tests\Feature\TestCase;

final class BankLintTest extends TestCase
{
    public function test_the_demo_is_clean(): void
    {
        foreach (['licence' => [120, 8], 'warden' => [60, 5]] as $exam => [$questions, $topics]) {
            $found = (new BankLint)->of(database_path("demo/{$exam}"));
            self::assertSame([], $found['faults']);
            self::assertGreaterThanOrEqual($questions, array_sum($found['counts']['kind']));
            self::assertCount($topics, $found['counts']['topic']);
        }
    }

    /** @return iterable<string, array{callable(list<array<string, mixed>>): list<array<string, mixed>>, string}> */
    public static function faults(): iterable
    {
        yield 'a missing reason' => [function (array $all): array {
            unset($all[0]['options'][1]['why']);

            return $all;
        }, 'The required properties (why) are missing'];
        yield 'two keys' => [function (array $all): array {
            $all[0]['options'] = array_map(fn (array $option): array => ['key' => true] + $option, $all[0]['options']);

            return $all;
        }, 'Exactly one option must be marked'];
        yield 'a field that nobody reads' => [fn (array $all): array => [['hint' => 'x'] + $all[0], ...array_slice($all, 1)], 'Additional object properties are not allowed: hint'];
        yield 'an unknown subtopic' => [fn (array $all): array => [['subtopic' => 'moon.dust'] + $all[0], ...array_slice($all, 1)], 'there is no subtopic "moon.dust"'];
        yield 'the same question twice' => [fn (array $all): array => [...$all, ['id' => 'copy'] + $all[0]], 'ask nearly the same'];
        yield 'the same id twice' => [fn (array $all): array => [...$all, ['stem' => 'Something quite different is asked here, about nothing.'] + $all[0]], '2 questions have this id'];
        yield 'a lazy option' => [function (array $all): array {
            $all[0]['options'][0]['text'] = 'All of the above';

            return $all;
        }, 'is no option worth thinking about'];
        yield 'keys that are always the longest' => [fn (array $all): array => array_map(function (array $question): array {
            foreach ($question['options'] as &$option) {
                $option['text'] .= ($option['key'] ?? false) ? ' and a good deal more than any of the others has to say, by far' : '';
            }

            return $question;
        }, $all), 'Always choosing the longest option scores 100.0 %'];
        yield 'keys that are always first' => [fn (array $all): array => array_map(function (array $question): array {
            usort($question['options'], fn (array $a, array $b): int => ($b['key'] ?? false) <=> ($a['key'] ?? false));

            return $question;
        }, $all), 'The key stands in place A in 100.0 %'];
    }

    /** @param  callable(list<array<string, mixed>>): list<array<string, mixed>>  $spoil */
    #[DataProvider('faults')]
    public function test_each_fault_is_named(callable $spoil, string $words): void
    {
        $folder = sys_get_temp_dir().'/uplandia-lint-'.getmypid();
        @mkdir("{$folder}/questions", 0777, true);
        copy(database_path('demo/licence/exam.yaml'), "{$folder}/exam.yaml");
        $all = [];
        foreach (glob(database_path('demo/licence/questions/*.yaml')) ?: [] as $file) {
            array_push($all, ...Yaml::parseFile($file));
        }
        file_put_contents("{$folder}/questions/all.yaml", Yaml::dump($spoil($all), 6));

        self::assertStringContainsString($words, implode("\n", (new BankLint)->of($folder)['faults']));
    }
}
