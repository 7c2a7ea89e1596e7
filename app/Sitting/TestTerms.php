<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\Test;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Question\UnitKind;
use Uplandia\Core\Sitting\Item;
use Uplandia\Core\Sitting\Terms;

/** The rules that a test is sat under by one candidate: a paper's are the exam's, a test's those it was built with. */
final class TestTerms
{
    /** Needs the test's exam. */
    public static function of(Test $test, User $user): Terms
    {
        $paper = $test->paper_id !== null;
        $items = self::items($test, $paper ? array_column($test->exam->blueprint()->sections, 'code') : []);
        $terms = $paper
            ? Terms::ofExam($test->exam->blueprint(), $items)
            : new Terms(
                mode: $test->mode,
                items: $items,
                limit: $test->minutes === null ? null : $test->minutes * Terms::MS_PER_MINUTE,
                shuffled: $test->shuffled,
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
