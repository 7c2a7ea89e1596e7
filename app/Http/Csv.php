<?php

declare(strict_types=1);

namespace App\Http;

use LogicException;

/** Comma-separated values (RFC 4180) in which a spreadsheet takes nothing for a formula. */
final class Csv
{
    /** A spreadsheet takes what begins so for a formula; what was kept from it before is kept once more. */
    private const FORMULA = "/^'*[=+\\-@\t\r]/";

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
        return preg_match(self::FORMULA, $text) === 1 ? "'{$text}" : $text;
    }

    /** What `text` was given. */
    public static function read(string $cell): string
    {
        return $cell !== '' && $cell[0] === "'" && preg_match(self::FORMULA, $cell) === 1 ? substr($cell, 1) : $cell;
    }
}
