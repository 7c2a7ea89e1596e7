<?php

declare(strict_types=1);

namespace App\Http;

use LogicException;

/** Comma-separated values (RFC 4180) in which a spreadsheet takes nothing for a formula. */
final class Csv
{
    /** A spreadsheet takes what begins with one of these for a formula. */
    private const FORMULA = "=+-@\t\r";

    /**
     * @param  list<string>  $head
     * @param  iterable<list<string|int|float|null>>  $rows  of as many; what somebody wrote goes through `text`
     */
    public static function of(array $head, iterable $rows): string
    {
        $file = fopen('php://temp', 'r+b') ?: throw new LogicException('A temporary file can always be opened.');
        fputcsv($file, $head, escape: '', eol: "\r\n");
        foreach ($rows as $row) {
            fputcsv($file, $row, escape: '', eol: "\r\n");
        }
        rewind($file);
        $csv = (string) stream_get_contents($file);
        fclose($file);

        return $csv;
    }

    public static function text(string $text): string
    {
        return $text !== '' && str_contains(self::FORMULA, $text[0]) ? "'{$text}" : $text;
    }
}
