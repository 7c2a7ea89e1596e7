<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\Test;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Question\UnitKind;
use Uplandia\Core\Sitting\Item;
use Uplandia\Core\Sitting\Terms;

/** The rules that a test is sat under by one candidate: a paper's are the exam's, a test's those it was built with. */
final class TestTerms
{
    /** The questions of an adaptive test, of which one closes all before it. */
    private const ADAPTIVE = 'adaptive';

    /**
     * Needs the test's exam.
     *
     * @param  bool  $onPaper  whether it is sat on paper: then nothing of it is timed or locked on screen
     */
    public static function of(Test $test, User $user, bool $onPaper = false): Terms
    {
        if ($onPaper) {
            $items = array_map(fn (Item $item): Item => new Item(0, null), self::items($test, []));

            return new Terms(mode: Mode::Untimed, items: $items, shuffled: $test->shuffled, asksSureness: false);
        }
        $blueprint = $test->blueprint();
        $items = self::items($test, $blueprint === null ? [] : array_column($blueprint->sections, 'code'));
        $terms =
            $blueprint !== null
                ? Terms::ofExam($blueprint, $items)
                : new Terms(
                    mode: $test->mode,
                    items: $items,
                    limit: $test->minutes === null ? null : $test->minutes * Terms::MS_PER_MINUTE,
                    questionLimit: $test->seconds_each === null ? null : $test->seconds_each * Terms::MS_PER_SECOND,
                    shuffled: $test->shuffled,
                    runningScore: $test->running_score,
                    asksSureness: $test->asks_sureness,
                );

        return $terms->withExtraTime($user->extra_time);
    }

    /**
     * @param  list<string>  $sections  codes; none: the test is of one piece
     * @return list<Item>
     */
    private static function items(Test $test, array $sections): array
    {
        $index = array_flip($sections);
        if ($test->adaptive !== null) {
            // What is asked is not known yet; that there is no going back is.
            return array_fill(0, $test->adaptive, new Item(0, self::ADAPTIVE));
        }
        $rows = DB::table('test_items')
            ->join('question_versions', 'question_versions.id', '=', 'test_items.version_id')
            ->leftJoin('unit_versions', 'unit_versions.id', '=', 'question_versions.unit_version_id')
            ->leftJoin(
                'units',
                fn ($join) => $join
                    ->on('units.id', '=', 'unit_versions.unit_id')
                    ->where('units.kind', UnitKind::Series->value),
            )
            ->where('test_items.test_id', $test->id)
            ->orderBy('test_items.position')
            ->get(['test_items.section', 'units.id as series']);
        $items = [];
        foreach ($rows as $row) {
            $items[] = new Item(
                $index[$row->section ?? ''] ?? 0,
                $row->series === null ? null : "series-{$row->series}",
            );
        }

        return $items;
    }
}
