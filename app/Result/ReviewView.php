<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Review')]
final readonly class ReviewView
{
    /** @param  list<QuestionLineView>  $items */
    public function __construct(
        #[OA\Property] public string $sitting,
        #[OA\Property] public string $exam,
        #[OA\Property] public string $title,
        #[OA\Property(type: 'array', items: new OA\Items(ref: QuestionLineView::class))] public array $items,
    ) {
    }
}
