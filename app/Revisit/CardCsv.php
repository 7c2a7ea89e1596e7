<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Csv;
use LogicException;
use Uplandia\Core\Revisit\CardFaces;
use Uplandia\Core\Revisit\InvalidCards;

/** Cards as comma-separated values (RFC 4180): a head line that names "front" and "back", then a card a row. */
final class CardCsv
{
    private const MARK = "\u{FEFF}";

    /** @param  list<CardFaces>  $cards */
    public static function write(array $cards): string
    {
        return Csv::of(['front', 'back'], array_map(
            fn (CardFaces $card): array => [Csv::text($card->front), Csv::text($card->back)],
            $cards,
        ));
    }

    /**
     * @return list<CardFaces>
     *
     * @throws InvalidCards with the row at which it fails
     */
    public static function read(string $csv): array
    {
        $file = fopen('php://temp', 'r+b') ?: throw new LogicException('A temporary file can always be opened.');
        fwrite($file, str_starts_with($csv, self::MARK) ? substr($csv, strlen(self::MARK)) : $csv);
        rewind($file);
        $head = fgetcsv($file, escape: '') ?: [];
        $names = array_map(fn (?string $name): string => mb_strtolower(trim((string) $name)), $head);
        [$front, $back] = [array_search('front', $names, true), array_search('back', $names, true)];
        if ($front === false || $back === false) {
            throw InvalidCards::because('The first row must name the columns "front" and "back".', 'head');
        }
        $cards = [];
        for ($row = 2; ($cells = fgetcsv($file, escape: '')) !== false; $row++) {
            // An empty line.
            if ($cells === [null]) {
                continue;
            }
            $cards[] = CardFaces::of(
                Csv::read((string) ($cells[$front] ?? '')),
                Csv::read((string) ($cells[$back] ?? '')),
                "Row {$row}: ",
            );
        }
        fclose($file);

        return $cards;
    }
}
