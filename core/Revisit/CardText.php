<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

/**
 * Cards as plain text, to be written and read in any editor. A side begins with a line that begins with "Front:" or
 * "Back:" and goes on until the next one:
 *
 *     Front: How long are 300 m at a double pace of 1.5 m?
 *     Back: 200 double paces.
 *
 * A line of a card that begins so itself has a backslash before it.
 */
final class CardText
{
    private const SIDE = '/^(Front|Back):[ \t]?/u';

    private const KEPT = '/^(\\\\*(?:Front|Back):)/mu';

    /** @param  iterable<CardFaces>  $cards */
    public static function write(iterable $cards): string
    {
        $text = '';
        foreach ($cards as $card) {
            $text .= 'Front: '.self::kept($card->front)."\nBack: ".self::kept($card->back)."\n\n";
        }

        return $text;
    }

    /**
     * @return list<CardFaces>
     *
     * @throws InvalidCards with the line at which it fails
     */
    public static function read(string $text): array
    {
        $sides = $texts = [];
        foreach (explode("\n", str_replace(["\r\n", "\r"], "\n", $text)) as $i => $line) {
            if (preg_match(self::SIDE, $line, $found) === 1) {
                $texts[count($sides)] = [substr($line, strlen($found[0]))];
                $sides[] = [$found[1], $i + 1];
            } elseif ($sides !== []) {
                $texts[count($sides) - 1][] = preg_replace('/^\\\\(\\\\*(?:Front|Back):)/u', '$1', $line);
            } elseif (trim($line) !== '') {
                throw InvalidCards::because('Line '.($i + 1).': A card begins with "Front:".', 'front');
            }
        }
        $cards = [];
        for ($i = 0; $i < count($sides); $i += 2) {
            [$first, $line] = $sides[$i];
            if ($first !== 'Front' || ($sides[$i + 1][0] ?? '') !== 'Back') {
                throw InvalidCards::because("Line {$line}: Here a \"Front:\" with its \"Back:\" is missing.", 'pairs');
            }
            $cards[] = CardFaces::of(
                implode("\n", $texts[$i]),
                implode("\n", $texts[$i + 1]),
                "Line {$line}: ",
            );
        }

        return $cards;
    }

    /** The first line follows "Front:" and needs no backslash. */
    private static function kept(string $side): string
    {
        $lines = explode("\n", $side, 2);

        return $lines[0].(isset($lines[1]) ? "\n".preg_replace(self::KEPT, '\\\\$1', $lines[1]) : '');
    }
}
