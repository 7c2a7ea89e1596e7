<?php

declare(strict_types=1);

namespace App\Result;

use App\Handbook\HandbookSection;
use OpenApi\Attributes as OA;
use Uplandia\Core\Result\Saving;
use Uplandia\Core\Shown;

/** A section of the handbook, with what it would have saved. */
#[OA\Schema(schema: 'WorthReading')]
final readonly class WorthReadingView
{
    /** @param  list<int>  $questions */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Lost on questions whose reasons refer to it.')] public string $marks,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'), description: 'Their positions.')]
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
