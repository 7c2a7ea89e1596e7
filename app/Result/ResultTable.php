<?php

declare(strict_types=1);

namespace App\Result;

use App\Http\Csv;

/** The questions of a result as comma-separated values, for a spreadsheet. */
final class ResultTable
{
    private const HEAD = [
        'question',
        'text',
        'topic',
        'subtopic',
        'difficulty',
        'kind',
        'outcome',
        'marks',
        'possible',
        'seconds',
        'cohort_median_seconds',
        'cohort_share_right',
        'sureness',
        'footing',
        'times_changed',
        'change',
        'tries',
        'closed',
        'options_ruled_out',
        'key_ruled_out',
        'flagged',
        'cause',
    ];

    /** @param  list<QuestionLineView>  $lines */
    public function csv(array $lines): string
    {
        return Csv::of(self::HEAD, array_map(self::row(...), $lines));
    }

    /** @return list<string|int|float|null> */
    private static function row(QuestionLineView $line): array
    {
        return [
            $line->position + 1,
            Csv::text($line->excerpt),
            Csv::text($line->topic),
            Csv::text($line->subtopic),
            $line->difficulty->value,
            $line->kind->value,
            $line->outcome->value,
            $line->marks,
            $line->possible,
            round($line->activeMs / 1000, 1),
            $line->cohortMs === null ? null : round($line->cohortMs / 1000, 1),
            $line->facility === null ? null : round($line->facility, 4),
            $line->sureness?->value,
            $line->footing?->value,
            $line->changes,
            $line->change?->value,
            $line->tries,
            $line->closed ? 'yes' : 'no',
            $line->ruledOut,
            $line->keyRuledOut ? 'yes' : 'no',
            $line->flagged ? 'yes' : 'no',
            $line->cause?->value,
        ];
    }
}
