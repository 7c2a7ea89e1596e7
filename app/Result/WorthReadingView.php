<?php

declare(strict_types=1);

namespace App\Result;

use App\Handbook\HandbookSection;
use Uplandia\Core\Result\Saving;
use Uplandia\Core\Shown;

/** A section of the handbook, with what it would have saved. */
final readonly class WorthReadingView
{
    /**
     * @param  string  $marks  Lost on questions whose reasons refer to it.
     * @param  list<int>  $questions  Their positions.
     */
    public function __construct(
        public string $code,
        public string $chapter,
        public string $title,
        public string $marks,
        public array $questions,
    ) {
    }

    public static function of(HandbookSection $section, Saving $saving): self
    {
        return new self(
            code: $section->code,
            chapter: $section->chapter,
            title: $section->title,
            marks: Shown::decimal($saving->marks),
            questions: $saving->positions,
        );
    }
}
