<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

use Uplandia\Core\Marking\PlainText;

/** What a card says on its two sides, in Markdown. */
final readonly class CardFaces
{
    /** Letters of a side. */
    public const LONGEST = 4000;

    private function __construct(public string $front, public string $back)
    {
    }

    /**
     * @param  string  $where  such as "Line 7: ", before what is said of a fault
     *
     * @throws InvalidCards
     */
    public static function of(string $front, string $back, string $where = ''): self
    {
        foreach (['front' => $front = self::tidy($front), 'back' => $back = self::tidy($back)] as $side => $text) {
            if ($text === '') {
                throw InvalidCards::because("{$where}The {$side} of a card cannot be empty.", $side);
            }
            if (mb_strlen($text) > self::LONGEST) {
                throw InvalidCards::because("{$where}The {$side} of a card has up to 4,000 letters.", $side);
            }
        }

        return new self($front, $back);
    }

    private static function tidy(string $text): string
    {
        return PlainText::trim(str_replace(["\r\n", "\r"], "\n", $text));
    }
}
