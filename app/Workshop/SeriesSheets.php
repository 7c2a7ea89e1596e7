<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Question\Exam;
use App\Workshop\Lint\Asked;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Recipe;

/**
 * Series of tests as an exam's folder has them: fixed tests in an author's order.
 *
 * @phpstan-import-type SeriesSheet from ExamFolder
 */
final class SeriesSheets
{
    /**
     * What keeps a series from being read at all.
     *
     * @param  list<array<mixed>>  $series
     * @return list<string>
     */
    public static function malformed(array $series): array
    {
        $faults = [];
        foreach ($series as $sheet) {
            $name = is_string($sheet['code']) ? "series/{$sheet['code']}.yaml" : 'series';
            $tests = $sheet['tests'] ?? null;
            if (! is_string($sheet['title'] ?? null) || ! is_string($sheet['about'] ?? null) || ! is_array($tests)) {
                $faults[] = "{$name}: a series needs a title, what it is about, and tests.";

                continue;
            }
            foreach ($tests as $test) {
                $sound =
                    is_array($test) &&
                    is_string($test['code'] ?? null) &&
                    is_string($test['title'] ?? null) &&
                    is_string($test['mode'] ?? null) &&
                    Mode::tryFrom($test['mode']) !== null &&
                    self::isFrom(1, $test['minutes'] ?? 1, Recipe::MOST_MINUTES) &&
                    self::isFrom(1, $test['attempts'] ?? 1, 1000) &&
                    is_array($test['questions'] ?? null) &&
                    $test['questions'] !== [] &&
                    array_filter($test['questions'], is_string(...)) === $test['questions'];
                if (! $sound) {
                    $faults[] =
                        "{$name}: each test needs a code, a title, a mode and questions; minutes (1 to 600) and ".
                        'attempts are whole numbers.';
                }
            }
            $codes = array_filter(array_column($tests, 'code'), is_string(...));
            if (array_unique($codes) !== $codes) {
                $faults[] = "{$name}: two tests have one code.";
            }
        }

        return $faults;
    }

    /**
     * What a strict editor finds in series that can be read.
     *
     * @return list<string>
     */
    public static function faults(ExamFolder $folder): array
    {
        $faults = [];
        foreach ($folder->series as $series) {
            foreach ($series['tests'] as $test) {
                $what = "Series {$series['code']}, test {$test['code']}";
                array_push($faults, ...Asked::faults($what, $test['questions'], $folder));
            }
        }

        return $faults;
    }

    /**
     * @param  list<SeriesSheet>  $sheets
     *
     * @throws InvalidBank
     */
    public static function load(Exam $exam, array $sheets): void
    {
        $ids = DB::table('questions')->where('exam_id', $exam->id)->pluck('id', 'code');
        $kept = [];
        foreach ($sheets as $position => $sheet) {
            DB::table('series')->updateOrInsert(
                ['exam_id' => $exam->id, 'code' => $sheet['code']],
                ['title' => $sheet['title'], 'about' => $sheet['about'], 'position' => $position],
            );
            $series = DB::table('series')->where('exam_id', $exam->id)->where('code', $sheet['code'])->value('id');
            $kept[] = $series;
            foreach ($sheet['tests'] as $place => $test) {
                DB::table('series_tests')->updateOrInsert(
                    ['series_id' => $series, 'code' => $test['code']],
                    [
                        'title' => $test['title'],
                        'position' => $place,
                        'mode' => $test['mode'],
                        'minutes' => $test['minutes'] ?? null,
                        'attempts' => $test['attempts'] ?? null,
                    ],
                );
                $id = DB::table('series_tests')
                    ->where('series_id', $series)
                    ->where('code', $test['code'])
                    ->value('id');
                $rows = [];
                foreach ($test['questions'] as $code) {
                    $question =
                        $ids[$code] ??
                        throw InvalidBank::with(["series/{$sheet['code']}.yaml: there is no question \"{$code}\"."]);
                    $rows[] = ['series_test_id' => $id, 'position' => count($rows), 'question_id' => $question];
                }
                // A test made from it keeps its own list, so this one may be written anew.
                DB::table('series_items')->where('series_test_id', $id)->delete();
                DB::table('series_items')->insert($rows);
            }
            DB::table('series_tests')
                ->where('series_id', $series)
                ->whereNotIn('code', array_column($sheet['tests'], 'code'))
                ->delete();
        }
        DB::table('series')->where('exam_id', $exam->id)->whereNotIn('id', $kept)->delete();
    }

    private static function isFrom(int $least, mixed $n, int $most): bool
    {
        return is_int($n) && $n >= $least && $n <= $most;
    }
}
