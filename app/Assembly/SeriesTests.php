<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\Exam;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Question\Kind;

/**
 * The tests of an author's series. Marks and penalties are the exam's.
 *
 * @phpstan-import-type Item from Test
 */
final readonly class SeriesTests
{
    public function __construct(private FixedTests $fixed)
    {
    }

    /** @return stdClass|null of series_tests; null: there is no such test */
    public function row(Exam $exam, string $series, string $test): ?stdClass
    {
        /** @var stdClass|null $row */
        $row = DB::table('series_tests')
            ->join('series', 'series.id', '=', 'series_tests.series_id')
            ->where('series.exam_id', $exam->id)
            ->where('series.code', $series)
            ->where('series_tests.code', $test)
            ->first(['series_tests.*']);

        return $row;
    }

    /** @param  stdClass  $row  of series_tests */
    public function of(Exam $exam, stdClass $row): Test
    {
        return $this->fixed->of(
            made: Test::query()->where('series_test_id', $row->id)->where('mode', $row->mode),
            settings: [
                'exam_id' => $exam->id,
                'series_test_id' => (int) $row->id,
                'title' => (string) $row->title,
                'mode' => (string) $row->mode,
                'seed' => "series test {$row->id}",
            ],
            items: self::items($exam, (int) $row->id),
            minutes: $row->minutes === null ? null : (int) $row->minutes,
        );
    }

    /** @return list<Item> */
    private static function items(Exam $exam, int $test): array
    {
        $questions = DB::table('series_items')->where('series_test_id', $test)->orderBy('position');
        $blueprint = $exam->hasBlueprint() ? $exam->blueprint() : null;

        return NewItems::of(
            array_map(intval(...), array_values($questions->pluck('question_id')->all())),
            fn (stdClass $question): array => [
                'marks' => (string) $question->marks,
                'penalty' => (string) ($blueprint?->penaltyFor(Kind::from((string) $question->kind)) ?? '0'),
                'section' => null,
            ],
        );
    }
}
