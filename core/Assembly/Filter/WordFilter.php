<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Assembly\SearchText;
use Uplandia\Core\Question\Fields;

/** Questions in whose texts a search finds something. */
final readonly class WordFilter implements Filter
{
    public const LONGEST = 200;

    public function __construct(public string $words)
    {
    }

    public static function key(): string
    {
        return 'words';
    }

    public static function read(Fields $choices): self
    {
        $words = $choices->any(self::key()) ?? '';

        return is_string($words) && mb_strlen($words) <= self::LONGEST
            ? new self($words)
            : throw InvalidRecipe::because('A search can have up to 200 letters.', self::key());
    }

    public static function unused(): string
    {
        return '';
    }

    public static function wayOut(): string
    {
        return 'drop the search';
    }

    public function chosen(): string
    {
        return $this->words;
    }

    public function passing(BankSets $bank): array
    {
        $text = SearchText::of($this->words);

        return $text->isEmpty() ? [] : ['_words' => $bank->found($text)];
    }
}
