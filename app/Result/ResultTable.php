<?php

declare(strict_types=1);

namespace App\Result;

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
        'options_ruled_out',
        'key_ruled_out',
        'flagged',
        'cause',
    ];

    /** A spreadsheet takes what begins with one of these for a formula. */
    private const FORMULA = "=+-@\t\r";

    /** @param  list<QuestionLineView>  $lines */
    public function csv(array $lines): string
    {
        $file = fopen('php://temp', 'r+b');
        if ($file === false) {
            throw new \LogicException('A temporary file can always be opened.');
        }
        foreach ([self::HEAD, ...array_map(self::row(...), $lines)] as $row) {
            fputcsv($file, $row, escape: '', eol: "\r\n");
        }
        rewind($file);
        $csv = (string) stream_get_contents($file);
        fclose($file);

        return $csv;
    }

    /** @return list<string|int|float|null> */
    private static function row(QuestionLineView $line): array
    {
        return [
            $line->position + 1,
            self::text($line->excerpt),
            self::text($line->topic),
            self::text($line->subtopic),
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
            $line->ruledOut,
            $line->keyRuledOut ? 'yes' : 'no',
            $line->flagged ? 'yes' : 'no',
            $line->cause?->value,
        ];
    }

    private static function text(string $text): string
    {
        return $text !== '' && str_contains(self::FORMULA, $text[0]) ? "'{$text}" : $text;
    }
}
