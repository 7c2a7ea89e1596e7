<?php

declare(strict_types=1);

namespace App\Question;

/** A row that wants one choice: of its own, or of those that all rows share. */
final readonly class RowView
{
    /**
     * @param  string  $text  Markdown.
     * @param  list<OptionView>|null  $choices  null: the question's choices.
     */
    public function __construct(
        public string $id,
        public string $text,
        public ?array $choices,
    ) {
    }
}
