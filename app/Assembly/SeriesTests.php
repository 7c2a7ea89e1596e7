<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\Exam;
use Illuminate\Support\Facades\DB;
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

    /** @return SeriesTest|null null: there is no such test */
    public function find(Exam $exam, string $series, string $test): ?SeriesTest
    {
        return SeriesTest::query()
            ->whereIn(
                'series_id',
                DB::table('series')->select('id')->where('exam_id', $exam->id)->where('code', $series),
            )
            ->where('code', $test)
            ->first();
    }

    public function of(Exam $exam, SeriesTest $one): Test
    {
        return $this->fixed->of(
            made: Test::query()->where('series_test_id', $one->id)->where('mode', $one->mode),
            settings: [
                'exam_id' => $exam->id,
                'series_test_id' => $one->id,
                'title' => $one->title,
                'mode' => $one->mode->value,
                'seed' => "series test {$one->id}",
            ],
            items: self::items($exam, $one->id),
            minutes: $one->minutes,
        );
    }

    /** @return list<Item> */
    private static function items(Exam $exam, int $test): array
    {
        $questions = DB::table('series_items')->where('series_test_id', $test)->orderBy('position');
        $blueprint = $exam->hasBlueprint() ? $exam->blueprint() : null;

        return NewItems::of(
            array_map(intval(...), array_values($questions->pluck('question_id')->all())),
            fn (int $question, Kind $kind, string $marks): array => [
                'marks' => $marks,
                'penalty' => (string) ($blueprint?->penaltyFor($kind) ?? '0'),
                'section' => null,
            ],
        );
    }
}
