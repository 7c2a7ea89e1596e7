<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Day;

/** Two sides to remember. */
final readonly class CardView
{
    /**
     * @param  string  $front  Markdown.
     * @param  string  $back  Markdown.
     * @param  int|null  $question  The question it was made from.
     * @param  string|null  $section  The page of the handbook it was made from, by its code.
     * @param  string|null  $covered  Why its back is covered: a test whose clock is not over asks its question.
     *     Null: it is not.
     * @param  int  $looks  How often it was looked at.
     * @param  string|null  $due  Null: it stays away.
     * @param  float|null  $recall  The chance that it is still known today, 0 to 1.
     */
    public function __construct(
        public string $id,
        public string $front,
        public string $back,
        public ?int $question,
        public ?string $section,
        public ?string $covered,
        public bool $suspended,
        public int $looks,
        #[Day] public ?string $due,
        public ?float $recall,
    ) {
    }
}
