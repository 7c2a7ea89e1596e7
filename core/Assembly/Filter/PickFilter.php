<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\QuestionSet;

/** Questions that were picked one by one. */
final readonly class PickFilter implements Filter
{
    /** @param  list<int>  $only  ids */
    public function __construct(public array $only)
    {
    }

    public static function key(): string
    {
        return 'only';
    }

    public static function read(Fields $choices): self
    {
        $only = $choices->has(self::key()) ? array_values(array_unique($choices->numbers(self::key()))) : [];

        return count($only) <= Recipe::MOST_QUESTIONS
            ? new self($only)
            : throw InvalidRecipe::because('Up to 500 questions can be picked.', 'too_many');
    }

    /** @return list<never> */
    public static function unused(): array
    {
        return [];
    }

    public static function wayOut(): string
    {
        return 'not only those picked';
    }

    /** @return list<int> */
    public function chosen(): array
    {
        return $this->only;
    }

    public function passing(BankSets $bank): array
    {
        return ['_only' => QuestionSet::of($bank->live()->among($this->only))];
    }
}
