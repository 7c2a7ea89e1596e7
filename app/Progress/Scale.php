<?php

declare(strict_types=1);

namespace App\Progress;

use App\Question\Exam;
use App\Question\Syllabus;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Progress\AbilityEstimator;
use Uplandia\Core\Progress\Item;
use Uplandia\Core\Progress\Prior;

/** The one scale of an exam, on which abilities and difficulties lie. */
final class Scale
{
    /** Begins with what is known of the cohort. */
    public static function estimator(Exam $exam): AbilityEstimator
    {
        return new AbilityEstimator(new Prior(deviation: $exam->cohort_deviation ?? 1.0));
    }

    /**
     * How difficult the questions of the bank are, those alike told together.
     *
     * @param  list<int>|null  $within  ids of topics; null: all
     * @return array<int, list<Item>> by topic at the top, those that have questions
     */
    public static function items(Exam $exam, Syllabus $syllabus, ?array $within = null): array
    {
        $rows = DB::table('topic_difficulties')
            ->join('topics', 'topics.id', '=', 'topic_difficulties.topic_id')
            ->where('topics.exam_id', $exam->id)
            ->when($within !== null, fn (Builder $rows): Builder => $rows->whereIn('topics.id', $within ?? []))
            ->get(['topic_id', 'b', 'luck', 'topic_difficulties.questions']);
        $bank = [];
        foreach ($rows as $row) {
            $bank[$syllabus->topOf((int) $row->topic_id)->id][] = new Item(
                b: (float) $row->b,
                c: (float) $row->luck,
                n: (int) $row->questions,
            );
        }

        return $bank;
    }
}
